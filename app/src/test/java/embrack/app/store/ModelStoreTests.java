package embrack.app.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import embrack.app.AppTest;
import embrack.core.chart.Chart;
import embrack.core.gear.Answers;
import embrack.core.gear.Model;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.GearEdit;
import embrack.core.plan.Plan;
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
        Model kept = models.create(named("Spare mixer"), "New");
        assertThat(kept.id().text()).startsWith("spare-mixer");
        Model changed = kept.withAnswers(Answers.of(Chart.of("# mine\nmute Main: cc 1 over 63\nopen Main: cc 1 under 64")));
        models.save(changed, "Change the chart");
        models.save(changed, "Change nothing");
        assertThat(models.revisions(kept.id())).extracting(r -> r.n() + " " + r.summary()).containsExactly("2 Change the chart", "1 New");
        assertThat(models.find(kept.id().text())).contains(changed);
        assertThat(models.revisions(kept.id()).getLast().doc()).isEqualTo(kept);
    }

    @Test
    void idsAndNamesAreNeverGivenTwice() {
        Model one = models.create(named("Twice"), "New");
        Model two = models.create(named("Twice"), "New");
        assertThat(one.id()).isNotEqualTo(two.id());
        models.delete(two.id());
        assertThat(models.find(two.id().text())).isEmpty();
        assertThat(models.create(named("Twice"), "New").id()).isNotIn(one.id(), two.id());
        models.restore(two.id());
        assertThat(models.find(two.id().text())).contains(two);
        assertThat(models.create(Library.RACK_MIXER, "Copy").id()).isNotEqualTo(Library.RACK_MIXER.id());
        assertThat(models.freeName(new TapeLabel("tWICE")).text()).isEqualTo("tWICE 2");
        assertThatExceptionOfType(NoSuchModel.class).isThrownBy(() -> models.save(Library.RACK_MIXER, "ships"));
        assertThatExceptionOfType(NoSuchModel.class).isThrownBy(() -> models.delete(Library.RACK_MIXER.id()));
    }

    @Test
    void onlyTheNewestRevisionOfARigCountsForItsUse() {
        Model kept = models.create(named("Counted"), "New");
        RigId rig = rigs.create(Plan.empty(new TapeLabel("Uses it")), "New rig");
        assertThat(rigs.using(kept.id())).isEmpty();
        rigs.edit(rig, new GearEdit.AddDevice("Mixer", kept));
        assertThat(rigs.using(kept.id())).extracting(StoredRig::id).containsExactly(rig);
        rigs.undo(rig);
        assertThat(rigs.using(kept.id())).isEmpty();
    }

    private static Model named(String name) {
        return Library.RACK_MIXER.copied(Library.RACK_MIXER.id(), new TapeLabel(name));
    }
}
