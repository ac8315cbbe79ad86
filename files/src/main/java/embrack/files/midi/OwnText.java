package embrack.files.midi;

import embrack.core.rig.Rig;
import embrack.core.show.Song;
import embrack.files.json.UnreadableFile;
import embrack.files.midi.MidiFile.Meta;
import embrack.files.plan.SongFile;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/**
 * The song as a whole, as one text at the end of the first track of its file: what no event can say, such as what is
 * sent on load, who presses what, vamps and names, comes back by it.
 */
final class OwnText {

    private static final String PREFIX = "Embrack song ";

    private OwnText() {}

    /** The text of a song, at a tick of the file. */
    static Meta of(Song song, long tick) {
        return new Meta(tick, MidiFile.TEXT, (PREFIX + SongFile.write(song)).getBytes(StandardCharsets.UTF_8));
    }

    /** Whether a text is one. */
    static boolean isOne(Meta meta) {
        return meta.type() == MidiFile.TEXT && meta.text().startsWith(PREFIX);
    }

    /** The text of a file, if it has one. */
    static Optional<String> in(MidiFile file) {
        return file.tracks().stream()
                .flatMap(track -> track.metas().stream())
                .filter(OwnText::isOne)
                .map(meta -> meta.text().substring(PREFIX.length()))
                .findFirst();
    }

    /**
     * The song of such a text.
     *
     * @throws UnreadableFile when it is none, or is about boxes or switches that the rig does not have
     */
    static Song read(String text, Rig rig) {
        return SongFile.read(text, rig);
    }
}
