package embrack.app.light;

import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Messages as a browser tells that it heard them. */
final class HeardMessages {

    /** No browser keeps more to itself; what comes beyond is passed over. */
    private static final int MOST = 1_000;

    private static final Pattern LINE = Pattern.compile("(\\d{1,9}) ((?:[0-9a-fA-F]{2}){1,256})");

    private HeardMessages() {}

    /** Reads lines such as "1200 90267f": 1 200 µs ago, a note on. What is no message is passed over. */
    static List<LightStreams.Timed> of(String text) {
        List<LightStreams.Timed> messages = new ArrayList<>();
        text.lines().limit(MOST).forEach(line -> {
            Matcher read = LINE.matcher(line.strip());
            if (read.matches()) {
                for (Message message : Decoder.hex(read.group(2)).messages()) {
                    messages.add(new LightStreams.Timed(Long.parseLong(read.group(1)), message));
                }
            }
        });
        return messages;
    }
}
