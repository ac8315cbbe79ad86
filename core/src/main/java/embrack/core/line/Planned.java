package embrack.core.line;

import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Sending;
import embrack.core.gear.Board;
import embrack.core.gear.SwitchMode;
import embrack.core.midi.Message;
import embrack.core.switches.Moment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a box sends for a task when it is programmed as planned.
 *
 * @param down as the foot goes down, at least one message
 * @param again at every second press; the same as {@code down} unless the switch alternates
 * @param up as it lets go; nothing for most
 * @param presses how often it is pressed to be sure, 1 or 2: what alternates by mistake is right at its first press
 */
public record Planned(Task task, List<Sending> down, List<Sending> again, List<Sending> up, int presses) {

    public Planned {
        down = List.copyOf(down);
        again = List.copyOf(again);
        up = List.copyOf(up);
        if (presses < 1 || presses > 2) {
            throw new IllegalArgumentException("a switch is pressed once or twice, was " + presses);
        }
    }

    /** Of a switch that sends something at a moment; empty where it sends nothing. */
    static Optional<Planned> of(CompiledSwitch what, Moment how, Board board) {
        List<Sending> down = what.sendings(how);
        if (down.isEmpty()) {
            return Optional.empty();
        }
        boolean press = how == Moment.PRESS;
        boolean alternates = press && what.mode() == SwitchMode.ALTERNATING;
        List<Sending> up = press ? what.sendings(Moment.RELEASE) : List.of();
        return Optional.of(new Planned(
                new Task(what.at(), how),
                down,
                alternates ? what.sendings(Moment.AGAIN) : down,
                up,
                press && board.modes().contains(SwitchMode.ALTERNATING) ? 2 : 1));
    }

    /** Whether its second press sends something else. */
    public boolean alternates() {
        return !again.equals(down);
    }

    /** The first press's messages. */
    public List<Message> messages() {
        return messages(down);
    }

    static List<Message> messages(List<Sending> sendings) {
        return sendings.stream().map(Sending::message).toList();
    }

    /** The longest pause between two of its messages, in microseconds. */
    public long longestWaitMicros() {
        return Stream.of(down, again, up)
                        .flatMap(List::stream)
                        .mapToInt(Sending::waitMillis)
                        .max()
                        .orElse(0)
                * 1_000L;
    }

    /** What each gesture of the whole task sends, in order; a switch that alternates may stand at either side. */
    List<List<List<Message>>> scripts() {
        List<List<List<Message>>> scripts = new ArrayList<>();
        scripts.add(script(down, again));
        if (alternates()) {
            scripts.add(script(again, down));
        }
        return scripts;
    }

    private List<List<Message>> script(List<Sending> first, List<Sending> second) {
        List<List<Message>> phases = new ArrayList<>();
        for (int press = 1; press <= presses; press++) {
            phases.add(messages(press == 1 ? first : second));
            phases.add(messages(up));
        }
        phases.removeIf(List::isEmpty);
        return phases;
    }

    /** How many gestures the whole task has, releases counted where they send. */
    int gestures() {
        return presses * (up.isEmpty() ? 1 : 2);
    }

    /** All of it in one line, by which a later plan is told apart. */
    public String written() {
        return Stream.of(down, again, up)
                .map(sendings -> sendings.stream()
                        .map(sending -> (sending.waitMillis() > 0 ? sending.waitMillis() + "+" : "")
                                + sending.message().hex().replace(" ", ""))
                        .collect(Collectors.joining(" ")))
                .collect(Collectors.joining("|"));
    }
}
