package embrack.files.lists;

import embrack.files.json.UnreadableFile;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Ticks that were made on a device without the server: a JSON object with {@code format} {@code embrack-ticks},
 * {@code version} 1 and {@code ticks}, a list of {@code key}, {@code done} and {@code at}, an ISO 8601 instant.
 *
 * @param ticks the earliest first
 */
public record TickFile(List<Made> ticks) {

    /** The largest file that is read, in characters. */
    public static final int MAX_LENGTH = 1 << 20;

    private static final int MOST = 10_000;

    public TickFile {
        ticks = List.copyOf(ticks);
    }

    /** A tick that was made, or taken back. */
    public record Made(String key, boolean done, Instant at) {}

    /**
     * The ticks of a text.
     *
     * @throws UnreadableFile when it is no such file
     */
    public static TickFile read(String text) {
        JsonNode root;
        try {
            root = text.length() > MAX_LENGTH
                    ? JsonMapper.shared().nullNode()
                    : JsonMapper.shared().readTree(text);
        } catch (JacksonException e) {
            throw unreadable("this is no JSON");
        }
        if (!root.path("format").asString("").equals("embrack-ticks")
                || root.path("version").asInt(0) != 1) {
            throw unreadable("this is no file of ticks; save one with \"Bring ticks home\" in the file of the folder");
        }
        List<Made> made = new ArrayList<>();
        for (JsonNode tick : root.path("ticks")) {
            if (made.size() == MOST) {
                throw unreadable("has more than %d ticks".formatted(MOST));
            }
            try {
                made.add(new Made(
                        tick.path("key").asString(""),
                        tick.path("done").asBoolean(false),
                        Instant.parse(tick.path("at").asString(""))));
            } catch (DateTimeException e) {
                throw unreadable("tick %d has no time".formatted(made.size() + 1));
            }
        }
        made.sort(Comparator.comparing(Made::at));
        return new TickFile(made);
    }

    private static UnreadableFile unreadable(String words) {
        return new UnreadableFile(List.of(new UnreadableFile.Problem("the file", words)));
    }
}
