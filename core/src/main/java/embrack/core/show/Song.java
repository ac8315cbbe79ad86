package embrack.core.show;

import embrack.core.music.Key;
import embrack.core.music.Tempo;
import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import embrack.core.text.Prose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;

/**
 * A song.
 *
 * @param place its number in the list of the player, 1 to 999
 * @param played the key it is played in
 * @param original the key of the recording
 * @param recorded the tempo of the recording at its start, where it is played at another
 * @param trims what is cut off the recording
 * @param leadInBars silent or clicked bars between a jump to it and its first count, 0 to 16
 * @param player the device that plays it and sends its cues; empty for the first of the rig
 * @param cues in the order in which they were made
 * @param lastCue the highest number that a cue ever had, also one that is gone; at least that of the cues that are
 * there
 */
public record Song(
        SongId id,
        TapeLabel title,
        int place,
        Optional<Key> played,
        Optional<Key> original,
        Optional<Tempo> recorded,
        Trims trims,
        int leadInBars,
        Form form,
        List<Stem> stems,
        String notes,
        Optional<DeviceId> player,
        List<Cue> cues,
        int lastCue) {

    /** The longest notes, in characters. */
    public static final int MAX_NOTES = 4_000;

    /** As many cues as a song may have. */
    public static final int MAX_CUES = 5_000;

    /** As many steps and messages as all cues of a song may have together. */
    public static final int MAX_DEEDS = 20_000;

    private static final int MAX_PLACE = 999;
    private static final int MAX_LEAD_IN = 16;

    /** What is cut off a recording at both ends, microseconds, 0 or more. */
    public record Trims(long startMicros, long endMicros) {

        public static final Trims NONE = new Trims(0, 0);

        public Trims {
            if (startMicros < 0 || endMicros < 0) {
                throw new IllegalArgumentException("A trim is 0 or more.");
            }
        }
    }

    public Song {
        stems = List.copyOf(stems);
        cues = List.copyOf(cues);
        if (place < 1 || place > MAX_PLACE) {
            throw new IllegalArgumentException(
                    "A song's place in the player's list is 1 to %d, was %d.".formatted(MAX_PLACE, place));
        }
        if (leadInBars < 0 || leadInBars > MAX_LEAD_IN) {
            throw new IllegalArgumentException("A lead-in is 0 to %d bars, was %d.".formatted(MAX_LEAD_IN, leadInBars));
        }
        if (trims.startMicros() + trims.endMicros() >= form.lengthMicros()) {
            throw new IllegalArgumentException("The trims cut away the whole song.");
        }
        Prose.require("notes", notes);
        if (notes.length() > MAX_NOTES) {
            throw new IllegalArgumentException("Notes have at most %d characters.".formatted(MAX_NOTES));
        }
        if (cues.size() > MAX_CUES) {
            throw new IllegalArgumentException("A song has at most %d cues.".formatted(MAX_CUES));
        }
        if (cues.stream().mapToInt(Cue::deeds).sum() > MAX_DEEDS) {
            throw new IllegalArgumentException(
                    "The cues of a song have at most %d steps and messages together.".formatted(MAX_DEEDS));
        }
        var numbers = new TreeSet<Integer>();
        for (Cue cue : cues) {
            if (!numbers.add(cue.number())) {
                throw new IllegalArgumentException("cue %d of \"%s\" is there twice".formatted(cue.number(), title));
            }
        }
        lastCue = Math.max(lastCue, numbers.isEmpty() ? 0 : numbers.last());
    }

    /** A song of which the title is known. */
    public static Song blank(SongId id, TapeLabel title, int place) {
        return new Song(
                id,
                title,
                place,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Trims.NONE,
                1,
                Form.UNKNOWN,
                List.of(),
                "",
                Optional.empty(),
                List.of(),
                0);
    }

    /** Microseconds from its first sound to its last, trimmed, every vamp played once. */
    public long lengthMicros() {
        return form.lengthMicros() - trims.startMicros() - trims.endMicros();
    }

    /** As {@link #length()}, with vamps as often as usual. */
    public long usualLengthMicros() {
        return lengthMicros() + form.vampingMicros();
    }

    /** When the last sound comes, microseconds from bar 1. */
    public long endMicros() {
        return form.lengthMicros() - trims.endMicros();
    }

    /**
     * By how many semitones the recording has to be moved: one number, or both ways of six; empty where a key is
     * missing.
     */
    public Optional<List<Integer>> transposition() {
        return original.flatMap(from -> played.map(from::semitonesTo));
    }

    /** How much faster than the recording it is played, in percent; negative when slower; 0 when that is not known. */
    public double stretchPercent() {
        return recorded.map(tempo -> 100.0 * form.tempoMap().tempo(0).bpm() / tempo.bpm() - 100)
                .orElse(0.0);
    }

    /** The cue of that number. */
    public Optional<Cue> cue(int number) {
        return cues.stream().filter(cue -> cue.number() == number).findFirst();
    }

    /** A number that no cue has or ever had. */
    public int nextNumber() {
        return lastCue + 1;
    }

    public boolean uses(DeviceId device) {
        return player.filter(device::equals).isPresent() || cues.stream().anyMatch(cue -> cue.uses(device));
    }

    /** The song under another id, at another place in the list of the player. */
    public Song moved(SongId otherId, int otherPlace) {
        return new Song(
                otherId,
                title,
                otherPlace,
                played,
                original,
                recorded,
                trims,
                leadInBars,
                form,
                stems,
                notes,
                player,
                cues,
                lastCue);
    }

    public Song withForm(Form other) {
        return new Song(
                id,
                title,
                place,
                played,
                original,
                recorded,
                trims,
                leadInBars,
                other,
                stems,
                notes,
                player,
                cues,
                lastCue);
    }

    public Song withStems(List<Stem> others) {
        return new Song(
                id,
                title,
                place,
                played,
                original,
                recorded,
                trims,
                leadInBars,
                form,
                others,
                notes,
                player,
                cues,
                lastCue);
    }

    public Song withPlayed(Optional<Key> other) {
        return new Song(
                id,
                title,
                place,
                other,
                original,
                recorded,
                trims,
                leadInBars,
                form,
                stems,
                notes,
                player,
                cues,
                lastCue);
    }

    public Song withRecorded(Optional<Tempo> other) {
        return new Song(
                id,
                title,
                place,
                played,
                original,
                other,
                trims,
                leadInBars,
                form,
                stems,
                notes,
                player,
                cues,
                lastCue);
    }

    public Song withTrims(Trims other) {
        return new Song(
                id,
                title,
                place,
                played,
                original,
                recorded,
                other,
                leadInBars,
                form,
                stems,
                notes,
                player,
                cues,
                lastCue);
    }

    public Song withCues(List<Cue> others) {
        return new Song(
                id,
                title,
                place,
                played,
                original,
                recorded,
                trims,
                leadInBars,
                form,
                stems,
                notes,
                player,
                others,
                lastCue);
    }

    public Song withPlayer(Optional<DeviceId> other) {
        return new Song(
                id,
                title,
                place,
                played,
                original,
                recorded,
                trims,
                leadInBars,
                form,
                stems,
                notes,
                other,
                cues,
                lastCue);
    }

    /** In which numbers of cues up to that one count as given, also where the cues are no more. */
    public Song numberedFrom(int last) {
        return new Song(
                id,
                title,
                place,
                played,
                original,
                recorded,
                trims,
                leadInBars,
                form,
                stems,
                notes,
                player,
                cues,
                Math.max(lastCue, last));
    }

    /** With a cue in the place of the one of its number, or behind all others. */
    public Song withCue(Cue cue) {
        List<Cue> changed = new ArrayList<>(cues);
        boolean known = changed.removeIf(c -> c.number() == cue.number());
        int at = known
                ? (int) cues.stream().takeWhile(c -> c.number() != cue.number()).count()
                : changed.size();
        changed.add(at, cue);
        return withCues(changed);
    }

    /** Without a device: no steps on it, no cue that is then empty. */
    public Song without(DeviceId device) {
        return withPlayer(player.filter(p -> !p.equals(device)))
                .withCues(cues.stream()
                        .map(cue -> cue.uses(device) ? cue.without(device) : cue)
                        .filter(cue -> !cue.isEmpty())
                        .toList());
    }
}
