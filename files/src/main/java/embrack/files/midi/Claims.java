package embrack.files.midi;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.files.midi.MidiFile.Sent;
import embrack.files.midi.SongEvents.Timed;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Which events of a file are those of cues that are known already, each counted once, in whatever track it stands. */
final class Claims {

    private final int resolution;
    private final Map<Sent, Integer> free = new HashMap<>();
    private final Map<Sent, Integer> claimed = new HashMap<>();
    private final Set<Note> sounding = new HashSet<>();

    private record Note(Channel channel, int number) {}

    /** Of a file, nothing claimed yet. */
    Claims(MidiFile file) {
        this.resolution = file.ticksPerQuarter();
        file.tracks().forEach(track -> track.messages().forEach(sent -> free.merge(sent, 1, Integer::sum)));
    }

    /** Whether all that a cue sends is in the file, at its tick; it is the cue's from then on. */
    boolean claim(List<Timed> cue) {
        Map<Sent, Integer> needed = new HashMap<>();
        cue.forEach(event ->
                needed.merge(new Sent(Conductor.tick(event.tick(), resolution), event.message()), 1, Integer::sum));
        if (needed.entrySet().stream().anyMatch(e -> free.getOrDefault(e.getKey(), 0) < e.getValue())) {
            return false;
        }
        needed.forEach((sent, count) -> {
            free.merge(sent, -count, Integer::sum);
            claimed.merge(sent, count, Integer::sum);
        });
        return true;
    }

    /** Whether the next event of a track is one that was claimed, or ends a note that was. */
    boolean take(Sent sent) {
        boolean isTaken = claimed.getOrDefault(sent, 0) > 0;
        if (isTaken) {
            claimed.merge(sent, -1, Integer::sum);
        }
        if (!(sent.message() instanceof Message.NoteOn || sent.message() instanceof Message.NoteOff)) {
            return isTaken;
        }
        var voice = (Message.Voice) sent.message();
        Note note = new Note(voice.channel(), voice.data1());
        if (isTaken && !voice.isRelease()) {
            sounding.add(note);
            return true;
        }
        return sounding.remove(note) && voice.isRelease() || isTaken;
    }
}
