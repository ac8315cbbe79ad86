package embrack.core.music;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Metres and tempos of one piece, and with them the way from bars and beats to the clock and back. Ticks are counted
 * from the start of bar 1, {@link Position#TICKS_PER_QUARTER} to the quarter; the clock is 0 there.
 *
 * <p>A tempo is in quarters a minute whatever the metre. Where it glides from <i>a</i> to <i>b</i> over <i>q</i>
 * quarters, evenly over the beats, the time up to <i>x</i> quarters is the integral of 60 / (a + (b - a) x / q), which
 * is 60 q / (b - a) ln(1 + (b - a) x / (q a)) seconds.
 */
public final class TempoMap {

    /** Bar, beat and the part of it, once the words between them are gone: "17", "17 3", "17 3 1/2", "17 3.25". */
    private static final Pattern PLACE =
            Pattern.compile("(\\d{1,4})(?:[ .](\\d{1,2})(?: (\\d{1,4}) ?/ ?(\\d{1,4})| ?(0?[.,]\\d{1,4}))?)?");
    /** What may stand between them: words, strokes, spaces. */
    private static final Pattern BETWEEN = Pattern.compile("\\bbar\\b|\\bbeat\\b|[|\\s]+");

    private static final Map<String, String> HALVES = Map.of("1/2", "½", "1/4", "¼", "3/4", "¾");
    private static final double MICROS_PER_MINUTE = 60_000_000;

    /** The last bar that music can have. */
    public static final int MAX_BAR = 9_999;

    /** As many changes of metre, and as many of tempo, as a score may have. */
    public static final int MAX_CHANGES = 1_000;

    private final List<MetreChange> metres;
    private final List<TempoChange> tempos;
    private final List<Stretch> stretches = new ArrayList<>();
    private final List<Run> runs = new ArrayList<>();

    /** Bars of one metre. */
    private record Stretch(int bar, long tick, Metre metre) {}

    /**
     * Ticks of one tempo, or of one glide: {@code bpm} at its start, {@code slope} quarters a minute more for every
     * quarter.
     */
    private record Run(long tick, double micros, double bpm, double slope, double quarters) {

        double microsAfter(double q) {
            return slope == 0 ? q * MICROS_PER_MINUTE / bpm : MICROS_PER_MINUTE / slope * Math.log1p(slope * q / bpm);
        }

        double quartersAfter(double time) {
            return slope == 0
                    ? time * bpm / MICROS_PER_MINUTE
                    : bpm / slope * Math.expm1(slope * time / MICROS_PER_MINUTE);
        }
    }

    /**
     * A score.
     *
     * @param metres sorted or not; common time until the first, the last of one bar counts
     * @param tempos sorted or not; 120 until the first, the last of one position counts
     */
    public TempoMap(List<MetreChange> metres, List<TempoChange> tempos) {
        if (metres.size() > MAX_CHANGES || tempos.size() > MAX_CHANGES) {
            throw new IllegalArgumentException(
                    "A song has at most %d changes of metre and %1$d of tempo; here are %d and %d."
                            .formatted(MAX_CHANGES, metres.size(), tempos.size()));
        }
        TreeMap<Integer, MetreChange> byBar = new TreeMap<>();
        metres.forEach(change -> byBar.put(change.bar(), change));
        byBar.putIfAbsent(1, new MetreChange(1, Metre.COMMON));
        this.metres = List.copyOf(byBar.values());
        long tick = 0;
        for (MetreChange change : this.metres) {
            if (!stretches.isEmpty()) {
                Stretch last = stretches.getLast();
                tick = last.tick()
                        + (long) (change.bar() - last.bar()) * last.metre().ticksPerBar();
            }
            stretches.add(new Stretch(change.bar(), tick, change.metre()));
        }
        TreeMap<Long, TempoChange> byTick = new TreeMap<>();
        tempos.forEach(change -> byTick.put(tick(change.at()), change));
        byTick.putIfAbsent(0L, new TempoChange(Position.START, new Tempo(120_000)));
        this.tempos = List.copyOf(byTick.values());
        for (TempoChange change : this.tempos) {
            addRun(change, byTick);
        }
    }

    private void addRun(TempoChange change, TreeMap<Long, TempoChange> byTick) {
        long start = tick(change.at());
        var next = byTick.higherEntry(start);
        double quarters = next == null ? Double.POSITIVE_INFINITY : quarters(next.getKey() - start);
        double slope = next != null && change.glides()
                ? (next.getValue().tempo().bpm() - change.tempo().bpm()) / quarters
                : 0;
        Run before = runs.isEmpty() ? null : runs.getLast();
        double micros = before == null ? 0 : before.micros() + before.microsAfter(before.quarters());
        runs.add(new Run(start, micros, change.tempo().bpm(), slope, quarters));
    }

    private static double quarters(long ticks) {
        return ticks / (double) Position.TICKS_PER_QUARTER;
    }

    /** Changes of metre by bar, the first in bar 1. */
    public List<MetreChange> metres() {
        return metres;
    }

    /** Changes of tempo in order, the first at the start. */
    public List<TempoChange> tempos() {
        return tempos;
    }

    /** The metre of a bar, counted from 1. */
    public Metre metre(int bar) {
        return stretch(bar).metre();
    }

    /** The tempo that holds at a tick; inside a glide, what it has come to. */
    public Tempo tempo(long tick) {
        Run run = runAt(tick);
        return new Tempo((int) Math.round(1_000 * (run.bpm() + run.slope() * quarters(tick - run.tick()))));
    }

    /** Ticks from the start to a position; one behind the end of its bar lies in the bars that follow. */
    public long tick(Position position) {
        Stretch stretch = stretch(position.bar());
        return stretch.tick()
                + (long) (position.bar() - stretch.bar()) * stretch.metre().ticksPerBar()
                + position.tick();
    }

    /** The position of a tick, 0 or more. */
    public Position position(long tick) {
        Stretch stretch = stretches.getFirst();
        for (Stretch next : stretches) {
            stretch = next.tick() <= tick ? next : stretch;
        }
        long inside = Math.max(0, tick) - stretch.tick();
        int bars =
                (int) Math.min(Integer.MAX_VALUE / 2, inside / stretch.metre().ticksPerBar());
        return new Position(
                stretch.bar() + bars, (int) (inside % stretch.metre().ticksPerBar()));
    }

    /** When a tick comes, in microseconds since the start of bar 1, exact. */
    public double exactMicros(double tick) {
        Run run = runAt((long) tick);
        return run.micros() + run.microsAfter((tick - run.tick()) / Position.TICKS_PER_QUARTER);
    }

    /** When a tick comes, in microseconds since the start of bar 1, to the nearest. */
    public long micros(long tick) {
        return Math.round(exactMicros(tick));
    }

    /** When a position comes, in microseconds since the start of bar 1. */
    public long micros(Position position) {
        return micros(tick(position));
    }

    /** The tick that is nearest to a time in microseconds; 0 for a time before the start. */
    public long tickAt(long micros) {
        return Math.round(exactTickAt(micros));
    }

    /** The tick of a time in microseconds, with what lies between two. */
    public double exactTickAt(long micros) {
        Run run = runs.getFirst();
        for (Run next : runs) {
            run = next.micros() <= micros ? next : run;
        }
        return run.tick() + Position.TICKS_PER_QUARTER * run.quartersAfter(Math.max(0, micros) - run.micros());
    }

    /**
     * The tick of a grid that is nearest to a time; the grid begins anew with every bar. {@code grid} in ticks, 1 or
     * more.
     */
    public long snap(long micros, int grid) {
        long near = tickAt(micros);
        Position position = position(near);
        int bar = metre(position.bar()).ticksPerBar();
        long start = near - position.tick();
        long below = Math.min((long) position.tick() / grid * grid, bar);
        long above = Math.min(below + grid, bar);
        return Math.abs(micros - exactMicros(start + below)) <= Math.abs(exactMicros(start + above) - micros)
                ? start + below
                : start + above;
    }

    /** A position in words: "bar 17", "bar 17 beat 3", "bar 17 beat 3½". */
    public String text(Position position) {
        Position tidy = position(tick(position));
        String beat = shownBeat(tidy);
        return "bar %d%s".formatted(tidy.bar(), beat.equals("1") ? "" : " beat " + beat);
    }

    /** The beat of a position within its bar as it is shown: "1", "3", "3½", "2 2/3". */
    public String shownBeat(Position position) {
        String beat = beat(position);
        int space = beat.indexOf(' ');
        return space < 0 || !HALVES.containsKey(beat.substring(space + 1))
                ? beat
                : beat.substring(0, space) + HALVES.get(beat.substring(space + 1));
    }

    /** The beat of a position within its bar, counted from 1, with the part of it in digits: "1", "3", "3 1/2". */
    public String beat(Position position) {
        Position tidy = position(tick(position));
        int beat = metre(tidy.bar()).ticksPerBeat();
        int rest = tidy.tick() % beat;
        int common = greatestCommonDivisor(rest, beat);
        return "%d%s"
                .formatted(tidy.tick() / beat + 1, rest == 0 ? "" : " %d/%d".formatted(rest / common, beat / common));
    }

    /**
     * The position that a person typed: "17", "17 3", "17 3 1/2", "17 3.25", "bar 17 beat 3½"; earlier files have
     * "17|3|1/2".
     *
     * @throws IllegalArgumentException with a sentence for the person when it is none, or the bar has no such beat
     */
    public Position parse(String typed) {
        Matcher matcher = PLACE.matcher(plain(typed));
        if (!matcher.matches()) {
            throw new IllegalArgumentException("Write bar and beat, such as 17, 17 3 or 17 3 1/2.");
        }
        int bar = Integer.parseInt(matcher.group(1));
        int beat = matcher.group(2) == null ? 1 : Integer.parseInt(matcher.group(2));
        if (bar < 1 || bar > MAX_BAR || beat < 1) {
            throw new IllegalArgumentException("Bars and beats are counted from 1.");
        }
        Metre metre = metre(bar);
        if (beat > metre.beats()) {
            throw new IllegalArgumentException("Bar %d is in %s; it has no beat %d.".formatted(bar, metre, beat));
        }
        return new Position(bar, (beat - 1) * metre.ticksPerBeat() + fraction(matcher, metre.ticksPerBeat()));
    }

    private static String plain(String typed) {
        String text = typed.toLowerCase(Locale.ROOT);
        for (Map.Entry<String, String> half : HALVES.entrySet()) {
            text = text.replace(half.getValue(), " " + half.getKey());
        }
        return BETWEEN.matcher(text).replaceAll(" ").replaceAll(" +", " ").strip();
    }

    private static int fraction(Matcher matcher, int beat) {
        double fraction = 0;
        if (matcher.group(3) != null) {
            int above = Integer.parseInt(matcher.group(3));
            int below = Integer.parseInt(matcher.group(4));
            if (above >= below) {
                throw new IllegalArgumentException("A fraction of a beat is less than 1, such as 1/2.");
            }
            fraction = above / (double) below;
        } else if (matcher.group(5) != null) {
            fraction = Double.parseDouble(matcher.group(5).replace(',', '.'));
        }
        return Math.min(beat - 1, (int) Math.round(fraction * beat));
    }

    /** All tempos times a factor. */
    public TempoMap atTempoTimes(double factor) {
        return new TempoMap(
                metres,
                tempos.stream()
                        .map(change ->
                                new TempoChange(change.at(), change.tempo().times(factor), change.glides()))
                        .toList());
    }

    private Stretch stretch(int bar) {
        Stretch found = stretches.getFirst();
        for (Stretch next : stretches) {
            found = next.bar() <= bar ? next : found;
        }
        return found;
    }

    private Run runAt(long tick) {
        int at = Collections.binarySearch(runs, new Run(tick, 0, 1, 0, 0), (a, b) -> Long.compare(a.tick(), b.tick()));
        return runs.get(at >= 0 ? at : Math.max(0, -at - 2));
    }

    private static int greatestCommonDivisor(int a, int b) {
        return b == 0 ? a : greatestCommonDivisor(b, a % b);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof TempoMap that && metres.equals(that.metres) && tempos.equals(that.tempos);
    }

    @Override
    public int hashCode() {
        return Objects.hash(metres, tempos);
    }

    @Override
    public String toString() {
        return "Score[%s, %s]".formatted(metres, tempos);
    }
}
