package embrack.app.models;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.ChartTrial;
import embrack.core.chart.ChartWords;
import embrack.core.chart.Part;
import embrack.core.midi.Channel;
import embrack.core.name.Words;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * A chart tried both ways.
 *
 * @param press what was typed as an action
 * @param arrive what was typed as a message
 */
record TrialView(
        String press,
        String arrive,
        List<Line> sent,
        List<Line> done,
        String pressProblem,
        String arriveProblem,
        String exampleAction,
        String exampleMessage) {

    private static final Channel ONE = new Channel(1);
    private static final int MOST_LINES = 12;

    /** What comes of it; {@code bytes} on channel 1. */
    record Line(String words, String bytes) {}

    private record Outcome(List<Line> lines, String problem) {}

    static TrialView of(Chart chart, String press, String arrive) {
        var trial = new ChartTrial(chart);
        Outcome sent = tried(
                press,
                () -> trial.press(press.strip(), ONE).stream()
                        .flatMap(s -> s.messages().stream()
                                .map(message -> new Line(
                                        words(chart, s.action()) + ": " + ChartWords.of(message, chart.conventions()),
                                        message.hex()))));
        Outcome done = tried(
                arrive,
                () -> trial.arrive(arrive, ONE).stream()
                        .map(a -> new Line(
                                a.actions().isEmpty()
                                        ? "means nothing to this box"
                                        : Words.list(a.actions().stream()
                                                .map(action -> words(chart, action))
                                                .toList()),
                                a.message().hex())));
        Optional<Action> example =
                chart.rows().stream().flatMap(row -> row.actions().stream()).findFirst();
        return new TrialView(
                press,
                arrive,
                sent.lines,
                done.lines,
                sent.problem,
                done.problem,
                example.map(action -> typed(chart, action)).orElse("mute Input 1"),
                example.flatMap(action -> chart.messagesFor(action, ONE))
                        .map(messages -> messages.getFirst().hex())
                        .orElse("B0 28 7F"));
    }

    private static Outcome tried(String typed, Supplier<Stream<Line>> trial) {
        if (typed.isBlank()) {
            return new Outcome(List.of(), "");
        }
        try {
            return new Outcome(trial.get().limit(MOST_LINES).toList(), "");
        } catch (IllegalArgumentException e) {
            return new Outcome(List.of(), String.valueOf(e.getMessage()));
        }
    }

    private static String typed(Chart chart, Action action) {
        return action.verb().phrase() + " " + name(chart, action)
                + action.amount().map(a -> " at " + a).orElse("");
    }

    private static String words(Chart chart, Action action) {
        return action.words(name(chart, action));
    }

    private static Object name(Chart chart, Action action) {
        return chart.part(action.part()).<Object>map(Part::name).orElse(action.part());
    }
}
