package embrack.core.live;

import embrack.core.show.SongId;
import embrack.core.sound.Heard;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What is heard otherwise as a song begins than it was as the one before began; of the first song, than at doors.
 *
 * @param shifts what changes for whom; none where all is heard as before
 */
public record SoundTurn(SongId song, List<Shift> shifts) {

    /** A change of level that is told, dB. Common practice, no source. */
    private static final double TOLD = 1;

    public SoundTurn {
        shifts = List.copyOf(shifts);
    }

    /** How one sound changes, with those for whom it does. */
    public record Shift(Source source, Way way, List<Listener> listeners) {
        public Shift {
            listeners = List.copyOf(listeners);
        }
    }

    /** How it is heard from now on. */
    public enum Way {
        GONE,
        BACK,
        LOUDER,
        SOFTER
    }

    /** The turns of tonight, song by song in order. */
    public static List<SoundTurn> of(SoundPaths paths, Soundscape scape) {
        List<SoundTurn> turns = new ArrayList<>();
        Heard before = scape.atDoors();
        for (Map.Entry<SongId, Heard> song : scape.bySong().entrySet()) {
            turns.add(new SoundTurn(song.getKey(), shifts(paths, before, song.getValue())));
            before = song.getValue();
        }
        return turns;
    }

    private static List<Shift> shifts(SoundPaths paths, Heard before, Heard now) {
        List<Shift> shifts = new ArrayList<>();
        if (before == now) {
            return shifts;
        }
        for (Source source : paths.sources()) {
            for (Way way : Way.values()) {
                List<Listener> listeners = paths.listeners().stream()
                        .filter(listener -> isSo(
                                way,
                                before.arrival(source, listener).gain().decibels(),
                                now.arrival(source, listener).gain().decibels()))
                        .toList();
                if (!listeners.isEmpty()) {
                    shifts.add(new Shift(source, way, listeners));
                }
            }
        }
        return shifts;
    }

    private static boolean isSo(Way way, double before, double now) {
        boolean wasHeard = Double.isFinite(before);
        boolean isHeard = Double.isFinite(now);
        return switch (way) {
            case GONE -> wasHeard && !isHeard;
            case BACK -> !wasHeard && isHeard;
            case LOUDER -> wasHeard && isHeard && now - before >= TOLD;
            case SOFTER -> wasHeard && isHeard && before - now >= TOLD;
        };
    }
}
