package embrack.app.models;

import embrack.core.chart.ChartReading;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Sockets;
import embrack.core.gear.Surface;
import embrack.core.gear.text.Box;
import embrack.core.gear.text.BoxReading;
import embrack.core.gear.text.BoxWriter;
import embrack.core.name.TapeLabel;
import embrack.core.text.Problem;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The editor of a model: the texts that describe it, and what is made of them.
 *
 * @param basedOn the newest revision of the model as the editor was shown
 */
record EditorPage(
        String id, String heading, int basedOn, Draft draft, List<ModelsPage.KindChoice> kinds, Reading reading) {

    /** What stands in the fields. */
    record Draft(String name, String kind, String box, String chart, String reality) {

        static Draft of(Model model) {
            return new Draft(
                    model.name().text(),
                    model.kind().key(),
                    BoxWriter.write(Box.of(model)),
                    model.chart().text(),
                    model.implementation().reality().text());
        }
    }

    /**
     * What is made of the texts.
     *
     * @param whole what keeps box and chart from going together; empty when they do
     */
    record Reading(
            List<Remark> box,
            List<Remark> chart,
            List<Remark> reality,
            String whole,
            ChartView rows,
            int rowCount,
            ModelDrawing drawing,
            TrialView trial) {

        public boolean hasErrors() {
            return !whole.isEmpty()
                    || Stream.of(box, chart, reality).flatMap(List::stream).anyMatch(r -> r.tone.equals("stop"));
        }
    }

    /**
     * A problem with the line it is about, split at its place.
     *
     * @param field the id of the text field
     */
    record Remark(
            String field, int line, int column, String shape, String tone, Split split, String words, Reach reach) {}

    /** The line, split at the place. */
    record Split(String before, String marked, String after) {}

    /** Where it stands in the text, from 0; {@code to} exclusive. */
    record Reach(int from, int to) {}

    static EditorPage of(String id, String heading, int basedOn, Draft draft) {
        return new EditorPage(
                id,
                heading,
                basedOn,
                draft,
                Stream.of(Kind.values())
                        .map(k -> new ModelsPage.KindChoice(k.key(), k.words()))
                        .toList(),
                reading(draft, "", ""));
    }

    static Reading reading(Draft draft, String press, String arrive) {
        BoxReading box = BoxReading.of(draft.box);
        ChartReading chart = ChartReading.of(draft.chart);
        ChartReading reality = ChartReading.of(draft.reality);
        String whole = "";
        if (box.box().isPresent()
                && chart.chart().isPresent()
                && reality.chart().isPresent()) {
            try {
                Drafts.model(draft, new ModelId("draft"), new TapeLabel("Draft"));
            } catch (IllegalArgumentException e) {
                whole = "Box and chart do not go together yet: " + e.getMessage() + "."
                        + lineToAdd(String.valueOf(e.getMessage()));
            }
        }
        return new Reading(
                remarks("box", box.text(), box.problems()),
                remarks("chart", draft.chart, chart.problems()),
                remarks("reality", draft.reality, reality.problems()),
                whole,
                ChartView.of(chart.rows(), chart.learnables(), chart.conventions()),
                chart.rows().size(),
                drawing(box.box(), chart),
                TrialView.of(Drafts.readable(chart), press, arrive));
    }

    /** The line of the box that mends what is missing. */
    private static String lineToAdd(String problem) {
        return Stream.of("receive", "send")
                .filter(way -> problem.startsWith("a setting for the %s channel is missing".formatted(way)))
                .findFirst()
                .map(" Add this line to the box: setting MIDI %s channel: 1..16, factory 1"::formatted)
                .orElse("");
    }

    private static ModelDrawing drawing(Optional<Box> box, ChartReading chart) {
        return ModelDrawing.of(
                box.map(Box::sockets).orElseGet(() -> new Sockets(List.of(), List.of())),
                box.map(Box::surface).orElse(Surface.BLANK),
                Drafts.readable(chart).parts());
    }

    private static List<Remark> remarks(String field, String text, List<Problem> problems) {
        String[] lines = text.split("\\R", -1);
        return problems.stream().map(p -> remark(field, text, lines, p)).toList();
    }

    private static Remark remark(String field, String text, String[] lines, Problem problem) {
        String line = problem.line() <= lines.length ? lines[problem.line() - 1].replace('\t', ' ') : "";
        boolean wholeLine = problem.level() != Problem.Level.ERROR;
        int start = wholeLine ? 0 : Math.min(problem.column() - 1, line.length());
        int end = wholeLine ? line.length() : Math.min(line.length(), start + problem.length());
        int offset = 0;
        for (int i = 0; i < problem.line() - 1 && i < lines.length; i++) {
            offset += lines[i].length() + 1;
        }
        return new Remark(
                field,
                problem.line(),
                problem.column(),
                switch (problem.level()) {
                    case ERROR -> "octagon";
                    case LOOK -> "triangle";
                    case NOTE -> "ring";
                },
                switch (problem.level()) {
                    case ERROR -> "stop";
                    case LOOK -> "look";
                    case NOTE -> "note";
                },
                new Split(line.substring(0, start), line.substring(start, end), line.substring(end)),
                problem.words(),
                new Reach(offset + start, offset + end));
    }
}
