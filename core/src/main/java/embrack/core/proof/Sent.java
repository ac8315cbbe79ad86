package embrack.core.proof;

import embrack.core.compile.CompiledControl;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.CompiledSwitch;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import embrack.core.world.Journey;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.stream.Stream;

/** What something sends, and where that goes and when, from the moment itself. */
public sealed interface Sent {

    /** The box that sends it. */
    DeviceId sender();

    /** The devices that it is meant for. */
    Stream<DeviceId> meantFor();

    /** Where it goes. */
    Collection<Journey> journeys();

    /** Whether something stops any of it. */
    boolean isObstructed();

    /**
     * What a switch sends.
     *
     * @param byMoment where what is sent at each moment goes; none for a moment at which nothing is
     */
    record BySwitch(CompiledSwitch compiled, Map<Moment, Journey> byMoment) implements Sent {

        public BySwitch {
            byMoment = Map.copyOf(byMoment);
        }

        /** Where what is sent at a moment goes. */
        public Journey journey(Moment moment) {
            return byMoment.getOrDefault(moment, Journey.NOTHING);
        }

        @Override
        public DeviceId sender() {
            return compiled.at().board();
        }

        @Override
        public Stream<DeviceId> meantFor() {
            return compiled.allSteps().stream().map(step -> step.step().device());
        }

        @Override
        public Collection<Journey> journeys() {
            return byMoment.values();
        }

        @Override
        public boolean isObstructed() {
            return compiled.isObstructed(List.of(Moment.values()));
        }
    }

    /** What a player sends for a cue. */
    record ByCue(DeviceId player, List<CompiledStep> steps, Journey journey) implements Sent {

        public ByCue {
            steps = List.copyOf(steps);
        }

        @Override
        public DeviceId sender() {
            return player;
        }

        @Override
        public Stream<DeviceId> meantFor() {
            return steps.stream().map(step -> step.step().device());
        }

        @Override
        public Collection<Journey> journeys() {
            return List.of(journey);
        }

        @Override
        public boolean isObstructed() {
            return steps.stream().anyMatch(step -> step.obstacle().isPresent());
        }
    }

    /**
     * What a control sends.
     *
     * @param byPosition where what is sent at some of its positions goes
     */
    record ByControl(CompiledControl compiled, SortedMap<Integer, Journey> byPosition) implements Sent {

        @Override
        public DeviceId sender() {
            return compiled.controlAssignment().at().box();
        }

        @Override
        public Stream<DeviceId> meantFor() {
            return compiled.targets().stream().map(target -> target.target().device());
        }

        @Override
        public Collection<Journey> journeys() {
            return byPosition.values();
        }

        @Override
        public boolean isObstructed() {
            return compiled.isObstructed();
        }
    }
}
