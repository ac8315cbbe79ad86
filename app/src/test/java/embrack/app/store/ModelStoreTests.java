package embrack.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import embrack.app.AppTest;
import embrack.app.store.crew.CrewId;
import embrack.core.chart.Chart;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.gear.Implementation;
import embrack.core.gear.Model;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@AppTest
class ModelStoreTests {

    @Autowired
    private ModelStore models;

    @Autowired
    private RigStore rigs;

    @Test
    void everyChangeIsARevisionAndNoChangeIsNone() {
        Model kept = models.create(CrewId.FIRST, Hand.ANY, named("Spare mixer"), "New");
        assertThat(kept.id().text()).startsWith("spare-mixer");
        Model changed = kept.withImplementation(
                Implementation.of(Chart.of("# mine\nmute Main: cc 1 over 63\nopen Main: cc 1 under 64")));
        models.save(CrewId.FIRST, changed, 1, "Change the chart", List.of(), Hand.ANY);
        models.save(CrewId.FIRST, changed, 2, "Change nothing", List.of(), Hand.ANY);
        assertThat(models.revisions(CrewId.FIRST, kept.id()))
                .extracting(r -> r.n() + " " + r.summary())
                .containsExactly("2 Change the chart", "1 New");
        assertThat(models.find(CrewId.FIRST, kept.id().text())).contains(changed);
        assertThat(models.revisions(CrewId.FIRST, kept.id()).getLast().doc()).isEqualTo(kept);
    }

    @Test
    void idsAndNamesAreNeverGivenTwice() {
        Model one = models.create(CrewId.FIRST, Hand.ANY, named("Twice"), "New");
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> models.create(CrewId.FIRST, Hand.ANY, named("tWICE"), "New"))
                .withMessageContaining("already a model");
        Model two = models.createNumbered(CrewId.FIRST, Hand.ANY, named("Twice"), "New");
        assertThat(one.id()).isNotEqualTo(two.id());
        models.delete(CrewId.FIRST, two.id());
        assertThat(models.find(CrewId.FIRST, two.id().text())).isEmpty();
        assertThat(models.createNumbered(CrewId.FIRST, Hand.ANY, named("Twice"), "New")
                        .id())
                .isNotIn(one.id(), two.id());
        models.restore(CrewId.FIRST, two.id());
        assertThat(models.find(CrewId.FIRST, two.id().text())).contains(two);
        assertThat(models.createNumbered(CrewId.FIRST, Hand.ANY, Library.RACK_MIXER, "Copy")
                        .id())
                .isNotEqualTo(Library.RACK_MIXER.id());
        assertThat(models.createNumbered(CrewId.FIRST, Hand.ANY, named("tWICE"), "Copy")
                        .name()
                        .text())
                .isEqualTo("tWICE 3");
        assertThatExceptionOfType(NoSuchModel.class)
                .isThrownBy(() -> models.save(CrewId.FIRST, Library.RACK_MIXER, 1, "ships", List.of(), Hand.ANY));
        assertThatExceptionOfType(NoSuchModel.class)
                .isThrownBy(() -> models.delete(CrewId.FIRST, Library.RACK_MIXER.id()));
    }

    @Test
    void onlyTheNewestRevisionOfARigCountsForItsUse() {
        Model kept = models.create(CrewId.FIRST, Hand.ANY, named("Counted"), "New");
        RigId rig = rigs.create(Plan.empty(new TapeLabel("Uses it")), "New rig");
        assertThat(rigs.using(CrewId.FIRST, kept.id())).isEmpty();
        rigs.edit(rig, Hand.ANY, new GearEdit.AddDevice("Mixer", kept));
        assertThat(rigs.using(CrewId.FIRST, kept.id()))
                .extracting(StoredRig::id)
                .containsExactly(rig);
        rigs.undo(rig, Hand.ANY);
        assertThat(rigs.using(CrewId.FIRST, kept.id())).isEmpty();
    }

    /** A change made from an old picture is refused, and then no rig follows it either; else all do or none. */
    @Test
    void aChangeAndTheRigsThatFollowItAreOne() {
        Model kept = models.create(CrewId.FIRST, Hand.ANY, named("Followed"), "New");
        List<RigId> two = List.of(using(kept), using(kept));
        Model first = kept.withImplementation(
                Implementation.of(Chart.of("# mine\nmute Main: cc 1 over 63\nopen Main: cc 1 under 64")));
        Model second = kept.withImplementation(
                Implementation.of(Chart.of("# other\nmute Main: cc 2 over 63\nopen Main: cc 2 under 64")));
        models.save(CrewId.FIRST, first, 1, "First", two, Hand.ANY);
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() -> models.save(CrewId.FIRST, second, 1, "Second", two, Hand.ANY))
                .withMessageContaining("revision 2 meanwhile (First)");
        assertThat(two)
                .allSatisfy(
                        rig -> assertThat(rigs.load(rig).plan().rig().models()).containsExactly(first));
        RigId without = rigs.create(Plan.empty(new TapeLabel("Without")), "New rig");
        assertThatExceptionOfType(Refused.class)
                .isThrownBy(() ->
                        models.save(CrewId.FIRST, second, 2, "Second", List.of(two.getFirst(), without), Hand.ANY));
        assertThat(rigs.load(two.getFirst()).plan().rig().models()).containsExactly(first);
        assertThat(models.find(CrewId.FIRST, kept.id().text())).contains(first);
    }

    private RigId using(Model model) {
        RigId rig = rigs.create(Plan.empty(new TapeLabel("Follows")), "New rig");
        rigs.edit(rig, Hand.ANY, new GearEdit.AddDevice("Mixer", model));
        return rig;
    }

    private static Model named(String name) {
        return Library.RACK_MIXER.copied(Library.RACK_MIXER.id(), new TapeLabel(name));
    }
}
