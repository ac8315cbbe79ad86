package embrack.core.sound;

import embrack.core.level.Gain;
import java.util.List;
import java.util.OptionalLong;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/** What of a source arrives at a listener. */
public final class Arrival {

    /** So many decibels below the loudest way a second one colours nothing. Common practice, no source. */
    private static final double MATTERS = 12;

    private static final double DECIBELS_TO_FACTOR = 20;

    /** By side of the source, then by end of the listener. */
    private final List<List<Response>> bySide;

    Arrival(List<List<Response>> bySide) {
        this.bySide = bySide.stream().map(List::copyOf).toList();
    }

    /** What arrives of some of its sides, counted from 1. */
    public Arrival of(List<Integer> sides) {
        return new Arrival(sides.stream().map(side -> bySide.get(side - 1)).toList());
    }

    /** Whether a way leads there that is not shut, whatever is left of the sound on it. */
    public boolean arrives() {
        return bySide.stream().flatMap(List::stream).anyMatch(response -> !response.isNone());
    }

    /** Whether anything is heard. */
    public boolean isHeard() {
        return !gain().isSilent();
    }

    /** How loud it is at the end where it is loudest, its sides taken as the same sound. */
    public Gain gain() {
        return ends().mapToObj(this::atEnd)
                .map(Response::gain)
                .reduce(Gain.NONE, (a, b) -> a.factor() >= b.factor() ? a : b);
    }

    /** Sides that arrive nowhere, counted from 1, where others do. */
    public List<Integer> lostSides() {
        return arrives()
                ? IntStream.range(0, bySide.size())
                        .filter(side -> bySide.get(side).stream().allMatch(Response::isNone))
                        .map(side -> side + 1)
                        .boxed()
                        .toList()
                : List.of();
    }

    /** Sides that arrive, counted from 1. */
    public List<Integer> sides() {
        return IntStream.range(0, bySide.size())
                .filter(side -> bySide.get(side).stream().anyMatch(response -> !response.isNone()))
                .map(side -> side + 1)
                .boxed()
                .toList();
    }

    /** Whether ways meet at an end so that what they have in common is gone. */
    public boolean cancels() {
        return ends().anyMatch(end -> !atEnd(end).isNone() && atEnd(end).isSilent() && sidesSound(end));
    }

    private boolean sidesSound(int end) {
        return bySide.stream().map(side -> side.get(end)).anyMatch(response -> response.micros().length > 0);
    }

    /** When it arrives first, microseconds after it began; empty if never. */
    public OptionalLong earliest() {
        return bySide.stream()
                .flatMap(List::stream)
                .filter(response -> !response.isNone() && !response.isSilent())
                .mapToLong(response -> response.micros()[0])
                .min();
    }

    /** When the last of it arrives that matters, microseconds. */
    public OptionalLong latest() {
        return ends().mapToObj(this::atEnd)
                .filter(response -> !response.isNone())
                .flatMapToLong(Arrival::loud)
                .max();
    }

    /** How far apart two ways of it meet at one end, microseconds; 0 where they meet at once or there is one. */
    public long apart() {
        return ends().mapToObj(this::atEnd)
                .filter(response -> !response.isNone())
                .mapToLong(response ->
                        loud(response).max().orElse(0) - loud(response).min().orElse(0))
                .max()
                .orElse(0);
    }

    private static LongStream loud(Response response) {
        double loudest = IntStream.range(0, response.factors().length)
                .mapToDouble(i -> Math.abs(response.factors()[i]))
                .max()
                .orElse(0);
        double enough = loudest * Math.pow(10, -MATTERS / DECIBELS_TO_FACTOR);
        return IntStream.range(0, response.micros().length)
                .filter(i -> Math.abs(response.factors()[i]) >= enough && loudest > 0)
                .mapToLong(i -> response.micros()[i]);
    }

    private IntStream ends() {
        return IntStream.range(0, bySide.getFirst().size());
    }

    /** Two sides have much in common and add up; of more, which are sounds of their own, the loudest counts. */
    private Response atEnd(int end) {
        Stream<Response> sides = bySide.stream().map(side -> side.get(end));
        return bySide.size() <= 2
                ? sides.reduce(Response.NONE, Response::and)
                : sides.reduce(
                        Response.NONE,
                        (a, b) -> !b.isNone()
                                        && (a.isNone()
                                                || b.gain().factor() > a.gain().factor())
                                ? b
                                : a);
    }
}
