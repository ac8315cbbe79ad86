package embrack.core.show;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.music.Position;
import embrack.core.name.TapeLabel;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CueMergeTests {

    /** Cues as number and bar; of the song, of the list, then what comes of it. */
    @ParameterizedTest(name = "{0} {2}")
    @CsvSource({
        "UPDATE,  1@1 2@2 3@3, 2@9,         1@1 2@9 3@3,             '',  2,  ''",
        "REPLACE, 1@1 2@2 3@3, 2@9,         2@9,                     '',  2,  1 3",
        "ADD,     1@1 2@2 3@3, 2@9,         1@1 2@2 3@3 8@9,         8,   '', ''",
        "UPDATE,  1@1 2@2,     1@1 2@2,     1@1 2@2,                 '',  '', ''",
        "REPLACE, 1@1 2@2,     2@2 1@1,     1@1 2@2,                 '',  '', ''",
        "UPDATE,  1@1,         5@5 10@6,    1@1 8@5 9@6,             8 9, '', ''",
        "UPDATE,  1@1 2@2,     2@3 2@4,     1@1 2@3 8@4,             8,   2,  ''",
        "REPLACE, 1@1,         '',          '',                      '',  '', 1"
    })
    void cuesAreTakenByTheirNumbers(
            CueMerge.How how, String song, String list, String merged, String added, String changed, String gone) {
        CueMerge merge = CueMerge.of(
                new Song(
                        new SongId("any"),
                        new TapeLabel("Any"),
                        1,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Song.Trims.NONE,
                        0,
                        Form.UNKNOWN,
                        List.of(),
                        "",
                        Optional.empty(),
                        cues(song),
                        7),
                cues(list),
                how);
        assertThat(words(merge.song().cues())).isEqualTo(merged);
        assertThat(numbers(merge.added())).isEqualTo(added);
        assertThat(numbers(merge.changed().stream().map(CueMerge.Changed::after).toList()))
                .isEqualTo(changed);
        assertThat(numbers(merge.gone())).isEqualTo(gone);
    }

    private static List<Cue> cues(String words) {
        return Arrays.stream(words.split(" "))
                .filter(word -> !word.isEmpty())
                .map(word -> word.split("@"))
                .map(cue -> new Cue(
                        Integer.parseInt(cue[0]),
                        new Anchor.OnBar(Position.bar(Integer.parseInt(cue[1]))),
                        List.of(Sketch.stepOf("desk recall:scene-1"))))
                .toList();
    }

    private static String words(List<Cue> cues) {
        return cues.stream()
                .map(cue -> cue.number() + "@" + ((Anchor.OnBar) cue.at()).at().bar())
                .collect(Collectors.joining(" "));
    }

    private static String numbers(List<Cue> cues) {
        return cues.stream().map(cue -> String.valueOf(cue.number())).collect(Collectors.joining(" "));
    }
}
