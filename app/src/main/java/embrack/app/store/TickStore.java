package embrack.app.store;

import embrack.core.sheet.Progress.Tick;
import embrack.core.sheet.Section;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
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

    /** The ticks of a rig, the oldest first. */
    @Transactional(readOnly = true)
    public List<Tick> all(RigId rig) {
        return mapper.all(rig.number()).stream()
                .map(row -> new Tick(row.key(), row.words(), row.who(), SHOWN.format(row.at())))
                .toList();
    }

    /** Ticks a line as it stands. */
    @Transactional
    public void tick(RigId rig, Section.Line line, String who) {
        mapper.put(rig.number(), line.key(), line.words(), who);
    }

    /** Takes a tick back. */
    @Transactional
    public void untick(RigId rig, String key) {
        mapper.remove(rig.number(), key);
    }

    /** Takes all ticks of a rig back. */
    @Transactional
    public void clear(RigId rig) {
        mapper.clear(rig.number());
    }
}
