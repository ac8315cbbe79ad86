package embrack.core.sim;

import embrack.core.compile.CompiledStep;
import embrack.core.midi.Message;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.world.Happened;
import embrack.core.world.Place;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * What the proof found out about one cue.
 *
 * @param steps what its player sends for each step; none for a cue that a foot presses
 * @param verdict the judgement; a cue that a foot presses is as exact as its switch, which has a proof of its own
 * @param targets the places that it is about
 * @param wrongPlaces every place that was ever wrong
 * @param trace what it does once, message by message
 * @param worstMicros when the last of it has happened, at the latest, microseconds after it was sent
 * @param usualMicros how long the slowest of its ways usually takes
 * @param leadMicros how much earlier than its moment it is sent
 * @param micros its moment, from bar 1; empty where only the player knows
 */
public record CueProof(
        Cue cue,
        List<CompiledStep> steps,
        Verdict verdict,
        SortedSet<Place> targets,
        SortedSet<Place> wrongPlaces,
        List<Happened> trace,
        long worstMicros,
        long usualMicros,
        long leadMicros,
        Optional<Long> micros) {

    public CueProof {
        steps = List.copyOf(steps);
        targets = Collections.unmodifiableSortedSet(new TreeSet<>(targets));
        wrongPlaces = Collections.unmodifiableSortedSet(new TreeSet<>(wrongPlaces));
        trace = List.copyOf(trace);
    }

    CueProof withVerdict(Verdict other) {
        return new CueProof(
                cue, steps, other, targets, wrongPlaces, trace, worstMicros, usualMicros, leadMicros, micros);
    }

    /** When it is sent, microseconds from bar 1; empty where only the player knows. */
    public Optional<Long> sentMicros() {
        return micros.map(at -> at - leadMicros);
    }

    /** When in its song a cue comes. */
    public enum Phase {
        /** As the song is loaded, before its first sound. */
        LOAD,
        /** While it plays. */
        INSIDE,
        /** As it stops. */
        STOP,
        /** As a part of it begins once more. */
        LOOP
    }

    /** When in its song it comes. */
    public Phase phase() {
        return cue.at() instanceof Anchor.Automatic at
                ? switch (at.when()) {
                    case LOAD -> Phase.LOAD;
                    case PLAY -> Phase.INSIDE;
                    case STOP -> Phase.STOP;
                    case CONTINUE, LOOP -> Phase.LOOP;
                }
                : Phase.INSIDE;
    }

    /** When it comes in its song, microseconds from bar 1; with the first sound where only the player knows. */
    public long beginsMicros(Song song) {
        return sentMicros().orElse(song.trims().startMicros());
    }

    /** Everything that it sends, in order. */
    public List<Message> messages() {
        return Stream.concat(
                        steps.stream().filter(CompiledStep::isSent).flatMap(step -> step.messages().stream()),
                        cue.raw().stream())
                .toList();
    }
}
