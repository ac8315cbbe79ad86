package embrack.app.line;

import embrack.core.chart.ChartWords;
import embrack.core.midi.Message;

/** Messages as they came, in numbers as sent. */
final class Messages {

    private Messages() {}

    /** A message in short: "CC 40 value 127 ch 2". */
    static String words(Message message) {
        return ChartWords.of(message)
                + (message instanceof Message.Voice voice
                        ? " ch " + voice.channel().number()
                        : "");
    }
}
