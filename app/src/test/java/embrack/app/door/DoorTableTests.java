package embrack.app.door;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.Caller;
import embrack.app.CrewTest;
import embrack.app.TwoCrews;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.web.servlet.handler.AbstractUrlHandlerMapping;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Every route of the running application, who gets in, and what all others are told. What is expected stands in
 * doors.txt, a line a route, and here by role; neither is read from the application.
 */
@CrewTest
class DoorTableTests {

    private static final Path TABLE = Path.of("src/test/resources/doors.txt");

    /** What each of them may do to the rig that is shared with the guest, in the words of the table. */
    private static final Map<String, Set<String>> ROLES = Map.of(
            "Mira", Set.of("read", "tick", "play", "note", "edit", "lead"),
            "Jory", Set.of("read", "tick", "play", "note", "edit"),
            "Ada", Set.of("read", "tick", "play", "note"),
            "Vera", Set.of("read"),
            "Ottoline", Set.of(),
            "Nils", Set.of(),
            "nobody", Set.of());

    /** What somebody may do to the rig of the second crew, by whether they lead it. */
    private static final Map<Boolean, Set<String>> LEADS =
            Map.of(true, ROLES.getOrDefault("Mira", Set.of()), false, Set.of());

    /** Who tries the rig of the second crew: its lead, the lead of the first, and nobody. */
    private static final Set<String> OF_ANOTHER_CREW = Set.of("Ottoline", "Mira", "nobody");

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping controllers;

    @Autowired
    private List<AbstractUrlHandlerMapping> others;

    @Autowired
    private TwoCrews crews;

    /** A line of the table: {@code POST /rigs/{id}/undo rig edit}. */
    private record Door(String method, String pattern, String place, String right) {

        static Door of(String line) {
            String[] words = line.split(" ");
            return new Door(words[0], words[1], words[2], words.length > 3 ? words[3] : "");
        }

        String route() {
            return method + " " + pattern;
        }

        /** An address of it: what is no rig and no crew is a number or a word that fits. */
        String address(Object rig, Object crew) {
            return pattern.replaceFirst("^/rigs/(\\{id}|\\*)", "/rigs/" + rig)
                    .replaceFirst("^/crews/\\{crew}", "/crews/" + crew)
                    .replaceAll("\\{[^}:]*:(\\\\d|\\[1-9])[^/]*}(?=[/.]|$)", "1")
                    .replaceAll("\\{type:[^}]*}", "knob")
                    .replaceAll("\\{name:[^}]*}", "cables")
                    .replaceAll("\\{room:[^}]*}", "gear")
                    .replaceAll("\\{(bank|number|index)[^/]*}", "1")
                    .replaceAll("\\{[^}]*}", "x");
        }
    }

    private static List<Door> table() throws IOException {
        return Files.readAllLines(TABLE).stream()
                .filter(line -> !line.isBlank() && !line.startsWith("#"))
                .map(Door::of)
                .toList();
    }

    @Test
    void noRouteIsMissingInTheTable() throws IOException {
        Set<String> routes = new TreeSet<>();
        controllers.getHandlerMethods().forEach((info, handler) -> {
            if (handler.getBeanType().getPackageName().startsWith("embrack.")) {
                info.getMethodsCondition()
                        .getMethods()
                        .forEach(method -> info.getPatternValues().forEach(path -> routes.add(method + " " + path)));
            }
        });
        others.stream()
                .filter(mapping -> mapping.getClass().getSimpleName().contains("WebSocket"))
                .flatMap(mapping -> mapping.getHandlerMap().keySet().stream())
                .forEach(path -> routes.add("GET " + path));
        Files.write(Path.of("target", "routes.txt"), routes);
        assertThat(table().stream().map(Door::route)).containsExactlyInAnyOrderElementsOf(routes);
    }

    @Test
    void everybodyGetsInWhereTheyMayAndNowhereElse() throws IOException {
        List<String> faults = new ArrayList<>();
        int knocks = 0;
        for (Door door : table()) {
            for (String who : ROLES.keySet()) {
                Set<String> all = ROLES.getOrDefault(who, Set.of());
                knocks += tried(door, who, crews.shared(), all, faults);
                if (door.place().equals("rig")) {
                    if (who.equals("Vera")) {
                        knocks += tried(door, who, crews.own(), Set.of(), faults);
                    }
                    if (OF_ANOTHER_CREW.contains(who)) {
                        knocks += tried(door, who, crews.foreign(), LEADS.get(who.equals("Ottoline")), faults);
                    }
                }
            }
        }
        assertThat(faults).isEmpty();
        assertThat(knocks).isGreaterThan(3_000);
    }

    /** What is sent in any other way is answered by nobody, and tells strangers nothing. */
    @Test
    void otherMethodsOpenNothing() throws IOException {
        List<String> faults = new ArrayList<>();
        Set<String> addresses = table().stream()
                .filter(door -> door.place().equals("rig") || door.place().equals("crew"))
                .map(door -> door.address(crews.shared(), 1))
                .collect(Collectors.toCollection(TreeSet::new));
        for (String address : addresses) {
            for (String method : List.of("HEAD", "PUT", "OPTIONS")) {
                if (method.equals("OPTIONS") && address.length() % 10 > 0) {
                    continue;
                }
                int stranger = crews.of("Ottoline").knock(method, address);
                int guest = crews.of("Vera").knock(method, address);
                boolean reads = method.equals("HEAD") || method.equals("OPTIONS");
                if (stranger != 404 || !reads && guest == Caller.LET_IN) {
                    faults.add("%s %s: stranger %d, guest %d".formatted(method, address, stranger, guest));
                }
            }
        }
        assertThat(faults).isEmpty();
    }

    private int tried(Door door, String who, Object rig, Set<String> toRig, List<String> faults) {
        String address = door.address(rig, 1);
        int got = crews.of(who).knock(door.method(), address);
        int expected = expected(door, who, toRig);
        if (got != expected) {
            faults.add("%s %s by %s: %d, not %d".formatted(door.method(), address, who, got, expected));
        }
        return 1;
    }

    private static int expected(Door door, String who, Set<String> toRig) {
        boolean isNobody = who.equals("nobody");
        Set<String> rights =
                switch (door.place()) {
                    case "anybody" -> Set.of("");
                    case "account" -> isNobody ? Set.of() : Set.of("");
                    // Of a crew as a whole a guest sees nothing; Ottoline is at work for her own.
                    case "work" -> who.equals("Ottoline") ? LEADS.get(true) : ofCrew(who);
                    case "crew" -> ofCrew(who);
                    case "rig" -> toRig;
                    default -> throw new IllegalArgumentException(door.place());
                };
        if (rights.contains(door.right())) {
            return Caller.LET_IN;
        }
        if (isNobody) {
            return door.method().equals("GET") ? 302 : 401;
        }
        return rights.contains("read") ? 403 : 404;
    }

    private static Set<String> ofCrew(String who) {
        return who.equals("Vera") ? Set.of() : ROLES.getOrDefault(who, Set.of());
    }
}
