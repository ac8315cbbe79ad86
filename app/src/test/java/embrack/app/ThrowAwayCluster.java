package embrack.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.FileVisitResult;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.SimpleFileVisitor;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A PostgreSQL cluster of Debian's package, made for this run of the tests on a free loopback port and deleted after
 * it. PostgreSQL does not run as root; then the files belong to the user postgres.
 */
public final class ThrowAwayCluster {

    private static final ThrowAwayCluster SHARED = new ThrowAwayCluster();

    private final boolean root = System.getProperty("user.name").equals("root");
    private final Path binaries = binaries();
    private final Path folder;
    private final int port = freePort();
    private final Set<String> made = new HashSet<>();

    private ThrowAwayCluster() {
        folder = folder();
        run(
                binaries.resolve("initdb"),
                "-D",
                folder.toString(),
                "-U",
                "embrack",
                "-A",
                "trust",
                "-E",
                "UTF8",
                "--no-locale",
                "--no-sync");
        start();
        Runtime.getRuntime().addShutdownHook(new Thread(this::discard));
        make("embrack");
    }

    private void make(String database) {
        run(binaries.resolve("createdb"), "-h", "127.0.0.1", "-p", String.valueOf(port), "-U", "embrack", database);
    }

    public static ThrowAwayCluster shared() {
        return SHARED;
    }

    public String url() {
        return "jdbc:postgresql://127.0.0.1:%d/embrack".formatted(port);
    }

    /** The address of another database, made when it is first asked for. */
    public synchronized String url(String database) {
        if (made.add(database)) {
            make(database);
        }
        return "jdbc:postgresql://127.0.0.1:%d/%s".formatted(port, database);
    }

    public void start() {
        run(
                binaries.resolve("pg_ctl"),
                "-D",
                folder.toString(),
                "-w",
                "-l",
                folder.resolve("server.log").toString(),
                "-o",
                "-p %d -c listen_addresses=127.0.0.1 -c unix_socket_directories='' -c fsync=off".formatted(port),
                "start");
    }

    public void stop() {
        run(binaries.resolve("pg_ctl"), "-D", folder.toString(), "-w", "-m", "immediate", "stop");
    }

    private void discard() {
        stop();
        try {
            Files.walkFileTree(folder, new SimpleFileVisitor<>() {
                @Override
                public FileVisitResult visitFile(Path file, BasicFileAttributes attributes) throws IOException {
                    Files.delete(file);
                    return FileVisitResult.CONTINUE;
                }

                @Override
                public FileVisitResult postVisitDirectory(Path directory, IOException e) throws IOException {
                    Files.delete(directory);
                    return FileVisitResult.CONTINUE;
                }
            });
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Under target/, or in the folder for temporary files where the user postgres may not look into the project. */
    private Path folder() {
        try {
            Path here = Files.createTempDirectory(
                    Files.createDirectories(Path.of("target")).toAbsolutePath(), "cluster-");
            if (own(here) && isReachable(here)) {
                return here;
            }
            Files.delete(here);
            Path elsewhere = Files.createTempDirectory("embrack-cluster-");
            own(elsewhere);
            return elsewhere;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private boolean own(Path path) {
        if (root) {
            execute(List.of("chown", "postgres", path.toString()));
        }
        return true;
    }

    private boolean isReachable(Path path) {
        return !root || execute(List.of("runuser", "-u", "postgres", "--", "test", "-w", path.toString())) == 0;
    }

    private void run(Path program, String... arguments) {
        List<String> command = new ArrayList<>(root ? List.of("runuser", "-u", "postgres", "--") : List.of());
        command.add(program.toString());
        command.addAll(List.of(arguments));
        int status = execute(command);
        if (status != 0) {
            throw new IllegalStateException("%s ended with status %d".formatted(command, status));
        }
    }

    private static int execute(List<String> command) {
        try {
            return new ProcessBuilder(command)
                    .directory(Path.of("/").toFile())
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start()
                    .waitFor();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** One of PostgreSQL's own tools. */
    public static Path tool(String name) {
        return binaries().resolve(name);
    }

    private static Path binaries() {
        try (Stream<Path> versions = Files.list(Path.of("/usr/lib/postgresql"))) {
            return versions.map(v -> v.resolve("bin"))
                    .filter(b -> Files.isExecutable(b.resolve("initdb")))
                    .max(Comparator.comparing(
                            b -> Integer.parseInt(b.getParent().getFileName().toString())))
                    .orElseThrow();
        } catch (IOException e) {
            throw new UncheckedIOException("PostgreSQL of Debian's packages is missing; ./embrack test installs it", e);
        }
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
