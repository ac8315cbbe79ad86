package embrack.core.gear.library;

import embrack.core.chart.Chart;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.text.Box;
import embrack.core.gear.text.BoxReading;
import embrack.core.name.TapeLabel;

/** Makes a model of the two texts that describe it, as a person would type them. */
final class Shipped {

    private Shipped() {}

    static Model model(String id, String name, Kind kind, String box, String chart) {
        BoxReading reading = BoxReading.of(box);
        Box read = reading.box()
                .orElseThrow(() ->
                        new IllegalStateException(id + ": " + reading.problems().getFirst()));
        return read.model(new ModelId(id), new TapeLabel(name), kind, Chart.of(chart), Chart.EMPTY);
    }
}
