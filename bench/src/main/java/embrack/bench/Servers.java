package embrack.bench;

import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Two servers on one database: one started by Embrack's own command, which starts the database too; the other beside
 * it, with its clock an hour behind where the machine can pretend that.
 */
final class Servers {

    private static final HttpClient ASKS =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build();
    private static final int BEHIND = 1;
    private static final int MOST_TRIES = 5;
    private static final int MOST_LOOKS = 600;

    private final Path data;
    private final String command;
    private final List<String> second;
    private @Nullable Process beside;
    private volatile int port;

    /**
     * Servers of which none runs yet.
     *
     * @param data folder of the data
     * @param command that starts Embrack
     * @param second the command line of the second server
     */
    Servers(Path data, String command, List<String> second) {
        this.data = data;
        this.command = command;
        this.second = List.copyOf(second);
    }

    /** The port of one of them, by 0 and 1. */
    int port(int which) {
        return port + which;
    }

    /** Starts whatever of them and of the database does not run. */
    void start() throws IOException, InterruptedException {
        for (int tries = 0; !isStarted(); tries++) {
            if (tries == MOST_TRIES) {
                throw new IllegalStateException("Embrack does not start again");
            }
        }
        port = Integer.parseInt(Files.readString(data.resolve("port")).strip());
        if (beside == null || !beside.isAlive()) {
            beside = startBeside();
        }
    }

    private boolean isStarted() throws IOException, InterruptedException {
        return new ProcessBuilder(command, "start")
                        .redirectErrorStream(true)
                        .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                        .start()
                        .waitFor()
                == 0;
    }

    private Process startBeside() throws IOException, InterruptedException {
        List<String> lines = Files.readAllLines(data.resolve("cluster/postmaster.pid"));
        var builder = new ProcessBuilder(new ArrayList<>(second));
        builder.environment()
                .putAll(Map.of(
                        "EMBRACK_PORT",
                        String.valueOf(port(BEHIND)),
                        "EMBRACK_DB",
                        "jdbc:postgresql://127.0.0.1:%s/embrack"
                                .formatted(lines.get(3).strip()),
                        "EMBRACK_DB_PASSWORD",
                        Files.readString(data.resolve("database.password")).strip(),
                        "EMBRACK_DEMO",
                        "false"));
        Process made = builder.redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(
                        data.resolve("second.log").toFile()))
                .start();
        for (int looks = 0; !answers(port(BEHIND)); looks++) {
            if (!made.isAlive() || looks == MOST_LOOKS) {
                made.destroyForcibly();
                throw new IllegalStateException("the second server does not start; see second.log");
            }
            Thread.sleep(200);
        }
        return made;
    }

    private static boolean answers(int port) {
        try {
            URI health = URI.create("http://127.0.0.1:%d/actuator/health".formatted(port));
            return ASKS.send(
                                    HttpRequest.newBuilder(health)
                                            .timeout(Duration.ofSeconds(2))
                                            .build(),
                                    HttpResponse.BodyHandlers.discarding())
                            .statusCode()
                    == 200;
        } catch (IOException e) {
            return false;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    /** Ends the first or the second server without warning. */
    void killServer(int which) throws IOException {
        if (which == 0) {
            kill(data.resolve("embrack.pid"));
        } else if (beside != null) {
            beside.toHandle().descendants().forEach(ProcessHandle::destroyForcibly);
            beside.destroyForcibly();
            awaitEnd(beside.toHandle());
        }
    }

    /** Ends the database without warning. */
    void killDatabase() throws IOException {
        kill(data.resolve("cluster/postmaster.pid"));
    }

    /** Ends the second server for good. */
    void stop() throws IOException {
        killServer(BEHIND);
    }

    private static void kill(Path pidFile) throws IOException {
        long pid = Long.parseLong(
                Files.readString(pidFile).lines().findFirst().orElseThrow().strip());
        Optional<ProcessHandle> process = ProcessHandle.of(pid);
        process.ifPresent(ProcessHandle::destroyForcibly);
        process.ifPresent(Servers::awaitEnd);
    }

    private static void awaitEnd(ProcessHandle process) {
        process.onExit().join();
    }

    /** Somebody who asks for what happens to a rig at one of them, and never reads it. */
    Socket slowReader(int which, String cookies) throws IOException {
        var socket = new Socket("127.0.0.1", port(which));
        OutputStream out = socket.getOutputStream();
        out.write("GET /rigs/1/changes HTTP/1.1\r\nHost: 127.0.0.1\r\nCookie: %s\r\n\r\n"
                .formatted(cookies)
                .getBytes(StandardCharsets.US_ASCII));
        out.flush();
        return socket;
    }
}
