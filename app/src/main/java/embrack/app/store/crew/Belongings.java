package embrack.app.store.crew;

import embrack.app.store.RigDeleted;
import embrack.app.store.RigId;
import embrack.core.edit.Refused;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * All that a crew has, to be taken along or deleted for good. Which tables that are the catalogue of the database says,
 * so that none that comes later is forgotten.
 */
@Service
public class Belongings {

    /** What the crew of everybody who is alone is called. */
    private static final String NOBODYS = "First crew";

    private final BelongingsMapper mapper;
    private final CrewMapper crews;
    private final ApplicationEventPublisher events;

    Belongings(BelongingsMapper mapper, CrewMapper crews, ApplicationEventPublisher events) {
        this.mapper = mapper;
        this.crews = crews;
        this.events = events;
    }

    /** All rigs of a crew, also those that were deleted and can be brought back. */
    @Transactional(readOnly = true)
    public List<RigId> rigs(CrewId crew) {
        return mapper.rigs(crew.number()).stream().map(RigId::new).toList();
    }

    /** All that is kept of a rig, by table: rows as JSON, one a line. */
    @Transactional(readOnly = true)
    public SortedMap<String, String> rows(RigId rig) {
        SortedMap<String, String> tables = new TreeMap<>();
        Map<String, String> where = conditions("= " + rig.number());
        where.forEach((table, condition) -> tables.put(table, lines(mapper.rows(table, condition))));
        tables.put("rig", lines(mapper.rows("rig", "id = " + rig.number())));
        tables.values().removeIf(String::isEmpty);
        return tables;
    }

    /** All revisions of the models of a crew, rows as JSON, one a line. */
    @Transactional(readOnly = true)
    public String models(CrewId crew) {
        return lines(mapper.rows("gear_model_revision", "crew = " + crew.number()));
    }

    private static String lines(List<String> rows) {
        return rows.stream().map(row -> row + "\n").collect(Collectors.joining());
    }

    /** How rows of each table are found that belong to rigs. */
    private Map<String, String> conditions(String rigs) {
        Map<String, BelongingsMapper.Part> parts =
                mapper.parts().stream().collect(Collectors.toMap(BelongingsMapper.Part::name, part -> part));
        return parts.keySet().stream()
                .collect(Collectors.toMap(table -> table, table -> condition(table, parts, rigs)));
    }

    private static boolean isOfRig(BelongingsMapper.Part part) {
        return part.whole().equals("rig");
    }

    private static String condition(String table, Map<String, BelongingsMapper.Part> parts, String rigs) {
        BelongingsMapper.Part part = parts.get(table);
        if (part == null) {
            throw new IllegalStateException("no way from a rig to table " + table);
        }
        return isOfRig(part)
                ? "%s %s".formatted(part.link(), rigs)
                : "%s in (select %s from %s where %s)"
                        .formatted(part.link(), part.key(), part.whole(), condition(part.whole(), parts, rigs));
    }

    /**
     * Deletes a crew with all that it has. Accounts stay: people are of other crews too.
     *
     * @param typed what it is called, as its lead typed it
     * @throws Refused when that is not its name
     */
    @Transactional
    public void delete(CrewId crew, String typed) {
        String name = crews.name(crew.number()).orElse("");
        if (!name.equals(typed.strip())) {
            throw new Refused("deleted-name", Because.of("no.not-its-name").with("name", name));
        }
        crews.lock(crew.number());
        List<RigId> rigs = rigs(crew);
        // What belongs to these goes with them.
        mapper.parts().stream()
                .filter(Belongings::isOfRig)
                .forEach(part -> mapper.delete(
                        part.name(),
                        "%s in (select id from rig where crew = %d)".formatted(part.link(), crew.number())));
        String ofCrew = "crew = " + crew.number();
        mapper.delete("share", "%s or with_%s".formatted(ofCrew, ofCrew));
        for (String table : List.of("rig", "gear_model_revision", "gear_model", "invitation", "crew_member")) {
            mapper.delete(table, ofCrew);
        }
        if (crew.equals(CrewId.FIRST)) {
            mapper.rename(crew.number(), NOBODYS); // whoever is alone again is of it
        } else {
            mapper.delete("crew", "id = " + crew.number());
        }
        rigs.forEach(rig -> events.publishEvent(new RigDeleted(rig)));
        events.publishEvent(new DoorsMoved());
    }
}
