package embrack.app.order;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.order.OrderPage.Label;
import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.check.Report;
import embrack.core.edit.OrderEdit;
import embrack.core.gear.Ear;
import embrack.core.gear.Sound;
import embrack.core.plan.Plan;
import embrack.core.show.Item;
import embrack.core.show.Transition;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class OrderPageTests {

    private static OrderPage page(Plan plan, int part) {
        return OrderPage.of(Report.of(plan), plan.book().shows().getFirst(), part, "/order/first-evening");
    }

    private static OrderEdit tale(Transition.Way way, String time) {
        return new OrderEdit.DescribePart(
                Evening.SHOW,
                3,
                Item.TALK,
                "Tale",
                "10:00",
                "",
                way,
                time,
                "",
                "20:00",
                Optional.of(Sketch.at("foot-board 4")));
    }

    @Test
    void partsAreAsTallAsTheyLastAndNeverOverlap() {
        OrderPage page = page(
                Evening.sketch().edit(tale(Transition.Way.CROSSFADE, "0:04")).plan(), 3);
        List<Label> labels = page.strip().labels();
        for (int i = 0; i + 1 < labels.size(); i++) {
            assertThat(labels.get(i + 1).at().y())
                    .isGreaterThanOrEqualTo(
                            labels.get(i).at().y() + labels.get(i).at().height());
        }
        assertThat(labels.get(2).at().height()).isEqualTo(2 * labels.get(0).at().height());
        assertThat(labels)
                .extracting(l -> l.said().clock())
                .containsExactly("19:25:00", "19:30:00", "19:32:29", "19:42:25", "19:43:13");
        assertThat(labels.get(2))
                .extracting(
                        l -> l.over().words(),
                        l -> l.said().pad(),
                        Label::isChosen,
                        l -> l.said().facts())
                .containsExactly(
                        "crossfade 0:04", "pad in G, 20:00", true, "10:00, press Foot board, bank A, switch 4");
        assertThat(page.strip().height())
                .isGreaterThan(labels.getLast().at().y() + labels.getLast().at().height());
    }

    /** The line of the slot lies inside the part in which the time is up, or behind the last. */
    @Test
    void theSlotEndsWhereItsTimeIsUp() {
        OrderPage fits = page(Evening.plan(), 0);
        assertThat(fits.total().isTooLong()).isFalse();
        assertThat(fits.strip().slotEnd())
                .isGreaterThan(fits.strip().labels().getLast().at().y()
                        + fits.strip().labels().getLast().at().height());
        OrderPage tooLong = page(
                Evening.sketch()
                        .edit(new OrderEdit.DescribeShow(Evening.SHOW, "First evening", "", "19:30", "3:00"))
                        .plan(),
                0);
        Label tale = tooLong.strip().labels().get(2);
        assertThat(tooLong.total().isTooLong()).isTrue();
        assertThat(tooLong.strip().slotEnd())
                .isBetween(tale.at().y(), tale.at().y() + tale.at().height());
        assertThat(tooLong.strip().slotWords()).isEqualTo("slot ends 19:33:00");
        assertThat(tooLong.findings()).extracting(finding -> finding.code()).containsExactly("order.too-long");
        assertThat(page(
                                Evening.sketch()
                                        .edit(new OrderEdit.DescribeShow(Evening.SHOW, "First evening", "", "", ""))
                                        .plan(),
                                0)
                        .strip()
                        .slotEnd())
                .isNegative();
    }

    @Test
    void theChosenPartSaysWhichPadsLieUnderBothKeys() {
        OrderPage page = page(Evening.plan(), 3);
        assertThat(page.chosen().orElseThrow().keys())
                .isEqualTo("From D to G (+5): pads that lie under both: G, D, E and A");
        assertThat(page.chosen().orElseThrow().what().plays()).isFalse();
        assertThat(page(Evening.plan(), 99).chosen()).isEmpty();
    }

    @Test
    void theRosterMutesAndSaysWhoHearsTheRest() {
        Plan plan = Evening.sketch()
                .feed("computer.headphones-left", List.of(Sound.TRACKS), List.of(Ear.HOUSE, Ear.IN_EARS))
                .edit(new OrderEdit.SetRoster(Evening.SHOW, List.of("Drums")))
                .plan();
        OrderPage muted = page(plan, 0);
        assertThat(muted.playing().roster()).containsExactly(new OrderPage.Player("Drums", true));
        assertThat(muted.playing().stems())
                .extracting(OrderPage.StemRow::words)
                .containsExactly("muted, Drums plays it");
        OrderPage sounding = page(new OrderEdit.SetRoster(Evening.SHOW, List.of()).apply(plan), 0);
        assertThat(sounding.playing().stems())
                .extracting(OrderPage.StemRow::words)
                .containsExactly("sounds: Computer headphones-left to house and in-ears");
    }

    @Test
    void pressesAreCountedForEachSwitch() {
        Plan plan = Evening.sketch()
                .edit(tale(Transition.Way.HARD, ""))
                .foot("ebb", "4|1", "foot-board 4")
                .foot("ebb", "9|1", "foot-board 3")
                .plan();
        OrderPage page = page(plan, 0);
        assertThat(page.feet().presses())
                .containsExactly("Foot board, bank A, switch 3: 1×", "Foot board, bank A, switch 4: 2×");
        assertThat(page.feet().pressesInAll()).isEqualTo(3);
    }
}
