package embrack.core.gear.text;

import embrack.core.chart.Chart;
import embrack.core.gear.Implementation;
import embrack.core.gear.Kind;
import embrack.core.gear.Memory;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Power;
import embrack.core.gear.Quirks;
import embrack.core.gear.Sockets;
import embrack.core.gear.Surface;
import embrack.core.name.TapeLabel;
import java.util.Optional;

/** All of a model but its name, its kind and its charts: what the text of a box says. */
public record Box(Sockets sockets, Surface surface, Memory memory, Quirks quirks, Optional<Power> power) {

    /** The box of a model. */
    public static Box of(Model model) {
        return new Box(
                model.sockets(),
                model.surface(),
                model.memory(),
                model.implementation().quirks(),
                model.power());
    }

    /**
     * A model with this box.
     *
     * @param reality what it really does; empty when it obeys its chart
     * @throws IllegalArgumentException when box and charts do not go together
     */
    public Model model(ModelId id, TapeLabel name, Kind kind, Chart chart, Chart reality) {
        return new Model(id, name, kind, sockets, surface, memory, new Implementation(chart, reality, quirks), power);
    }
}
