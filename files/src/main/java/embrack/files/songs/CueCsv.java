package embrack.files.songs;

import embrack.core.chart.Action;
import embrack.core.music.Clock;
import embrack.core.music.Position;
import embrack.core.music.TempoMap;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.files.json.UnreadableFile;
import embrack.files.json.UnreadableFile.Problem;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * The cues of a song as CSV (RFC 4180): one line a step, lines of one number are one cue.
 *
 * <p>Columns: cue, at, clock, device, action, words, wait ms, early, leaves off, name. {@code clock} and {@code words}
 * are for people and not read back. A press of a foot has the board as its device and {@code press:bank:switch} as its
 * action. Messages that no chart explains are not in it.
 */
public final class CueCsv {

    private static final List<String> COLUMNS = List.of(
            "cue", "bar", "beat", "at", "clock", "device", "action", "words", "wait ms", "early", "leaves off", "name");
    private static final Pattern PRESS = Pattern.compile("press:(\\d{1,3}):(\\d{1,3})");
    private static final int MOST_PROBLEMS = 200;

    /** The largest file that is read, 4 MB. */
    public static final int MAX_LENGTH = 4 << 20;

    private CueCsv() {}

    /** The cues of a song. */
    public static String write(Plan plan, Song song) {
        var out = new StringBuilder();
        try (var printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
            printer.printRecord(COLUMNS);
            for (Cue cue : song.cues()) {
                if (cue.foot().isPresent()) {
                    SwitchAt at = cue.foot().get();
                    print(
                            printer,
                            song,
                            cue,
                            plan.rig().name(at.board()).text(),
                            "press:%d:%d".formatted(at.bank(), at.number()),
                            plan.words(at),
                            0);
                }
                for (Step step : cue.steps()) {
                    print(
                            printer,
                            song,
                            cue,
                            plan.rig().name(step.device()).text(),
                            step.action().key(),
                            plan.words(step),
                            step.waitMillis());
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static void print(
            CSVPrinter printer, Song song, Cue cue, String device, String action, String words, int waitMillis)
            throws IOException {
        TempoMap tempoMap = song.form().tempoMap();
        Optional<Position> on = cue.at() instanceof Anchor.OnBar bar
                ? Optional.of(tempoMap.position(tempoMap.tick(bar.at())))
                : Optional.empty();
        printer.printRecord(
                cue.number(),
                on.map(place -> String.valueOf(place.bar())).orElse(""),
                on.map(tempoMap::beat).orElse(""),
                on.isPresent()
                        ? ""
                        : cue.at() instanceof Anchor.OnClock clock
                                ? Clock.exact(clock.micros())
                                : cue.at().text(tempoMap),
                cue.at().micros(song.form()).map(Clock::text).orElse(""),
                device,
                action,
                words,
                waitMillis == 0 ? "" : waitMillis,
                cue.early() ? "yes" : "",
                cue.leavesOff() ? "yes" : "",
                cue.name().map(TapeLabel::text).orElse(""));
    }

    /**
     * The cues that a CSV file holds, for a song of a plan.
     *
     * @throws UnreadableFile with everything that is wrong with it, by its line
     */
    public static List<Cue> read(String csv, Plan plan, Song song) {
        if (csv.length() > MAX_LENGTH) {
            throw new UnreadableFile(List.of(new Problem("the file", "has more than 4 MB; a list of cues is smaller")));
        }
        List<Problem> problems = new ArrayList<>();
        Map<String, Cue> cues = new LinkedHashMap<>();
        try (CSVParser parser = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreHeaderCase(true)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get()
                .parse(new StringReader(csv.startsWith("\uFEFF") ? csv.substring(1) : csv))) {
            for (String column : List.of("device", "action")) {
                if (!parser.getHeaderMap().containsKey(column)) {
                    problems.add(new Problem(
                            "line 1",
                            "the column \"%s\" is missing; the columns are %s"
                                    .formatted(column, String.join(", ", COLUMNS))));
                }
            }
            if (!parser.getHeaderMap().containsKey("bar")
                    && !parser.getHeaderMap().containsKey("at")) {
                problems.add(new Problem(
                        "line 1",
                        "neither \"bar\" nor \"at\" is a column; the columns are %s"
                                .formatted(String.join(", ", COLUMNS))));
            }
            for (CSVRecord line : parser) {
                try {
                    add(cues, line, plan, song);
                } catch (IllegalArgumentException e) {
                    problems.add(new Problem("line " + parser.getCurrentLineNumber(), String.valueOf(e.getMessage())));
                }
                if (problems.size() >= MOST_PROBLEMS) {
                    break;
                }
            }
        } catch (IOException | UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            problems.add(new Problem("the file", "is not CSV: " + e.getMessage()));
        }
        if (!problems.isEmpty()) {
            throw new UnreadableFile(problems);
        }
        return List.copyOf(cues.values());
    }

    private static void add(Map<String, Cue> cues, CSVRecord line, Plan plan, Song song) {
        Anchor at = cell(line, "bar").isEmpty()
                ? Anchor.parse(cell(line, "at"), song.form())
                : new Anchor.OnBar(song.form().tempoMap().parse(cell(line, "bar") + " " + cell(line, "beat")));
        String name = cell(line, "device");
        DeviceId device = plan.rig().devices().stream()
                .filter(d -> d.name().text().equalsIgnoreCase(name))
                .map(Device::id)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no box of the rig is called \"%s\"".formatted(name)));
        String action = cell(line, "action");
        String key = cell(line, "cue").isEmpty() ? "line " + line.getRecordNumber() : cell(line, "cue");
        Optional<TapeLabel> tape =
                cell(line, "name").isEmpty() ? Optional.empty() : Optional.of(TapeLabel.parse(cell(line, "name")));
        Matcher press = PRESS.matcher(action);
        if (press.matches()) {
            cues.put(
                    key,
                    Cue.pressed(
                                    cues.size() + 1,
                                    at,
                                    new SwitchAt(
                                            device, Integer.parseInt(press.group(1)), Integer.parseInt(press.group(2))))
                            .withName(tape));
            return;
        }
        String waited = cell(line, "wait ms");
        if (!waited.matches("\\d{0,5}")) {
            throw new IllegalArgumentException("wait ms must be a whole number, was \"%s\"".formatted(waited));
        }
        Step step = new Step(device, Action.parse(action), waited.isEmpty() ? 0 : Integer.parseInt(waited));
        Cue before = cues.get(key);
        List<Step> steps = new ArrayList<>(before == null ? List.of() : before.steps());
        steps.add(step);
        Cue cue = before == null ? new Cue(cues.size() + 1, at, steps) : before.withSteps(steps);
        cues.put(
                key,
                cue.withName(tape.or(cue::name))
                        .withEarly(cell(line, "early").equalsIgnoreCase("yes"))
                        .leavingOff(cell(line, "leaves off").equalsIgnoreCase("yes")));
    }

    private static String cell(CSVRecord line, String column) {
        return line.isMapped(column) && line.isSet(column) ? line.get(column) : "";
    }
}
