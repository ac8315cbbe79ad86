package embrack.app.share;

import embrack.core.gear.Model;
import embrack.core.gear.text.Box;
import embrack.core.gear.text.BoxWriter;

/**
 * A model as those read it who have not described it.
 *
 * @param box what it is, as the text of a box
 * @param chart what it answers to
 * @param reality what it really does; empty where that is the same
 */
record SharedModel(String id, String name, String kind, String box, String chart, String reality) {

    static SharedModel of(Model model) {
        String chart = model.chart().text();
        String reality = model.implementation().reality().text();
        return new SharedModel(
                model.id().text(),
                model.name().text(),
                model.kind().words(),
                BoxWriter.write(Box.of(model)),
                chart,
                reality.equals(chart) ? "" : reality);
    }
}
