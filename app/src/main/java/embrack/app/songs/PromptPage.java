package embrack.app.songs;

import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Severity;
import embrack.core.light.Palette;
import embrack.core.music.Clock;
import embrack.core.music.Metre;
import embrack.core.music.MetreChange;
import embrack.core.music.Position;
import embrack.core.music.TempoChange;
import embrack.core.music.TempoMap;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.show.Cue;
import embrack.core.show.CueAt;
import embrack.core.show.Entry;
import embrack.core.show.Form;
import embrack.core.show.Section;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.show.Transition;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * The prompt page as it is drawn: time runs down, places in pixels.
 *
 * @param automatic what comes on load, play, stop, continue and loop
 * @param then how the song goes over and what follows
 */
record PromptPage(
        Size size,
        List<Block> blocks,
        Ruler ruler,
        List<Column> columns,
        List<Pin> pins,
        List<Cut> cuts,
        List<Piece> pieces,
        List<AutoPin> automatic,
        Optional<Then> then,
        Look look) {

    /**
     * How large the drawing is.
     *
     * @param scale pixels a second
     * @param top where bar 1 begins
     */
    record Size(int width, int height, double scale, int top) {}

    /** Bars, beats and where they change. */
    record Ruler(List<Line> lines, List<Change> changes) {}

    /** How near, and what is chosen. */
    record Look(List<Zoom> zooms, List<Zoom> grids, int grid, int chosen) {}

    private static final int GUTTER = 124;
    private static final int SECTION = 154;
    private static final int COLUMN = 99;
    private static final int HEAD = 14;
    private static final int WHOLE = 426;
    private static final int LABEL = 26;
    private static final int LABEL_ROOM = 11;
    private static final int LINE_ROOM = 26;
    private static final int SWATCHES = 4;
    private static final int LABEL_LEFT = 12;
    private static final int LABEL_WIDTH = 83;
    private static final Pattern NAMED = Pattern.compile(".* \\(([^()]+)\\)");

    /** A label that would lie farther from its moment than this is left out; its mark stays. */
    private static final int FARTHEST = 66;

    private static final String FEET = "feet";
    private static final int TALLEST = 60_000;

    /** A section. {@code sung} its lines, as far as there is room. */
    record Block(String name, String guide, boolean vamp, int index, int y, int height, List<Sung> sung) {}

    /** A line of a section. */
    record Sung(int y, String words) {}

    /** A line at a bar or beat, with its number and time; {@code strong} at the start of a section. */
    record Line(int y, String bar, String beat, String clock, boolean strong) {}

    /** Where tempo or metre changes. */
    record Change(int y, String words) {}

    /** What is not torn apart on paper: a section, or as many bars of a long one as fit on a page. */
    record Piece(int y, int height) {}

    /** A device. */
    record Column(int x, String name, String words, String device) {}

    /**
     * A cue, once for each of its devices.
     *
     * @param at its moment, {@code y} where its label lies; negative when there is no room for one
     * @param tone "stop", "look", "exact" or "pressed"
     */
    record Pin(
            int number,
            int x,
            int at,
            int y,
            String words,
            String whole,
            String tone,
            boolean isChosen,
            String href,
            String anchor,
            List<Swatch> swatches) {

        public boolean hasLabel() {
            return y >= 0;
        }

        /** The whole of it for ears, without brackets: where names are compared, what stands in them is left out. */
        public String spoken() {
            return whole.replace(" (", ", ").replace(")", "");
        }

        private Pin at(int label) {
            return new Pin(number, x, at, label, words, whole, tone, isChosen, href, anchor, swatches);
        }
    }

    /** A colour of the look that a cue shows, in a strip along its label. */
    record Swatch(int x, int width, String colour) {}

    /** What is trimmed away. */
    record Cut(int y, int height, String words) {}

    /** A cue without a place on the clock. */
    record AutoPin(int number, String when, String words, String tone, boolean isChosen, String href, boolean isOwn) {}

    /** What follows the song tonight. */
    record Then(String how, String next, List<String> lines) {}

    /** A step nearer or farther, or a grid. */
    record Zoom(String words, String href, boolean isHere) {}

    static PromptPage of(Report report, Song song, PromptLook look, String path) {
        return new Drawing(report, song, look, path).page();
    }

    private static final class Drawing {

        private final Report report;
        private final Plan plan;
        private final Song song;
        private final Form form;
        private final TempoMap tempoMap;
        private final PromptLook look;
        private final String path;
        private final double scale;
        private final Map<Integer, Severity> worst = new HashMap<>();

        Drawing(Report report, Song song, PromptLook look, String path) {
            this.report = report;
            this.plan = report.plan();
            this.song = song;
            this.form = song.form();
            this.tempoMap = form.tempoMap();
            this.look = look;
            this.path = path;
            double seconds = form.lengthMicros() / 1e6;
            double nearest = WHOLE / (shortestBar() / 1e6);
            double whole = WHOLE / seconds;
            this.scale = Math.min(
                    TALLEST / seconds,
                    look.zoom() == 0
                            ? whole
                            : Math.min(
                                    Math.max(whole, nearest),
                                    whole
                                            * Math.pow(
                                                    Math.max(1.5, nearest / whole),
                                                    look.zoom() / (double) PromptLook.NEAREST)));
            for (Finding finding : report.findings(song.id())) {
                for (CueAt at : finding.cues()) {
                    if (at.song().equals(song.id())) {
                        worst.merge(at.number(), finding.severity(), (a, b) -> a.compareTo(b) <= 0 ? a : b);
                    }
                }
            }
        }

        private double shortestBar() {
            double shortest = Double.MAX_VALUE;
            for (int bar = 1; bar <= form.bars(); bar++) {
                shortest =
                        Math.min(shortest, tempoMap.micros(Position.bar(bar + 1)) - tempoMap.micros(Position.bar(bar)));
            }
            return shortest;
        }

        private int y(long micros) {
            return HEAD + (int) Math.round(micros / 1e6 * scale);
        }

        PromptPage page() {
            Map<String, Integer> columns = columns();
            List<Column> drawn = new ArrayList<>();
            columns.forEach((key, x) -> drawn.add(new Column(x, clipped(name(key), LABEL_ROOM + 2), name(key), key)));
            List<Pin> pins = pins(columns);
            int bottom = Math.max(
                    y(form.lengthMicros()),
                    pins.stream().mapToInt(pin -> pin.y() + LABEL).max().orElse(0));
            int width = GUTTER + SECTION + Math.max(1, columns.size()) * COLUMN;
            return new PromptPage(
                    new Size(width, bottom + 14, scale, HEAD),
                    blocks(),
                    new Ruler(lines(), changes()),
                    drawn,
                    pins,
                    cuts(),
                    pieces(bottom + HEAD, width),
                    automatic(),
                    then(),
                    new Look(zooms(), grids(), look.grid(), look.cue()));
        }

        /** Feet first, then the devices that the song's timed cues are about, in the order of the rig. */
        private Map<String, Integer> columns() {
            List<Cue> timed = song.cues().stream()
                    .filter(cue -> cue.at().micros(form).isPresent())
                    .toList();
            List<String> keys = new ArrayList<>();
            if (timed.stream().anyMatch(cue -> cue.foot().isPresent())) {
                keys.add(FEET);
            }
            plan.rig().devices().stream()
                    .map(Device::id)
                    .filter(device -> timed.stream().anyMatch(cue -> words(cue).containsKey(device.text())))
                    .forEach(device -> keys.add(device.text()));
            if (keys.isEmpty()) {
                plan.player(song).ifPresent(player -> keys.add(player.text()));
            }
            Map<String, Integer> columns = new LinkedHashMap<>();
            keys.forEach(key -> columns.put(key, GUTTER + SECTION + columns.size() * COLUMN));
            return columns;
        }

        private String name(String key) {
            return key.equals(FEET)
                    ? "Feet"
                    : plan.rig().name(new DeviceId(key)).text();
        }

        private List<Block> blocks() {
            List<Block> blocks = new ArrayList<>();
            for (int i = 0; i < form.sections().size(); i++) {
                Section section = form.sections().get(i);
                int from = y(form.startMicros(i));
                int height = y(form.endMicros(i)) - from;
                List<Sung> sung = new ArrayList<>();
                for (int n = 0; n < section.lines().size() && 40 + n * 20 + 8 < height; n++) {
                    sung.add(
                            new Sung(from + 40 + n * 20, clipped(section.lines().get(n), 22)));
                }
                String repeat = section.vamp()
                        ? section.passes() > 1 ? "vamp, about %d times".formatted(section.passes()) : "vamp"
                        : "";
                String said = section.guide().isEmpty()
                        ? repeat
                        : repeat.isEmpty() ? section.guide() : repeat + ": " + section.guide();
                blocks.add(new Block(
                        clipped(section.name().text(), 17),
                        height > 38 ? clipped(said, 22) : "",
                        section.vamp(),
                        i,
                        from,
                        Math.max(3, height),
                        height > 56 ? sung : List.of()));
            }
            return blocks;
        }

        /** As many lines as can be read: all section starts that do not touch, then bars between them. */
        private List<Line> lines() {
            List<Line> lines = new ArrayList<>();
            int last = -LINE_ROOM;
            for (int bar = 1; bar <= form.bars() + 1; bar++) {
                long micros = tempoMap.micros(Position.bar(bar));
                int section = form.sectionOf(bar);
                boolean starts = form.firstBar(section) == bar || bar > form.bars();
                int every = every(section);
                int nextStart = section + 1 < form.sections().size()
                        ? y(form.startMicros(section + 1))
                        : y(form.lengthMicros());
                boolean room = (bar - form.firstBar(section)) % every == 0 && nextStart - y(micros) >= LINE_ROOM;
                if ((starts || room) && y(micros) - last >= LINE_ROOM - 8) {
                    lines.add(new Line(
                            y(micros),
                            bar > form.bars() ? "end" : String.valueOf(bar),
                            "",
                            Clock.text(micros),
                            starts));
                    last = y(micros);
                }
                if (bar <= form.bars()) {
                    lines.addAll(beats(bar));
                }
            }
            return lines;
        }

        /** The beats of a bar behind its first, where there is room for their numbers. */
        private List<Line> beats(int bar) {
            Metre metre = tempoMap.metre(bar);
            int height = y(tempoMap.micros(Position.bar(bar + 1))) - y(tempoMap.micros(Position.bar(bar)));
            List<Line> beats = new ArrayList<>();
            for (int beat = 1; beat < metre.beats() && height / metre.beats() >= LINE_ROOM; beat++) {
                long micros = tempoMap.micros(new Position(bar, beat * metre.ticksPerBeat()));
                beats.add(new Line(y(micros), "", String.valueOf(beat + 1), Clock.text(micros), false));
            }
            return beats;
        }

        private int every(int section) {
            double bar = (form.endMicros(section) - form.startMicros(section))
                    / 1e6
                    * scale
                    / form.sections().get(section).bars();
            return bar >= LINE_ROOM ? 1 : bar * 2 >= LINE_ROOM ? 2 : bar * 4 >= LINE_ROOM ? 4 : 8;
        }

        private List<Change> changes() {
            List<Change> changes = new ArrayList<>();
            for (int i = 0; i < tempoMap.tempos().size(); i++) {
                TempoChange change = tempoMap.tempos().get(i);
                long tick = tempoMap.tick(change.at());
                if (tick > 0 && tempoMap.micros(tick) < form.lengthMicros() || change.glides()) {
                    String to = change.glides() && i + 1 < tempoMap.tempos().size()
                            ? " to " + tempoMap.tempos().get(i + 1).tempo()
                            : "";
                    changes.add(new Change(y(tempoMap.micros(tick)), "tempo %s%s".formatted(change.tempo(), to)));
                }
            }
            for (MetreChange change : tempoMap.metres()) {
                if (change.bar() > 1 && change.bar() <= form.bars()) {
                    int there = y(tempoMap.micros(Position.bar(change.bar())));
                    boolean both = changes.removeIf(other -> other.y() == there);
                    TempoChange tempo = tempoMap.tempos().stream()
                            .filter(t -> y(tempoMap.micros(tempoMap.tick(t.at()))) == there)
                            .findFirst()
                            .orElse(null);
                    changes.add(new Change(
                            there,
                            "%s%s".formatted(change.metre(), both && tempo != null ? ", tempo " + tempo.tempo() : "")));
                }
            }
            return changes;
        }

        private List<Cut> cuts() {
            List<Cut> cuts = new ArrayList<>();
            if (song.trims().startMicros() > 0) {
                cuts.add(new Cut(HEAD, y(song.trims().startMicros()) - HEAD, "trimmed away"));
            }
            if (song.trims().endMicros() > 0) {
                cuts.add(new Cut(y(song.endMicros()), y(form.lengthMicros()) - y(song.endMicros()), "trimmed away"));
            }
            return cuts;
        }

        /** Cut a little above each moment, so that labels there are whole; {@code page} is the most that one may be. */
        private List<Piece> pieces(int bottom, int page) {
            List<Integer> cuts = new ArrayList<>(List.of(0));
            for (int i = 0; i < form.sections().size(); i++) {
                int end = i + 1 < form.sections().size() ? y(form.startMicros(i + 1)) - HEAD : bottom;
                for (int bar = form.firstBar(i) + 1; bar <= form.lastBar(i); bar++) {
                    int next = bar == form.lastBar(i) ? end : y(tempoMap.micros(Position.bar(bar + 1))) - HEAD;
                    if (next - cuts.getLast() > page) {
                        cuts.add(y(tempoMap.micros(Position.bar(bar))) - HEAD);
                    }
                }
                cuts.add(end);
            }
            List<Piece> pieces = new ArrayList<>();
            for (int i = 1; i < cuts.size(); i++) {
                pieces.add(new Piece(cuts.get(i - 1), cuts.get(i) - cuts.get(i - 1)));
            }
            return pieces;
        }

        private List<Pin> pins(Map<String, Integer> columns) {
            Map<String, List<Pin>> byDevice = new LinkedHashMap<>();
            for (Cue cue : song.cues()) {
                long micros = cue.at().micros(form).orElse(-1L);
                if (micros < 0) {
                    continue;
                }
                Map<String, List<String>> words = words(cue);
                words.forEach((device, does) -> byDevice.computeIfAbsent(device, d -> new ArrayList<>())
                        .add(pin(cue, device, columns.getOrDefault(device, GUTTER + SECTION), y(micros), does)));
            }
            List<Pin> pins = new ArrayList<>();
            byDevice.values().forEach(column -> pins.addAll(spread(column)));
            return pins;
        }

        private Map<String, List<String>> words(Cue cue) {
            Map<String, List<String>> words = new LinkedHashMap<>();
            cue.foot()
                    .ifPresent(foot -> words.put(
                            FEET,
                            List.of("foot: "
                                    + plan.switches()
                                            .at(foot)
                                            .label()
                                            .map(Object::toString)
                                            .orElse("switch " + foot.number()))));
            for (Step step : cue.steps()) {
                words.computeIfAbsent(step.device().text(), d -> new ArrayList<>())
                        .add(plan.deed(step));
            }
            if (!cue.raw().isEmpty()) {
                plan.player(song)
                        .ifPresent(player -> words.computeIfAbsent(player.text(), d -> new ArrayList<>())
                                .add("unexplained"));
            }
            return words;
        }

        private Pin pin(Cue cue, String device, int x, int at, List<String> does) {
            String whole = String.join(", ", does);
            String who = device.equals(FEET) ? "" : name(device) + ": ";
            String brief = cue.name()
                    .map(Object::toString)
                    .orElse(does.size() > 1 ? brief(does.getFirst()) + " +" + (does.size() - 1) : brief(whole));
            String tone = cue.foot().isPresent() && !worst.containsKey(cue.number()) ? "pressed" : tone(cue);
            return new Pin(
                    cue.number(),
                    x,
                    at,
                    at,
                    begun(brief, LABEL_ROOM),
                    cue.name().map(given -> given + ", ").orElse("") + who + whole,
                    tone,
                    look.cue() == cue.number(),
                    path + look.withCue(cue.number()).query(),
                    cue.at().text(tempoMap),
                    swatches(cue, device));
        }

        private List<Swatch> swatches(Cue cue, String device) {
            List<Step> steps = cue.steps();
            List<String> colours = IntStream.range(0, steps.size())
                    .filter(i -> steps.get(i).device().text().equals(device))
                    .mapToObj(i -> plan.lookOf(steps, i))
                    .flatMap(Optional::stream)
                    .findFirst()
                    .map(shown -> Palette.of(plan.lights(), shown, SWATCHES))
                    .orElse(List.of());
            int width = LABEL_WIDTH / Math.max(1, colours.size());
            return IntStream.range(0, colours.size())
                    .mapToObj(i -> new Swatch(LABEL_LEFT + 1 + i * width, width, colours.get(i)))
                    .toList();
        }

        private String tone(Cue cue) {
            return Optional.ofNullable(worst.get(cue.number()))
                    .map(severity -> severity == Severity.STOPS ? "stop" : "look")
                    .orElse("exact");
        }

        /**
         * Without the verb where the thing says enough: "Scene 4" for "recall Scene 4"; the look or title alone where
         * it has one.
         */
        private static String brief(String words) {
            Matcher named = NAMED.matcher(words);
            if (named.matches()) {
                return named.group(1);
            }
            for (String verb : List.of("recall ", "select ", "go to ", "load ", "jump to ", "foot: ", "switch ")) {
                if (words.startsWith(verb)) {
                    return words.substring(verb.length());
                }
            }
            return words;
        }

        /**
         * Labels that would cover each other are moved down; those that would come to lie too far away are left out.
         */
        private static List<Pin> spread(List<Pin> column) {
            List<Pin> sorted = column.stream()
                    .sorted((a, b) -> Integer.compare(a.at(), b.at()))
                    .toList();
            List<Pin> spread = new ArrayList<>();
            int free = 0;
            for (Pin pin : sorted) {
                int y = Math.max(pin.at() - LABEL / 2, free);
                boolean fits = y - pin.at() <= FARTHEST || pin.isChosen();
                spread.add(pin.at(fits ? y : -1));
                free = fits ? y + LABEL : free;
            }
            return spread;
        }

        private List<AutoPin> automatic() {
            List<AutoPin> pins = new ArrayList<>();
            plan.book()
                    .always()
                    .forEach(cue -> pins.add(
                            new AutoPin(cue.number(), cue.at().text(tempoMap), steps(cue), "exact", false, "", false)));
            song.cues().stream()
                    .filter(cue -> cue.at().micros(form).isEmpty())
                    .forEach(cue -> pins.add(new AutoPin(
                            cue.number(),
                            cue.at().text(tempoMap),
                            steps(cue),
                            tone(cue),
                            look.cue() == cue.number(),
                            path + look.withCue(cue.number()).query(),
                            true)));
            return pins;
        }

        private String steps(Cue cue) {
            return cue.foot()
                    .map(foot -> "foot: " + plan.words(foot))
                    .orElseGet(() -> String.join(
                            ", ", cue.steps().stream().map(plan::words).toList()));
        }

        private Optional<Then> then() {
            Show show = plan.book().tonight().orElse(null);
            if (show == null) {
                return Optional.empty();
            }
            for (int i = 0; i + 1 < show.order().size(); i++) {
                Entry here = show.order().get(i);
                if (here.song().filter(song.id()::equals).isPresent()) {
                    Entry next = show.order().get(i + 1);
                    List<String> lines = next.song()
                            .flatMap(plan.book()::find)
                            .map(Drawing::firstLines)
                            .orElse(List.of());
                    Transition over = here.transition();
                    return Optional.of(new Then(
                            over.way().words() + (over.micros() > 0 ? " " + Clock.brief(over.micros()) : ""),
                            next.name().text(),
                            lines));
                }
            }
            return Optional.empty();
        }

        private static List<String> firstLines(Song next) {
            List<String> lines = new ArrayList<>();
            lines.add(next.form().words()
                    + next.played().map(key -> ", in " + key).orElse(""));
            next.form().sections().stream()
                    .limit(2)
                    .forEach(section -> lines.add("%s, %d bars%s%s"
                            .formatted(
                                    section.name(),
                                    section.bars(),
                                    section.guide().isEmpty() ? "" : ": " + section.guide(),
                                    section.lines().isEmpty()
                                            ? ""
                                            : " \u2013 " + section.lines().getFirst())));
            return lines;
        }

        private List<Zoom> zooms() {
            return List.of(
                    new Zoom("whole song", path + look.atZoom(0).query(), look.zoom() == 0),
                    new Zoom(
                            "farther",
                            path + look.atZoom(Math.max(0, look.zoom() - 1)).query(),
                            false),
                    new Zoom(
                            "nearer",
                            path
                                    + look.atZoom(Math.min(PromptLook.NEAREST, look.zoom() + 1))
                                            .query(),
                            false),
                    new Zoom(
                            "one bar",
                            path + look.atZoom(PromptLook.NEAREST).query(),
                            look.zoom() == PromptLook.NEAREST));
        }

        private List<Zoom> grids() {
            return PromptLook.Grid.ALL.stream()
                    .map(grid -> new Zoom(grid.words(), String.valueOf(grid.ticks()), grid.ticks() == look.grid()))
                    .toList();
        }

        /** As many whole words as there is room for, at least a part of the first: what is read aloud begins so too. */
        private static String begun(String text, int most) {
            if (text.length() <= most) {
                return text;
            }
            int space = text.lastIndexOf(' ', most);
            return text.substring(0, space > 2 ? space : most).stripTrailing();
        }

        private static String clipped(String text, int most) {
            return text.length() <= most ? text : text.substring(0, most - 1).stripTrailing() + "\u2026";
        }
    }
}
