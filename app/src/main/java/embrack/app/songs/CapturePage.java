package embrack.app.songs;

import embrack.app.store.Because;
import embrack.core.compile.Compiler;
import embrack.core.edit.Refused;
import embrack.core.midi.Message;
import embrack.core.music.Clock;
import embrack.core.music.Metre;
import embrack.core.music.Position;
import embrack.core.music.TempoMap;
import embrack.core.offer.Offers;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Capture;
import embrack.core.show.Capture.Deed;
import embrack.core.show.Capture.Hit;
import embrack.core.show.Form;
import embrack.core.show.Song;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Capture: keys, the beats to click, and what was pressed.
 */
record CapturePage(Keys keys, Music music, String hits, Snap snap, Result result) {

    /** What is pressed. */
    record Keys(List<Key> keys, List<Source> sources, String source, String find, boolean feet) {}

    /**
     * What runs.
     *
     * @param beats when each beat comes, milliseconds from bar 1, with commas; first beats of bars with a mark behind
     * @param bars when each bar comes, with its section: "0:Count-in"
     * @param length milliseconds
     */
    record Music(String beats, String bars, long length) {}

    /** How what was pressed is put in place. */
    record Snap(int grid, List<PromptLook.Grid> grids, boolean strip) {}

    /**
     * What came of it.
     *
     * @param taken what was pressed, as it would be kept
     * @param kept how many cues it would give
     */
    record Result(List<Taken> taken, int kept) {}

    private static final int MOST_KEYS = 10;
    private static final String USED = "used";

    /** A press: milliseconds, key, and "u" for its release. */
    private static final String HIT = "\\d{1,7}-\\d{1,2}u?";

    /**
     * What a person asked for; what a form does not say is as usual.
     *
     * @param keys what the keys stand for: "used", or the id of a board
     * @param find keys stand for what a search finds instead
     * @param hits what was pressed, see {@link CapturePage#hits}
     * @param grid ticks to snap to
     * @param strip whether releases are left out
     * @param feet whether switches are kept as presses of a foot and not as what they do
     */
    record Asked(
            @Nullable String keys,
            @Nullable String find,
            @Nullable String hits,
            @Nullable Integer grid,
            @Nullable Boolean strip,
            @Nullable Boolean feet) {

        /** What a form asked; presses that cannot be read are left out. */
        static Asked typed(Map<String, String> form) {
            String hits = form.getOrDefault("hits", "");
            String grid = form.getOrDefault("grid", "");
            return new Asked(
                    form.get("keys"),
                    form.get("find"),
                    Stream.of(hits.split(",")).allMatch(hit -> hit.isBlank() || hit.matches(HIT)) ? hits : "",
                    grid.matches("\\d{1,6}") ? Integer.valueOf(grid) : null,
                    !"false".equals(form.get("strip")),
                    "true".equals(form.get("feet")));
        }

        @Override
        public String keys() {
            return keys == null ? "" : keys;
        }

        @Override
        public String find() {
            return find == null ? "" : find;
        }

        @Override
        public String hits() {
            return hits == null ? "" : hits;
        }

        @Override
        public Integer grid() {
            return grid == null ? PromptLook.QUARTER : grid;
        }

        @Override
        public Boolean strip() {
            return strip == null || strip;
        }

        @Override
        public Boolean feet() {
            return feet != null && feet;
        }
    }

    /**
     * A key and what it sets.
     *
     * @param hears what the real switch sends when it is pressed, in hexadecimal, a blank between messages; empty where
     *     the key stands for none
     */
    record Key(int number, String digit, String words, String hears) {}

    /** Something that keys can stand for. */
    record Source(String key, String words, boolean isChosen) {}

    /** One press. */
    record Taken(String at, String to, String shift, String words, String dropped) {}

    static CapturePage of(Plan plan, Song song, Asked asked) {
        String source = source(plan, asked.keys());
        List<Bound> bound = bound(plan, song, asked);
        List<Key> keys = new ArrayList<>();
        for (int i = 0; i < bound.size(); i++) {
            keys.add(new Key(
                    i + 1,
                    String.valueOf((i + 1) % 10),
                    bound.get(i).words(),
                    bound.get(i).sends().stream()
                            .map(message -> HexFormat.of().formatHex(message.bytes()))
                            .collect(Collectors.joining(" "))));
        }
        List<Source> sources = new ArrayList<>(List.of(new Source(USED, "what the songs use", source.equals(USED))));
        plan.boards()
                .forEach(board -> sources.add(new Source(
                        board.text(), "switches of " + plan.rig().name(board), source.equals(board.text()))));
        Capture capture = capture(plan, song, asked);
        return new CapturePage(
                new Keys(keys, sources, source, asked.find(), asked.feet()),
                new Music(
                        beats(song.form()),
                        bars(song.form()),
                        Math.round(song.form().lengthMicros() / 1e3)),
                asked.hits(),
                new Snap(new PromptLook(0, 0, asked.grid(), "", "", "").grid(), PromptLook.Grid.ALL, asked.strip()),
                new Result(
                        capture.taken().stream()
                                .map(taken -> taken(plan, song, taken))
                                .toList(),
                        capture.cues(1).size()));
    }

    /** A key's deeds with their words, and what the switch it stands for sends. */
    private record Bound(List<Deed> deeds, String words, List<Message> sends) {

        Bound(List<Deed> deeds, String words) {
            this(deeds, words, List.of());
        }
    }

    private static String source(Plan plan, String asked) {
        boolean board = plan.boards().stream().anyMatch(id -> id.text().equals(asked));
        boolean used = plan.book().songs().stream()
                .anyMatch(song ->
                        song.cues().stream().anyMatch(cue -> !cue.steps().isEmpty()));
        return board
                ? asked
                : used || plan.boards().isEmpty() || asked.equals(USED)
                        ? USED
                        : plan.boards().getFirst().text();
    }

    private static List<Bound> bound(Plan plan, Song song, Asked asked) {
        if (!asked.find().isBlank()) {
            return plan.player(song)
                    .map(player -> new Offers(plan)
                            .find(player, asked.find()).stream()
                                    .limit(MOST_KEYS)
                                    .map(offer -> new Bound(
                                            Stream.concat(Stream.of(offer.step()), offer.along().stream())
                                                    .map(CapturePage::step)
                                                    .toList(),
                                            offer.words()))
                                    .toList())
                    .orElse(List.of());
        }
        String source = source(plan, asked.keys());
        if (source.equals(USED)) {
            return Stream.concat(
                            song.cues().stream(), plan.book().songs().stream().flatMap(other -> other.cues().stream()))
                    .flatMap(cue -> cue.steps().stream())
                    .map(step -> step.withWait(0))
                    .distinct()
                    .limit(MOST_KEYS)
                    .map(step -> new Bound(List.of(step(step)), plan.words(step)))
                    .toList();
        }
        return plan.switches().of(new DeviceId(source)).stream()
                .filter(assignment -> !assignment.steps().isEmpty())
                .limit(MOST_KEYS)
                .map(assignment -> board(plan, assignment, asked.feet()))
                .toList();
    }

    private static Bound board(Plan plan, Assignment assignment, boolean feet) {
        List<Deed> deeds = feet
                ? List.of(new Deed(Optional.empty(), Optional.of(assignment.at())))
                : assignment.steps(Moment.PRESS).stream().map(CapturePage::step).toList();
        String tape =
                assignment.label().map(Object::toString).orElse(assignment.at().words());
        return new Bound(
                deeds,
                feet
                        ? "foot: " + tape
                        : tape + ": "
                                + assignment.steps().stream().map(plan::words).collect(Collectors.joining(", ")),
                new Compiler(plan).compile(assignment).sent());
    }

    private static Deed step(Step step) {
        return new Deed(Optional.of(step), Optional.empty());
    }

    /** What was pressed, tidied as asked. */
    static Capture capture(Plan plan, Song song, Asked asked) {
        return Capture.of(
                song.form(),
                hits(plan, song, asked),
                new PromptLook(0, 0, asked.grid(), "", "", "").grid(),
                asked.strip());
    }

    /** Presses as the page writes them: milliseconds, key, and "u" for its release: "6527-1,6700-1u". */
    private static List<Hit> hits(Plan plan, Song song, Asked asked) {
        List<Bound> bound = bound(plan, song, asked);
        List<Hit> hits = new ArrayList<>();
        for (String text : asked.hits().split(",")) {
            if (text.isBlank()) {
                continue;
            }
            if (!text.matches(HIT)) {
                throw new Refused("cues", Because.of("no.capture-unreadable"));
            }
            String[] pieces = text.replace("u", "").split("-");
            int key = Integer.parseInt(pieces[1]);
            if (key >= 1 && key <= bound.size()) {
                bound.get(key - 1)
                        .deeds()
                        .forEach(
                                deed -> hits.add(new Hit(Long.parseLong(pieces[0]) * 1_000, deed, text.endsWith("u"))));
            }
        }
        return hits;
    }

    private static Taken taken(Plan plan, Song song, Capture.Taken taken) {
        TempoMap tempoMap = song.form().tempoMap();
        String words = taken.deed()
                .step()
                .map(plan::words)
                .or(() -> taken.deed().foot().map(foot -> "foot: " + plan.words(foot)))
                .orElse("");
        return new Taken(
                Clock.text(taken.at()),
                "%s, %s".formatted(taken.anchor().text(tempoMap), Clock.text(taken.micros())),
                Clock.shift(taken.shift()),
                words,
                taken.dropped().orElse(""));
    }

    private static String beats(Form form) {
        TempoMap tempoMap = form.tempoMap();
        List<String> beats = new ArrayList<>();
        for (int bar = 1; bar <= form.bars(); bar++) {
            Metre metre = tempoMap.metre(bar);
            for (int beat = 0; beat < metre.beats(); beat++) {
                beats.add(Math.round(tempoMap.micros(new Position(bar, beat * metre.ticksPerBeat())) / 1e3)
                        + (beat == 0 ? "!" : ""));
            }
        }
        return String.join(",", beats);
    }

    private static String bars(Form form) {
        List<String> bars = new ArrayList<>();
        for (int bar = 1; bar <= form.bars(); bar++) {
            bars.add(Math.round(form.tempoMap().micros(Position.bar(bar)) / 1e3) + ":"
                    + form.sections().get(form.sectionOf(bar)).name().text().replace('|', '/'));
        }
        return String.join("|", bars);
    }
}
