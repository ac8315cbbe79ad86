package embrack.app.store;

import embrack.core.line.Came;
import embrack.core.line.Task;
import embrack.core.rig.DeviceId;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What came from the real gear of a rig, who was there and when, and which box hangs at which port. */
@Service
public class LineStore {

    /** What is told of a port on which nothing of the rig hangs. */
    private static final String NONE = "";

    private static final int LONGEST_PORT = 200;

    private static final DateTimeFormatter SHOWN =
            DateTimeFormatter.ofPattern("d MMM, HH:mm", Locale.ENGLISH).withZone(ZoneId.systemDefault());

    private final LineMapper mapper;

    LineStore(LineMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * What came for a task, and who saw to it.
     *
     * @param when "30 Nov, 18:02"
     * @param revision of the plan that it was held against
     */
    public record Kept(Came came, String who, String when, int revision) {}

    /** All that came, by task. A row that cannot be read is as if it had never been. */
    @Transactional(readOnly = true)
    public SortedMap<Task, Kept> all(RigId rig) {
        SortedMap<Task, Kept> all = new TreeMap<>();
        mapper.all(rig.number())
                .forEach(row -> Task.parse(row.task())
                        .ifPresent(task -> Came.parse(row.planned(), row.came())
                                .ifPresent(came -> all.put(
                                        task, new Kept(came, row.who(), SHOWN.format(row.at()), row.revision())))));
        return all;
    }

    /** Keeps what differs from what was kept before. */
    @Transactional
    public void keep(RigId rig, Map<Task, Came> before, Map<Task, Came> after, String who, int revision) {
        after.forEach((task, came) -> {
            if (!came.equals(before.get(task))) {
                mapper.put(rig.number(), task.key(), came.planned(), came.written(), who, revision);
            }
        });
        before.keySet().stream()
                .filter(task -> !after.containsKey(task))
                .forEach(task -> mapper.remove(rig.number(), task.key()));
    }

    /** Which box hangs at each port that somebody said it of; empty for a port that is none of the rig's. */
    @Transactional(readOnly = true)
    public SortedMap<String, Optional<DeviceId>> ports(RigId rig) {
        SortedMap<String, Optional<DeviceId>> ports = new TreeMap<>();
        List<LineMapper.PortRow> rows = mapper.ports(rig.number());
        rows.forEach(row -> ports.put(
                row.port(), row.box().equals(NONE) ? Optional.empty() : Optional.of(new DeviceId(row.box()))));
        return ports;
    }

    /** Says what hangs at a port; empty for nothing of the rig. */
    @Transactional
    public void plug(RigId rig, String port, Optional<DeviceId> box) {
        if (!port.isBlank() && port.length() <= LONGEST_PORT) {
            mapper.plug(rig.number(), port, box.map(DeviceId::text).orElse(NONE));
        }
    }
}
