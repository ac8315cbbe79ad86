package embrack.core.chart;

import embrack.core.midi.Message;
import embrack.core.midi.MessageType;

/** How messages of a chart are said. */
public final class ChartWords {

    private ChartWords() {}

    /** A message in the numbers that the manual shows: "CC 40 over 63", "note 12", "PC 3". */
    public static String of(Trigger trigger, Conventions conventions) {
        return switch (trigger) {
            case Trigger.Voice voice ->
                (voice.type().shortName() + " " + number(voice.type(), voice.number(), conventions) + " "
                                        + values(voice))
                                .strip()
                        + voice.channel().map(c -> " on channel " + c.number()).orElse("");
            case Trigger.Whole whole -> of(whole.message());
        };
    }

    /** A message in the numbers that are sent, without its channel: "CC 40 value 127", "PC 3", "start". */
    public static String of(Message message) {
        return switch (message) {
            case Message.ProgramChange m -> "PC " + m.program();
            case Message.PitchBend m -> "pitch bend " + m.amount();
            case Message.ChannelPressure m -> "channel pressure " + m.pressure();
            case Message.Voice m -> "%s %d value %d".formatted(m.type().shortName(), m.data1(), m.data2());
            default ->
                message.type() == MessageType.SYSTEM_EXCLUSIVE
                        ? message.hex()
                        : (message.type().shortName() + (message.length() > 1 ? " " + message.data1() : ""));
        };
    }

    /** A message in the numbers that the manual shows, without its channel: "CC 40 value 127", "PC 3". */
    public static String of(Message message, Conventions conventions) {
        return message instanceof Message.ProgramChange change
                ? "PC " + number(MessageType.PROGRAM_CHANGE, change.program(), conventions)
                : of(message);
    }

    /** A message as the line of a chart has it behind its colon: "note 36", "cc 40 = 127", "pc 3". */
    public static String line(Message message, Conventions conventions) {
        return switch (message) {
            case Message.NoteOn m -> "note " + m.data1();
            case Message.ControlChange m -> "cc %d = %d".formatted(m.controller(), m.value());
            case Message.ProgramChange m -> "pc " + number(MessageType.PROGRAM_CHANGE, m.program(), conventions);
            default -> of(message, conventions);
        };
    }

    /** A number as the manual shows it: programs are counted as it counts them. */
    public static int number(MessageType type, int number, Conventions conventions) {
        return type == MessageType.PROGRAM_CHANGE ? conventions.shownPrograms().shown(number) : number;
    }

    /** The values in the words of a chart: "", "= 127", "over 63", "= 0..100". */
    static String values(Trigger.Voice voice) {
        Values values = voice.values();
        int lowest = voice.type() == MessageType.NOTE_ON ? 1 : 0;
        if (voice.type() == MessageType.PROGRAM_CHANGE || values.equals(new Values(127, lowest, 127))) {
            return "";
        }
        if (values.low() == values.high()) {
            return "= " + values.low();
        }
        String sends =
                values.sends() == Values.between(values.low(), values.high()).sends()
                        ? ""
                        : "= " + values.sends() + " ";
        if (values.high() == 127) {
            return sends + (values.low() == lowest ? "from %d..127".formatted(lowest) : "over " + (values.low() - 1));
        }
        return sends
                + (values.low() == lowest
                        ? "under " + (values.high() + 1)
                        : "from %d..%d".formatted(values.low(), values.high()));
    }
}
