package embrack.core.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.check.Report;
import embrack.core.edit.SwitchEdit;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.When;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class CueSheetTests {

    private final Plan plan = Evening.sketch()
            .foot("lanterns", "23|1", "foot-board 4")
            .cues("lanterns", "on stop = guitar-sounds off:loop-1")
            .edit(new SwitchEdit.NameSwitch(Sketch.at("foot-board 4"), "Lanterns low"))
            .plan();

    private CueSheet sheet(Plan of, String device) {
        Song song = of.book().song(new SongId("lanterns"));
        return CueSheet.of(
                Report.of(of), song, device.isEmpty() ? Optional.empty() : Optional.of(new DeviceId(device)));
    }

    @Test
    void everybodysSheetGoesFromLoadToStop() {
        CueSheet sheet = sheet(plan, "");
        assertThat(sheet.title()).isEqualTo("Lanterns");
        assertThat(sheet.facts()).isEqualTo("in D, 92, 4/4, 2:29");
        assertThat(sheet.rows().stream()
                        .map(row -> "%s/%s/%s/%s/%s"
                                .formatted(
                                        place(row.when()),
                                        row.when().clock(),
                                        row.section(),
                                        row.device(),
                                        row.what())))
                .containsExactly(
                        "on load///Lantern desk/recall Scene 1",
                        "on load///Guitar sounds/select Patch 1",
                        "19/0:46.957/Refrain 1/Lantern desk/recall Scene 4",
                        "19/0:46.957//Guitar sounds/select Patch 2",
                        "23/0:57.391//Foot board/press switch 4, Lanterns low",
                        "27/1:07.826/Bridge/Lantern desk/recall Scene 2",
                        "43/1:45.130/Last refrain/Lantern desk/recall Scene 6",
                        "on stop///Guitar sounds/switch off Loop 1");
    }

    private static String place(CueSheet.When when) {
        return when.at() + when.bar() + when.beat();
    }

    /** The person at one device reads what it does, the presses that work it among them. */
    @Test
    void thePersonAtOneDeviceReadsThatAlone() {
        assertThat(sheet(plan, "lantern-desk").rows())
                .hasSize(5)
                .extracting(CueSheet.Row::device)
                .containsOnly("Lantern desk", "Foot board");
        assertThat(sheet(plan, "guitar-sounds").rows())
                .extracting(row -> place(row.when()))
                .containsExactly("on load", "19", "on stop");
        assertThat(sheet(plan, "old-desk").rows()).isEmpty();
    }

    @Test
    void whatEverySongSendsStandsOnEverySheet() {
        Cue play = new Cue(
                1,
                new Anchor.Automatic(When.PLAY),
                List.of(Sketch.stepOf("old-desk recall:bank-2").withWait(40)));
        Plan always = plan.withBook(plan.book().withAlways(List.of(play)));
        assertThat(sheet(always, "old-desk").rows())
                .extracting(row -> place(row.when()), CueSheet.Row::what)
                .containsExactly(tuple("on play", "recall Bank 2, 40 ms later"));
    }
}
