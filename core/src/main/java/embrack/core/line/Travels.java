package embrack.core.line;

import embrack.core.midi.Message.ControlChange;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.word.Phrase;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Pedals, faders and knobs in a line check: each is moved to both ends and back, in whatever order, and left alone.
 *
 * @param planned what each is to send, in the order of walking
 * @param came what came for each, by its key
 * @param strays moving numbers of no planned control, by box and number
 */
public record Travels(List<Travel> planned, SortedMap<String, Came> came, SortedMap<String, Swept> strays) {

    /** So many values in a row that never come are a jump. Common practice, no source. */
    private static final int JUMP = 12;

    /** A control that was moved from end to end and back was moved enough. */
    private static final int ENOUGH = 2;

    private static final int WIDE = 24;
    private static final int REMEMBERED = 64;

    /**
     * What came for a control.
     *
     * @param planned what was planned then, as {@link Travel#written()} has it
     * @param channel on which it came, 1 to 16
     * @param controller its number as it came, 0 to 119
     */
    public record Came(String planned, int channel, int controller, Swept swept) {

        /** All of it but what was planned, in one line. */
        public String written() {
            return "%d %d %s".formatted(channel, controller, swept.written());
        }

        /** What {@link #written()} wrote; empty when it is none of its lines. */
        public static Optional<Came> parse(String planned, String line) {
            String[] words = line.split(" ", 3);
            return words.length == 3 && words[0].matches("\\d{1,2}") && words[1].matches("\\d{1,3}")
                    ? Swept.parse(words[2])
                            .map(swept ->
                                    new Came(planned, Integer.parseInt(words[0]), Integer.parseInt(words[1]), swept))
                    : Optional.empty();
        }
    }

    /** What is wrong with a control. */
    public sealed interface Amiss {

        /** It sends on another channel. */
        record OnChannel(int came, int right) implements Amiss {}

        /** It sends another number. */
        record Number(int came, int right) implements Amiss {}

        /** It does not come to its ends. */
        record Short(int least, int greatest) implements Amiss {}

        /** It goes beyond what is planned. */
        record Beyond(int least, int greatest) implements Amiss {}

        /** Values between two never come. */
        record Jumps(int from, int to) implements Amiss {}

        /** It goes to and fro while nobody moves it. */
        record Flutters(int by) implements Amiss {}
    }

    /** How a control stands. */
    public sealed interface Result {

        record ToDo() implements Result {}

        /** It was moved, and not yet to both ends and back. */
        record SoFar(int least, int greatest) implements Result {}

        record Right() implements Result {}

        record Wrong(Amiss amiss) implements Result {}
    }

    public Travels {
        planned = List.copyOf(planned);
        came = Collections.unmodifiableSortedMap(new TreeMap<>(came));
        strays = Collections.unmodifiableSortedMap(new TreeMap<>(strays));
    }

    /** Those of a plan, with what came before. */
    public static Travels of(Plan plan, Map<String, Came> came) {
        return new Travels(Travel.of(plan), new TreeMap<>(came), new TreeMap<>());
    }

    /**
     * The same, with all that came, where it may have come elsewhere meanwhile.
     *
     * @param kept what was kept of this; what moved since counts more than what came elsewhere
     * @param all what came, by the key of its travel
     */
    public Travels knowing(Travels kept, Map<String, Came> all) {
        SortedMap<String, Came> more = new TreeMap<>(all);
        came.entrySet().stream()
                .filter(one -> !one.getValue().equals(kept.came.get(one.getKey())))
                .forEach(one -> more.put(one.getKey(), one.getValue()));
        return new Travels(planned, more, strays);
    }

    /** The controls of a box. */
    public List<Travel> on(DeviceId box) {
        return planned.stream().filter(travel -> travel.box().equals(box)).toList();
    }

    /** Nothing came for the controls of some boxes. */
    public Travels anew(List<DeviceId> boxes) {
        SortedMap<String, Came> left = new TreeMap<>(came);
        planned.stream().filter(travel -> boxes.contains(travel.box())).forEach(travel -> left.remove(travel.key()));
        return new Travels(planned, left, new TreeMap<>());
    }

    /** A message came from a box. */
    public Travels heard(Heard heard) {
        List<Travel> here = on(heard.from());
        if (here.isEmpty() || !(heard.message() instanceof ControlChange message)) {
            return this;
        }
        Optional<Travel> own =
                here.stream().filter(travel -> travel.sends(message)).findFirst();
        if (own.isPresent()) {
            Travel travel = own.get();
            Optional<Swept> before = Optional.ofNullable(came.get(travel.key()))
                    .filter(known -> known.planned().equals(travel.written()) && isOf(known, message))
                    .map(Came::swept);
            return with(travel, message, swept(before, heard, message));
        }
        String key = "%s %d %d".formatted(heard.from(), message.channel().number(), message.controller());
        Swept stray = swept(Optional.ofNullable(strays.get(key)), heard, message);
        if (stray.greatest() - stray.least() >= WIDE) {
            Optional<Travel> meant = here.stream()
                    .filter(travel -> result(travel) instanceof Result.ToDo
                            || Optional.ofNullable(came.get(travel.key()))
                                    .filter(known -> isOf(known, message))
                                    .isPresent())
                    .findFirst();
            if (meant.isPresent()) {
                return with(meant.get(), message, stray).straying(key, stray);
            }
        }
        return straying(key, stray);
    }

    /** Whether a message is of a control that is moved, and no switch of the box sends its number. */
    public boolean isMoved(Walk walk, Heard heard) {
        return on(heard.from()).stream().anyMatch(travel -> travel.sends(heard.message()))
                && walk.on(heard.from()).stream()
                        .flatMap(planned -> Stream.of(planned.down(), planned.again(), planned.up()))
                        .flatMap(List::stream)
                        .noneMatch(sending -> sending.message() instanceof ControlChange own
                                && heard.message() instanceof ControlChange came
                                && own.channel().equals(came.channel())
                                && own.controller() == came.controller());
    }

    private static boolean isOf(Came known, ControlChange message) {
        return known.channel() == message.channel().number() && known.controller() == message.controller();
    }

    private static Swept swept(Optional<Swept> before, Heard heard, ControlChange message) {
        return before.map(swept -> swept.with(heard.atMicros(), message.value(), heard.isOneOfMany()))
                .orElseGet(() -> Swept.beginning(heard.atMicros(), message.value()));
    }

    private Travels with(Travel travel, ControlChange message, Swept swept) {
        SortedMap<String, Came> more = new TreeMap<>(came);
        more.put(travel.key(), new Came(travel.written(), message.channel().number(), message.controller(), swept));
        return new Travels(planned, more, strays);
    }

    private Travels straying(String key, Swept swept) {
        SortedMap<String, Swept> more = new TreeMap<>(strays);
        if (more.size() < REMEMBERED || more.containsKey(key)) {
            more.put(key, swept);
        }
        return new Travels(planned, came, more);
    }

    /** How a control stands; what was planned otherwise then is to be moved again. */
    public Result result(Travel travel) {
        Came known = came.get(travel.key());
        if (known == null || !known.planned().equals(travel.written())) {
            return new Result.ToDo();
        }
        int channel = travel.from().channel().number();
        if (known.controller() != travel.from().controller()) {
            return new Result.Wrong(
                    new Amiss.Number(known.controller(), travel.from().controller()));
        }
        if (known.channel() != channel) {
            return new Result.Wrong(new Amiss.OnChannel(known.channel(), channel));
        }
        Swept swept = known.swept();
        if (swept.least() < travel.least() || swept.greatest() > travel.greatest()) {
            return new Result.Wrong(new Amiss.Beyond(swept.least(), swept.greatest()));
        }
        if (swept.flutter() > 0) {
            return new Result.Wrong(new Amiss.Flutters(swept.flutter()));
        }
        boolean isWhole = swept.least() == travel.least() && swept.greatest() == travel.greatest();
        if (swept.turns() < ENOUGH && travel.greatest() - travel.least() > WIDE * ENOUGH) {
            return new Result.SoFar(swept.least(), swept.greatest());
        }
        if (swept.gap(JUMP).isPresent()) {
            int from = swept.gap(JUMP).getAsInt() - 1;
            return new Result.Wrong(new Amiss.Jumps(from, swept.nextAbove(from + 1)));
        }
        if (!isWhole) {
            return swept.turns() >= ENOUGH
                    ? new Result.Wrong(new Amiss.Short(swept.least(), swept.greatest()))
                    : new Result.SoFar(swept.least(), swept.greatest());
        }
        return new Result.Right();
    }

    /** What is not in order, in the order of walking. */
    public List<Travel> amiss() {
        return planned.stream()
                .filter(travel -> result(travel) instanceof Result.Wrong)
                .toList();
    }

    /** What is wrong with a control, in a sentence with what to do. */
    public static Phrase words(Travel travel, Amiss amiss) {
        Phrase phrase =
                switch (amiss) {
                    case Amiss.OnChannel on ->
                        Phrase.of(Telling.ROOM, "travel.on-channel")
                                .with("came", on.came())
                                .with("right", on.right());
                    case Amiss.Number number ->
                        Phrase.of(Telling.ROOM, "travel.number")
                                .with("came", number.came())
                                .with("right", number.right());
                    case Amiss.Short ends -> range("travel.short", ends.least(), ends.greatest());
                    case Amiss.Beyond ends -> range("travel.beyond", ends.least(), ends.greatest());
                    case Amiss.Jumps jump -> range("travel.jumps", jump.from(), jump.to());
                    case Amiss.Flutters flutter ->
                        Phrase.of(Telling.ROOM, "travel.flutters").with("by", flutter.by());
                };
        return phrase.with("low", travel.least()).with("high", travel.greatest());
    }

    private static Phrase range(String key, int least, int greatest) {
        return Phrase.of(Telling.ROOM, key).with("least", least).with("greatest", greatest);
    }
}
