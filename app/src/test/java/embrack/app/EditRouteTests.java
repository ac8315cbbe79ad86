package embrack.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaCodeUnit;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import embrack.app.store.Hand;
import embrack.app.store.ModelStore;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.crew.CrewId;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.lang.reflect.Parameter;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Every route that edits: it says whose hand edits and what it saw, computes nothing from an older plan, and refuses
 * what is no input.
 */
@AppTest
class EditRouteTests {

    /** What changes something other than a plan, or looks through what was sent, and why it may. */
    private static final Map<String, String> OTHERS = new TreeMap<>(Map.of(
            "POST /rigs",
            "a new rig",
            "POST /rigs/import",
            "a new rig",
            "POST /rigs/{id}/delete",
            "the rig as a whole",
            "POST /rigs/{id}/restore",
            "the rig as a whole",
            "POST /rigs/{id}/sheets/tick",
            "ticks are no part of the plan",
            "POST /rigs/{id}/switches/trial/tread",
            "what is tried is no part of the plan",
            "POST /rigs/{id}/switches/trial/back",
            "what is tried is no part of the plan",
            "POST /rigs/{id}/switches/trial/begin",
            "what is tried is no part of the plan",
            "POST /rigs/{id}/sheets/clear",
            "ticks are no part of the plan",
            "POST /rigs/{id}/gear/{device}/keep-model",
            "a new model"));

    /** Routes that may read the plan before they edit, and why. */
    private static final Map<String, String> READERS = new TreeMap<>(Map.of(
            "LightController.readType",
            "reads a file, not the plan; what is shown is the rig after the edit, with what was left out",
            "SongsController.read",
            "a file is read by the charts of the rig; what comes of it is the song",
            "PromptController.read",
            "as above, its cues",
            "PlayerTextController.paste",
            "as above, from a text; nothing is kept yet",
            "CaptureController.keep",
            "what keys stood for is that of the revision that was seen",
            "CaptureController.look",
            "shows what would be kept",
            "PreflightController.mend",
            "a remedy is found by its finding; it is an intent of its own",
            "WiringController.connect",
            "ports are found by their keys",
            "WiringController.disconnect",
            "as above",
            "WiringController.measure",
            "as above"));

    static {
        READERS.put("GearController.keepModel", "what the rig describes becomes a model; the plan stays");
        READERS.put("PastController.bringBack", "what was then is of that revision; the edit is an intent of its own");
        for (String note : List.of("", "/{note:\\d{1,18}}/done", "/{note:\\d{1,18}}/reopen")) {
            OTHERS.put("POST /rigs/{id}/notes" + note, "notes are no part of the plan");
        }
        READERS.put("SharedController.copySong", "the song is read from one rig, the edit is of the other");
        READERS.put("CopyController.copy", "the song is read from one rig, the edit is of the other");
        OTHERS.put("POST /rigs/{id}/returned", "a file is read; nothing is kept yet");
        READERS.put("ReturnedController.take", "what came back is of its copy; the edit is an intent of its own");
        OTHERS.put("POST /rigs/{id}/here", "who is there is no part of the plan");
        OTHERS.put("POST /rigs/{id}/links", "links are no part of the plan");
        OTHERS.put("POST /rigs/{id}/links/{link}/end", "links are no part of the plan");
        READERS.put("SearchController.keep", "what was found is what somebody looked for, not of the plan");
        READERS.put("LineController.take", "what came is held against the plan; the edit is an intent of its own");
        OTHERS.put("POST /rigs/{id}/lights/output/send", "what goes out is no part of the plan");
        OTHERS.put("POST /rigs/{id}/lights/output/stop", "what goes out is no part of the plan");
        OTHERS.put("POST /rigs/{id}/lights/output/press", "what goes out is no part of the plan");
        OTHERS.put("POST /rigs/{id}/lights/output/hear", "what goes out is no part of the plan");
        OTHERS.put("POST /rigs/{id}/folder/all", "what is made of it is no part of the plan");
        OTHERS.put("POST /rigs/{id}/folder/printed", "what was printed is no part of the plan");
        OTHERS.put("POST /rigs/{id}/folder/ticks", "ticks are no part of the plan");
        OTHERS.put("POST /rigs/{id}/folder/ticks/sent", "ticks are no part of the plan");
        OTHERS.put("POST /rigs/{id}/doors/tick", "ticks are no part of the plan");
        OTHERS.put("POST /rigs/{id}/line/pairs/tried", "what is seen of the gear is no part of the plan");
        OTHERS.put("POST /rigs/{id}/doors/heard", "ticks are no part of the plan");
        OTHERS.put("POST /rigs/{id}/doors/clear", "ticks are no part of the plan");
        for (String run :
                List.of("begin", "end", "again", "act", "heard", "faults/singles", "faults/nights", "faults/rates")) {
            OTHERS.put("POST /rigs/{id}/run/" + run, "what is played is no part of the plan");
        }
        for (String log :
                List.of("{entry:\\d{1,18}}/notes", "notes/{note:\\d{1,18}}/settle", "notes/{note:\\d{1,18}}/reopen")) {
            OTHERS.put("POST /rigs/{id}/log/" + log, "what happened is no part of the plan");
        }
        OTHERS.put("POST /rigs/{id}/switches/trial/heard", "what is tried is no part of the plan");
        OTHERS.put("POST /rigs/{id}/switches/trial/story", "what is tried is no part of the plan");
        for (String heard : List.of("heard", "clock", "say", "turn", "walk", "anew", "ports", "plug")) {
            OTHERS.put("POST /rigs/{id}/line/" + heard, "what is heard of the gear is no part of the plan");
        }
        for (String sent : List.of(
                "ports",
                "plug",
                "open",
                "shut",
                "next",
                "answer",
                "turn",
                "walk",
                "anew",
                "identity",
                "identified",
                "teach",
                "learned",
                "measure",
                "loop",
                "drive",
                "run/boxes",
                "run/next",
                "search/begin",
                "search/next",
                "search/answer",
                "search/stop",
                "search/end")) {
            OTHERS.put("POST /rigs/{id}/line/send/" + sent, "what is sent to the gear is no part of the plan");
        }
        for (String made : List.of("program", "mistake", "mend", "set")) {
            OTHERS.put("POST /rigs/{id}/line/simulated/" + made, "boxes that are not there are no part of the plan");
        }
    }

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final String MODEL = "lantern-desk-six-fixtures";
    private static final List<String> HOSTILE =
            List.of("", "\u0000", "<b>", "-1", "99999999999999999999", "a".repeat(3_000), "1|1|1/0");

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mapping;

    @Autowired
    private RigStore rigs;

    @Autowired
    private ModelStore models;

    @LocalServerPort
    private int port;

    private record Route(String pattern, HandlerMethod handler) {}

    private List<Route> routes() {
        return mapping.getHandlerMethods().entrySet().stream()
                .filter(e -> e.getKey().getMethodsCondition().getMethods().contains(RequestMethod.POST))
                .filter(e -> e.getValue().getBeanType().getPackageName().startsWith("embrack."))
                .map(e -> new Route(
                        "POST " + e.getKey().getPatternValues().iterator().next(), e.getValue()))
                .toList();
    }

    @Test
    void everyRouteThatEditsSaysWhoseHandItIs() {
        List<Route> edits = routes().stream()
                .filter(route -> route.pattern().startsWith("POST /rigs"))
                .filter(route -> !OTHERS.containsKey(route.pattern()))
                .toList();
        assertThat(edits).hasSizeGreaterThan(60);
        assertThat(edits)
                .allSatisfy(route -> assertThat(route.handler().getMethod().getParameterTypes())
                        .as(route.pattern())
                        .contains(Hand.class));
        assertThat(OTHERS.keySet())
                .as("no exception without a route")
                .isSubsetOf(routes().stream().map(Route::pattern).toList());
    }

    /**
     * What an edit means is worked out under the lock: no route reads the plan, by itself or by what it calls on the
     * way, before it edits.
     */
    @Test
    void noRouteComputesAnEditFromAnOlderPlan() {
        JavaClasses app = new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages("embrack.app");
        List<String> readers = new ArrayList<>();
        for (Route route : routes()) {
            JavaClass controller = app.get(route.handler().getBeanType());
            JavaMethod method = controller.getMethods().stream()
                    .filter(m -> m.getName().equals(route.handler().getMethod().getName())
                            && Arrays.stream(route.handler().getMethod().getParameterTypes())
                                    .map(Class::getName)
                                    .toList()
                                    .equals(m.getRawParameterTypes().stream()
                                            .map(JavaClass::getName)
                                            .toList()))
                    .findFirst()
                    .orElseThrow();
            if (callsOf(method, new HashSet<>()).stream().anyMatch(call -> call.matches("RigStore\\.(load|seenBy)"))
                    && editsPlans(method)) {
                readers.add(controller.getSimpleName() + "." + method.getName());
            }
        }
        assertThat(readers).containsOnlyOnceElementsOf(READERS.keySet()).hasSameSizeAs(READERS.keySet());
    }

    private static boolean editsPlans(JavaMethod method) {
        return method.getRawParameterTypes().stream().anyMatch(type -> type.isEquivalentTo(Hand.class));
    }

    private static Set<String> callsOf(JavaCodeUnit unit, Set<JavaCodeUnit> visited) {
        if (!visited.add(unit)) {
            return Set.of();
        }
        return Stream.concat(
                        unit.getMethodCallsFromSelf().stream()
                                .map(call -> call.getTargetOwner().getSimpleName() + "." + call.getName()),
                        unit.getMethodCallsFromSelf().stream()
                                .filter(call ->
                                        call.getTargetOwner().getPackageName().matches("embrack\\.app\\.(?!store).*"))
                                .flatMap(call -> call.getTarget().resolveMember().stream())
                                .filter(target -> !target.getName().equals("show"))
                                .flatMap(target -> callsOf(target, visited).stream()))
                .collect(Collectors.toSet());
    }

    /**
     * Whatever is typed into any field of any form is answered in words: never a fault of the server, never a broken
     * rig.
     */
    @Test
    void noInputIsAFaultOfTheServer() throws IOException, InterruptedException {
        RigId rig = rigs.create(PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json"))), "Hostile");
        var client = HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
        String page = client.send(
                        HttpRequest.newBuilder(uri("/"))
                                .header("Accept", "text/html")
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
        Matcher token = TOKEN.matcher(page);
        assertThat(token.find()).isTrue();
        Set<ModelId> known = models.own(CrewId.FIRST).stream().map(Model::id).collect(Collectors.toSet());
        List<String> faults = new ArrayList<>();
        int sent = 0;
        for (Route route : routes()) {
            if (route.pattern().endsWith("/delete")
                    || Stream.of(route.handler().getMethod().getParameterTypes())
                            .anyMatch(MultipartFile.class::isAssignableFrom)) {
                continue;
            }
            for (String typed : HOSTILE) {
                String form =
                        fields(route).map(name -> name + "=" + encoded(typed)).collect(Collectors.joining("&"));
                HttpResponse<String> answer = client.send(
                        HttpRequest.newBuilder(uri(path(route.pattern(), rig)))
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .header("Accept", "text/html")
                                .POST(HttpRequest.BodyPublishers.ofString(form + "&_csrf=" + encoded(token.group(1))))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
                sent++;
                if (answer.statusCode() >= 500) {
                    faults.add("%s with \"%s\": %d"
                            .formatted(
                                    route.pattern(),
                                    typed.length() > 20 ? typed.length() + " characters" : typed,
                                    answer.statusCode()));
                }
            }
        }
        models.own(CrewId.FIRST).stream()
                .map(Model::id)
                .filter(made -> !known.contains(made))
                .forEach(id -> models.delete(CrewId.FIRST, id));
        assertThat(sent).isGreaterThan(600);
        assertThat(faults).isEmpty();
        assertThat(PlanFile.read(PlanFile.write(rigs.load(rig).plan())))
                .isEqualTo(rigs.load(rig).plan());
    }

    private static Stream<String> fields(Route route) {
        List<String> names =
                new ArrayList<>(Stream.of(route.handler().getMethod().getParameters())
                        .filter(p -> p.isAnnotationPresent(RequestParam.class))
                        .map(EditRouteTests::name)
                        .toList());
        names.addAll(List.of(
                "name", "kind", "box", "chart", "reality", "basedOn", "keys", "find", "hits", "grid", "seen", "back"));
        return names.stream().distinct().filter(name -> !name.equals("look"));
    }

    private static String name(Parameter parameter) {
        var annotation = parameter.getAnnotation(RequestParam.class);
        return Stream.of(annotation.name(), annotation.value(), parameter.getName())
                .filter(n -> !n.isEmpty())
                .findFirst()
                .orElseThrow();
    }

    /** A path of the demo rig that leads somewhere. */
    private static String path(String pattern, RigId rig) {
        String path = pattern.replaceFirst("POST ", "")
                .replace("/rigs/{id}", "/rigs/" + rig)
                .replace("/models/{id}", "/models/" + MODEL)
                .replaceAll("\\{board}", "quay-board")
                .replaceAll("\\{bank[^}]*}}?", "1")
                .replaceAll("\\{type[^}]*}", "treadle")
                .replaceAll("\\{number:[^}]*}[^/]*}?|\\{number}", "1")
                .replace("{song}", "small-harbour-song")
                .replace("{show}", "night-of-the-slow-boats")
                .replace("{from}.{to}", "in-1.out")
                .replace("{device}", "lantern-desk")
                .replace("{learnable}", "mute:main")
                .replace("{setting}", "receive-channel")
                .replace("{part}", "1");
        return path.replaceAll("\\{[^/]*}+", "1");
    }

    private URI uri(String path) {
        return URI.create("http://127.0.0.1:" + port + path);
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
