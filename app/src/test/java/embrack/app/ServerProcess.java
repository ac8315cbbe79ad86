package embrack.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Duration;
import java.util.concurrent.TimeUnit;

/** Embrack in a process of its own on the database of the tests, so that it can be killed as by a power cut. */
public final class ServerProcess implements AutoCloseable {

    private static final Duration A_SECOND = Duration.ofSeconds(1);
    private static final int TRIES = 300;

    private final int port;
    private final String database;
    private Process process;

    private ServerProcess(int port, String database) {
        this.port = port;
        this.database = database;
        this.process = started();
    }

    /** One on the database of an address. */
    public static ServerProcess start(String database) {
        try (var socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return new ServerProcess(socket.getLocalPort(), database);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public int port() {
        return port;
    }

    /** Ends it at once, without a chance to write anything down. */
    public void kill() {
        process.destroyForcibly();
        try {
            process.waitFor(1, TimeUnit.MINUTES);
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Starts another one at the same port, and waits until it answers. */
    public void startAgain() {
        process = started();
        untilItAnswers();
    }

    public void untilItAnswers() {
        try (HttpClient client = HttpClient.newHttpClient()) {
            HttpRequest health = HttpRequest.newBuilder(
                            URI.create("http://127.0.0.1:%d/actuator/health".formatted(port)))
                    .timeout(A_SECOND)
                    .build();
            for (int i = 0; i < TRIES && process.isAlive(); i++) {
                if (answers(client, health)) {
                    return;
                }
                Thread.sleep(A_SECOND.dividedBy(2));
            }
        } catch (InterruptedException e) {
            throw new IllegalStateException(e);
        }
        throw new IllegalStateException("The server does not start; see target/server-process.log.");
    }

    private static boolean answers(HttpClient client, HttpRequest health) throws InterruptedException {
        try {
            return client.send(health, HttpResponse.BodyHandlers.discarding()).statusCode() == 200;
        } catch (IOException e) {
            return false;
        }
    }

    private Process started() {
        try {
            return new ProcessBuilder(
                            Path.of(System.getProperty("java.home"), "bin", "java")
                                    .toString(),
                            "-XX:TieredStopAtLevel=1",
                            "-cp",
                            System.getProperty("surefire.real.class.path", System.getProperty("java.class.path")),
                            EmbrackApplication.class.getName(),
                            "--server.port=" + port,
                            "--spring.datasource.url=" + database)
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.appendTo(
                            Path.of("target", "server-process.log").toFile()))
                    .start();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        kill();
    }
}
