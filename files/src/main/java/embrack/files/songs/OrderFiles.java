package embrack.files.songs;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import biweekly.property.DateEnd;
import biweekly.property.DateStart;
import biweekly.property.ICalProperty;
import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.show.Day;
import embrack.core.show.Running;
import embrack.core.show.Running.Part;
import embrack.core.show.TimeOfDay;
import embrack.files.csv.CsvWriter;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.Date;
import java.util.List;

/** The order of a show as CSV (RFC 4180) and as a calendar (RFC 5545). */
public final class OrderFiles {

    private OrderFiles() {}

    /** One line a part, with a line of headings. */
    public static String csv(Running running) {
        var sheet = new CsvWriter(List.of("start", "item", "name", "length", "key", "pad", "goes over", "over"));
        for (Part part : running.parts()) {
            sheet.line(List.of(
                    start(running, part),
                    part.entry().item().words(),
                    part.entry().name(),
                    part.lengthMicros() == 0 ? "" : Clock.brief(part.lengthMicros()),
                    part.key().map(Key::toString).orElse(""),
                    part.pad().map(Key::toString).orElse(""),
                    part.entry().transition().way().words(),
                    part.entry().transition().micros() == 0
                            ? ""
                            : Clock.brief(part.entry().transition().micros())));
        }
        return sheet.text();
    }

    private static String start(Running running, Part part) {
        return running.show()
                .start()
                .map(start -> start.after(part.startMicros()))
                .orElseGet(() -> Clock.brief(part.startMicros()));
    }

    /**
     * Which edition of a plan a calendar is of: calendars take an event of a later one for the same event, changed.
     *
     * @param rig what tells its rig from all others
     * @param revision counted up with each change
     * @param changed when that was
     */
    public record Edition(String rig, int revision, Instant changed) {}

    /**
     * One event a part, in the local time of the place. Source: RFC 5545, written by a library.
     *
     * @throws IllegalArgumentException with a sentence for a person when the show has no day or no start
     */
    public static String calendar(Running running, Edition edition) {
        Day day = running.show()
                .day()
                .orElseThrow(() -> new IllegalArgumentException("Say on which day the show is; a calendar needs it."));
        TimeOfDay start = running.show()
                .start()
                .orElseThrow(() -> new IllegalArgumentException("Say when the show starts; a calendar needs it."));
        LocalDateTime begins =
                LocalDateTime.of(day.year(), day.month(), day.day(), start.minutes() / 60, start.minutes() % 60);
        var calendar = new ICalendar();
        calendar.setProductId("-//Embrack//Order//EN");
        for (Part part : running.parts()) {
            var event = new VEvent();
            event.setUid("%s-%s-%d@embrack.invalid"
                    .formatted(edition.rig(), running.show().id(), part.entry().number()));
            event.setDateTimeStamp(Date.from(edition.changed()));
            event.setLastModified(Date.from(edition.changed()));
            event.setSequence(edition.revision());
            event.setDateStart(local(calendar, new DateStart(at(begins, part.startMicros()))));
            event.setDateEnd(local(calendar, new DateEnd(at(begins, part.endMicros()))));
            event.setSummary(part.entry().name().text());
            event.setDescription(description(part));
            calendar.addEvent(event);
        }
        return Biweekly.write(calendar).go();
    }

    /** A time without a zone: that of the place, wherever the calendar is looked at. */
    private static <T extends ICalProperty> T local(ICalendar calendar, T time) {
        calendar.getTimezoneInfo().setFloating(time, true);
        return time;
    }

    private static Date at(LocalDateTime begins, long micros) {
        return Date.from(begins.plusSeconds(Math.round(micros / 1_000_000.0))
                .atZone(ZoneId.systemDefault())
                .toInstant());
    }

    private static String description(Part part) {
        return part.entry().item().words()
                + part.key().map(key -> " in " + key).orElse("")
                + part.pad().map(key -> ", pad in " + key).orElse("");
    }
}
