package embrack.files.songs;

import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.show.Day;
import embrack.core.show.Running;
import embrack.core.show.Running.Part;
import embrack.core.show.TimeOfDay;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** The order of a show as CSV (RFC 4180) and as a calendar (RFC 5545). */
public final class OrderFiles {

    private static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss", Locale.ROOT);
    private static final int FOLD = 75;

    private OrderFiles() {}

    /** One line a part, with a line of headings. */
    public static String csv(Running running) {
        var out = new StringBuilder();
        try (var printer = new CSVPrinter(out, CSVFormat.RFC4180)) {
            printer.printRecord("start", "item", "name", "length", "key", "pad", "goes over", "over");
            for (Part part : running.parts()) {
                printer.printRecord(
                        start(running, part),
                        part.entry().item().words(),
                        part.entry().name(),
                        part.lengthMicros() == 0 ? "" : Clock.brief(part.lengthMicros()),
                        part.key().map(Key::toString).orElse(""),
                        part.pad().map(Key::toString).orElse(""),
                        part.entry().transition().way().words(),
                        part.entry().transition().micros() == 0
                                ? ""
                                : Clock.brief(part.entry().transition().micros()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static String start(Running running, Part part) {
        return running.show()
                .start()
                .map(start -> start.after(part.startMicros()))
                .orElseGet(() -> Clock.brief(part.startMicros()));
    }

    /**
     * One event a part, in the local time of the place.
     *
     * @throws IllegalArgumentException with a sentence for a person when the show has no day or no start
     */
    public static String calendar(Running running) {
        Day day = running.show()
                .day()
                .orElseThrow(() -> new IllegalArgumentException("Say on which day the show is; a calendar needs it."));
        TimeOfDay start = running.show()
                .start()
                .orElseThrow(() -> new IllegalArgumentException("Say when the show starts; a calendar needs it."));
        LocalDateTime begins =
                LocalDateTime.of(day.year(), day.month(), day.day(), start.minutes() / 60, start.minutes() % 60);
        List<String> lines = new ArrayList<>(List.of("BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//Embrack//Order//EN"));
        for (Part part : running.parts()) {
            lines.addAll(List.of(
                    "BEGIN:VEVENT",
                    "UID:%s-%d@embrack.invalid"
                            .formatted(running.show().id(), part.entry().number()),
                    "DTSTAMP:%sZ".formatted(STAMP.format(begins)),
                    "DTSTART:" + STAMP.format(at(begins, part.startMicros())),
                    "DTEND:" + STAMP.format(at(begins, part.endMicros())),
                    "SUMMARY:" + escaped(part.entry().name().text()),
                    "DESCRIPTION:" + escaped(description(part)),
                    "END:VEVENT"));
        }
        lines.add("END:VCALENDAR");
        var text = new StringBuilder();
        lines.forEach(line -> fold(line, text));
        return text.toString();
    }

    private static LocalDateTime at(LocalDateTime begins, long micros) {
        return begins.plusSeconds(Math.round(micros / 1_000_000.0));
    }

    private static String description(Part part) {
        return part.entry().item().words()
                + part.key().map(key -> " in " + key).orElse("")
                + part.pad().map(key -> ", pad in " + key).orElse("");
    }

    /** Source: RFC 5545, 3.3.11. */
    private static String escaped(String text) {
        return text.replace("\\", "\\\\")
                .replace(";", "\\;")
                .replace(",", "\\,")
                .replace("\n", "\\n");
    }

    /** Lines of at most 75 octets, longer ones broken before a blank. Source: RFC 5545, 3.1. */
    private static void fold(String line, StringBuilder text) {
        int octets = 0;
        for (int i = 0; i < line.length(); i += Character.charCount(line.codePointAt(i))) {
            String letter = Character.toString(line.codePointAt(i));
            int more = letter.getBytes(StandardCharsets.UTF_8).length;
            if (octets + more > FOLD) {
                text.append("\r\n ");
                octets = 1;
            }
            text.append(letter);
            octets += more;
        }
        text.append("\r\n");
    }
}
