package embrack.app.run;

import embrack.app.frame.Mark;
import embrack.app.frame.Spoken;
import embrack.core.check.rule.Severity;
import embrack.core.music.Clock;
import embrack.core.plan.Plan;
import embrack.core.run.BadNights;
import embrack.core.run.BadNights.OfBox;
import embrack.core.run.BadNights.OfLink;
import embrack.core.run.BadNights.OfPart;
import embrack.core.run.BadNights.OfPlan;
import embrack.core.run.BadNights.OfSwitch;
import embrack.core.run.Fault;
import embrack.core.run.Night;
import embrack.core.run.Outcome;
import embrack.core.run.Rates;
import embrack.core.run.Telling;
import embrack.core.word.Wording;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What can go wrong in a night, and what comes of it.
 *
 * @param singles every single thing, the worst first; none while they are tried
 * @param tried how many moments were tried, and at how many the audience noticed something
 * @param rates how often things go wrong
 * @param culprits what bad nights were put down to, the worst first
 * @param nights "1000 nights from seed 1: something was noticed in 312 of them"
 * @param isOld whether the plan has changed since
 */
record ForesightPage(
        Optional<Working> singlesWorking,
        List<Group> singles,
        String tried,
        List<RateRow> rates,
        Optional<Working> nightsWorking,
        List<CulpritRow> culprits,
        String nights,
        boolean isOld) {

    private static final double MICROS = 1e6;

    /** How far something is that is worked out; {@code isGoing} until it is done or ended. */
    record Working(int done, int all, boolean isGoing, boolean hasFailed) {

        /** Whether all of it is known. */
        public boolean isWhole() {
            return done >= all;
        }

        static Working of(Foresight.Progress progress) {
            return new Working(progress.done(), Math.max(1, progress.all()), !progress.isDone(), progress.hasFailed());
        }
    }

    /** Things of one sort that go wrong. */
    record Group(String words, List<Single> rows) {}

    /**
     * One thing that goes wrong.
     *
     * @param noticed at how many of its moments the audience noticed it: "8 of 26 moments"
     * @param worst the worst of them: "2:10 heard, in Rope and Kettle"
     * @param advice what brings it back there
     */
    record Single(String words, Mark mark, String noticed, String worst, String advice, List<Moment> moments) {}

    /** A moment of one: where, and what came of it. */
    record Moment(String where, String what) {}

    /** How often a sort of thing goes wrong. {@code usual} by common practice. */
    record RateRow(String sort, String words, String per, String rate, String usual) {}

    /** What bad nights were put down to; times in a thousand nights. */
    record CulpritRow(String words, String heard, String seen) {}

    static ForesightPage of(
            Optional<Foresight.Singles> singles, Optional<Foresight.Drawn> nights, Rates rates, int revision) {
        boolean isOld = singles.filter(one -> one.revision() != revision).isPresent()
                || nights.filter(one -> one.revision() != revision).isPresent();
        return new ForesightPage(
                singles.map(one -> Working.of(one.progress())),
                singles.filter(one -> one.progress().isDone())
                        .map(one -> groups(one.night(), one.tried()))
                        .orElse(List.of()),
                singles.map(one -> tried(one.tried())).orElse(""),
                Stream.of(Rates.Sort.values()).map(sort -> rate(sort, rates)).toList(),
                nights.map(one -> Working.of(one.progress())),
                nights.map(ForesightPage::culprits).orElse(List.of()),
                nights.map(ForesightPage::words).orElse(""),
                isOld);
    }

    private static String tried(Map<Fault, List<Foresight.Tried>> tried) {
        List<Foresight.Tried> all =
                tried.values().stream().flatMap(List::stream).toList();
        return "%d things, each at every join and inside every part: %d trials, %d of them noticed by the audience."
                .formatted(
                        tried.size(),
                        all.size(),
                        all.stream().filter(ForesightPage::isNoticed).count());
    }

    private static boolean isNoticed(Foresight.Tried tried) {
        return tried.outcome().noticedMicros() > 0;
    }

    private static List<Group> groups(Night night, Map<Fault, List<Foresight.Tried>> tried) {
        Plan plan = night.plan();
        Wording wording = Spoken.of(plan);
        var telling = new Telling(night);
        List<Group> groups = new ArrayList<>();
        for (String sort : List.of("A box is out", "A link is out", "A message gets lost", "A press too many")) {
            List<Single> rows = tried.entrySet().stream()
                    .filter(entry -> sort(entry.getKey()).equals(sort))
                    .sorted(Comparator.comparingLong(entry -> -badness(entry.getValue())))
                    .map(entry -> single(night, entry.getKey(), entry.getValue(), wording, telling))
                    .toList();
            if (!rows.isEmpty()) {
                groups.add(new Group(sort, rows));
            }
        }
        return groups;
    }

    /** The one of which the audience notices most, or which is wrong longest. */
    private static Optional<Foresight.Tried> worst(List<Foresight.Tried> tried) {
        return tried.stream().max(Comparator.comparing(Foresight.Tried::outcome, Outcome.BY_HARM));
    }

    private static String sort(Fault fault) {
        return switch (fault) {
            case Fault.BoxOut out -> "A box is out";
            case Fault.LinkOut out -> "A link is out";
            case Fault.Misstep step -> "A press too many";
            default -> "A message gets lost";
        };
    }

    private static long badness(List<Foresight.Tried> tried) {
        return worst(tried)
                .map(one -> 2 * one.outcome().noticedMicros() + (one.outcome().isAny() ? 1 : 0))
                .orElse(0L);
    }

    private static Single single(
            Night night, Fault fault, List<Foresight.Tried> tried, Wording wording, Telling telling) {
        long noticed = tried.stream().filter(ForesightPage::isNoticed).count();
        long any = tried.stream().filter(one -> one.outcome().isAny()).count();
        Optional<Foresight.Tried> worst =
                worst(tried).filter(one -> one.outcome().isAny());
        return new Single(
                wording.say(telling.fault(fault)),
                noticed > 0
                        ? Mark.of(Severity.STOPS, "noticed")
                        : any > 0
                                ? Mark.of(Severity.LOOK, "not noticed")
                                : new Mark("tick", "exact", "nothing comes of it"),
                noticed > 0 ? "%d of %d moments".formatted(noticed, tried.size()) : "",
                worst.map(one -> what(one.outcome()) + ", " + where(night, one)).orElse(""),
                worst.stream()
                        .flatMap(one -> one.outcome().helps().stream())
                        .map(act -> AdviceView.deed(night.plan(), act, wording).words())
                        .collect(Collectors.joining(", then ")),
                tried.stream()
                        .filter(one -> one.outcome().isAny())
                        .sorted(Comparator.comparingLong(one -> one.mishap().at()))
                        .map(one -> new Moment(where(night, one), what(one.outcome())))
                        .toList());
    }

    private static String where(Night night, Foresight.Tried tried) {
        String part = night.parts().get(tried.mishap().part()).entry().name().text();
        return tried.mishap().isAtJoin() ? "at the end of " + part : "in " + part;
    }

    private static String what(Outcome after) {
        List<String> words = new ArrayList<>();
        if (after.isSilent()) {
            words.add("nothing plays");
        }
        if (after.heardMicros() > 0) {
            words.add(lasts(after.heardMicros()) + " heard");
        }
        if (after.seenMicros() > 0) {
            words.add(lasts(after.seenMicros()) + " seen");
        }
        if (words.isEmpty()) {
            words.add(lasts(after.wrongMicros()) + " wrong, and not noticed");
        }
        if (after.isLasting()) {
            words.add("and still so after five minutes");
        }
        return String.join(", ", words);
    }

    private static String lasts(long micros) {
        return micros < 10 * MICROS ? String.format(Locale.ROOT, "%.1f s", micros / MICROS) : Clock.brief(micros);
    }

    private static RateRow rate(Rates.Sort sort, Rates rates) {
        return switch (sort) {
            case CABLE -> row(sort, rates, "a cable comes out, for a minute", "each cable, each hour");
            case AIR -> row(sort, rates, "a wireless or network link is gone, for 20 s", "each such link, each hour");
            case BOX ->
                row(sort, rates, "a box hangs or goes out, and is on again after half a minute", "each box, each hour");
            case MESSAGE -> row(sort, rates, "a message gets lost", "each link, each hour");
            case STUTTER -> row(sort, rates, "messages come late over the air, for 10 s", "each such link, each hour");
            case MISSTEP -> row(sort, rates, "somebody presses another switch", "each planned press");
            case OVERRUN -> row(sort, rates, "somebody speaks for five minutes longer", "each spoken part");
        };
    }

    private static RateRow row(Rates.Sort sort, Rates rates, String words, String per) {
        return new RateRow(
                sort.name().toLowerCase(Locale.ROOT), words, per, number(rates.of(sort)), number(sort.usual()));
    }

    private static String number(double rate) {
        return BigDecimal.valueOf(rate).stripTrailingZeros().toPlainString();
    }

    private static String words(Foresight.Drawn nights) {
        return "%d nights from seed %d: %d things went wrong, and in %d nights the audience noticed something."
                .formatted(
                        nights.progress().done(),
                        nights.seed(),
                        nights.bill().faults(),
                        nights.bill().noticed());
    }

    private static List<CulpritRow> culprits(Foresight.Drawn nights) {
        Plan plan = nights.night().plan();
        BadNights.Bill bill = nights.bill();
        double thousand = 1_000.0 / Math.max(1, nights.progress().done());
        return bill.worst().stream()
                .map(culprit -> new CulpritRow(
                        name(nights.night(), plan, culprit),
                        seconds(bill.heardMicros().getOrDefault(culprit, 0L) * thousand),
                        seconds(bill.seenMicros().getOrDefault(culprit, 0L) * thousand)))
                .toList();
    }

    private static String seconds(double micros) {
        return micros == 0 ? "" : String.format(Locale.ROOT, "%.0f s", Math.ceil(micros / MICROS));
    }

    private static String name(Night night, Plan plan, BadNights.Culprit culprit) {
        return switch (culprit) {
            case OfLink link -> plan.rig().words(link.link());
            case OfBox box -> plan.rig().name(box.box()).text();
            case OfSwitch at -> plan.words(at.at()) + ", pressed by mistake";
            case OfPart part -> night.parts().get(part.part()).entry().name().text() + ", which took too long";
            case OfPlan planned -> "the plan itself";
        };
    }
}
