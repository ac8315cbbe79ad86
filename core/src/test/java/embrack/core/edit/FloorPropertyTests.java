package embrack.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import embrack.core.RandomRigs;
import embrack.core.check.Report;
import embrack.core.effort.Swap;
import embrack.core.gear.ControlType;
import embrack.core.gear.Model;
import embrack.core.gear.library.Library;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.Progress;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import embrack.core.sheet.Sheets;
import embrack.core.switches.Assignment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** What holds of floor plans, swaps and sheets on any rig. */
class FloorPropertyTests {

    @Property(tries = 80)
    void exchangingTwiceAndCopyingAgainChangeNothing(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 3, max = 12) int boxes) {
        Plan plan = RandomRigs.withGestures(seed, boxes).settled();
        assumeThat(plan.boards()).isNotEmpty();
        var random = new Random(seed);
        SwitchAt one = any(plan, random);
        SwitchAt other = any(plan, random);
        Plan swapped = new FloorEdit.SwapSwitches(one, other).apply(plan);
        assertThat(swapped.switches().at(other))
                .isEqualTo(plan.switches().at(one).movedTo(other));
        assertThat(new FloorEdit.SwapSwitches(one, other).apply(swapped).switches())
                .isEqualTo(plan.switches());
        Plan copied = new FloorEdit.CopySwitches(List.of(one), other).apply(plan);
        assertThat(new FloorEdit.CopySwitches(List.of(one), other).apply(copied))
                .isEqualTo(copied);
        Plan moved = new FloorEdit.MoveSwitches(List.of(one), other).apply(plan);
        assertThat(steps(moved))
                .isEqualTo(steps(one.equals(other) ? plan : new FloorEdit.ClearSwitches(List.of(other)).apply(plan)));
    }

    /**
     * Other hardware keeps what it has room for, each switch with all that it does, and says how many it has no room
     * for.
     */
    @Property(tries = 60)
    void anotherBoardKeepsAsManySwitchesAsItHas(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 3, max = 12) int boxes) {
        Plan plan = RandomRigs.withGestures(seed, boxes).settled();
        assumeThat(plan.boards()).isNotEmpty();
        DeviceId board = plan.boards().getFirst();
        List<Model> candidates = Library.all().stream()
                .filter(model -> model.kind() == plan.rig().model(board).kind()
                        && model.board().isPresent())
                .toList();
        Model model = candidates.get(Math.floorMod(seed, candidates.size()));
        int planned = plan.switches().of(board).size();
        Swap swap = Swap.of(plan, board, model, 20);
        int kept = swap.after().switches().of(board).size();
        long free = IntStream.rangeClosed(1, swap.after().banks(board))
                .boxed()
                .flatMap(bank -> swap.after().pressedOn(board, bank).stream())
                .filter(at -> at.of().filter(of -> of == ControlType.KEY).isEmpty())
                .filter(at -> swap.after().switches().at(at).isBlank())
                .count();
        assertThat(kept).isLessThanOrEqualTo(planned);
        assertThat(kept < planned && free > 0).isFalse();
        assertThat(swap.after().switches().of(board).stream()
                        .map(a -> a.movedTo(new SwitchAt(board, 1, 1)).moments())
                        .toList())
                .allMatch(moments -> plan.switches().of(board).stream()
                        .anyMatch(a -> a.moments().equals(moments)));
        assertThat(swap.lost().stream().anyMatch(line -> line.startsWith("No room for")))
                .isEqualTo(planned > kept);
        assertThat(swap.fits()).isLessThanOrEqualTo((int) Report.of(swap.after()).proofs().stream()
                .filter(proof -> proof.at().board().equals(board))
                .count());
    }

    /**
     * Every line of every sheet has a key of its own; ticking all leaves nothing; any edit leaves just the lines that
     * differ.
     */
    @Property(tries = 60)
    void sheetsCanBeTickedLineByLine(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 3, max = 12) int boxes) {
        Plan plan = RandomRigs.withGestures(seed, boxes).settled();
        List<Sheet> sheets = Sheets.of(Report.of(plan));
        assertThat(sheets.stream().flatMap(Sheet::lines).map(Section.Line::key)).doesNotHaveDuplicates();
        assertThat(Progress.of(sheets, Progress.allOf(sheets)).left()).isEmpty();
        assumeThat(plan.boards()).isNotEmpty();
        Plan cleared = new SwitchEdit.ClearSwitch(any(plan, new Random(seed))).apply(plan);
        List<Sheet> after = Sheets.of(Report.of(cleared));
        Progress progress = Progress.of(after, Progress.allOf(sheets));
        List<String> before = sheets.stream()
                .flatMap(Sheet::lines)
                .map(line -> line.key() + line.words())
                .toList();
        assertThat(progress.left().stream().flatMap(Sheet::lines))
                .noneMatch(line -> before.contains(line.key() + line.words()));
        assertThat(progress.gone())
                .allMatch(tick -> after.stream()
                        .flatMap(Sheet::lines)
                        .noneMatch(line -> line.key().equals(tick.key())));
    }

    private static SwitchAt any(Plan plan, Random random) {
        DeviceId board = plan.boards().get(random.nextInt(plan.boards().size()));
        List<SwitchAt> places = plan.pressedOn(board, 1 + random.nextInt(plan.banks(board)));
        return places.get(random.nextInt(places.size()));
    }

    private static List<String> steps(Plan plan) {
        return plan.switches().assignments().stream()
                .map(Assignment::steps)
                .flatMap(List::stream)
                .map(Step::toString)
                .sorted()
                .toList();
    }
}
