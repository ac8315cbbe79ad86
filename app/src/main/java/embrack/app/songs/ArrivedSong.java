package embrack.app.songs;

import embrack.core.name.Words;
import embrack.files.midi.MidiImport;
import java.util.List;

/**
 * A song that was read from a file and is not kept yet.
 *
 * @param holds how much of what
 * @param mark by which it is found when it is kept
 * @param remarks what is left out or changed, in sentences
 */
record ArrivedSong(String mark, String title, String holds, List<String> remarks) {

    ArrivedSong {
        remarks = List.copyOf(remarks);
    }

    static ArrivedSong of(String mark, MidiImport read) {
        return new ArrivedSong(
                mark,
                read.song().title().text(),
                Words.count(read.song().form().sections().size(), "section") + ", "
                        + Words.count(read.song().cues().size(), "cue"),
                read.remarks());
    }
}
