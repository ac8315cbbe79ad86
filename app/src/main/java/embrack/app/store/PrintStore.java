package embrack.app.store;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which revision of a rig was printed last. */
@Service
public class PrintStore {

    private static final DateTimeFormatter SHOWN =
            DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH).withZone(ZoneId.systemDefault());

    private final PrintMapper mapper;

    PrintStore(PrintMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * A folder as it was printed.
     *
     * @param day as it is shown: "27 Nov"
     */
    public record Printed(int revision, String day) {}

    /** The last one; empty if nobody printed yet. */
    @Transactional(readOnly = true)
    public Optional<Printed> last(RigId rig) {
        return mapper.last(rig.number()).map(row -> new Printed(row.revision(), SHOWN.format(row.at())));
    }

    /** Remembers that a revision was printed. */
    @Transactional
    public void printed(RigId rig, int revision) {
        mapper.put(rig.number(), revision);
    }
}
