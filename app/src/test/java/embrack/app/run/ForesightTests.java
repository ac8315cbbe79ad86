package embrack.app.run;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.AppTest;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.core.run.BadNights;
import embrack.core.run.Fault;
import embrack.core.run.Mishaps;
import embrack.core.run.Night;
import embrack.core.run.Rates;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What is worked out in parts and kept as text is what would have come of it in one piece. */
@AppTest
class ForesightTests {

    @Autowired
    private RigStore rigs;

    @Autowired
    private Foresight foresight;

    @Test
    void everySingleFaultOfASmallRigIsAsIfItWereTriedHere() throws IOException {
        Plan plan = small();
        RigId id = rigs.create(plan, "Small");
        assertThat(foresight.singles(id)).isEmpty();
        foresight.trySingles(id);
        until(() -> foresight.singles(id).orElseThrow().progress().isDone());
        Foresight.Singles singles = foresight.singles(id).orElseThrow();
        var mishaps = new Mishaps(Night.of(Report.of(plan)));
        assertThat(singles.progress().hasFailed()).isFalse();
        assertThat(singles.tried().keySet()).containsExactlyElementsOf(mishaps.faults());
        for (Fault fault : mishaps.faults()) {
            List<Foresight.Tried> tried = singles.tried().getOrDefault(fault, List.of());
            assertThat(tried).extracting(Foresight.Tried::mishap).isEqualTo(mishaps.of(fault));
            assertThat(tried).extracting(Foresight.Tried::outcome).isEqualTo(mishaps.outcomes(fault));
        }
        // Asked again it is there.
        foresight.trySingles(id);
        assertThat(foresight.singles(id).orElseThrow().progress()).isEqualTo(singles.progress());
    }

    @Test
    void badNightsAreAsIfTheyWereDrawnHere() throws IOException {
        Plan plan = small();
        RigId id = rigs.create(plan, "Small");
        int count = 21;
        foresight.tryNights(id, 7, count);
        until(() -> foresight.nights(id).orElseThrow().progress().isDone());
        Foresight.Drawn drawn = foresight.nights(id).orElseThrow();
        var bad = new BadNights(Night.of(Report.of(plan)), Rates.usual());
        assertThat(drawn.seed()).isEqualTo(7);
        assertThat(drawn.progress().done()).isEqualTo(count);
        assertThat(drawn.bill())
                .isEqualTo(LongStream.range(7, 7 + count)
                        .mapToObj(bad::of)
                        .reduce(BadNights.Bill.NOTHING, BadNights.Bill::and));
    }

    /** Parts are together all nights, each once; what is kept about them is read back. */
    @ParameterizedTest
    @CsvSource({"1, 1, 1", "1, 8, 1", "5, 9, 2", "999999999, 1000, 125", "3, 16, 2"})
    void partsAreAllNightsOnce(long seed, int count, int parts) {
        var nights = new DrawnNights(seed, count, new Rates(Map.of(Rates.Sort.CABLE, 0.25, Rates.Sort.MISSTEP, 1e-6)));
        assertThat(nights.parts()).isEqualTo(parts);
        assertThat(IntStream.range(0, parts)
                        .boxed()
                        .flatMap(part -> LongStream.range(nights.first(part), nights.first(part + 1))
                                .boxed()))
                .containsExactlyElementsOf(
                        LongStream.range(seed, seed + count).boxed().toList());
        assertThat(nights.drawn(parts)).isEqualTo(count);
        DrawnNights read = DrawnNights.read(nights.written());
        assertThat(read.written()).isEqualTo(nights.written());
        for (Rates.Sort sort : Rates.Sort.values()) {
            assertThat(read.rates().of(sort)).isEqualTo(nights.rates().of(sort));
        }
    }

    private static Plan small() throws IOException {
        return PlanFile.read(Files.readString(Path.of("../docs/examples/walk.json")));
    }

    private static void until(BooleanSupplier is) {
        Instant end = Instant.now().plus(Duration.ofMinutes(3));
        while (!is.getAsBoolean()) {
            assertThat(Instant.now()).isBefore(end);
            try {
                Thread.sleep(50);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
    }
}
