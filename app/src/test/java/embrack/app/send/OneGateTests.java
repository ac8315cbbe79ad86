package embrack.app.send;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.web.bind.annotation.PostMapping;

/** Everything that is sent to real gear goes through one gate: whoever calls it is listed here, with nobody else. */
class OneGateTests {

    private static final Path SCRIPTS = Path.of("src/main/resources/static");

    private static final JavaClasses APP = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("embrack.app");

    @Test
    void onTheServerTheGatekeeperAloneMakesWhatMayGo() {
        JavaClass outgoing = APP.get(Gatekeeper.Outgoing.class);
        assertThat(outgoing.getConstructorCallsToSelf())
                .isNotEmpty()
                .allMatch(call -> call.getOriginOwner().getFullName().equals(Gatekeeper.class.getName()));
        Set<String> callers = APP.get(Gatekeeper.class).getMethodCallsToSelf().stream()
                .filter(call -> call.getName().equals("let"))
                .map(call -> call.getOriginOwner().getSimpleName() + "."
                        + call.getOrigin().getName())
                .collect(Collectors.toCollection(TreeSet::new));
        assertThat(callers)
                .containsExactly(
                        "DriveController.drive",
                        "ObeyController.next",
                        "SearchController.next",
                        "SendController.identity",
                        "SendController.measure",
                        "SendController.next",
                        "SendController.teach");
    }

    /** None of them is asked by opening a page: all are posted to. */
    @Test
    void nothingGoesByOpeningAPage() {
        for (Class<?> controller :
                List.of(DriveController.class, ObeyController.class, SearchController.class, SendController.class)) {
            APP.get(controller).getMethods().stream()
                    .filter(method -> method.getMethodCallsFromSelf().stream()
                            .anyMatch(call -> call.getTargetOwner().isEquivalentTo(Gatekeeper.class)
                                    && Set.of("let", "open").contains(call.getName())))
                    .forEach(method -> assertThat(method.isAnnotatedWith(PostMapping.class))
                            .as(method.getFullName())
                            .isTrue());
        }
    }

    @Test
    void inTheBrowserTheGateAloneSends() throws IOException {
        assertThat(lines("\\.send\\("))
                .containsExactly(
                        "gate.js: out.send(bytes(hex), at);",
                        "socketports.js: export const say = (socket, line) => socket?.readyState === WebSocket.OPEN"
                                + " && socket.send(line);");
        assertThat(lines("\\bportOut\\b").stream().map(line -> line.replaceAll(":.*", "")))
                .containsOnly("gate.js", "ports.js");
        assertThat(lines("\\b(sendThrough|openGate)\\("))
                .allMatch(line -> line.matches("(gate|send|runobeys)\\.js: .*"));
        // Opened for a hand on a button alone, once the server has noted it.
        assertThat(lines("\\bopenGate\\(").stream().filter(line -> !line.startsWith("gate.js")))
                .containsExactly(
                        "runobeys.js: if (answer?.ok) openGate(box);", "send.js: if (answer?.ok) openGate(to);");
        assertThat(lines("outputs").stream().map(line -> line.replaceAll(":.*", "")))
                .containsOnly("ports.js", "socketports.js");
    }

    private static List<String> lines(String pattern) throws IOException {
        Pattern wanted = Pattern.compile(pattern);
        try (Stream<Path> scripts = Files.list(SCRIPTS)) {
            List<Path> all = scripts.filter(path -> path.toString().endsWith(".js"))
                    .sorted()
                    .toList();
            assertThat(all).hasSizeGreaterThan(10);
            return all.stream()
                    .flatMap(path -> read(path)
                            .lines()
                            .filter(line ->
                                    wanted.matcher(line).find() && !line.strip().startsWith("//"))
                            .map(line -> path.getFileName() + ": " + line.strip()))
                    .sorted()
                    .toList();
        }
    }

    private static String read(Path path) {
        try {
            return Files.readString(path);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
