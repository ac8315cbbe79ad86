package embrack.core.send;

import embrack.core.chart.Action;
import embrack.core.gear.Purpose;
import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.midi.Message.NoteOn;
import embrack.core.midi.Message.ProgramChange;
import embrack.core.midi.Message.Voice;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.send.Asking.Result;
import embrack.core.word.Phrase;
import embrack.core.world.Hearing;
import java.util.List;
import java.util.Optional;

/** What may be wrong with a box that does not do what it is sent, as it is set in the plan. */
public sealed interface Mishap {

    /** It does nothing at all, whatever it is sent. {@code channel} on which it is to listen, 1 to 16. */
    record Deaf(int channel) implements Mishap {}

    /** It does other things, but not this one. */
    record NotThis() implements Mishap {}

    /** What it learned does nothing while this memory is loaded. */
    record NotWritten(int memory) implements Mishap {}

    /** Another part moved whose number is so much higher than the one that was sent. */
    record CountsOtherwise(int by) implements Mishap {}

    /** Another part moved, whose message is of another sort or unknown. */
    record OtherPart() implements Mishap {}

    /** The same part did something else than was meant. */
    record OtherWay() implements Mishap {}

    /** Another box obeys it too. {@code hearsAll} whether it listens to all channels. */
    record OtherBox(DeviceId box, boolean hearsAll) implements Mishap {}

    /** What an answer shows, in the light of the other answers of its box; empty where it was right. */
    static Optional<Mishap> of(Asking asking, Probe probe) {
        return asking.answer(probe).flatMap(answer -> switch (answer) {
            case Answer.Did did -> Optional.empty();
            case Answer.Nothing nothing -> Optional.of(nothing(asking, probe));
            case Answer.Other other -> Optional.of(other(asking.probes(), probe, other));
        });
    }

    private static Mishap nothing(Asking asking, Probe probe) {
        if (probe.memory().isPresent()) {
            return new NotWritten(probe.memory().getAsInt());
        }
        boolean anyHeard = asking.probes().of(probe.device()).stream()
                .anyMatch(other -> asking.answer(other)
                                .filter(answer -> !(answer instanceof Answer.Nothing))
                                .isPresent()
                        && asking.result(other) != Result.TO_DO);
        return anyHeard
                ? new NotThis()
                : new Deaf(
                        Probes.channel(asking.probes().plan(), probe.device()).number());
    }

    private static Mishap other(Probes probes, Probe probe, Answer.Other other) {
        Plan plan = probes.plan();
        if (!other.device().equals(probe.device())) {
            return new OtherBox(
                    other.device(),
                    plan.rig().find(other.device()).isPresent()
                            && Hearing.of(plan.rig(), other.device())
                                    .listensOn()
                                    .isEmpty());
        }
        if (other.part().equals(probe.action().part())) {
            return new OtherWay();
        }
        Action same =
                new Action(probe.action().verb(), other.part(), probe.action().amount());
        return probes.messagesFor(probe.device(), same)
                .flatMap(messages -> shift(probe.messages(), messages))
                .<Mishap>map(CountsOtherwise::new)
                .orElseGet(OtherPart::new);
    }

    private static Optional<Integer> shift(List<Message> sent, List<Message> others) {
        if (sent.size() != others.size()) {
            return Optional.empty();
        }
        Message one = sent.getLast();
        Message other = others.getLast();
        boolean sameSort = one.type() == other.type() && (numbered(one) || one instanceof ProgramChange);
        int by = other.data1() - one.data1();
        return sameSort && by != 0 ? Optional.of(by) : Optional.empty();
    }

    private static boolean numbered(Message message) {
        return message instanceof ControlChange
                || message instanceof NoteOn
                || message instanceof Voice voice && voice.isRelease();
    }

    /** In a sentence: what it is, and what to do at the box. */
    default Phrase words(Plan plan, Probe probe) {
        String box = plan.rig().name(probe.device()).text();
        Phrase phrase =
                switch (this) {
                    case Deaf deaf -> Phrase.of(Probe.ROOM, "mishap.deaf").with("channel", deaf.channel());
                    case NotWritten written ->
                        Phrase.of(Probe.ROOM, "mishap.not-written").with("memory", written.memory());
                    case NotThis no -> Phrase.of(Probe.ROOM, "mishap.not-this");
                    case CountsOtherwise counts ->
                        Phrase.of(Probe.ROOM, "mishap.counts-otherwise")
                                .with("by", Math.abs(counts.by()))
                                .with("side", counts.by() > 0 ? "lower" : "higher");
                    case OtherPart part -> Phrase.of(Probe.ROOM, "mishap.other-part");
                    case OtherWay way -> Phrase.of(Probe.ROOM, "mishap.other-way");
                    case OtherBox other ->
                        Phrase.of(Probe.ROOM, other.hearsAll() ? "mishap.hears-all" : "mishap.other-box")
                                .with(
                                        "other",
                                        plan.rig()
                                                .find(other.box())
                                                .map(d -> d.name().text())
                                                .orElse(""));
                };
        boolean learns =
                plan.rig().chart(probe.device()).lessonFor(probe.action()).isPresent();
        return phrase.with("box", box)
                .with("learns", learns ? "yes" : "no")
                .with(
                        "setting",
                        plan.rig()
                                        .setting(probe.device(), Purpose.RECEIVE_CHANNEL)
                                        .isPresent()
                                ? "yes"
                                : "no");
    }
}
