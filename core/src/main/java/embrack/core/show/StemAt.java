package embrack.core.show;

import embrack.core.name.TapeLabel;

/** One stem of one song. */
public record StemAt(SongId song, TapeLabel stem) implements Comparable<StemAt> {

    @Override
    public int compareTo(StemAt other) {
        int bySong = song.compareTo(other.song);
        return bySong != 0 ? bySong : stem.compareTo(other.stem);
    }
}
