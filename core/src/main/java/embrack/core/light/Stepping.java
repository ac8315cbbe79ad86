package embrack.core.light;

import embrack.core.music.TempoMap;

/** When the steps of a chase begin, counted from 0 and on over its rounds. */
public sealed interface Stepping {

    /** When a step begins, microseconds. */
    long startOf(long step);

    /** The step that is shown at a time, microseconds; 0 before the first. */
    long stepAt(long micros);

    /**
     * All steps last alike.
     *
     * @param from when the first begins, microseconds
     * @param each how long each lasts, microseconds, 1 or more
     */
    record Steady(long from, long each) implements Stepping {
        @Override
        public long startOf(long step) {
            return from + step * each;
        }

        @Override
        public long stepAt(long micros) {
            return Math.max(0, micros - from) / each;
        }
    }

    /**
     * Steps go on with the beat of a song, whatever its tempo is by then.
     *
     * @param from when the first begins, microseconds from bar 1
     * @param ticks how long each lasts, in ticks of the song
     */
    record OfSong(TempoMap song, long from, int ticks) implements Stepping {
        @Override
        public long startOf(long step) {
            return song.micros(song.tickAt(from) + step * ticks);
        }

        @Override
        public long stepAt(long micros) {
            return Math.max(0, song.tickAt(micros) - song.tickAt(from)) / ticks;
        }
    }
}
