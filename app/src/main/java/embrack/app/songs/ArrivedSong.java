package embrack.app.songs;

import embrack.files.midi.MidiImport;
import java.util.List;

/**
 * A song that was read from a file and is not kept yet.
 *
 * @param mark by which it is found when it is kept
 * @param remarks what is left out or changed, in sentences
 */
record ArrivedSong(String mark, String title, int sections, int cues, List<String> remarks) {

    ArrivedSong {
        remarks = List.copyOf(remarks);
    }

    static ArrivedSong of(String mark, MidiImport read) {
        return new ArrivedSong(
                mark,
                read.song().title().text(),
                read.song().form().sections().size(),
                read.song().cues().size(),
                read.remarks());
    }
}
