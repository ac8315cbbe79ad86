package embrack.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.AppTest;
import embrack.app.ThrowAwayCluster;
import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** The commands that keep everything in one file and bring it back, on a cluster of their own. */
@AppTest
class BackupTests {

    private static final Path COMMAND =
            Path.of("..", "embrack").toAbsolutePath().normalize();

    @SuppressWarnings("NullAway.Init")
    private Path data;

    private record Ended(int status, String said) {}

    @BeforeEach
    void makeRoom() throws IOException {
        data = Files.createTempDirectory("embrack-backup-");
        Files.setPosixFilePermissions(data, PosixFilePermissions.fromString("rwxr-xr-x"));
    }

    @AfterEach
    void clearUp() throws IOException {
        embrack("stop");
        try (Stream<Path> files = Files.walk(data)) {
            files.sorted(Comparator.reverseOrder())
                    .forEach(file -> file.toFile().delete());
        }
    }

    @Test
    void whatWasKeptComesBackWholeOrNotAtAll() throws IOException {
        Path first = data.resolve("first");
        URI database = URI.create(ThrowAwayCluster.shared().url().substring("jdbc:".length()));
        Ended dumped = run(List.of(
                ThrowAwayCluster.tool("pg_dump").toString(),
                "-Fc",
                "--no-owner",
                "--exclude-table-data=spring_session*",
                "--exclude-table-data=sign_in_try",
                "-h",
                "127.0.0.1",
                "-p",
                String.valueOf(database.getPort()),
                "-U",
                "embrack",
                "-f",
                first.toString(),
                "embrack"));
        assertThat(dumped.status()).as(dumped.said()).isZero();
        assertThat(embrack("backup", data.resolve("x").toString()).said()).contains("Embrack was never started here");
        assertThat(embrack("restore", first.toString()).said()).contains("Restored: ", " rigs, ");

        Path second = data.resolve("second");
        assertThat(embrack("backup", second.toString()).said()).contains("restored into a database beside");
        assertThat(rows(second)).isEqualTo(rows(first)).anyMatch(line -> line.contains("Quay rig"));
        assertThat(embrack("backup", second.toString()).said()).contains("is there already");

        byte[] whole = Files.readAllBytes(second);
        for (int length : new int[] {0, 100, whole.length / 2, whole.length - 20}) {
            Path broken = Files.write(data.resolve("broken"), Arrays.copyOf(whole, length));
            Ended refused = embrack("restore", broken.toString());
            assertThat(refused.status())
                    .as("%d of %d bytes", length, whole.length)
                    .isEqualTo(1);
            assertThat(refused.said()).contains("nothing was changed");
        }
        Path third = data.resolve("third");
        embrack("backup", third.toString());
        assertThat(rows(third)).isEqualTo(rows(first));
    }

    /** All rows in a file, sorted. */
    private static List<String> rows(Path file) throws IOException {
        return run(List.of(
                        ThrowAwayCluster.tool("pg_restore").toString(),
                        "--data-only",
                        "--no-owner",
                        "-f",
                        "-",
                        file.toString()))
                .said()
                .lines()
                .filter(line -> !line.startsWith("--") && !line.contains("restrict"))
                .sorted()
                .toList();
    }

    private Ended embrack(String... arguments) throws IOException {
        List<String> command = new ArrayList<>(List.of(COMMAND.toString()));
        command.addAll(List.of(arguments));
        return run(command, data);
    }

    private static Ended run(List<String> command) throws IOException {
        return run(command, Path.of("target"));
    }

    private static Ended run(List<String> command, Path data) throws IOException {
        var builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().put("EMBRACK_DATA", data.toAbsolutePath().toString());
        Process process = builder.start();
        process.getOutputStream().close();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        try {
            return new Ended(process.waitFor(), said);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }
}
