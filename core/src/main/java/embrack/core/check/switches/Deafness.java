package embrack.core.check.switches;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Proof;
import embrack.core.sim.Verdict;
import embrack.core.world.Happened;
import embrack.core.world.Place;
import embrack.core.world.Reading;
import java.util.Optional;
import java.util.SortedSet;
import java.util.stream.Stream;

/**
 * A box that a step is about ignores its message, because it listens to another channel.
 *
 * @param sentOn the channel the message came on
 */
record Deafness(Proof proof, DeviceId device, Channel sentOn, Channel listensOn) {

    /** All boxes deaf to a switch that has steps for them, each once. */
    static Stream<Deafness> of(Proof proof) {
        if (proof.verdict() == Verdict.EXACT
                || proof.trace().stream().noneMatch(event -> at(proof, event).isPresent())) {
            return Stream.empty();
        }
        SortedSet<Place> wrong = proof.wrongPlaces();
        return proof.trace().stream()
                .flatMap(event -> at(proof, event).stream())
                .filter(deaf -> proof.targets().stream()
                        .anyMatch(place -> place.device().equals(deaf.device()) && wrong.contains(place)))
                .distinct();
    }

    private static Optional<Deafness> at(Proof proof, Happened event) {
        return event instanceof Happened.Arrived arrived && arrived.reading() instanceof Reading.OtherChannel other
                ? Optional.of(new Deafness(
                        proof,
                        arrived.socket().device(),
                        ((Message.Voice) arrived.message()).channel(),
                        other.listensOn()))
                : Optional.empty();
    }
}
