package embrack.core;

import embrack.core.gear.ChartRun;
import embrack.core.gear.Library;
import embrack.core.gear.Model;
import embrack.core.gear.PartId;
import embrack.core.gear.ReactionRun;
import embrack.core.gear.Verb;
import embrack.core.midi.MessageType;
import java.util.List;

/** The rack mixer as it should not be. */
public final class Mixers {

    private static final PartId FIRST = new PartId("in-1");

    private Mixers() {
    }

    /** The chart was copied with the values for mute and open swapped. */
    public static Model swappedChart() {
        return with(List.of(chart(Verb.MUTE, 0), chart(Verb.OPEN, 127)), Library.RACK_MIXER.reactions());
    }

    /** The box takes any value as a toggle. */
    public static Model toggling() {
        return with(Library.RACK_MIXER.chart(), List.of(reaction(Verb.TOGGLE_MUTE, 24, 0, 127)));
    }

    /** The box answers to none of the chart's numbers but the first sixteen. */
    public static Model deafBeyondInputs() {
        return with(Library.RACK_MIXER.chart(), List.of(reaction(Verb.MUTE, 16, 64, 127), reaction(Verb.OPEN, 16, 0, 63)));
    }

    /** Described by its chart alone. */
    public static Model chartOnly() {
        return with(Library.RACK_MIXER.chart(), List.of());
    }

    /** A mixer whose chart cannot open anything. */
    public static Model muteOnly() {
        return with(List.of(chart(Verb.MUTE, 127)), List.of());
    }

    private static Model with(List<ChartRun> chart, List<ReactionRun> reactions) {
        Model m = Library.RACK_MIXER;
        return new Model(m.id(), m.name(), m.kind(), m.ports(), m.board(), m.parts(), m.settings(), chart, reactions, m.writing());
    }

    private static ChartRun chart(Verb verb, int value) {
        return new ChartRun(verb, FIRST, 24, MessageType.CONTROL_CHANGE, 40, value);
    }

    private static ReactionRun reaction(Verb verb, int count, int from, int to) {
        return new ReactionRun(verb, FIRST, count, MessageType.CONTROL_CHANGE, 40, from, to);
    }
}
