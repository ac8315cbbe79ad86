package embrack.core.line;

import embrack.core.gear.BankChange;
import embrack.core.gear.text.BoxReading;
import embrack.core.gear.text.BoxWriter;
import embrack.core.midi.Channel;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.midi.Message.Voice;
import embrack.core.midi.MessageType;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A board that is described by pressing it: its switches one after the other, bank by bank, and at last the first one
 * once more, since only a second press shows whether a switch alternates.
 *
 * @param goes what came each time the foot moved; an empty list where a switch sends nothing
 */
public record Described(Layout layout, List<List<Message>> goes) {

    /**
     * What is seen before anything is pressed.
     *
     * @param switches in a bank, 1 to 32
     * @param columns in a row, 1 to {@code switches}
     * @param banks as the box shows them, 1 to 32
     */
    public record Layout(int switches, int columns, List<String> banks) {

        private static final int MOST = 32;

        public Layout {
            banks = List.copyOf(banks);
            if (switches < 1 || switches > MOST || columns < 1 || columns > switches) {
                throw new IllegalArgumentException(
                        "A board has 1 to 32 switches in a bank, in rows of as many at most.");
            }
            if (banks.isEmpty() || banks.size() > MOST) {
                throw new IllegalArgumentException("A board has 1 to 32 banks.");
            }
        }

        int presses() {
            return switches * banks.size();
        }
    }

    /**
     * What is pressed next.
     *
     * @param bank counted from 1
     * @param again whether it is the first one once more
     */
    public record Next(int bank, int number, boolean again) {}

    /** A press with what came as the foot let go. */
    private record Pressed(List<Message> down, List<Message> up) {}

    public Described {
        goes = goes.stream().map(List::copyOf).toList();
    }

    /** With what came in one more go. */
    public Described with(List<Message> go) {
        List<List<Message>> more = new ArrayList<>(goes);
        more.add(go);
        return new Described(layout, more);
    }

    private List<Pressed> presses() {
        List<Pressed> presses = new ArrayList<>();
        for (List<Message> go : goes) {
            Optional<Pressed> before = presses.isEmpty() ? Optional.empty() : Optional.of(presses.getLast());
            boolean letsGo = before.filter(pressed ->
                            pressed.up().isEmpty() && !go.isEmpty() && Likeness.isOtherSide(pressed.down(), go))
                    .isPresent();
            if (letsGo) {
                presses.removeLast();
                presses.add(new Pressed(before.orElseThrow().down(), go));
            } else {
                presses.add(new Pressed(go, List.of()));
            }
        }
        return presses;
    }

    /** What is to be pressed now; empty when everything was. */
    public Optional<Next> next() {
        int done = presses().size();
        if (done > layout.presses()) {
            return Optional.empty();
        }
        boolean again = done == layout.presses();
        return Optional.of(
                again
                        ? new Next(1, 1, true)
                        : new Next(done / layout.switches() + 1, done % layout.switches() + 1, false));
    }

    /** The lines of its text, as far as it was pressed; none before anything came. */
    public List<String> lines() {
        List<Pressed> presses = presses();
        List<Message> all =
                presses.stream().flatMap(pressed -> pressed.down().stream()).toList();
        if (all.isEmpty()) {
            return List.of();
        }
        List<Pressed> board = presses.subList(0, Math.min(presses.size(), layout.presses()));
        Optional<List<Message>> single = single(board);
        Optional<BankChange> change = single.flatMap(this::change);
        List<String> lines = new ArrayList<>();
        lines.add("switches: %d in rows of %d, send %s, %d a press"
                .formatted(layout.switches(), layout.columns(), types(all), most(board)));
        lines.add("banks: " + String.join(", ", layout.banks())
                + change.filter(what -> what != BankChange.ASSIGNMENTS)
                        .map(what -> "; a bank changes " + what.words())
                        .orElse(""));
        boolean releases = board.stream().anyMatch(pressed -> !pressed.up().isEmpty());
        lines.add("gestures: press" + (releases ? ", release" : ""));
        lines.add("modes: " + mode(presses, releases));
        if (change.isPresent()) {
            lines.add("factory run: " + run(single.orElseThrow()));
        }
        channel(all, change).ifPresent(channel -> {
            lines.add("send channel: one for the box");
            lines.add("setting MIDI send channel: 1..16, factory " + channel.number());
        });
        String text = String.join("\n", lines);
        return BoxReading.of(text)
                .box()
                .map(BoxWriter::write)
                .orElse(text)
                .lines()
                .toList();
    }

    private static String types(List<Message> all) {
        Set<MessageType> types = EnumSet.noneOf(MessageType.class);
        all.forEach(
                message -> types.add(message.type() == MessageType.NOTE_OFF ? MessageType.NOTE_ON : message.type()));
        return types.stream()
                .flatMap(type -> switch (type) {
                    case NOTE_ON -> Stream.of("note");
                    case CONTROL_CHANGE -> Stream.of("cc");
                    case PROGRAM_CHANGE -> Stream.of("pc");
                    default -> Stream.<String>empty();
                })
                .collect(Collectors.joining(", "));
    }

    private static int most(List<Pressed> board) {
        return board.stream().mapToInt(pressed -> pressed.down().size()).max().orElse(1);
    }

    private String mode(List<Pressed> presses, boolean releases) {
        if (releases) {
            return "momentary";
        }
        boolean turned = presses.size() > layout.presses()
                && Likeness.isOtherSide(
                        presses.getFirst().down(), presses.getLast().down());
        return turned ? "alternating" : "one-shot";
    }

    /** One message of each switch, in the order in which they were pressed; empty where any sends none, or several. */
    private Optional<List<Message>> single(List<Pressed> board) {
        return board.stream().allMatch(pressed -> pressed.down().size() == 1)
                        && board.stream()
                                        .map(pressed ->
                                                pressed.down().getFirst().type())
                                        .distinct()
                                        .count()
                                == 1
                        && board.getFirst().down().getFirst() instanceof Voice
                ? Optional.of(
                        board.stream().map(pressed -> pressed.down().getFirst()).toList())
                : Optional.empty();
    }

    /** What a bank changes of numbers that do not look chosen; empty where they follow from nothing. */
    private Optional<BankChange> change(List<Message> single) {
        for (BankChange change : List.of(BankChange.CHANNEL, BankChange.NUMBERS, BankChange.ASSIGNMENTS)) {
            if (IntStream.range(0, single.size()).allMatch(i -> follows(single, i, change))) {
                return Optional.of(layout.banks().size() == 1 ? BankChange.ASSIGNMENTS : change);
            }
        }
        return Optional.empty();
    }

    private boolean follows(List<Message> single, int index, BankChange change) {
        int bank = index / layout.switches();
        Voice first = (Voice) single.get(index % layout.switches());
        Voice here = (Voice) single.get(index);
        int channel = first.channel().number() + (change == BankChange.CHANNEL ? bank : 0);
        int number = first.data1() + (change == BankChange.NUMBERS ? bank * layout.switches() : 0);
        return here.channel().number() == channel && here.data1() == number % (DataByte.MAX + 1);
    }

    private String run(List<Message> single) {
        List<Message> first = single.subList(0, Math.min(single.size(), layout.switches()));
        return types(first.subList(0, 1)) + " "
                + first.stream().map(message -> String.valueOf(message.data1())).collect(Collectors.joining(", "));
    }

    /** The channel of the whole box, where it has one. */
    private static Optional<Channel> channel(List<Message> all, Optional<BankChange> change) {
        List<Channel> channels = all.stream()
                .filter(Voice.class::isInstance)
                .map(message -> ((Voice) message).channel())
                .distinct()
                .toList();
        return channels.size() == 1 || change.filter(BankChange.CHANNEL::equals).isPresent()
                ? channels.stream().findFirst()
                : Optional.empty();
    }

    /** What pressing cannot show, or showed and nobody can explain; to be said. */
    public List<Phrase> remarks() {
        List<Phrase> remarks = new ArrayList<>();
        List<Pressed> presses = presses();
        List<Pressed> board = presses.subList(0, Math.min(presses.size(), layout.presses()));
        for (int i = 0; i < board.size(); i++) {
            if (board.get(i).down().isEmpty()) {
                remarks.add(Phrase.of(Telling.ROOM, "described.nothing")
                        .with("bank", layout.banks().get(i / layout.switches()))
                        .with("number", i % layout.switches() + 1));
            }
        }
        if (board.size() == layout.presses()
                && single(board).flatMap(this::change).isEmpty()) {
            remarks.add(Phrase.of(Telling.ROOM, "described.programmed"));
        }
        List<Integer> values = board.stream()
                .flatMap(pressed -> pressed.down().stream())
                .filter(message -> message.type() != MessageType.PROGRAM_CHANGE)
                .map(Message::data2)
                .filter(value -> value != DataByte.MAX)
                .distinct()
                .toList();
        if (!values.isEmpty()) {
            remarks.add(Phrase.of(Telling.ROOM, "described.values").with("values", values));
        }
        if (next().isEmpty()) {
            remarks.add(Phrase.of(Telling.ROOM, "described.ask"));
        }
        return remarks;
    }

    /** The text of a box with these lines in the place of those that say the same. */
    public String into(String text) {
        List<String> lines = lines();
        Set<String> said = lines.stream().map(Described::subject).collect(Collectors.toSet());
        return Stream.concat(
                        text.lines().filter(line -> line.isBlank() || !said.contains(subject(line))), lines.stream())
                .collect(Collectors.joining("\n", "", "\n"));
    }

    private static String subject(String line) {
        return line.strip().split(":", 2)[0];
    }
}
