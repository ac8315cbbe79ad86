package embrack.core.offer;

import embrack.core.chart.Action;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.level.Scale;
import embrack.core.music.NoteLength;
import embrack.core.music.Tempo;
import embrack.core.music.TempoChange;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Form;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Times that follow from the tempo of a song, for boxes that take one: an echo in ms, a tremolo in Hz.
 *
 * @param tempos of the song, each once, in order
 * @param takers what in the rig can be set to such a time
 */
public record TempoTimes(List<Tempo> tempos, List<Taker> takers) {

    public TempoTimes {
        tempos = List.copyOf(tempos);
        takers = List.copyOf(takers);
    }

    /** Those of a song in a plan. */
    public static TempoTimes of(Plan plan, Form form) {
        return new TempoTimes(
                form.tempoMap().tempos().stream()
                        .map(TempoChange::tempo)
                        .distinct()
                        .toList(),
                plan.rig().devices().stream()
                        .flatMap(device -> plan.rig().chart(device.id()).parts().stream()
                                .flatMap(part -> taker(plan, device.id(), part)))
                        .toList());
    }

    private static Stream<Taker> taker(Plan plan, DeviceId device, Part part) {
        return plan
                .rig()
                .chart(device)
                .scale(part.id())
                .filter(scale -> isMillis(scale) || isHertz(scale))
                .map(scale -> new Taker(device, part.id(), scale))
                .stream();
    }

    private static boolean isMillis(Scale scale) {
        return scale.unit().toLowerCase(Locale.ROOT).equals("ms");
    }

    private static boolean isHertz(Scale scale) {
        return scale.unit().toLowerCase(Locale.ROOT).equals("hz");
    }

    /**
     * A level that a box shows in ms or in Hz.
     *
     * @param part of the device
     * @param scale how the box shows it
     */
    public record Taker(DeviceId device, PartId part, Scale scale) {

        /** The level that comes nearest to a note; empty for one outside of what the box can do. */
        public Optional<Action> at(NoteLength note, Tempo tempo) {
            double wanted = isMillis(scale) ? note.millis(tempo) : note.hertz(tempo);
            return wanted < scale.bottom() || wanted > scale.top()
                    ? Optional.empty()
                    : Optional.of(new Action(
                            Verb.LEVEL, part, Optional.of(scale.value(String.format(Locale.ROOT, "%.2f", wanted)))));
        }

        /** What the box then shows; empty for a note outside of what it can do. */
        public Optional<String> shown(NoteLength note, Tempo tempo) {
            return at(note, tempo).flatMap(Action::amount).map(scale::shown);
        }
    }

    /** What can be set to a time, of a device. */
    public Optional<Taker> taker(DeviceId device, PartId part) {
        return takers.stream()
                .filter(taker -> taker.device().equals(device) && taker.part().equals(part))
                .findFirst();
    }
}
