package embrack.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.plan.Plan;
import embrack.core.show.SongId;
import embrack.core.switches.Moment;
import org.junit.jupiter.api.Test;

/** Songs by their places in the player's list. */
class PlayersListTests {

    private static Sketch sketch() {
        return Evening.sketch()
                .step(
                        "foot-board 5: player jump:song-1",
                        "foot-board 6: player jump:song-2",
                        "foot-board 7: player jump:song-3")
                .then("foot-board 5", Moment.HOLD, "player jump:song-3");
    }

    @Test
    void aSongThatIsCutLeavesItsPlace() {
        Plan cut = new SongEdit.RemoveSong(new SongId("ebb")).apply(sketch().plan());
        assertThat(cut.book().songs())
                .extracting(song -> song.title().text(), song -> song.place())
                .containsExactly(tuple("Lanterns", 1), tuple("Slow boats", 3));
    }

    @Test
    void whatGoesToASongGoesAlongWhenSongsAreNumberedAnew() {
        Plan turned = new OrderEdit.MovePart(Evening.SHOW, 5, 2).apply(sketch().plan());
        Plan numbered = new SongEdit.NumberSongs(Evening.SHOW).apply(turned);
        assertThat(numbered.book().songs())
                .extracting(song -> song.title().text(), song -> song.place())
                .containsExactlyInAnyOrder(tuple("Slow boats", 1), tuple("Lanterns", 2), tuple("Ebb", 3));
        for (int foot = 5; foot <= 7; foot++) {
            assertThat(titles(numbered, foot)).isEqualTo(titles(turned, foot));
        }
        assertThat(new SongEdit.NumberSongs(Evening.SHOW).apply(numbered)).isEqualTo(numbered);
        Plan cut = new SongEdit.NumberSongs(Evening.SHOW)
                .apply(new SongEdit.RemoveSong(new SongId("ebb")).apply(sketch().plan()));
        assertThat(cut.book().song(new SongId("slow-boats")).place()).isEqualTo(2);
        assertThat(titles(cut, 7)).isEqualTo("Slow boats");
    }

    @Test
    void aShowThatIsGoneIsRefused() {
        Plan none = new OrderEdit.RemoveShow(Evening.SHOW).apply(sketch().plan());
        assertThatThrownBy(() -> new SongEdit.NumberSongs(Evening.SHOW).apply(none))
                .isInstanceOf(Refused.class);
    }

    private static String titles(Plan plan, int foot) {
        return plan.switches().at(Sketch.at("foot-board " + foot)).steps(Moment.PRESS).stream()
                .map(step -> plan.title(step).map(Object::toString).orElse("none"))
                .findFirst()
                .orElseThrow();
    }
}
