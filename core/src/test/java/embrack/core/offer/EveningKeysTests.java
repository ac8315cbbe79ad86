package embrack.core.offer;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.edit.OrderEdit;
import embrack.core.edit.SongEdit;
import embrack.core.music.Key;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.show.Show;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Keys for an evening: related neighbours first, then the least shift, within the limit of the crew. */
class EveningKeysTests {

    /** Distances as the circle of fifths of any handbook of harmony has them; from memory. */
    @ParameterizedTest
    @CsvSource({"C, G, 1", "C, F, 1", "C, Am, 0", "D, Bm, 0", "C, F#, 6", "C, D, 2", "Em, G, 0", "Am, E, 4", "Eb, Bb, 1"
    })
    void howFarTwoKeysAreApart(String one, String other, int fifths) {
        assertThat(Key.parse(one).fifthsTo(Key.parse(other))).isEqualTo(fifths);
        assertThat(Key.parse(other).fifthsTo(Key.parse(one))).isEqualTo(fifths);
    }

    @ParameterizedTest(name = "{0} within {1}: {2}")
    @CsvSource({
        "C G D,     2, C G D",
        "C Db,      2, C C",
        "C Db,      0, C D\u266D",
        "D Ab E,    2, D A E",
        "C Am F,    2, C Am F",
        "C F# C,    1, C F C",
        "G,         2, G"
    })
    void proposed(String prepared, int limit, String keys) {
        assertThat(EveningKeys.of(plan(prepared).book(), show(plan(prepared)), limit).stream()
                        .map(proposal -> proposal.proposed().toString())
                        .collect(Collectors.joining(" ")))
                .isEqualTo(keys);
    }

    @Test
    void aProposalIsKeptSongBySongAndTakenBackByTheOwnKey() {
        Plan plan = plan("C Db");
        EveningKeys.Proposal second = EveningKeys.of(plan.book(), show(plan), 2).getLast();
        assertThat(second.isChange()).isTrue();
        assertThat(second.semitones()).isEqualTo(-1);
        Plan kept = new OrderEdit.PlayIn(show(plan).id(), second.entry().number(), "C").apply(plan);
        assertThat(EveningKeys.of(kept.book(), show(kept), 2)).noneMatch(EveningKeys.Proposal::isChange);
        Plan own = new OrderEdit.PlayIn(show(plan).id(), second.entry().number(), "Db").apply(kept);
        assertThat(show(own).order().getLast().key()).isEmpty();
        assertThatIllegalArgumentException().isThrownBy(() -> EveningKeys.of(plan.book(), show(plan), 7));
    }

    private static Show show(Plan plan) {
        return plan.book().tonight().orElseThrow();
    }

    private static Plan plan(String keys) {
        StringBuilder songs = new StringBuilder();
        for (String key : keys.strip().split(" ")) {
            songs.append("Song ")
                    .append(songs.length())
                    .append(", ")
                    .append(key)
                    .append('\n');
        }
        return new SongEdit.SetList(songs.toString()).apply(Plan.empty(new TapeLabel("Keys")));
    }
}
