package embrack.core.gear;

import static embrack.core.midi.MessageType.CONTROL_CHANGE;
import static embrack.core.midi.MessageType.NOTE_ON;
import static embrack.core.midi.MessageType.PROGRAM_CHANGE;

import embrack.core.midi.MessageType;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ValueDisplay;
import embrack.core.midi.Wire.RunningStatus;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** The models that ship. All are generic and their charts invented. */
public final class Library {

    /** Four switches in a row, one send channel for the whole box, eight messages a press. */
    public static final Model FOUR_SWITCH_FLOOR_BOARD = board("four-switch-floor-board", "Four-switch floor board",
            4, 8, SendChannel.ONE_FOR_THE_BOX, ValueDisplay.TWO_DIGITS,
            Optional.of("Hold WRITE until the display blinks; nothing is kept before that."),
            CONTROL_CHANGE, PROGRAM_CHANGE);

    /** Four switches on a desk, two messages a press, each with its own channel. */
    public static final Model FOUR_SWITCH_DESK_BOARD = board("four-switch-desk-board", "Four-switch desk board",
            2, 2, SendChannel.EACH_MESSAGE, ValueDisplay.PLAIN, Optional.empty(),
            CONTROL_CHANGE, NOTE_ON, PROGRAM_CHANGE);

    /** Four switches that can only change programs. */
    public static final Model FOUR_SWITCH_PROGRAM_BOARD = board("four-switch-program-board", "Four-switch program board",
            4, 1, SendChannel.ONE_FOR_THE_BOX, ValueDisplay.TWO_DIGITS, Optional.empty(), PROGRAM_CHANGE);

    /** 16 inputs, 4 returns, 3 buses and the main, muted by control changes from 40 left to right. */
    public static final Model RACK_MIXER = rackMixer();

    private static final List<Model> ALL =
            List.of(FOUR_SWITCH_FLOOR_BOARD, FOUR_SWITCH_DESK_BOARD, FOUR_SWITCH_PROGRAM_BOARD, RACK_MIXER);

    private Library() {
    }

    /** All shipped models, boards first. */
    public static List<Model> all() {
        return ALL;
    }

    public static Optional<Model> find(ModelId id) {
        return ALL.stream().filter(model -> model.id().equals(id)).findFirst();
    }

    private static Model board(String id, String name, int columns, int messagesPerPress, SendChannel sendChannel,
            ValueDisplay display, Optional<String> writing, MessageType first, MessageType... others) {
        var board = new Board(4, columns, Stream.of("A", "B", "C", "D").map(TapeLabel::new).toList(),
                new TreeSet<>(EnumSet.of(first, others)), messagesPerPress, sendChannel, RunningStatus.NOT_USED,
                ProgramCounting.FROM_ONE, display);
        List<Setting> settings = sendChannel == SendChannel.ONE_FOR_THE_BOX
                ? List.of(new Setting(SettingId.SEND_CHANNEL, new TapeLabel("MIDI send channel"), 1, 16, 2))
                : List.of();
        return new Model(new ModelId(id), new TapeLabel(name), Kind.FLOOR_BOARD,
                List.of(port("out", "MIDI OUT", Direction.OUT)), Optional.of(board), List.of(), settings,
                List.of(), List.of(), writing);
    }

    private static Model rackMixer() {
        List<Part> strips = Stream.of(run("in", "Input", 16), run("return", "Return", 4), run("bus", "Bus", 3),
                Stream.of(new Part(new PartId("main"), new TapeLabel("Main")))).flatMap(s -> s).toList();
        PartId first = strips.getFirst().id();
        int count = strips.size();
        return new Model(new ModelId("rack-mixer-24"), new TapeLabel("Rack mixer, 24 strips"), Kind.MIXER,
                List.of(port("in", "MIDI IN", Direction.IN), port("thru", "MIDI THRU", Direction.THRU)),
                Optional.empty(), strips,
                List.of(new Setting(SettingId.RECEIVE_CHANNEL, new TapeLabel("MIDI receive channel"), 1, 16, 1)),
                List.of(new ChartRun(Verb.MUTE, first, count, CONTROL_CHANGE, 40, 127),
                        new ChartRun(Verb.OPEN, first, count, CONTROL_CHANGE, 40, 0)),
                List.of(new ReactionRun(Verb.MUTE, first, count, CONTROL_CHANGE, 40, 64, 127),
                        new ReactionRun(Verb.OPEN, first, count, CONTROL_CHANGE, 40, 0, 63)),
                Optional.empty());
    }

    private static Stream<Part> run(String id, String name, int count) {
        return IntStream.rangeClosed(1, count)
                .mapToObj(i -> new Part(new PartId(id + "-" + i), new TapeLabel(name + " " + i)));
    }

    private static Port port(String id, String name, Direction direction) {
        return new Port(new PortId(id), new TapeLabel(name), Connector.FIVE_PIN, direction);
    }
}
