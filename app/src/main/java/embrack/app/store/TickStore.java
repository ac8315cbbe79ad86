package embrack.app.store;

import embrack.core.sheet.AtDoors;
import embrack.core.sheet.Progress.Tick;
import embrack.core.sheet.Section;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who ticked which line of a rig's sheets, and when. */
@Service
public class TickStore {

    private static final DateTimeFormatter SHOWN =
            DateTimeFormatter.ofPattern("d MMM, HH:mm", Locale.ENGLISH).withZone(ZoneId.systemDefault());

    private final TickMapper mapper;

    TickStore(TickMapper mapper) {
        this.mapper = mapper;
    }

    /** The ticks of a rig on what is programmed, the oldest first. */
    @Transactional(readOnly = true)
    public List<Tick> all(RigId rig) {
        return ticks(rig, key -> !key.startsWith(AtDoors.KEYS));
    }

    /** The ticks of a rig on the list at doors, the oldest first. */
    @Transactional(readOnly = true)
    public List<Tick> atDoors(RigId rig) {
        return ticks(rig, key -> key.startsWith(AtDoors.KEYS));
    }

    private List<Tick> ticks(RigId rig, Predicate<String> which) {
        return mapper.all(rig.number()).stream()
                .filter(row -> which.test(row.key()))
                .map(row -> new Tick(row.key(), row.words(), row.who(), SHOWN.format(row.at())))
                .toList();
    }

    /** Ticks a line as it stands. */
    @Transactional
    public void tick(RigId rig, Section.Line line, String who) {
        mapper.put(rig.number(), line.key(), line.words(), who);
    }

    /** What became of a tick that was made elsewhere. */
    public enum Came {
        /** It counts. */
        NEW,
        /** The line stands so already. */
        KNOWN,
        /** The line stands otherwise, and what says so is newer. */
        OLDER
    }

    /**
     * Takes a tick in that was made or taken back elsewhere, unless a newer one is here already.
     *
     * @param at when it was made, by the clock of this machine; not later than now
     */
    @Transactional
    public Came home(RigId rig, Section.Line line, boolean done, Instant at, String who) {
        OffsetDateTime when = at.truncatedTo(ChronoUnit.MICROS).atOffset(ZoneOffset.UTC);
        if (mapper.putAt(rig.number(), line.key(), line.words(), who, when, done) > 0) {
            return Came.NEW;
        }
        return mapper.stands(rig.number(), line.key()).orElse(false) == done ? Came.KNOWN : Came.OLDER;
    }

    /** Takes a tick back. */
    @Transactional
    public void untick(RigId rig, String key) {
        mapper.takeBack(rig.number(), key);
    }

    /** Takes all ticks of a rig back, but those of tonight's doors. */
    @Transactional
    public void clear(RigId rig) {
        mapper.takeBackSheets(rig.number());
    }

    /** Takes the ticks of the list at doors back, as for another evening. */
    @Transactional
    public void clearDoors(RigId rig) {
        mapper.takeBackDoors(rig.number());
    }
}
