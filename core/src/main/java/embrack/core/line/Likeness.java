package embrack.core.line;

import embrack.core.midi.Message;
import embrack.core.midi.Message.ControlChange;
import embrack.core.midi.Message.NoteOn;
import embrack.core.midi.Message.Voice;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.ToIntFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** How messages that came are like those that were planned. */
final class Likeness {

    /** Where what is sent for on begins on most boxes. Common practice, no source. */
    private static final int MIDDLE = 64;

    private Likeness() {}

    /** Whether they mean the same to who hears them: how hard a note is struck is of a foot, not of a plan. */
    static boolean same(Message one, Message other) {
        if (one.equals(other)) {
            return true;
        }
        return one instanceof Voice a
                && other instanceof Voice b
                && a.channel().equals(b.channel())
                && a.data1() == b.data1()
                && (a.isRelease() && b.isRelease() || isStruck(a) && isStruck(b));
    }

    static boolean same(List<Message> ones, List<Message> others) {
        return ones.size() == others.size()
                && IntStream.range(0, ones.size()).allMatch(i -> same(ones.get(i), others.get(i)));
    }

    private static boolean isStruck(Message message) {
        return message instanceof NoteOn && !message.isRelease();
    }

    /** Whether they are the other value of the same numbers: off for on, up for down. */
    static boolean isOtherSide(List<Message> planned, List<Message> came) {
        return pairwise(planned, came, Likeness::isOtherSide);
    }

    private static boolean isOtherSide(Message planned, Message came) {
        if (!sameAddress(planned, came)) {
            return false;
        }
        if (planned instanceof ControlChange a && came instanceof ControlChange b) {
            return a.value() < MIDDLE != b.value() < MIDDLE;
        }
        return planned instanceof Voice && planned.isRelease() != came.isRelease();
    }

    /** Whether only values differ, of whatever numbers. */
    static boolean isOtherValue(List<Message> planned, List<Message> came) {
        return pairwise(planned, came, Likeness::sameAddress);
    }

    /** The channel that all of it came on, where nothing but the channel differs. */
    static OptionalInt otherChannel(List<Message> planned, List<Message> came) {
        return pairwise(planned, came, Likeness::sameButChannel)
                ? uniform(came, Likeness::channel)
                : OptionalInt.empty();
    }

    private static boolean sameButChannel(Message planned, Message came) {
        return planned instanceof Voice a
                && came instanceof Voice b
                && !a.channel().equals(b.channel())
                && same(a, b.onChannel(a.channel()));
    }

    /** By how much all numbers are higher than planned, where nothing else differs. */
    static OptionalInt shift(List<Message> planned, List<Message> came) {
        if (!pairwise(planned, came, Likeness::sameButNumber)) {
            return OptionalInt.empty();
        }
        int by = came.getFirst().data1() - planned.getFirst().data1();
        return by != 0
                        && IntStream.range(0, planned.size())
                                .allMatch(i ->
                                        came.get(i).data1() - planned.get(i).data1() == by)
                ? OptionalInt.of(by)
                : OptionalInt.empty();
    }

    private static boolean sameButNumber(Message planned, Message came) {
        if (!(planned instanceof Voice a)
                || !(came instanceof Voice b)
                || !a.channel().equals(b.channel())) {
            return false;
        }
        return switch (planned.type()) {
            case PROGRAM_CHANGE -> came.type() == planned.type();
            case CONTROL_CHANGE, POLY_PRESSURE -> came.type() == planned.type() && a.data2() == b.data2();
            case NOTE_ON, NOTE_OFF -> isNote(came) && a.isRelease() == b.isRelease();
            default -> false;
        };
    }

    /** Whether they are of other sorts throughout: notes where control changes were planned. */
    static boolean isOtherType(List<Message> planned, List<Message> came) {
        return pairwise(planned, came, (a, b) -> a.type() != b.type() && !(isNote(a) && isNote(b)));
    }

    private static boolean isNote(Message message) {
        return message instanceof NoteOn || message instanceof Message.NoteOff;
    }

    /** Whether any of them is of a number that was planned. */
    static boolean touches(List<Message> planned, List<Message> came) {
        return came.stream()
                .anyMatch(message ->
                        planned.stream().anyMatch(wanted -> same(wanted, message) || sameAddress(wanted, message)));
    }

    /** Whether they are the same, one after the other or each by itself sent twice. */
    static boolean isTwice(List<Message> planned, List<Message> came) {
        if (came.size() != 2 * planned.size()) {
            return false;
        }
        List<Message> whole = new ArrayList<>(planned);
        whole.addAll(planned);
        List<Message> each =
                planned.stream().flatMap(message -> Stream.of(message, message)).toList();
        return same(whole, came) || same(each, came);
    }

    /** What is left of a list without those of another that stand in it in their order; as it is where they do not. */
    static List<Message> without(List<Message> all, List<Message> some) {
        List<Message> left = new ArrayList<>();
        int found = 0;
        for (Message message : all) {
            if (found < some.size() && same(some.get(found), message)) {
                found++;
            } else {
                left.add(message);
            }
        }
        return found == some.size() ? left : all;
    }

    /** Whether they are the same in another order. */
    static boolean isShuffled(List<Message> planned, List<Message> came) {
        List<Message> left = new ArrayList<>(came);
        for (Message message : planned) {
            int at = IntStream.range(0, left.size())
                    .filter(i -> same(message, left.get(i)))
                    .findFirst()
                    .orElse(-1);
            if (at < 0) {
                return false;
            }
            left.remove(at);
        }
        return left.isEmpty() && planned.size() > 1;
    }

    private static boolean sameAddress(Message one, Message other) {
        if (!(one instanceof Voice a)
                || !(other instanceof Voice b)
                || !a.channel().equals(b.channel())) {
            return false;
        }
        return switch (one.type()) {
            case PROGRAM_CHANGE -> false;
            case NOTE_ON, NOTE_OFF -> isNote(other) && a.data1() == b.data1();
            case CONTROL_CHANGE, POLY_PRESSURE -> other.type() == one.type() && a.data1() == b.data1();
            default -> other.type() == one.type();
        };
    }

    private static int channel(Message message) {
        return message instanceof Voice voice ? voice.channel().number() : 0;
    }

    private static OptionalInt uniform(List<Message> messages, ToIntFunction<Message> of) {
        return messages.stream().mapToInt(of).distinct().count() == 1
                ? OptionalInt.of(of.applyAsInt(messages.getFirst()))
                : OptionalInt.empty();
    }

    private interface Pair {
        boolean test(Message planned, Message came);
    }

    private static boolean pairwise(List<Message> planned, List<Message> came, Pair like) {
        return planned.size() == came.size()
                && IntStream.range(0, planned.size()).allMatch(i -> like.test(planned.get(i), came.get(i)));
    }
}
