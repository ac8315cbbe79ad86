package embrack.core.line;

import embrack.core.compile.Sending;
import embrack.core.gear.Purpose;
import embrack.core.line.Burst.At;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Message.Voice;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/** What is wrong with one task, by what came for it alone. */
final class Judging {

    /** A foot has let go by then. Common practice, no source. */
    static final long FOOT_MICROS = 400_000;

    /** A box and this computer together are no more exact than that, in ms and as a part. Common practice. */
    private static final int LEAST_MILLIS = 30;

    private static final double PART = 0.2;

    private final Plan plan;

    Judging(Plan plan) {
        this.plan = plan;
    }

    /** What is wrong; empty where all came as planned. */
    Optional<Amiss> of(Planned planned, List<Burst> came) {
        if (came.isEmpty()) {
            return Optional.of(new Amiss.Nothing());
        }
        Fit fit = Fit.of(planned, came);
        return fit.all() ? waits(planned, came) : Optional.of(wrong(planned, came, fit));
    }

    private Amiss wrong(Planned planned, List<Burst> came, Fit fit) {
        List<Message> content = came.get(fit.bursts()).content();
        List<Message> wanted = fit.wanted();
        if (fit.bursts() > 0) {
            List<Message> before = came.get(fit.bursts() - 1).content();
            boolean same = Likeness.same(before, content);
            if (planned.alternates() && same) {
                return new Amiss.NeverTurns();
            }
            if (!planned.up().isEmpty() && same) {
                return new Amiss.NoRelease(Planned.messages(planned.up()));
            }
            if (!planned.alternates() && planned.up().isEmpty() && Likeness.isOtherSide(wanted, content)) {
                return turns(came, fit.bursts());
            }
        } else if (Likeness.isOtherSide(wanted, content)
                && planned.up().isEmpty()
                && came.stream().anyMatch(burst -> Likeness.same(wanted, burst.content()))) {
            return turns(came, 1);
        }
        return unlike(wanted, content);
    }

    /** A value that comes and goes: with the foot, or at every second press. */
    private static Amiss turns(List<Burst> came, int at) {
        boolean withTheFoot =
                came.size() > at && came.get(at).fromMicros() - came.get(at - 1).untilMicros() < FOOT_MICROS;
        return withTheFoot ? new Amiss.Momentary() : new Amiss.Alternates();
    }

    /** What is wrong with the messages of one gesture. */
    private Amiss unlike(List<Message> wanted, List<Message> came) {
        if (Likeness.isTwice(wanted, came)) {
            return new Amiss.Doubled();
        }
        OptionalInt channel = Likeness.otherChannel(wanted, came);
        if (channel.isPresent()) {
            Channel on = new Channel(channel.getAsInt());
            return new Amiss.OnChannel(on, channel(wanted.getFirst()), listening(on));
        }
        OptionalInt shift = Likeness.shift(wanted, came);
        if (shift.isPresent()) {
            return new Amiss.OffBy(shift.getAsInt());
        }
        if (Likeness.isOtherSide(wanted, came)) {
            return new Amiss.WrongWay(came.getFirst(), wanted.getFirst());
        }
        if (Likeness.isOtherValue(wanted, came)) {
            return new Amiss.OtherValue(came.getFirst(), wanted.getFirst());
        }
        if (Likeness.isShuffled(wanted, came)) {
            return new Amiss.Order();
        }
        List<Message> extra = Likeness.without(came, wanted);
        if (extra.size() < came.size()) {
            return new Amiss.More(extra);
        }
        List<Message> missing = Likeness.without(wanted, came);
        if (missing.size() < wanted.size()) {
            return new Amiss.Fewer(missing);
        }
        if (Likeness.isOtherType(wanted, came)) {
            return new Amiss.OtherType(came.getFirst(), wanted.getFirst());
        }
        return new Amiss.Unlike(came);
    }

    private static Channel channel(Message message) {
        return message instanceof Voice voice ? voice.channel() : new Channel(Channel.FIRST);
    }

    private List<DeviceId> listening(Channel on) {
        return plan.rig().devices().stream()
                .map(device -> device.id())
                .filter(device -> plan.rig()
                        .setting(device, Purpose.RECEIVE_CHANNEL)
                        .filter(number -> number == on.number())
                        .isPresent())
                .toList();
    }

    /** The first pause that is not as long as planned. */
    private static Optional<Amiss> waits(Planned planned, List<Burst> came) {
        for (Burst burst : came) {
            for (List<Sending> sendings : List.of(planned.down(), planned.again(), planned.up())) {
                if (Likeness.same(Planned.messages(sendings), burst.content())) {
                    Optional<Amiss> waits = waits(sendings, burst.messages());
                    if (waits.isPresent()) {
                        return waits;
                    }
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<Amiss> waits(List<Sending> sendings, List<At> came) {
        for (int i = 1; i < sendings.size(); i++) {
            int planned = sendings.get(i).waitMillis();
            long millis = Math.round((came.get(i).micros() - came.get(i - 1).micros()) / 1_000.0);
            if (planned > 0 && Math.abs(millis - planned) > Math.max(LEAST_MILLIS, planned * PART)) {
                return Optional.of(new Amiss.Waits(millis, planned));
            }
        }
        return Optional.empty();
    }
}
