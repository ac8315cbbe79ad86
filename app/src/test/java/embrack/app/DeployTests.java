package embrack.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.yaml.snakeyaml.Yaml;

/**
 * What stands in deploy/ says the same as the application, its build and the script: names, ports, sizes and times. At
 * work it is tried by bench/deployed.sh, which needs a proxy.
 */
class DeployTests {

    private static final Path HOME = Path.of("..");

    private final String container = read("deploy/Containerfile");
    private final String proxy = read("deploy/proxy.conf");
    private final Map<String, Object> compose = new Yaml().load(read("deploy/compose.yaml"));
    private final String settings = read("app/src/main/resources/application.yaml");

    private static String read(String path) {
        try {
            return Files.readString(HOME.resolve(path));
        } catch (IOException e) {
            throw new IllegalStateException("%s cannot be read".formatted(path), e);
        }
    }

    private static Set<String> found(String pattern, String text) {
        return Pattern.compile(pattern)
                .matcher(text)
                .results()
                .map((MatchResult result) -> result.group(1))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** The value at a path of keys. */
    private static Object at(Object yaml, String... keys) {
        Object value = yaml;
        for (String key : keys) {
            assertThat(value).isInstanceOf(Map.class);
            value = ((Map<?, ?>) value).get(key);
            assertThat(value).as(key).isNotNull();
        }
        return value;
    }

    private Map<?, ?> services() {
        return (Map<?, ?>) at(compose, "services");
    }

    @Test
    void everySettingIsOneOfTheApplication() {
        Set<String> known = found("\\$\\{(EMBRACK_\\w+)", settings);
        Set<String> set = new TreeSet<>(found("\\b(EMBRACK_\\w+)=", container));
        Stream.of("rigs-a", "rigs-b")
                .map(server -> (Map<?, ?>) at(services(), server, "environment"))
                .forEach(environment -> environment.keySet().forEach(key -> set.add((String) key)));
        assertThat(set)
                .contains("EMBRACK_DB", "EMBRACK_PROXY", "EMBRACK_ADDRESS")
                .isSubsetOf(known);
        assertThat(read("deploy/compose.yaml")).doesNotContainPattern("(?i)password: +[^$\\s]");
    }

    @Test
    void theProxySendsToTheServersAndTheyAnswerToTheirNames() {
        Set<String> servers = found("server (rigs-\\w+:\\d+)", proxy);
        String port = found("EMBRACK_PORT=(\\d+)", container).iterator().next();
        assertThat(servers).hasSize(2).allSatisfy(server -> assertThat(server).endsWith(":" + port));
        assertThat(container).contains("EXPOSE " + port, "http://127.0.0.1:" + port + "/actuator/health/readiness");
        Set<String> names = servers.stream().map(server -> server.split(":")[0]).collect(Collectors.toSet());
        assertThat(services().keySet().stream().map(String::valueOf)).containsAll(names);
        assertThat(at(services(), "rigs-a", "environment", "EMBRACK_HOSTS"))
                .isEqualTo(String.join(",", new TreeSet<>(names)));
        assertThat((String) at(services(), "rigs-a", "environment", "EMBRACK_DB"))
                .contains("//database:5432/" + at(services(), "database", "environment", "POSTGRES_DB"));
        // The database is reached by nobody outside, the servers by the proxy alone.
        assertThat(services().keySet().stream()
                        .map(String::valueOf)
                        .filter(name -> ((Map<?, ?>) at(services(), name)).containsKey("ports")))
                .containsExactly("proxy");
    }

    /** What is asked of a rig goes to one server, whatever stands behind its number; what is counted goes to nobody. */
    @Test
    void aRigIsWorkedOnAtOneServer() {
        Pattern together =
                Pattern.compile(found("\"~(\\^[^\"]+)\"", proxy).iterator().next());
        assertThat(List.of("/rigs/7", "/rigs/7/run/socket", "/rigs/7/changes", "/rigs/7/line/send/answer"))
                .allSatisfy(path -> {
                    var matcher = together.matcher(path);
                    assertThat(matcher.find()).as(path).isTrue();
                    assertThat(matcher.group("rig")).isEqualTo("7");
                });
        assertThat(together.matcher("/rigs/import").find()).isFalse();
        assertThat(proxy).containsPattern("location /actuator/ \\{ return 404; \\}");
    }

    @Test
    void sizesAndTimesFit() {
        long taken = megabytes(found("client_max_body_size (\\w+);", proxy));
        assertThat(taken).isGreaterThan(megabytes(found("max-request-size: (\\w+)", settings)));
        assertThat(megabytes(found("max-swallow-size: (\\w+)", settings))).isGreaterThan(taken);
        // Spring Boot gives a phase of stopping 30 s by default.
        assertThat((String) at(services(), "rigs-a", "stop_grace_period")).isEqualTo("40s");
        assertThat(settings).contains("shutdown: graceful");
    }

    private static long megabytes(Set<String> size) {
        return Long.parseLong(size.iterator().next().replaceAll("(?i)mb?$", ""));
    }

    /** Built of the parts that the product is made of, and begun as the script begins it. */
    @Test
    void itIsBuiltAndBegunAsByTheScript() {
        Set<String> parts = found("<module>(\\w+)</module>", read("pom.xml"));
        parts.remove("bench");
        assertThat(found("-pl (\\S+)", container).iterator().next().split(","))
                .containsExactlyInAnyOrderElementsOf(parts);
        Set<String> options = new TreeSet<>(found("\"(-[^\"]+)\"", container));
        options.removeAll(Set.of("-jar", "-XX:MaxRAMPercentage=60"));
        assertThat(options)
                .hasSizeGreaterThan(2)
                .allSatisfy(option -> assertThat(read("embrack")).contains(option));
        found("(?m)^COPY (?!--from)(\\S+)", container)
                .forEach(from -> assertThat(HOME.resolve(from)).exists());
    }
}
