package embrack.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.run.text.BillText;
import embrack.core.run.text.OutcomeText;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import embrack.core.world.Event.Fate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What single mishaps and bad nights do to an evening. */
class MishapTests {

    private static final int LANTERNS = 1;

    private final Plan plan = Evening.sketch()
            .step("foot-board 1: lantern-desk recall:scene-3", "foot-board 2: vocal-mixer mute:input-1")
            .plan();
    private final Night night = Night.of(Report.of(plan));

    /** A fault inside the first song, whether the audience sees anything of it, and whether it lasts. */
    static Stream<Arguments> mishaps() {
        Plan plan = Evening.plan();
        var toLights = Sketch.on(plan).linkOf("thru-box.thru-1 > lantern-desk.in");
        var toMixer = Sketch.on(plan).linkOf("thru-box.thru-3 > vocal-mixer.in");
        var board = new DeviceId("foot-board");
        return Stream.of(
                // Scene 4 is called at bar 19 and gets lost; Scene 2 at the bridge as well, and so on to the end.
                Arguments.of("the lights' cable", new Fault.LinkOut(toLights, 0), true, true),
                // Nothing is sent to the mixer in any song.
                Arguments.of("the mixer's cable", new Fault.LinkOut(toMixer, 0), false, false),
                // The load of the song has been; the next message over the link is the scene at bar 19.
                Arguments.of("one message to the lights", new Fault.Slip(toLights, Fate.LOST), true, false),
                Arguments.of("a scene by mistake", new Fault.Misstep(new SwitchAt(board, 1, 1)), true, false),
                Arguments.of("the board is dead, and nobody needs it", new Fault.BoxOut(board, 0), false, false));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("mishaps")
    void whatComesOfAMishapIsSeenUntilSomethingMendsIt(String name, Fault fault, boolean isSeen, boolean isLasting) {
        Mishaps mishaps = new Mishaps(night);
        Mishap inside = mishaps.of(fault).stream()
                .filter(mishap -> mishap.part() == LANTERNS && !mishap.isAtJoin())
                .findFirst()
                .orElseThrow();
        Aftermath aftermath = mishaps.tried(inside).aftermath();
        assertThat(aftermath.seenMicros() > 0).as("seen").isEqualTo(isSeen);
        assertThat(aftermath.isLasting()).as("lasting").isEqualTo(isLasting);
        assertThat(aftermath.seenMicros()).isLessThanOrEqualTo(Aftermath.LOOKED_AT_MICROS);
        assertThat(aftermath.isAny()).isEqualTo(isSeen);
        assertThat(mishaps.tried(inside).aftermath()).isEqualTo(aftermath);
    }

    /** Each fault is tried in every part that is long enough, and before the end of every part. */
    @Test
    void everyFaultIsTriedInEveryPartAndAtEveryJoin() {
        Mishaps mishaps = new Mishaps(night);
        Fault fault = Mishaps.faults(plan).getFirst();
        assertThat(mishaps.of(fault).stream().filter(Mishap::isAtJoin).map(Mishap::part))
                .containsExactly(0, 1, 2, 3, 4);
        assertThat(mishaps.of(fault))
                .allSatisfy(mishap -> assertThat(mishaps.tried(mishap).mishap()).isEqualTo(mishap));
        List<Fault> faults = Mishaps.faults(plan);
        assertThat(faults)
                .hasSize(2 * plan.rig().links().size() + plan.rig().devices().size() + 4);
    }

    /** What was tried is kept as text and comes back equal; what would help is known at the worst moment alone. */
    @Test
    void whatComesOfThingsIsWrittenAndReadBack() {
        Mishaps mishaps = new Mishaps(night);
        var toLights = Sketch.on(plan).linkOf("thru-box.thru-1 > lantern-desk.in");
        for (Fault fault : mishaps.faults()) {
            List<Outcome> outcomes = mishaps.outcomes(fault);
            assertThat(outcomes).hasSameSizeAs(mishaps.of(fault));
            String text = OutcomeText.write(outcomes);
            assertThat(OutcomeText.read(plan.rig(), text)).contains(outcomes);
            assertThat(outcomes.stream().filter(one -> !one.helps().isEmpty()))
                    .as(text)
                    .allMatch(one -> Outcome.BY_HARM.compare(
                                    one, outcomes.stream().max(Outcome.BY_HARM).orElseThrow())
                            == 0)
                    .hasSizeLessThanOrEqualTo(1);
        }
        assertThat(mishaps.outcomes(new Fault.LinkOut(toLights, 0)))
                .anyMatch(one -> one.helps().contains(new Act.Repaired(new Event.LinkBack(toLights))));
        for (String broken : List.of("1 2", "1 2 3 loud", "1 2 3; press nowhere.1.1", "-1 2 3", "x")) {
            assertThat(OutcomeText.read(plan.rig(), broken)).as(broken).isEmpty();
        }
        Map<Rates.Sort, Double> rates = new EnumMap<>(Rates.Sort.class);
        List.of(Rates.Sort.values()).forEach(sort -> rates.put(sort, 1.0));
        BadNights bad = new BadNights(night, new Rates(rates));
        BadNights.Bill bill =
                LongStream.range(0, 12).mapToObj(bad::of).reduce(BadNights.Bill.NOTHING, BadNights.Bill::and);
        assertThat(bill.nights()).isEqualTo(12);
        assertThat(bill.worst()).isNotEmpty();
        assertThat(BillText.read(plan.rig(), BillText.write(bill))).contains(bill);
        String head = "1 nights, 1 noticed, 1 faults";
        for (String broken : List.of("", "nights", head + "\n1 2", head + "\n1 2 astray", head + "\n1 2 overrun 3")) {
            assertThat(BillText.read(plan.rig(), broken)).as(broken).isEmpty();
        }
    }

    /** Where nothing goes wrong nothing is noticed, and what goes wrong is as often as it was said to be. */
    @Test
    void badNightsAreAsBadAsTheirRates() {
        Map<Rates.Sort, Double> rates = new EnumMap<>(Rates.Sort.class);
        BadNights good = new BadNights(night, new Rates(rates));
        assertThat(good.of(1)).isEqualTo(new BadNights.Bill(Map.of(), Map.of(), 0, 1, 0));
        rates.put(Rates.Sort.OVERRUN, 0.5);
        rates.put(Rates.Sort.CABLE, 1.0);
        BadNights bad = new BadNights(night, new Rates(rates));
        List<History.Done> all = new ArrayList<>();
        int nights = 400;
        LongStream.range(0, nights).forEach(seed -> {
            assertThat(bad.drawn(seed)).isEqualTo(bad.drawn(seed));
            all.addAll(bad.drawn(seed));
        });
        // One talk; the mean of a Poisson distribution is its parameter, its deviation the root of it (Knuth, The Art
        // of Computer Programming, volume 2, 3.4.1): five of these are allowed.
        long overruns = all.stream()
                .filter(done -> done.act() instanceof Act.Struck struck && struck.fault() instanceof Fault.Overrun)
                .count();
        assertThat((double) overruns).isCloseTo(0.5 * nights, within(5 * Math.sqrt(0.5 * nights)));
        BadNights.Bill sum = bad.of(3).and(bad.of(4));
        assertThat(sum.faults()).isEqualTo(bad.drawn(3).size() + bad.drawn(4).size());
        assertThat(sum.worst())
                .allSatisfy(culprit -> assertThat(sum.micros(culprit)).isPositive());
        assertThat(bad.of(3)).isEqualTo(bad.of(3));
    }

    /** Where one sort of thing goes wrong alone, what is noticed is put down to that: never to the plan. */
    @ParameterizedTest
    @CsvSource({"CABLE, OfLink", "BOX, OfBox", "MESSAGE, OfLink", "MISSTEP, OfSwitch"})
    void whatIsNoticedIsPutDownToWhatWentWrong(Rates.Sort sort, String culprit) {
        Night pressed = Night.of(Report.of(Evening.sketch()
                .step("foot-board 1: lantern-desk recall:scene-3", "foot-board 2: vocal-mixer mute:input-1")
                .foot("ebb", "9|1", "foot-board 2")
                .plan()));
        BadNights bad = new BadNights(pressed, new Rates(Map.of(sort, sort.isByHour() ? 3.0 : 2.0)));
        BadNights.Bill bill =
                LongStream.range(0, 8).mapToObj(bad::of).reduce(BadNights.Bill.NOTHING, BadNights.Bill::and);
        assertThat(bill.faults()).isPositive();
        assertThat(bill.worst())
                .isNotEmpty()
                .allSatisfy(one -> assertThat(one.getClass().getSimpleName()).isEqualTo(culprit));
    }
}
