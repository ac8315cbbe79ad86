package embrack.app.folder;

import embrack.app.store.Memo;
import embrack.app.store.PrintStore;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.app.store.TickStore;
import embrack.core.check.Report;
import embrack.core.sheet.AtDoors;
import embrack.core.sheet.Progress;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import embrack.core.sheet.Sheets;
import embrack.core.show.Reader;
import embrack.files.lists.TickFile;
import embrack.files.plan.Edition;
import embrack.files.plan.PlanFile;
import embrack.paper.page.Bundle;
import embrack.paper.page.Part;
import embrack.paper.part.Binder;
import embrack.paper.part.Contents;
import embrack.paper.print.OneFile;
import embrack.paper.since.Since;
import embrack.paper.type.LabelSize;
import embrack.paper.type.Paper;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Makes folders of stored rigs: with what is ticked, and what changed since the last print marked. */
@Component
class Folders {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private static final int MOST_KEPT = 6;

    private final RigStore rigs;
    private final Reports reports;
    private final TickStore ticks;
    private final PrintStore prints;
    private final OneFile oneFile = new OneFile();
    private final Memo<Key, Binder> latest = Memo.ofCount(MOST_KEPT);

    Folders(RigStore rigs, Reports reports, TickStore ticks, PrintStore prints) {
        this.rigs = rigs;
        this.reports = reports;
        this.ticks = ticks;
        this.prints = prints;
    }

    /** The folder that is wanted. */
    Bundle bundle(StoredRig stored, Choices choices, String address) {
        List<Progress.Tick> done = ticks.all(stored.id());
        Binder binder = binder(stored, stored.revision(), done, choices, address);
        List<Part> now = parts(binder, choices);
        Optional<PrintStore.Printed> printed =
                prints.last(stored.id()).filter(last -> last.revision() < stored.revision());
        Since since = printed.map(last -> {
                    Binder then = binder(stored, last.revision(), done, choices, address);
                    return Since.of(now, parts(then, choices));
                })
                .orElseGet(() -> new Since(now, Map.of()));
        List<Part> parts = choices.changed() ? since.onlyChanged() : since.parts();
        boolean isAlone = !choices.leaves().isEmpty();
        return new Bundle(
                stored.plan().rig().name().text(),
                stored.revision(),
                LocalDate.now().format(DAY),
                named(binder, choices.reader()),
                isAlone
                        ? parts
                        : binder.covered(
                                parts,
                                since.counts(),
                                printed.map(last -> "revision %d, %s".formatted(last.revision(), last.day()))
                                        .orElse("")));
    }

    /** One file for a reader, or for everybody. */
    byte[] oneFile(StoredRig stored, String reader) {
        Choices choices = Choices.of(reader, "", "", LabelSize.USUAL, "", false);
        Binder binder = binder(stored, stored.revision(), ticks.all(stored.id()), choices, "");
        List<Part> parts = new ArrayList<>(parts(binder, choices));
        parts.addAll(binder.onScreen(parts));
        List<Part> all = binder.covered(parts, Map.of(), "");
        return oneFile.of(
                new Bundle(
                        stored.plan().rig().name().text(),
                        stored.revision(),
                        LocalDate.now().format(DAY),
                        named(binder, reader),
                        all),
                binder.contents().running(),
                PlanFile.write(
                        stored.plan(), new Edition(rigs.edition(stored.id()).rig(), stored.revision())),
                rigs.edition(stored.id()).rig());
    }

    /** Takes ticks in, of each line the last, in the order in which they were made; none is of later than now. */
    Home home(StoredRig stored, TickFile made, String who) {
        Map<String, Section.Line> lines = lines(stored);
        Instant now = Instant.now();
        Map<TickStore.Came, Integer> came = new EnumMap<>(TickStore.Came.class);
        List<String> older = new ArrayList<>();
        int unknown = 0;
        SequencedMap<String, TickFile.Made> last = new LinkedHashMap<>();
        made.ticks().forEach(tick -> last.putLast(tick.key(), tick));
        for (TickFile.Made tick : last.values()) {
            Section.Line line = lines.get(tick.key());
            if (line == null) {
                unknown++;
                continue;
            }
            Instant at = tick.at().isAfter(now) ? now : tick.at();
            TickStore.Came how = ticks.home(stored.id(), line, tick.done(), at, who);
            came.merge(how, 1, Integer::sum);
            if (how == TickStore.Came.OLDER) {
                older.add(line.key());
            }
        }
        return new Home(
                came.getOrDefault(TickStore.Came.NEW, 0), came.getOrDefault(TickStore.Came.KNOWN, 0), older, unknown);
    }

    /** What came of ticks, in words; with the lines of which something newer was here. */
    String said(StoredRig stored, Home home) {
        Map<String, Section.Line> lines = lines(stored);
        List<String> older = home.older().stream()
                .map(lines::get)
                .filter(Objects::nonNull)
                .map(Section.Line::words)
                .toList();
        return home.words(older);
    }

    private Map<String, Section.Line> lines(StoredRig stored) {
        Map<String, Section.Line> lines = new HashMap<>();
        Stream.concat(Sheets.of(reports.of(stored)).stream(), Stream.of(AtDoors.of(stored.plan())))
                .flatMap(Sheet::lines)
                .forEach(line -> lines.put(line.key(), line));
        return lines;
    }

    private record Key(
            RigId rig, int revision, List<Progress.Tick> ticks, Paper paper, LabelSize labels, String address) {}

    /** The parts of a revision; those that were asked for last are kept. */
    private Binder binder(StoredRig stored, int revision, List<Progress.Tick> done, Choices choices, String address) {
        return latest.get(new Key(stored.id(), revision, done, choices.paper(), choices.labels(), address), () -> {
            Report report =
                    revision == stored.revision() ? reports.of(stored) : Report.of(rigs.at(stored.id(), revision));
            return new Binder(Contents.of(report, done, choices.paper())
                    .with(choices.labels())
                    .at(address));
        });
    }

    private static List<Part> parts(Binder binder, Choices choices) {
        if (!choices.leaves().isEmpty()) {
            return choices.leaves().stream()
                    .flatMap(leaf -> binder.of(leaf).stream())
                    .toList();
        }
        return reader(binder, choices.reader())
                .map(reader -> binder.of(List.of(reader)))
                .orElseGet(binder::all);
    }

    private static Optional<Reader> reader(Binder binder, String name) {
        return binder.contents().readers().stream()
                .filter(reader -> reader.name().text().equals(name))
                .findFirst();
    }

    /** The name of who gets it; empty for everybody, also where an address names nobody whom there is. */
    private static String named(Binder binder, String name) {
        return reader(binder, name).map(reader -> reader.name().text()).orElse("");
    }

    /** The revision that was printed last. */
    Optional<PrintStore.Printed> printed(StoredRig stored) {
        return prints.last(stored.id());
    }
}
