package embrack.core.second;

import embrack.core.chart.ChartRow;
import embrack.core.chart.PartId;
import embrack.core.chart.Standing;
import embrack.core.chart.Trigger;
import embrack.core.chart.Verb;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.midi.SystemMessage;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * A second player of messages, faults and waits, which shares nothing with the engine but what texts of models say:
 * maps, lists, whole histories, message by message. It is held against the engine; a mistake of the same kind in both
 * is not likely.
 */
final class SecondPlayer {

    /**
     * A box.
     *
     * @param standing what its chart says of how parts come to stand
     * @param channel that it is set to; 0 when it hears all
     * @param written into which memories what it learned was written
     * @param startSeconds how long it takes until it obeys
     * @param passes out ports by in port
     */
    record Box(
            List<ChartRow> rows,
            Standing standing,
            int channel,
            boolean noteOffs,
            Set<Integer> written,
            int startSeconds,
            Map<String, List<String>> passes) {}

    /** A lead from a port of a box to one of another. */
    record Lead(String from, String out, String to, String in) {}

    /** A message that will arrive over a lead, and the port of the box before by which it came into that. */
    private record Flight(long at, String through, Lead lead, int sent, Message message) {}

    private final Map<String, Box> boxes;
    private final List<Lead> leads;
    private final Map<String, Integer> values = new TreeMap<>();
    private final Map<String, List<Message>> histories = new HashMap<>();
    private final List<Flight> flights = new ArrayList<>();
    private final Map<String, Long> busy = new HashMap<>();
    private final Map<List<Object>, Integer> taken = new HashMap<>();
    private final Map<String, Long> deaf = new HashMap<>();
    private final Set<Lead> out = new HashSet<>();
    private final Set<String> dark = new HashSet<>();
    private final Map<Lead, String> fates = new HashMap<>();
    private final Set<String> aimed = new HashSet<>();
    private long now;
    private int sent;

    SecondPlayer(Map<String, Box> boxes, List<Lead> leads) {
        this.boxes = boxes;
        this.leads = leads;
        boxes.forEach((name, box) -> start(name, box));
    }

    /** The same once more, at rest. */
    SecondPlayer copy() {
        SecondPlayer other = new SecondPlayer(boxes, leads);
        other.values.clear();
        other.values.putAll(values);
        histories.forEach((name, history) -> other.histories.put(name, new ArrayList<>(history)));
        return other;
    }

    /** All that anything later could depend on, at rest, in one line; more rather than less. */
    String key() {
        Map<String, Integer> lasting = new TreeMap<>(values);
        lasting.keySet().removeIf(SecondPlayer::isCount);
        lasting.values().removeIf(value -> value == 0);
        StringBuilder key = new StringBuilder(lasting.toString());
        new TreeMap<>(histories).forEach((name, history) -> {
            Map<String, Integer> last = new TreeMap<>();
            Map<Integer, String> recent = new TreeMap<>();
            for (Message message : history) {
                String what = channel(message) + " " + message.type() + " " + message.data1();
                if (message.type() == MessageType.CONTROL_CHANGE) {
                    last.put(what, message.data2());
                } else {
                    String before = recent.getOrDefault(channel(message), "");
                    String more = before + message.hex();
                    recent.put(channel(message), more.substring(Math.max(0, more.length() - RECENT)));
                }
                if (message.data2() >= 64) {
                    last.merge("odd " + what, 1, (was, by) -> 1 - was);
                }
            }
            key.append(name).append(last).append(recent);
        });
        return key.toString();
    }

    /** Letters of the last messages: two of three bytes, more than any row here looks back. */
    private static final int RECENT = 16;

    static boolean isCount(String place) {
        return List.of("STEP", "PAGE", "CLEARED", "UNDONE", "REPEATED", "TAPPED").stream()
                .anyMatch(place::endsWith);
    }

    /** The same, with parts that keep how they stand left in every way; {@code ends} has their highest values. */
    List<SecondPlayer> leftAnyWay(Map<String, Integer> ends) {
        List<SecondPlayer> starts = new ArrayList<>(List.of(this));
        ends.forEach((place, end) -> {
            String[] words = place.split(" ");
            boolean isKept = box(words[0]).standing().kept().stream()
                    .anyMatch(part -> part.text().equals(words[1]));
            if (isKept && !isCount(place)) {
                for (SecondPlayer known : List.copyOf(starts)) {
                    for (int value : List.of(0, end)) {
                        SecondPlayer other = known.copy();
                        other.set(place, value);
                        starts.add(other);
                    }
                }
            }
        });
        return starts;
    }

    /** Whatever only counts begins anew. */
    void countFromZero() {
        values.keySet().removeIf(SecondPlayer::isCount);
    }

    /** A part stands as somebody set it. */
    void set(String place, int value) {
        values.put(place, value);
    }

    /** The value at a place, by its box, part and aspect in one line. */
    int at(String place) {
        return values.getOrDefault(place, 0);
    }

    /** Places that a message, or what was meant, aimed at since this was asked last. */
    Set<String> aimedAt() {
        Set<String> places = new HashSet<>(aimed);
        aimed.clear();
        return places;
    }

    /** Does a thing at once, without any message. */
    void doAtOnce(String name, Verb verb, PartId part, int amount) {
        box(name).rows().stream()
                .filter(row -> row.part().id().equals(part))
                .findFirst()
                .ifPresent(row -> act(
                        name,
                        box(name),
                        new ChartRow(verb, row.part(), row.triggers(), embrack.core.chart.Response.PLAIN, false),
                        amount));
    }

    /** A message leaves a box by all its leads, as soon as the box has sent what it was to send before. */
    void send(String sender, Message message) {
        if (dark.contains(sender)) {
            return;
        }
        long gone = Math.max(now, busy.getOrDefault(sender, 0L)) + 320L * message.length();
        busy.put(sender, gone);
        sent++;
        leads.stream()
                .filter(lead -> lead.from().equals(sender))
                .forEach(lead -> setOff(gone, "", lead, sent, message));
    }

    void pull(Lead lead) {
        out.add(lead);
    }

    void putBack(Lead lead) {
        out.remove(lead);
    }

    /** What befalls the next message over a lead: "lost", "doubled", "late". */
    void befall(Lead lead, String fate) {
        fates.put(lead, fate);
    }

    void switchOff(String name) {
        dark.add(name);
        histories.remove(name);
        deaf.remove(name);
        Box box = box(name);
        List<String> kept = box.standing().kept().stream()
                .map(part -> name + " " + part + " ")
                .toList();
        values.keySet()
                .removeIf(key -> key.startsWith(name + " ") && kept.stream().noneMatch(key::startsWith));
        Map<String, Integer> before = new TreeMap<>(values);
        start(name, box);
        before.forEach((key, value) -> {
            if (kept.stream().anyMatch(key::startsWith)) {
                values.put(key, value);
            }
        });
        values.keySet().removeIf(key -> kept.stream().anyMatch(key::startsWith) && !before.containsKey(key));
    }

    void switchOn(String name) {
        if (dark.remove(name) && box(name).startSeconds() > 0) {
            deaf.put(name, now + box(name).startSeconds() * 1_000_000L);
        }
    }

    /** Time goes by, and what arrives in it arrives. */
    void elapse(long micros) {
        long end = now + micros;
        while (true) {
            Flight next = null;
            for (Flight flight : flights) {
                if (flight.at() <= end && (next == null || flight.at() < next.at())) {
                    next = flight;
                }
            }
            if (next == null) {
                break;
            }
            flights.remove(next);
            now = next.at();
            land(next);
        }
        now = end;
        if (flights.isEmpty()) {
            taken.clear();
        }
    }

    private void setOff(long at, String through, Lead lead, int number, Message message) {
        String fate = fates.remove(lead);
        if (!isWhole(lead) || "lost".equals(fate)) {
            return;
        }
        long arrives = "late".equals(fate) ? at + 100_000 : at;
        flights.add(new Flight(arrives, through, lead, number, message));
        if ("doubled".equals(fate)) {
            sent++;
            flights.add(new Flight(arrives, through, lead, sent, message));
        }
    }

    private boolean isWhole(Lead lead) {
        return !out.contains(lead) && !dark.contains(lead.from()) && !dark.contains(lead.to());
    }

    private void land(Flight flight) {
        Lead lead = flight.lead();
        List<Object> piece = List.of(flight.through(), lead, flight.sent(), flight.message());
        if (!isWhole(lead) || taken.merge(piece, 1, Integer::sum) > 2) {
            return;
        }
        arrive(lead.to(), flight.message());
        for (String port : box(lead.to()).passes().getOrDefault(lead.in(), List.of())) {
            leads.stream()
                    .filter(next -> next.from().equals(lead.to()) && next.out().equals(port))
                    .forEach(next ->
                            setOff(anew(next, flight.message()), lead.in(), next, flight.sent(), flight.message()));
        }
    }

    /** A THRU only repeats; any other port sends anew, one message behind the other. */
    private long anew(Lead lead, Message message) {
        if (lead.out().startsWith("thru")) {
            return now;
        }
        String port = lead.from() + "." + lead.out();
        long gone = Math.max(now, busy.getOrDefault(port, 0L)) + 320L * message.length();
        busy.put(port, gone);
        return gone;
    }

    private void start(String name, Box box) {
        box.standing()
                .atStart()
                .forEach(action -> box.rows().stream()
                        .filter(row ->
                                row.verb() == action.verb() && row.part().id().equals(action.part()))
                        .findFirst()
                        .ifPresent(row -> act(name, box, row, 127)));
    }

    /** The value of an aspect of a part of a box: 0 until something changed it. */
    int value(String box, String part, String aspect) {
        return values.getOrDefault(box + " " + part + " " + aspect, 0);
    }

    private Box box(String name) {
        return boxes.getOrDefault(name, new Box(List.of(), Standing.PLAIN, 0, false, Set.of(), 0, Map.of()));
    }

    private void arrive(String name, Message arrived) {
        Box box = box(name);
        if (deaf.getOrDefault(name, 0L) > now) {
            return;
        }
        Message message = arrived;
        boolean release =
                arrived.type() == MessageType.NOTE_OFF || arrived.type() == MessageType.NOTE_ON && arrived.data2() == 0;
        if (release && box.noteOffs() && arrived instanceof Message.Voice voice) {
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
        int loaded = memory(name, box);
        boolean written = loaded == 0 || box.written().contains(loaded);
        List<ChartRow> fitting = new ArrayList<>();
        int longest = 0;
        for (ChartRow row : box.rows()) {
            if ((written || !row.assigned())
                    && fits(row.triggers().getLast(), message, box.channel())
                    && came(row, message, history)
                    && works(row, message, history)) {
                fitting.add(row);
                longest = Math.max(longest, row.triggers().size());
            }
        }
        Set<String> done = new LinkedHashSet<>();
        for (ChartRow row : fitting) {
            if (row.triggers().size() == longest
                    && done.add(row.verb() + " " + row.part().id())) {
                act(name, box, row, message.data2());
                load(name, box, row);
            }
        }
    }

    /** The memory that a box has loaded: the first, where none was chosen. */
    private int memory(String name, Box box) {
        if (box.standing().loading().isEmpty()) {
            return 0;
        }
        List<PartId> memories = box.standing().loading().get().memories();
        for (int i = 0; i < memories.size(); i++) {
            if (value(name, memories.get(i).text(), "CHOSEN") == 1) {
                return i + 1;
            }
        }
        return 1;
    }

    private void load(String name, Box box, ChartRow row) {
        box.standing()
                .loading()
                .filter(loading -> row.verb().isExclusive()
                        && loading.memories().contains(row.part().id())
                        && loading.deafMillis() > 0)
                .ifPresent(loading -> deaf.merge(name, now + loading.deafMillis() * 1_000L, Math::max));
    }

    private boolean fits(Trigger trigger, Message message, int set) {
        if (!(trigger instanceof Trigger.Voice voice)) {
            return trigger.equals(wholeOf(message));
        }
        if (!(message instanceof Message.Voice arrived) || message.type() != voice.type()) {
            return false;
        }
        boolean value = voice.type() == MessageType.PROGRAM_CHANGE
                || message.data2() >= voice.values().low()
                        && message.data2() <= voice.values().high();
        int wanted = voice.channel().isPresent() ? voice.channel().get().number() : set;
        return message.data1() == voice.number()
                && value
                && (wanted == 0 || arrived.channel().number() == wanted);
    }

    private static Object wholeOf(Message message) {
        return message instanceof SystemMessage system ? new Trigger.Whole(system) : message;
    }

    /** Whether all that must stand before the last message of a row did come, looking back through all that came. */
    private boolean came(ChartRow row, Message last, List<Message> history) {
        List<Message> same = history.stream()
                .filter(before -> channel(before) == channel(last))
                .toList();
        int back = 0;
        List<Trigger> before = row.triggers().subList(0, row.triggers().size() - 1);
        for (Trigger trigger : before.reversed()) {
            Trigger.Voice voice = (Trigger.Voice) trigger;
            List<Message> candidates = same.stream()
                    .filter(m -> voice.type() == MessageType.CONTROL_CHANGE
                            ? m.type() == MessageType.CONTROL_CHANGE && m.data1() == voice.number()
                            : m.type() != MessageType.CONTROL_CHANGE)
                    .toList();
            int at =
                    voice.type() == MessageType.CONTROL_CHANGE ? candidates.size() - 1 : candidates.size() - 1 - back++;
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
                        && m.data2() >= 64)
                .count();
        return message.data2() >= 64
                && (before % 2 == 0 ? row.response().high() : row.response().low()) >= 64;
    }

    private static int channel(Message message) {
        return message instanceof Message.Voice voice ? voice.channel().number() : 0;
    }

    private void act(String name, Box box, ChartRow row, int value) {
        PartId chosen = box.standing().within().get(row.part().id());
        if (chosen != null && value(name, chosen.text(), Verb.SELECT.aspect().name()) == 0) {
            return;
        }
        String part = name + " " + row.part().id() + " ";
        aimed.add(part + row.verb().aspect());
        switch (row.verb()) {
            case MUTE -> values.put(part + "MUTED", 1);
            case OPEN -> values.put(part + "MUTED", 0);
            case TOGGLE_MUTE -> values.merge(part + "MUTED", 1, (was, by) -> 1 - was);
            case ON -> turnOn(name, box, row, 1);
            case OFF -> turnOn(name, box, row, 0);
            case TOGGLE -> turnOn(name, box, row, 1 - values.getOrDefault(part + "SWITCHED", 0));
            case LEVEL -> values.put(part + "LEVEL", level(row, value));
            case PLAY -> values.put(part + "TRANSPORT", 1);
            case STOP, FADE_OUT -> values.put(part + "TRANSPORT", 0);
            case PAUSE -> values.put(part + "TRANSPORT", 2);
            case STOP_ALL -> {
                values.put(part + "TRANSPORT", 0);
                values.replaceAll((key, was) -> key.startsWith(name + " ") && key.endsWith(" TRANSPORT") ? 0 : was);
                aimed.removeIf(key -> key.startsWith(name + " ") && key.endsWith(" TRANSPORT"));
                aimed.add(part + "TRANSPORT");
            }
            case NEXT -> values.merge(part + "STEP", 1, (was, by) -> (was + by) % 1_000);
            case PREVIOUS -> values.put(part + "STEP", (values.getOrDefault(part + "STEP", 0) + 999) % 1_000);
            case PAGE_UP -> values.merge(part + "PAGE", 1, (was, by) -> (was + by) % 1_000);
            case PAGE_DOWN -> values.put(part + "PAGE", (values.getOrDefault(part + "PAGE", 0) + 999) % 1_000);
            case TOGGLE_PLAY -> values.merge(part + "TRANSPORT", 1, (was, by) -> was == 1 ? 0 : 1);
            case RECORD -> values.put(part + "TRANSPORT", values.getOrDefault(part + "TRANSPORT", 0) == 3 ? 1 : 3);
            case CLEAR -> values.merge(part + "CLEARED", 1, (was, by) -> (was + by) % 1_000);
            case UNDO -> values.merge(part + "UNDONE", 1, (was, by) -> (was + by) % 1_000);
            case REPEAT -> values.merge(part + "REPEATED", 1, (was, by) -> (was + by) % 1_000);
            case TAP -> values.merge(part + "TAPPED", 1, (was, by) -> (was + by) % 1_000);
            case SELECT, RECALL, LOAD, GO, JUMP, RUN, USE -> choose(name, box, row);
        }
    }

    private void turnOn(String name, Box box, ChartRow row, int on) {
        if (on == 1) {
            box.standing().alone().stream()
                    .filter(group -> group.contains(row.part().id()))
                    .forEach(group -> group.forEach(part -> putOut(name + " " + part + " SWITCHED")));
            aimed.add(name + " " + row.part().id() + " SWITCHED");
        }
        values.put(name + " " + row.part().id() + " SWITCHED", on);
    }

    private static int level(ChartRow row, int value) {
        int low = row.response().low();
        return low + (int) Math.round((row.response().high() - low) * value / 127.0);
    }

    private void choose(String name, Box box, ChartRow chosen) {
        box.rows().stream()
                .filter(row -> row.part().family().equals(chosen.part().family()))
                .forEach(row -> putOut(name + " " + row.part().id() + " CHOSEN"));
        values.put(name + " " + chosen.part().id() + " CHOSEN", 1);
        aimed.add(name + " " + chosen.part().id() + " CHOSEN");
    }

    private void putOut(String place) {
        values.computeIfPresent(place, (key, was) -> 0);
        aimed.remove(place);
    }
}
