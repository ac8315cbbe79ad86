package embrack.core.rig;

import embrack.core.gear.Port;
import java.util.List;
import java.util.Optional;

/** What can be plugged into what, and why not. */
public final class Cabling {

    private Cabling() {
    }

    /**
     * Why a cable cannot join two sockets, as a sentence that also says what to do; empty when it can.
     *
     * @param from the socket that is to send
     * @param to the socket that is to receive
     */
    public static Optional<String> refusal(Rig rig, Socket from, Socket to) {
        return mismatch(rig, from, to).or(() -> taken(rig, from)).or(() -> taken(rig, to));
    }

    /** Why two sockets do not go together, whether or not they are free. */
    static Optional<String> mismatch(Rig rig, Socket from, Socket to) {
        Port sender = rig.port(from);
        Port receiver = rig.port(to);
        if (from.device().equals(to.device())) {
            return Optional.of("Both ends are in %s. A cable goes from one box to another.".formatted(rig.name(from.device())));
        }
        for (Socket end : List.of(from, to)) {
            if (!rig.port(end).connector().isSerial()) {
                return Optional.of("%s is %s; a MIDI cable goes from a 5-pin or TRS socket to another.".formatted(
                        rig.words(end), rig.port(end).connector().words()));
            }
        }
        if (sender.direction().isSending() && receiver.direction().isSending()) {
            return Optional.of("%s and %s both send. A cable goes from OUT or THRU to IN."
                    .formatted(rig.words(from), rig.words(to)));
        }
        if (!sender.direction().isSending()) {
            return Optional.of(receiver.direction().isSending()
                    ? "%s only receives, so the cable starts at %s. Swap the two ends.".formatted(rig.words(from), rig.words(to))
                    : "%s and %s both only receive. A cable starts at an OUT or THRU.".formatted(rig.words(from), rig.words(to)));
        }
        if (sender.connector() != receiver.connector()) {
            return Optional.of("%s is %s and %s is %s; the plug does not fit.".formatted(rig.words(from),
                    sender.connector().words(), rig.words(to), receiver.connector().words()));
        }
        return Optional.empty();
    }

    private static Optional<String> taken(Rig rig, Socket socket) {
        return rig.cableIn(socket).map(cable -> "%s already holds the cable %s. One socket takes one cable; pull that one first."
                .formatted(rig.words(socket), rig.words(cable)));
    }
}
