package embrack.app.gear;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.check.Report;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Implementation;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.Progress;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class GearPageTests {

    private static final DeviceId BOX = new DeviceId("box");

    @Test
    void manyPartsAreFoldedUnlessTheyWearTape() {
        Plan plan = with("sounds-switcher");
        assertThat(detail(plan, Library.all()).families())
                .extracting(f -> f.words() + " " + f.isOpen())
                .containsExactly("Patch, 128 false", "Loop, 8 false", "Tuner, 1 false");
        Plan taped = new GearEdit.LabelPart(BOX, new PartId("loop-3"), "Delay").apply(plan);
        assertThat(detail(taped, Library.all()).families())
                .filteredOn(GearPage.Family::isOpen)
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.words()).isEqualTo("Loop, 8");
                    assertThat(f.parts().get(2)).isEqualTo(new GearPage.PartField("loop-3", "Loop 3", "Delay"));
                });
    }

    @Test
    void settingsShowWordsAndMemoriesTheirOwn() {
        GearPage.Detail keys = detail(with("keyboard-workstation"), Library.all());
        assertThat(keys.settings())
                .extracting(GearPage.SettingField::name)
                .containsExactly("MIDI receive channel", "Surface mode");
        assertThat(keys.settings().get(1))
                .isEqualTo(new GearPage.SettingField(
                        "surface-mode",
                        "Surface mode",
                        "internal",
                        "internal and external",
                        List.of("internal", "external")));
        assertThat(keys.inMemory())
                .extracting(GearPage.SettingField::name)
                .containsExactly("Zone 1 channel", "Zone 2 channel", "Zone 3 channel", "Zone 4 channel");
        assertThat(keys.noun()).isEqualTo("part");
    }

    @Test
    void aDescriptionThatDiffersFromTheModelsIsSaid() {
        Plan plan = with("rack-mixer-24");
        assertThat(detail(plan, Library.all()))
                .extracting(d -> d.made().isKnown(), d -> d.made().isOther())
                .containsExactly(true, false);
        Model other = Library.RACK_MIXER.withImplementation(
                Implementation.of(Chart.of("mute Main: cc 1 over 63\nopen Main: cc 1 under 64")));
        assertThat(detail(new GearEdit.ReplaceModel(other).apply(plan), Library.all()))
                .extracting(d -> d.made().isKnown(), d -> d.made().isOther())
                .containsExactly(true, true);
        assertThat(detail(plan, List.of()))
                .extracting(d -> d.made().isKnown(), d -> d.made().isOther())
                .containsExactly(false, false);
    }

    @Test
    void onlyHardwareOfTheSameKindCanTakeOver() {
        GearPage page = page(with("stage-mixer-12"), Library.all());
        assertThat(page.selected().orElseThrow().hardware())
                .extracting(GearPage.ModelChoice::id)
                .containsExactly("rack-mixer-24", "stage-mixer-12", "house-console-24");
        assertThat(page.library())
                .extracting(GearPage.ModelGroup::kind)
                .startsWith("floor board", "fader box")
                .doesNotHaveDuplicates();
        assertThat(page.library().stream().mapToInt(g -> g.models().size()).sum())
                .isEqualTo(Library.all().size());
    }

    private static GearPage.Detail detail(Plan plan, List<Model> models) {
        return page(plan, models).selected().orElseThrow();
    }

    private static GearPage page(Plan plan, List<Model> models) {
        return GearPage.of(Report.of(plan), Progress.of(List.of(), List.of()), models, Optional.of(BOX));
    }

    private static Plan with(String model) {
        return new GearEdit.AddDevice("Box", Library.find(new ModelId(model)).orElseThrow())
                .apply(Plan.empty(new TapeLabel("Rig")));
    }
}
