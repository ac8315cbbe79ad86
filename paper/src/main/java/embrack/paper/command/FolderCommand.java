package embrack.paper.command;

import embrack.core.check.Report;
import embrack.core.name.Slug;
import embrack.core.plan.Plan;
import embrack.core.show.Reader;
import embrack.files.json.JsonFile;
import embrack.files.json.UnreadableFile;
import embrack.files.plan.PlanFile;
import embrack.paper.list.PartCsv;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Bundle;
import embrack.paper.page.Part;
import embrack.paper.part.Binder;
import embrack.paper.part.Contents;
import embrack.paper.print.FolderPdf;
import embrack.paper.print.Ground;
import embrack.paper.print.OneFile;
import embrack.paper.since.Since;
import embrack.paper.type.LabelSize;
import embrack.paper.type.Paper;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * {@code folder FILE [--for READER|ROLE] [--out DIR] [--paper letter] [--ground dark] [--labels SIZE]
 * [--since FILE]}: makes the folder of a plan file as a PDF, as one HTML file and as CSV, a file each part,
 * and timed messages as the text of their player. Exit status 0: it is made and nothing stops
 * the show; 1: it is made, and something does; 2: it could not be made.
 */
public final class FolderCommand {

    static final int MADE = 0;
    static final int STOPS = 1;
    static final int NOT_MADE = 2;

    private final PrintStream out;
    private final PrintStream err;

    FolderCommand(PrintStream out, PrintStream err) {
        this.out = out;
        this.err = err;
    }

    public static void main(String[] args) {
        var out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        var err = new PrintStream(System.err, true, StandardCharsets.UTF_8);
        System.exit(new FolderCommand(out, err).run(List.of(args)));
    }

    int run(List<String> args) {
        List<String> words = new ArrayList<>(args);
        Optional<String> reader = option(words, "--for");
        Path folder = Path.of(option(words, "--out").orElse("."));
        Paper paper = Paper.of(option(words, "--paper").orElse(""));
        Ground ground = Ground.of(option(words, "--ground").orElse(""));
        String size = option(words, "--labels").orElse("");
        Optional<String> since = option(words, "--since");
        if (words.size() != 1 || words.getFirst().startsWith("-")) {
            err.println("Usage: embrack folder FILE [--for READER] [--out DIR] [--paper a4|letter] "
                    + "[--ground light|dark] [--labels 38x13] [--since FILE]");
            return NOT_MADE;
        }
        Optional<LabelSize> labels = labels(size);
        if (labels.isEmpty()) {
            return NOT_MADE;
        }
        try {
            Plan plan = read(words.getFirst());
            Report report = Report.of(plan);
            Binder binder = new Binder(Contents.of(report, paper).with(labels.get()));
            Optional<List<Reader>> readers = readers(binder, reader);
            if (readers.isEmpty()) {
                err.println("Nobody reads it as \"%s\". There are: %s."
                        .formatted(
                                reader.orElse(""),
                                String.join(
                                        ", ",
                                        binder.contents().readers().stream()
                                                .map(r -> r.name().text())
                                                .toList())));
                return NOT_MADE;
            }
            Since marked = new Since(binder.of(readers.get()), Map.of());
            if (since.isPresent()) {
                Binder before = new Binder(Contents.of(Report.of(read(since.get())), paper));
                marked = Since.of(marked.parts(), before.of(readers.get()));
            }
            write(folder, plan, binder, marked, reader.orElse(""), since.orElse(""), paper, ground);
            return report.stopsTheShow() ? STOPS : MADE;
        } catch (UnreadableFile e) {
            err.println("The plan cannot be read:");
            e.problems().forEach(problem -> err.println("  " + problem));
            return NOT_MADE;
        } catch (IOException e) {
            err.println("%s: nothing more can be read or written there. Is the name right, and the disc not full?"
                    .formatted(e.getMessage()));
            return NOT_MADE;
        }
    }

    private void write(
            Path folder,
            Plan plan,
            Binder binder,
            Since marked,
            String reader,
            String since,
            Paper paper,
            Ground ground)
            throws IOException {
        String rig = plan.rig().name().text();
        String name = Slug.of(rig) + "-folder" + (reader.isEmpty() ? "" : "-" + Slug.of(reader));
        List<Part> covered = binder.covered(marked.parts(), marked.counts(), since);
        Files.createDirectories(folder);
        file(folder, name + ".pdf", new FolderPdf().of(new Bundle(rig, 0, "", reader, covered), paper, ground));
        List<Part> onScreen = new ArrayList<>(covered);
        onScreen.addAll(binder.onScreen(covered));
        file(
                folder,
                name + ".html",
                new OneFile()
                        .of(
                                new Bundle(rig, 0, "", reader, onScreen),
                                binder.contents().running(),
                                PlanFile.write(plan),
                                "file-" + Slug.of(rig)));
        for (Block block :
                onScreen.stream().flatMap(part -> part.blocks().stream()).toList()) {
            if (block.body() instanceof Body.Pasted pasted) {
                file(
                        folder,
                        "paste-%s.txt".formatted(Slug.of(block.heading())),
                        pasted.text().getBytes(StandardCharsets.UTF_8));
            }
        }
        for (Part part : marked.parts()) {
            if (!part.form().isDrawn()) {
                file(folder, part.id() + ".csv", PartCsv.of(part).getBytes(StandardCharsets.UTF_8));
            }
        }
    }

    /** A file that is whole or not there: what ends half-way leaves nothing. */
    private void file(Path folder, String name, byte[] content) throws IOException {
        Path half = folder.resolve(name + ".part");
        try {
            Files.write(half, content);
            Files.move(half, folder.resolve(name), StandardCopyOption.REPLACE_EXISTING);
        } catch (IOException e) {
            Files.deleteIfExists(half);
            throw e;
        }
        out.println(folder.resolve(name));
    }

    /** Those of a name, or of a role; all where nobody is named; empty where that is nobody. */
    private static Optional<List<Reader>> readers(Binder binder, Optional<String> wanted) {
        List<Reader> all = binder.contents().readers();
        if (wanted.isEmpty()) {
            return Optional.of(all);
        }
        List<Reader> some = all.stream()
                .filter(reader -> reader.name().text().equalsIgnoreCase(wanted.get())
                        || reader.role().key().equalsIgnoreCase(wanted.get()))
                .toList();
        return some.isEmpty() ? Optional.empty() : Optional.of(some);
    }

    private Optional<LabelSize> labels(String words) {
        try {
            return Optional.of(LabelSize.of(words));
        } catch (IllegalArgumentException e) {
            err.println(e.getMessage());
            return Optional.empty();
        }
    }

    private static Optional<String> option(List<String> words, String name) {
        int at = words.indexOf(name);
        if (at < 0 || at + 1 >= words.size()) {
            return Optional.empty();
        }
        words.remove(at);
        return Optional.of(words.remove(at));
    }

    /** One byte more than a plan can have is enough to refuse it. */
    private static Plan read(String file) throws IOException {
        try (InputStream in = Files.newInputStream(Path.of(file))) {
            return PlanFile.read(in.readNBytes(JsonFile.MAX_BYTES + 1));
        }
    }
}
