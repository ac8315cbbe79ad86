package embrack.files.songs;

import embrack.core.chart.Action;
import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
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
import embrack.files.csv.CsvSheet;
import embrack.files.csv.CsvWriter;
import embrack.files.json.UnreadableFile;
import embrack.files.json.UnreadableFile.Problem;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The cues of a song as CSV (RFC 4180): one line a step, lines of one number are one cue.
 *
 * <p>Columns: cue, at, clock, device, action, words, wait ms, early, leaves off, name. {@code clock} and {@code words}
 * are for people and not read back. A press of a foot has the board as its device and {@code press:bank:switch} as its
 * action, a message that no chart explains {@code send:B1 28 7F}.
 */
public final class CueCsv {

    private static final List<String> COLUMNS = List.of(
            "cue", "bar", "beat", "at", "clock", "device", "action", "words", "wait ms", "early", "leaves off", "name");
    private static final Pattern PRESS = Pattern.compile("press:(\\d{1,3}):([a-z]*\\d{1,3})");
    /** From here on cues of lists count that have no number: more than any song has. */
    private static final int UNNUMBERED = 10_000_000;

    private static final String SEND = "send:";
    private static final int MOST_PROBLEMS = 200;

    /** The largest file that is read, 4 MB. */
    public static final int MAX_LENGTH = 4 << 20;

    private CueCsv() {}

    /** The cues of a song. */
    public static String write(Plan plan, Song song) {
        var sheet = new CsvWriter(COLUMNS);
        for (Cue cue : song.cues()) {
            cue.foot()
                    .ifPresent(at -> line(
                            sheet,
                            song,
                            cue,
                            plan.rig().name(at.board()).text(),
                            "press:%d:%s".formatted(at.bank(), at.place()),
                            plan.words(at),
                            0));
            for (Step step : cue.steps()) {
                line(
                        sheet,
                        song,
                        cue,
                        plan.rig().name(step.device()).text(),
                        step.action().key(),
                        plan.words(step),
                        step.waitMillis());
            }
            cue.raw().forEach(message -> line(sheet, song, cue, "", "send:" + message.hex(), "", 0));
        }
        return sheet.text();
    }

    private static void line(
            CsvWriter sheet, Song song, Cue cue, String device, String action, String words, int waitMillis) {
        TempoMap tempoMap = song.form().tempoMap();
        Optional<Position> on = cue.at() instanceof Anchor.OnBar bar
                ? Optional.of(tempoMap.position(tempoMap.tick(bar.at())))
                : Optional.empty();
        sheet.line(List.of(
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
                cue.name().map(TapeLabel::text).orElse("")));
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
        CsvSheet sheet = CsvSheet.read(csv, Song.MAX_DEEDS);
        sheet.require(
                sheet.headings().contains("bar") ? List.of("device", "action") : List.of("device", "action", "at"),
                COLUMNS);
        for (CsvSheet.Line line : sheet.lines()) {
            try {
                add(cues, line, plan, song);
            } catch (IllegalArgumentException e) {
                problems.add(new Problem("line " + line.number(), String.valueOf(e.getMessage())));
            }
            if (problems.size() >= MOST_PROBLEMS) {
                break;
            }
        }
        if (!problems.isEmpty()) {
            throw new UnreadableFile(problems);
        }
        return List.copyOf(cues.values());
    }

    private static void add(Map<String, Cue> cues, CsvSheet.Line line, Plan plan, Song song) {
        Anchor at = anchor(line, song);
        String key = line.cell("cue").isEmpty() ? "line " + line.number() : line.cell("cue");
        Optional<TapeLabel> tape =
                line.cell("name").isEmpty() ? Optional.empty() : Optional.of(TapeLabel.parse(line.cell("name")));
        int number = key.matches("[1-9]\\d{0,6}") ? Integer.parseInt(key) : UNNUMBERED + cues.size();
        Cue cue = cues.getOrDefault(key, new Cue(number, at, List.of()));
        String action = line.cell("action");
        Matcher press = PRESS.matcher(action);
        if (press.matches()) {
            SwitchAt foot = SwitchAt.parse("%s.%s.%s".formatted(device(line, plan), press.group(1), press.group(2)))
                    .filter(plan::has)
                    .orElseThrow(() -> new IllegalArgumentException(
                            "%s has no such switch as \"%s\"".formatted(line.cell("device"), action)));
            cue = Cue.pressed(cue.number(), at, foot);
        } else if (action.startsWith(SEND)) {
            cue = cue.withRaw(more(cue.raw(), message(action.substring(SEND.length()))));
        } else {
            cue = cue.withSteps(more(cue.steps(), step(line, action, plan)));
        }
        cues.put(
                key,
                cue.withName(tape.or(cue::name))
                        .withEarly(line.cell("early").equalsIgnoreCase("yes"))
                        .leavingOff(line.cell("leaves off").equalsIgnoreCase("yes")));
    }

    private static Anchor anchor(CsvSheet.Line line, Song song) {
        Anchor at = line.cell("bar").isEmpty()
                ? Anchor.parse(line.cell("at"), song.form())
                : new Anchor.OnBar(song.form().tempoMap().parse(line.cell("bar") + " " + line.cell("beat")));
        at.micros(song.form())
                .filter(micros -> micros > song.form().lengthMicros())
                .ifPresent(micros -> {
                    throw new IllegalArgumentException(
                            "%s lies behind the end of the song, which has %d bars and ends at %s"
                                    .formatted(
                                            at.text(song.form().tempoMap()),
                                            song.form().bars(),
                                            Clock.text(song.form().lengthMicros())));
                });
        return at;
    }

    private static DeviceId device(CsvSheet.Line line, Plan plan) {
        String name = line.cell("device");
        return plan.rig().devices().stream()
                .filter(d -> d.name().text().equalsIgnoreCase(name))
                .map(Device::id)
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no box of the rig is called \"%s\"".formatted(name)));
    }

    private static Step step(CsvSheet.Line line, String key, Plan plan) {
        DeviceId device = device(line, plan);
        String waited = line.cell("wait ms");
        if (!waited.matches("\\d{0,5}")) {
            throw new IllegalArgumentException("wait ms must be a whole number, was \"%s\"".formatted(waited));
        }
        Action action = Action.parse(key);
        if (plan.rig().model(device).part(action.part()).isEmpty()) {
            throw new IllegalArgumentException("%s has no part \"%s\"".formatted(line.cell("device"), action.part()));
        }
        return new Step(device, action, waited.isEmpty() ? 0 : Integer.parseInt(waited));
    }

    private static Message message(String hex) {
        try {
            List<Message> read = Decoder.hex(hex).messages();
            if (read.size() == 1) {
                return read.getFirst();
            }
        } catch (IllegalArgumentException e) {
            // said below
        }
        throw new IllegalArgumentException("\"%s\" is not one message in hexadecimal, such as B1 28 7F".formatted(hex));
    }

    private static <T> List<T> more(List<T> before, T one) {
        List<T> all = new ArrayList<>(before);
        all.add(one);
        return all;
    }
}
