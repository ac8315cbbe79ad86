package embrack.app.line;

import embrack.core.midi.Decoded;
import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a browser tells that it heard at its ports. */
final class HeardLines {

    /** No browser tells more at once; what comes beyond is passed over. */
    private static final int MOST = 4_096;

    private static final Pattern LINE =
            Pattern.compile("(\\d{1,9}) (\\d{1,2}) ((?:[0-9a-fA-F]{2}){1,256})(?: x(\\d{1,7}))?");

    private HeardLines() {}

    /** Bytes at a port that are no message, or not whole. */
    record Odd(int port, String hex) {}

    /** What was told: messages, and what is none. */
    record Read(List<Line> lines, List<Odd> odd) {}

    /**
     * A message at a port.
     *
     * @param agoMicros how long before it was told, in microseconds
     * @param port which one of those that were told with it, from 0
     * @param count how many of its number came, of which this is the last; the others are not told
     */
    record Line(long agoMicros, int port, Message message, int count) {}

    /**
     * Reads lines such as "1200 0 90267f" and "90 1 b00b40 x312".
     *
     * @return messages, the oldest first: the last of many was told where the first of them came
     */
    static Read of(String text) {
        List<Line> lines = new ArrayList<>();
        List<Odd> odd = new ArrayList<>();
        text.lines().limit(MOST).forEach(line -> {
            Matcher read = LINE.matcher(line.strip());
            if (read.matches()) {
                int count = read.group(4) == null ? 1 : Integer.parseInt(read.group(4));
                int port = Integer.parseInt(read.group(2));
                Decoded decoded = Decoder.hex(read.group(3));
                decoded.messages()
                        .forEach(message -> lines.add(new Line(Long.parseLong(read.group(1)), port, message, count)));
                if (!decoded.faults().isEmpty()) {
                    odd.add(new Odd(port, read.group(3)));
                }
            }
        });
        lines.sort(Comparator.comparingLong(Line::agoMicros).reversed());
        return new Read(lines, odd);
    }
}
