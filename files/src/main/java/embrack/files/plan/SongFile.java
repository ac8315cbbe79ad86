package embrack.files.plan;

import embrack.core.rig.Rig;
import embrack.core.show.Song;
import embrack.files.json.JsonFile;
import embrack.files.json.UnreadableFile;
import java.nio.charset.StandardCharsets;

/** One song with all that belongs to it, as it stands in a plan, for files that hold it beside something else. */
public final class SongFile {

    private SongFile() {}

    /** The song in one line; the same song always gives the same. */
    public static String write(Song song) {
        return BookLayout.SONG.write(song).toString();
    }

    /**
     * The song that {@link #write} wrote.
     *
     * @param rig the rig that its cues are for
     * @throws UnreadableFile when it is none, or is about boxes, parts or switches that the rig does not have
     */
    public static Song read(String text, Rig rig) {
        return JsonFile.read(
                text.getBytes(StandardCharsets.UTF_8),
                "a song",
                fields -> BookLayout.SONG.read(fields, RigSoFar.of(rig)));
    }
}
