package embrack.app.store;

import embrack.core.line.Came;
import embrack.core.line.PairTrial;
import embrack.core.line.PairTried;
import embrack.core.line.PortNames;
import embrack.core.line.Task;
import embrack.core.line.Travels;
import embrack.core.midi.Decoder;
import embrack.core.midi.Identity;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.send.Answer;
import embrack.core.send.Asked;
import embrack.core.send.LoopTimes;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
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
    private final ApplicationEventPublisher events;

    LineStore(LineMapper mapper, ApplicationEventPublisher events) {
        this.mapper = mapper;
        this.events = events;
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

    /** What came for pedals, faders and knobs, by the key of their travel. */
    @Transactional(readOnly = true)
    public SortedMap<String, Travels.Came> travels(RigId rig) {
        SortedMap<String, Travels.Came> all = new TreeMap<>();
        mapper.all(rig.number())
                .forEach(row ->
                        Travels.Came.parse(row.planned(), row.came()).ifPresent(came -> all.put(row.task(), came)));
        return all;
    }

    /** Keeps what differs from what was kept of pedals, faders and knobs before. */
    @Transactional
    public void keep(RigId rig, Travels before, Travels after, String who, int revision) {
        after.came().forEach((key, came) -> {
            if (!came.equals(before.came().get(key))) {
                mapper.put(rig.number(), key, came.planned(), came.written(), who, revision);
            }
        });
        before.came().keySet().stream()
                .filter(key -> !after.came().containsKey(key))
                .forEach(key -> mapper.remove(rig.number(), key));
        events.publishEvent(new LineKept(rig));
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
        events.publishEvent(new LineKept(rig));
    }

    /** What somebody said of the ports of a place; empty for one at which nothing of the rig hangs. */
    @Transactional(readOnly = true)
    public SortedMap<String, Optional<DeviceId>> said(RigId rig, String place, boolean outward) {
        SortedMap<String, Optional<DeviceId>> said = new TreeMap<>();
        mapper.ports(rig.number(), place, outward)
                .forEach(row -> said.put(
                        row.port(), row.box().equals(NONE) ? Optional.empty() : Optional.of(new DeviceId(row.box()))));
        return said;
    }

    /**
     * Which box hangs at each of some ports: as somebody said, else by its name; empty where nothing of the rig does.
     *
     * @param place of which browser they are
     * @param ports their names
     * @param outward whether they are ports out
     */
    @Transactional(readOnly = true)
    public SortedMap<String, Optional<DeviceId>> plugged(
            StoredRig rig, String place, List<String> ports, boolean outward) {
        SortedMap<String, Optional<DeviceId>> said = said(rig.id(), place, outward);
        SortedMap<String, Optional<DeviceId>> plugged = new TreeMap<>();
        for (String port : ports) {
            plugged.put(
                    port,
                    said.containsKey(port)
                            ? said.get(port)
                                    .filter(box -> rig.plan().rig().find(box).isPresent())
                            : PortNames.box(rig.plan().rig(), port));
        }
        return plugged;
    }

    /** Says what hangs at a port of a place; empty for nothing of the rig. {@code outward} whether it is a port out. */
    @Transactional
    public void plug(RigId rig, String place, String port, boolean outward, Optional<DeviceId> box) {
        if (!port.isBlank() && port.length() <= LONGEST_PORT) {
            mapper.plug(
                    rig.number(), place, port, outward, box.map(DeviceId::text).orElse(NONE));
        }
    }

    /**
     * An answer that was given, and by whom.
     *
     * @param when "30 Nov, 18:02"
     */
    public record Told(Asked asked, String who, String when, int revision) {}

    /** All that was answered about what boxes were sent, by the key of its probe. */
    @Transactional(readOnly = true)
    public SortedMap<String, Told> told(RigId rig) {
        SortedMap<String, Told> told = new TreeMap<>();
        mapper.told(rig.number())
                .forEach(row -> Answer.parse(row.answer())
                        .ifPresent(answer -> told.put(
                                row.probe(),
                                new Told(
                                        new Asked(row.sent(), answer),
                                        row.who(),
                                        SHOWN.format(row.at()),
                                        row.revision()))));
        return told;
    }

    /** Keeps what differs from what was answered before. */
    @Transactional
    public void tell(RigId rig, Map<String, Asked> before, Map<String, Asked> after, String who, int revision) {
        after.forEach((probe, asked) -> {
            if (!asked.equals(before.get(probe))) {
                mapper.tell(rig.number(), probe, asked.sent(), asked.answer().written(), who, revision);
            }
        });
        before.keySet().stream()
                .filter(probe -> !after.containsKey(probe))
                .forEach(probe -> mapper.untell(rig.number(), probe));
        events.publishEvent(new LineKept(rig));
    }

    /**
     * How long messages took from a box to another when it was measured.
     *
     * @param when "30 Nov, 18:02"
     */
    public record Loop(DeviceId sender, DeviceId heard, LoopTimes times, String who, String when) {}

    /** All that was measured. */
    @Transactional(readOnly = true)
    public List<Loop> loops(RigId rig) {
        return mapper.loops(rig.number()).stream()
                .map(row -> new Loop(
                        new DeviceId(row.sender()),
                        new DeviceId(row.heard()),
                        new LoopTimes(Stream.of(row.micros().split(" "))
                                .map(Long::valueOf)
                                .toList()),
                        row.who(),
                        SHOWN.format(row.at())))
                .toList();
    }

    /** Keeps what was measured last. */
    @Transactional
    public void loop(RigId rig, DeviceId sender, DeviceId heard, LoopTimes times, String who) {
        mapper.loop(
                rig.number(),
                sender.text(),
                heard.text(),
                times.micros().stream().map(String::valueOf).collect(Collectors.joining(" ")),
                who);
    }

    /**
     * What was tried of a pair, and by whom.
     *
     * @param when "30 Nov, 18:02"
     */
    public record Pulled(PairTried tried, String who, String when, int revision) {}

    /** What was tried of pairs, by {@link PairTrial#key()}. */
    @Transactional(readOnly = true)
    public SortedMap<String, Pulled> pairs(RigId rig) {
        SortedMap<String, Pulled> all = new TreeMap<>();
        mapper.pairs(rig.number())
                .forEach(row -> all.put(
                        row.pair(),
                        new Pulled(
                                new PairTried(
                                        row.planned(),
                                        row.gapMicros() == null
                                                ? OptionalLong.empty()
                                                : OptionalLong.of(row.gapMicros()),
                                        row.lost().isEmpty()
                                                ? new TreeSet<>()
                                                : new TreeSet<>(
                                                        List.of(row.lost().split(" "))),
                                        row.back()),
                                row.who(),
                                SHOWN.format(row.at()),
                                row.revision())));
        return all;
    }

    /** Keeps what was tried last of a pair. */
    @Transactional
    public void pair(RigId rig, String pair, PairTried tried, String who, int revision) {
        mapper.pair(
                rig.number(),
                pair,
                tried.planned(),
                tried.gapMicros().isPresent() ? tried.gapMicros().getAsLong() : null,
                String.join(" ", tried.lost()),
                tried.isBack(),
                who,
                revision);
    }

    /**
     * Who a box said that it is.
     *
     * @param before what it had said the time before; empty where it was asked once
     * @param when "30 Nov, 18:02"
     */
    public record Known(Identity identity, Optional<Identity> before, String who, String when) {}

    /** Who boxes said that they are. */
    @Transactional(readOnly = true)
    public SortedMap<DeviceId, Known> identities(RigId rig) {
        SortedMap<DeviceId, Known> all = new TreeMap<>();
        mapper.identities(rig.number())
                .forEach(row -> identity(row.answer())
                        .ifPresent(identity -> all.put(
                                new DeviceId(row.box()),
                                new Known(identity, identity(row.before()), row.who(), SHOWN.format(row.at())))));
        return all;
    }

    private static Optional<Identity> identity(String hex) {
        return Decoder.hex(hex).messages().stream()
                .flatMap(message -> Identity.of(message).stream())
                .findFirst();
    }

    /** Keeps who a box said that it is. */
    @Transactional
    public void identity(RigId rig, DeviceId box, Message answer, String who) {
        mapper.identity(rig.number(), box.text(), HexFormat.of().formatHex(answer.bytes()), who);
    }
}
