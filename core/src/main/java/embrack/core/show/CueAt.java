package embrack.core.show;

/** A cue of a song, by its number; 0 for the song as a whole. */
public record CueAt(SongId song, int number) {

    /** The song as a whole. */
    public static CueAt whole(SongId song) {
        return new CueAt(song, 0);
    }
}
