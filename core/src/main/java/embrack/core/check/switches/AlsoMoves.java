package embrack.core.check.switches;

import embrack.core.check.remedy.OtherHardware;
import embrack.core.check.remedy.OtherNumber;
import embrack.core.check.remedy.OwnChannel;
import embrack.core.check.remedy.Passage;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Remedies;
import embrack.core.check.rule.Rule;
import embrack.core.check.rule.RuleInfo;
import embrack.core.check.rule.Subject;
import embrack.core.check.rule.Topic;
import embrack.core.gear.Purpose;
import embrack.core.gear.SendChannel;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Blame;
import embrack.core.sim.Cause;
import embrack.core.word.Fact;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A message does something else too: another box hears it, or it means more to its box than was meant. */
final class AlsoMoves implements Rule {

    @Override
    public RuleInfo info() {
        return new RuleInfo(Topic.SWITCHES, "also-moves");
    }

    @Override
    public Stream<Finding> check(Subject subject) {
        Map<Reason, List<Blame>> byReason = Stream.concat(
                        subject.blamed(Cause.Overheard.class), subject.blamed(Cause.LearnedTwice.class))
                .filter(blame -> blame.control().isEmpty())
                .collect(Collectors.groupingBy(
                        blame -> reason(subject.plan(), blame), LinkedHashMap::new, Collectors.toList()));
        return byReason.entrySet().stream().map(e -> finding(subject, e.getKey().cause(), e.getValue()));
    }

    /** What is said once: boxes that share a channel, or one box by itself. */
    private record Reason(String cause, Optional<Channel> shared, Optional<DeviceId> hearer) {}

    private static Reason reason(Plan plan, Blame blame) {
        DeviceId hearer = blame.device();
        if (blame.cause() instanceof Cause.LearnedTwice) {
            return new Reason("learned-twice", Optional.empty(), Optional.of(hearer));
        }
        if (meantFor(blame).equals(hearer)) {
            return new Reason("means-more", Optional.empty(), Optional.of(hearer));
        }
        return !hearsAll(plan, hearer) && message(blame.cause()) instanceof Message.Voice voice
                ? new Reason("same-channel", Optional.of(voice.channel()), Optional.empty())
                : new Reason("all-channels", Optional.empty(), Optional.of(hearer));
    }

    private Finding finding(Subject subject, String cause, List<Blame> blames) {
        Plan plan = subject.plan();
        List<DeviceId> hearers =
                blames.stream().map(Blame::device).distinct().sorted().toList();
        List<Fact> parts = blames.stream()
                .map(Blame::place)
                .map(place -> new Fact.PartOf(place.device(), place.part()))
                .distinct()
                .sorted(Comparator.comparing((Fact.PartOf part) -> part.device())
                        .thenComparing(part ->
                                plan.rig().partName(part.device(), part.part()).text()))
                .<Fact>map(part -> part)
                .toList();
        List<DeviceId> others = blames.stream()
                .map(AlsoMoves::meantFor)
                .filter(other -> hearers.size() > 1 || !other.equals(hearers.getFirst()))
                .distinct()
                .toList();
        return found(subject.severity(blames))
                .blaming(plan, blames)
                .with("devices", hearers)
                .with("parts", parts)
                .with("others", others)
                .cause(cause)
                .with("message", subject.words(message(blames.getFirst().cause()), hearers.getFirst()))
                .mend(remedies(subject, hearers, others, blames))
                .made();
    }

    /** Other numbers, other channels, a way that is shut, a board with a channel for each message. */
    private static Remedies remedies(
            Subject subject, List<DeviceId> hearers, List<DeviceId> others, List<Blame> blames) {
        DeviceId device = hearers.getFirst();
        Plan plan = subject.plan();
        DeviceId sender = blames.getFirst().sender();
        List<Message> messages =
                blames.stream().map(blame -> message(blame.cause())).distinct().toList();
        List<DeviceId> both =
                Stream.concat(hearers.stream(), others.stream()).distinct().toList();
        Remedies numbers = OtherNumber.instead(plan, both, messages);
        if (others.isEmpty()) {
            return numbers;
        }
        Remedies channels = OwnChannel.of(plan, hearsAll(plan, device) ? others : both);
        Remedies board = plan.boards().contains(sender)
                ? OtherHardware.instead(plan, sender, b -> b.sendChannel() == SendChannel.EACH_MESSAGE)
                : Remedies.NONE;
        return numbers.or(channels)
                .or(Passage.shut(subject.ways(), sender, device, messages.getFirst()))
                .or(board);
    }

    private static DeviceId meantFor(Blame blame) {
        return blame.cause() instanceof Cause.Overheard overheard ? overheard.meantFor() : blame.device();
    }

    private static Message message(Cause cause) {
        return switch (cause) {
            case Cause.Overheard overheard -> overheard.message();
            case Cause.LearnedTwice twice -> twice.message();
            default -> throw new IllegalStateException("no cause of this rule");
        };
    }

    private static boolean hearsAll(Plan plan, DeviceId device) {
        return plan.rig().model(device).implementation().quirks().hearsAllChannels()
                || plan.rig().setting(device, Purpose.RECEIVE_CHANNEL).isEmpty();
    }
}
