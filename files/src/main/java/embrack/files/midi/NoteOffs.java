package embrack.files.midi;

/**
 * What stands behind each note that the player of a song sends. A note without its end is no note to most programs that
 * read files; a note-off is one note more to some boxes, and turns back what the note did.
 */
public enum NoteOffs {
    AS_TAKEN("where no box takes one for a note"),
    NONE("none"),
    SHORT("a sixteenth later"),
    UNTIL_NEXT("at the next note of the box");

    private final String words;

    NoteOffs(String words) {
        this.words = words;
    }

    /** It in words: "a sixteenth later". */
    public String words() {
        return words;
    }
}
