package embrack.core.second;

import embrack.core.chart.ChartRow;
import embrack.core.chart.Trigger;
import embrack.core.chart.Verb;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.midi.SystemMessage;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * A second player of messages, which shares nothing with the engine but what texts of models say: maps, lists, whole
 * histories, message by message. It is held against the engine; a mistake of the same kind in both is not likely.
 */
final class SecondPlayer {

    /** Ways of being wrong, each of which the comparison has to notice. */
    enum Mistake {
        CHANNEL_OF_THE_BOX_IGNORED,
        CHANNEL_OF_THE_ROW_IGNORED,
        PREFIX_ON_ANY_CHANNEL,
        PREFIX_IGNORED,
        PREFIX_FORGOTTEN_ONCE_USED,
        SHORT_ROW_BESIDE_THE_LONG,
        ONLY_THE_NEWEST_BEFORE,
        NOTE_OFF_IS_A_NOTE,
        NOTE_OFF_NEVER_ACTS,
        VELOCITY_ZERO_IS_A_NOTE,
        VALUES_FROM_ONE_MORE,
        NUMBERS_FROM_ONE,
        FAMILY_NOT_PUT_OUT,
        STOP_ALL_STOPS_ONE,
        TOGGLE_ONLY_ON,
        LEVEL_TURNED,
        STEP_BY_TWO,
        THRU_KEEPS_BACK,
        COPIES_MERGED_INTO_ONE,
        ALTERNATES_AT_LOW_VALUES
    }

    /**
     * A box.
     *
     * @param channel that it is set to; 0 when it hears all
     * @param passes out ports by in port
     */
    record Box(List<ChartRow> rows, int channel, boolean noteOffs, Map<String, List<String>> passes) {}

    /** A lead from a port of a box to one of another. */
    record Lead(String from, String out, String to, String in) {}

    private final Map<String, Box> boxes;
    private final List<Lead> leads;
    private final Set<Mistake> mistakes = EnumSet.noneOf(Mistake.class);
    private final Map<String, Integer> values = new TreeMap<>();
    private final Map<String, List<Message>> histories = new HashMap<>();

    SecondPlayer(Map<String, Box> boxes, List<Lead> leads) {
        this.boxes = boxes;
        this.leads = leads;
    }

    SecondPlayer mistaken(Mistake mistake) {
        mistakes.add(mistake);
        return this;
    }

    /** A message leaves a box by all its leads, and goes on until it has arrived everywhere. */
    void send(String sender, Message message) {
        Map<Lead, Integer> taken = new HashMap<>();
        List<Lead> open = new ArrayList<>(
                leads.stream().filter(lead -> lead.from().equals(sender)).toList());
        while (!open.isEmpty()) {
            Lead lead = open.removeFirst();
            int most = mistakes.contains(Mistake.COPIES_MERGED_INTO_ONE) ? 1 : 2;
            if (taken.merge(lead, 1, Integer::sum) > most) {
                continue;
            }
            arrive(lead.to(), message);
            if (!mistakes.contains(Mistake.THRU_KEEPS_BACK)) {
                box(lead.to())
                        .passes()
                        .getOrDefault(lead.in(), List.of())
                        .forEach(out -> leads.stream()
                                .filter(next -> next.from().equals(lead.to())
                                        && next.out().equals(out))
                                .forEach(open::add));
            }
        }
    }

    /** The value of an aspect of a part of a box: 0 until something changed it. */
    int value(String box, String part, String aspect) {
        return values.getOrDefault(box + " " + part + " " + aspect, 0);
    }

    private Box box(String name) {
        return boxes.getOrDefault(name, new Box(List.of(), 0, false, Map.of()));
    }

    private void arrive(String name, Message arrived) {
        Box box = box(name);
        Message message = arrived;
        boolean release = arrived.type() == MessageType.NOTE_OFF
                || arrived.type() == MessageType.NOTE_ON
                        && arrived.data2() == 0
                        && !mistakes.contains(Mistake.VELOCITY_ZERO_IS_A_NOTE);
        boolean acts = box.noteOffs() && !mistakes.contains(Mistake.NOTE_OFF_NEVER_ACTS)
                || mistakes.contains(Mistake.NOTE_OFF_IS_A_NOTE);
        if (release && acts && arrived instanceof Message.Voice voice) {
            message = new Message.NoteOn(voice.channel(), arrived.data1(), 127);
            release = false;
        }
        List<Message> history = histories.computeIfAbsent(name, n -> new ArrayList<>());
        if (!release) {
            react(name, box, message, history);
        }
        history.add(message);
    }

    private void react(String name, Box box, Message message, List<Message> history) {
        List<ChartRow> fitting = new ArrayList<>();
        int longest = 0;
        for (ChartRow row : box.rows()) {
            Trigger last = row.triggers().getLast();
            if (fits(last, message, box.channel())
                    && (mistakes.contains(Mistake.PREFIX_IGNORED) || came(row, message, history))
                    && works(row, message, history)) {
                fitting.add(row);
                longest = Math.max(longest, row.triggers().size());
            }
        }
        Set<String> done = new LinkedHashSet<>();
        for (ChartRow row : fitting) {
            boolean counts = row.triggers().size() == longest || mistakes.contains(Mistake.SHORT_ROW_BESIDE_THE_LONG);
            if (counts && done.add(row.verb() + " " + row.part().id())) {
                act(name, box, row, message);
            }
        }
    }

    private boolean fits(Trigger trigger, Message message, int set) {
        if (!(trigger instanceof Trigger.Voice voice)) {
            return trigger.equals(wholeOf(message));
        }
        if (!(message instanceof Message.Voice sent) || message.type() != voice.type()) {
            return false;
        }
        int shift = mistakes.contains(Mistake.NUMBERS_FROM_ONE) && voice.type() == MessageType.PROGRAM_CHANGE ? 1 : 0;
        int lowest = voice.values().low() + (mistakes.contains(Mistake.VALUES_FROM_ONE_MORE) ? 1 : 0);
        boolean value = voice.type() == MessageType.PROGRAM_CHANGE
                || message.data2() >= lowest
                        && message.data2() <= voice.values().high();
        int wanted = voice.channel().isPresent() && !mistakes.contains(Mistake.CHANNEL_OF_THE_ROW_IGNORED)
                ? voice.channel().get().number()
                : mistakes.contains(Mistake.CHANNEL_OF_THE_BOX_IGNORED) ? 0 : set;
        return message.data1() == voice.number() + shift
                && value
                && (wanted == 0 || sent.channel().number() == wanted);
    }

    private static Object wholeOf(Message message) {
        return message instanceof SystemMessage system ? new Trigger.Whole(system) : message;
    }

    /** Whether all that must stand before the last message of a row did come, looking back through all that came. */
    private boolean came(ChartRow row, Message last, List<Message> history) {
        List<Message> same = history.stream()
                .filter(before -> mistakes.contains(Mistake.PREFIX_ON_ANY_CHANNEL) || channel(before) == channel(last))
                .toList();
        int back = 0;
        List<Trigger> before = row.triggers().subList(0, row.triggers().size() - 1);
        if (!before.isEmpty()
                && mistakes.contains(Mistake.PREFIX_FORGOTTEN_ONCE_USED)
                && !same.isEmpty()
                && same.getLast().type() == MessageType.PROGRAM_CHANGE) {
            return false;
        }
        for (Trigger trigger : before.reversed()) {
            Trigger.Voice voice = (Trigger.Voice) trigger;
            List<Message> candidates = same.stream()
                    .filter(m -> voice.type() == MessageType.CONTROL_CHANGE
                            ? m.type() == MessageType.CONTROL_CHANGE && m.data1() == voice.number()
                            : m.type() != MessageType.CONTROL_CHANGE)
                    .toList();
            int at = voice.type() == MessageType.CONTROL_CHANGE
                    ? candidates.size() - 1
                    : candidates.size() - 1 - (mistakes.contains(Mistake.ONLY_THE_NEWEST_BEFORE) ? 0 : back++);
            boolean there = at >= 0
                    && !candidates.get(at).isRelease()
                    && candidates.get(at).type() == voice.type()
                    && candidates.get(at).data1() == voice.number()
                    && (voice.type() == MessageType.PROGRAM_CHANGE
                            || candidates.get(at).data2() >= voice.values().low()
                                    && candidates.get(at).data2()
                                            <= voice.values().high());
            if (!there) {
                return false;
            }
        }
        return true;
    }

    /** Whether the value of a message that was learned works the function. */
    private boolean works(ChartRow row, Message message, List<Message> history) {
        if (!row.assigned() || row.verb() == Verb.LEVEL || message.type() == MessageType.PROGRAM_CHANGE) {
            return true;
        }
        int half = mistakes.contains(Mistake.ALTERNATES_AT_LOW_VALUES) ? 0 : 64;
        if (!row.response().alternating()) {
            return (message.data2() >= 64
                            ? row.response().high()
                            : row.response().low())
                    >= 64;
        }
        long before = history.stream()
                .filter(m -> m.type() == message.type()
                        && m.data1() == message.data1()
                        && channel(m) == channel(message)
                        && m.data2() >= half)
                .count();
        return message.data2() >= half
                && (before % 2 == 0 ? row.response().high() : row.response().low()) >= 64;
    }

    private static int channel(Message message) {
        return message instanceof Message.Voice voice ? voice.channel().number() : 0;
    }

    private void act(String name, Box box, ChartRow row, Message message) {
        String part = name + " " + row.part().id() + " ";
        switch (row.verb()) {
            case MUTE -> values.put(part + "MUTED", 1);
            case OPEN -> values.put(part + "MUTED", 0);
            case TOGGLE_MUTE -> values.merge(part + "MUTED", 1, this::turned);
            case ON -> values.put(part + "SWITCHED", 1);
            case OFF -> values.put(part + "SWITCHED", 0);
            case TOGGLE -> values.merge(part + "SWITCHED", 1, this::turned);
            case LEVEL -> values.put(part + "LEVEL", level(row, message.data2()));
            case PLAY -> values.put(part + "TRANSPORT", 1);
            case STOP, FADE_OUT -> values.put(part + "TRANSPORT", 0);
            case PAUSE -> values.put(part + "TRANSPORT", 2);
            case STOP_ALL -> {
                values.put(part + "TRANSPORT", 0);
                if (!mistakes.contains(Mistake.STOP_ALL_STOPS_ONE)) {
                    values.replaceAll(
                            (key, value) -> key.startsWith(name + " ") && key.endsWith(" TRANSPORT") ? 0 : value);
                }
            }
            case NEXT -> values.merge(part + "STEP", step(), (was, by) -> (was + by) % 1_000);
            case PREVIOUS ->
                values.put(part + "STEP", (values.getOrDefault(part + "STEP", 0) + 1_000 - step()) % 1_000);
            case SELECT, RECALL, LOAD, GO, JUMP, RUN, USE -> choose(name, box, row);
            default -> throw new IllegalArgumentException("not played here: " + row.verb());
        }
    }

    private int turned(int was, int by) {
        return mistakes.contains(Mistake.TOGGLE_ONLY_ON) ? 1 : 1 - was;
    }

    private int step() {
        return mistakes.contains(Mistake.STEP_BY_TWO) ? 2 : 1;
    }

    private int level(ChartRow row, int value) {
        int low = mistakes.contains(Mistake.LEVEL_TURNED)
                ? row.response().high()
                : row.response().low();
        int high = mistakes.contains(Mistake.LEVEL_TURNED)
                ? row.response().low()
                : row.response().high();
        return low + (int) Math.round((high - low) * value / 127.0);
    }

    private void choose(String name, Box box, ChartRow chosen) {
        if (!mistakes.contains(Mistake.FAMILY_NOT_PUT_OUT)) {
            box.rows().stream()
                    .filter(row -> row.part().family().equals(chosen.part().family()))
                    .forEach(row ->
                            values.computeIfPresent(name + " " + row.part().id() + " CHOSEN", (key, was) -> 0));
        }
        values.put(name + " " + chosen.part().id() + " CHOSEN", 1);
    }
}
