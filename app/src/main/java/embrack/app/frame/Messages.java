package embrack.app.frame;

import embrack.core.chart.ChartWords;
import embrack.core.midi.Message;

/** Messages as they came, in numbers as sent. */
public final class Messages {

    private Messages() {}

    /** A message in short: "ch 2 CC 40 127". */
    public static String words(Message message) {
        return message instanceof Message.Voice voice
                ? "ch %d %s"
                        .formatted(
                                voice.channel().number(), ChartWords.of(message).replace(" value", ""))
                : ChartWords.of(message);
    }
}
