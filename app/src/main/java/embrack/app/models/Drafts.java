package embrack.app.models;

import embrack.core.chart.Chart;
import embrack.core.chart.ChartReading;
import embrack.core.chart.ChartReading.LinedRow;
import embrack.core.chart.ChartWriter;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.text.BoxReading;
import embrack.core.name.TapeLabel;
import java.util.stream.Stream;

/** Models out of what was typed. */
final class Drafts {

    private Drafts() {}

    /**
     * The model that a draft describes.
     *
     * @throws IllegalArgumentException when box and charts do not go together, or any of them cannot be read
     */
    static Model model(EditorPage.Draft draft, ModelId id, TapeLabel name) {
        BoxReading box = BoxReading.of(draft.box());
        return box.box()
                .orElseThrow(() ->
                        new IllegalArgumentException(box.problems().getFirst().toString()))
                .model(id, name, kind(draft.kind()), Chart.of(draft.chart()), Chart.of(draft.reality()));
    }

    /** A kind by its key; the first when there is none of that key. */
    static Kind kind(String key) {
        return Stream.of(Kind.values())
                .filter(k -> k.key().equals(key))
                .findFirst()
                .orElse(Kind.FLOOR_BOARD);
    }

    /** The chart, or as much of it as can be read. */
    static Chart readable(ChartReading reading) {
        return reading.chart()
                .orElseGet(() -> Chart.of(ChartWriter.write(
                        reading.conventions(),
                        reading.rows().stream().map(LinedRow::row).toList(),
                        reading.learnables(),
                        reading.beside())));
    }
}
