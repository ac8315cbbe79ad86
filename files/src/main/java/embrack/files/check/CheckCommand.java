package embrack.files.check;

import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.core.word.Language;
import embrack.files.json.JsonFile;
import embrack.files.json.UnreadableFile;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * {@code check FILE [--json] [--language=TAG]}: proves and checks a plan file. Exit status 0: nothing stops the show;
 * 1: something does; 2: the file cannot be read.
 */
public final class CheckCommand {

    static final int NOTHING_STOPS = 0;
    static final int STOPS = 1;
    static final int UNREADABLE = 2;
    private static final String LANGUAGE = "--language=";

    private final PrintStream out;
    private final PrintStream err;

    CheckCommand(PrintStream out, PrintStream err) {
        this.out = out;
        this.err = err;
    }

    public static void main(String[] args) {
        var out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        var err = new PrintStream(System.err, true, StandardCharsets.UTF_8);
        System.exit(new CheckCommand(out, err).run(List.of(args)));
    }

    int run(List<String> args) {
        List<String> files = new ArrayList<>(args);
        boolean json = files.remove("--json");
        Optional<String> tag = language(files);
        files.removeIf(word -> word.startsWith(LANGUAGE));
        if (files.size() != 1 || files.getFirst().startsWith("-")) {
            err.println("Usage: embrack check FILE [--json] [--language=TAG]");
            return UNREADABLE;
        }
        Language language;
        try {
            language = Language.of(tag.orElse(Language.ENGLISH.tag()));
        } catch (IllegalArgumentException e) {
            err.println(e.getMessage());
            return UNREADABLE;
        }
        try {
            Plan plan = PlanFile.read(bytes(Path.of(files.getFirst())));
            Report report = Report.of(plan);
            out.print(json ? ReportJson.of(report, language) : ReportText.of(report, language));
            out.flush();
            return report.stopsTheShow() ? STOPS : NOTHING_STOPS;
        } catch (UnreadableFile e) {
            err.println(files.getFirst() + " cannot be read:");
            e.problems().forEach(problem -> err.println("  " + problem));
            return UNREADABLE;
        } catch (IOException e) {
            err.println(files.getFirst() + " cannot be opened. Is the name right?");
            return UNREADABLE;
        }
    }

    private static Optional<String> language(List<String> words) {
        return words.stream()
                .filter(word -> word.startsWith(LANGUAGE))
                .map(word -> word.substring(LANGUAGE.length()))
                .findFirst();
    }

    /** One byte more than a plan can have is enough to refuse it. */
    private static byte[] bytes(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return in.readNBytes(JsonFile.MAX_BYTES + 1);
        }
    }
}
