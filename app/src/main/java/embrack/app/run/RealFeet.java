package embrack.app.run;

import embrack.app.store.Bench;
import embrack.app.store.LineStore;
import embrack.app.store.StoredRig;
import embrack.core.line.Trodden;
import embrack.core.line.Walk;
import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import embrack.core.run.Act;
import embrack.core.sim.Tread;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Feet on real boards: what a board sends is what its switch was programmed to, so that the press is known by it. */
@Component
class RealFeet {

    private final LineStore line;

    RealFeet(LineStore line) {
        this.line = line;
    }

    /**
     * What was done at the box that hangs at a port, by what it sent in one go.
     *
     * @param sent bytes in hexadecimal
     * @return nothing where no box of the rig hangs there, or no switch of it sends that
     */
    List<Act> at(StoredRig rig, Bench bench, String port, String sent) {
        List<Message> messages =
                sent.matches("(?:[0-9a-fA-F]{2} ?){1,2048}") ? Decoder.hex(sent).messages() : List.of();
        return line.plugged(rig, bench.place(), List.of(port), false).values().stream()
                .flatMap(Optional::stream)
                .flatMap(board -> new Trodden(Walk.of(rig.plan())).by(board, messages).stream())
                .flatMap(tread -> events(tread).stream())
                .<Act>map(Act.ByHand::new)
                .toList();
    }

    private static List<Event.ByHand> events(Tread tread) {
        return switch (tread) {
            case Tread.OnSwitch foot -> events(foot.foot(), foot.at());
            case Tread.OnControl control -> List.of(new Event.Move(control.at(), control.position()));
            case Tread.ByHand hand -> List.of();
            case Tread.ByCue cue -> List.of();
        };
    }

    private static List<Event.ByHand> events(Tread.Foot foot, SwitchAt at) {
        return switch (foot) {
            case TAP ->
                Stream.<Event.ByHand>of(new Event.Press(at), new Event.Release(at))
                        .toList();
            case DOWN -> List.of(new Event.Press(at));
            case HOLD -> List.of(new Event.Hold(at));
            case UP -> List.of(new Event.Release(at));
            case TWICE -> List.of(new Event.DoublePress(at));
        };
    }
}
