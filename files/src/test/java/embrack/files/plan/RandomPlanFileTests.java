package embrack.files.plan;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.RandomRigs;
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Ear;
import embrack.core.gear.PortId;
import embrack.core.gear.Route;
import embrack.core.gear.Sound;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.Link;
import embrack.core.rig.Traffic;
import embrack.core.way.Delay;
import embrack.files.RandomBooks;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class RandomPlanFileTests {

    /** Whatever is taken out of a rig, what hangs on it goes with it or somebody is told why not: no edit breaks. */
    @Test
    void everyLinkAndEveryBoxCanBeTakenAway() throws IOException {
        Plan plan = PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json")));
        for (Link link : plan.rig().links()) {
            assertThat(tried(plan, new WiringEdit.Disconnect(link.from(), link.to()))
                            .rig()
                            .links())
                    .doesNotContain(link)
                    .hasSizeBetween(
                            plan.rig().links().size() - 30, plan.rig().links().size() - 1);
            Plan taken = tried(
                    plan,
                    new WiringEdit.TakeTime(link.from().device(), link.to().device(), new Delay(9_000, 9_500, 9_900)));
            assertThat(taken.rig().links()).hasSameSizeAs(plan.rig().links());
            tried(taken, new WiringEdit.Measure(link.from(), link.to(), "2"));
            tried(taken, new WiringEdit.ForgetTime(link.from(), link.to()));
        }
        for (Device device : plan.rig().devices()) {
            Plan same = tried(
                    plan, new GearEdit.SwapHardware(device.id(), plan.rig().model(device.id())));
            assertThat(same.rig().links()).isEqualTo(plan.rig().links());
            assertThat(tried(plan, new GearEdit.RemoveDevice(device.id(), true))
                            .rig()
                            .find(device.id()))
                    .isEmpty();
            tried(plan, new WiringEdit.LiveIn(device.id(), Optional.empty()));
        }
    }

    /** Any rig, with gestures, treadles, numbers, lengths, sieves, feeds and pairs wherever they can be. */
    @RepeatedTest(60)
    void whateverCanBePlannedIsReadBackTheSame(RepetitionInfo repetition) {
        int seed = repetition.getCurrentRepetition();
        var random = new Random(seed);
        Plan plan = RandomRigs.withGestures(seed, 1 + seed % 14);
        for (Link link : plan.rig().links()) {
            plan = tried(
                    plan,
                    new WiringEdit.Measure(
                            link.from(), link.to(), "%d.%d".formatted(1 + random.nextInt(20), random.nextInt(10))));
            int least = random.nextInt(9_000);
            plan = tried(
                    plan,
                    new WiringEdit.TakeTime(
                            link.from().device(),
                            link.to().device(),
                            new Delay(least, least + random.nextInt(900), least + 900 + random.nextInt(9_000_000))));
        }
        for (Device device : plan.rig().devices()) {
            for (Route route : plan.rig().model(device.id()).sockets().routes().keySet()) {
                plan = tried(
                        plan,
                        new WiringEdit.Filter(
                                device.id(),
                                route,
                                random.nextBoolean(),
                                random.nextBoolean()
                                        ? EnumSet.of(Traffic.SYNC, Traffic.NOTES)
                                        : EnumSet.noneOf(Traffic.class),
                                random.nextBoolean() ? "3, 9" : "",
                                random.nextBoolean() ? "16" : ""));
            }
            for (PortId output : plan.rig().model(device.id()).outputs().stream()
                    .map(port -> port.id())
                    .toList()) {
                plan = tried(
                        plan,
                        new WiringEdit.Hear(
                                device.id(),
                                output,
                                EnumSet.of(Sound.values()[random.nextInt(5)]),
                                random.nextBoolean() ? EnumSet.allOf(Ear.class) : EnumSet.noneOf(Ear.class)));
            }
            for (Device other : plan.rig().devices()) {
                plan = tried(plan, new WiringEdit.StandIn(device.id(), Optional.of(other.id())));
            }
        }
        plan = plan.withBook(RandomBooks.of(random, plan));
        String text = PlanFile.write(plan);
        Plan read = PlanFile.read(text);
        assertThat(read).isEqualTo(plan);
        assertThat(PlanFile.write(read)).isEqualTo(text);
        assertThat(List.of(read.rig().hashCode(), read.rig().toString()))
                .isEqualTo(List.of(plan.rig().hashCode(), plan.rig().toString()));
    }

    private static Plan tried(Plan plan, Edit edit) {
        try {
            return edit.apply(plan);
        } catch (Refused refused) {
            assertThat(refused.words()).isNotBlank();
            return plan;
        }
    }
}
