package embrack.bench;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.WebSocket;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.concurrent.CompletionStage;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;

/**
 * From a press in a run to its line on the page of another, with many who watch against few, by the same server in the
 * same run.
 *
 * <p>Arguments: port, path of the rig ("/rigs/1"), how many watch.
 */
final class Watchers {

    private static final int PRESSES = 100;
    private static final int FEW = 2;
    private static final String SWITCH = "quay-board.1.4";

    private Watchers() {}

    public static void main(String[] arguments) throws Exception {
        int port = Integer.parseInt(arguments[0]);
        String rig = arguments[1];
        int many = Integer.parseInt(arguments[2]);
        var visitor = new Visitor(port);
        visitor.enter(rig + "/run");
        visitor.post(rig + "/run/begin", Map.of("as", "people", "part", "2", "bar", "3"), "");
        double few = told(FEW, millis(port, rig, FEW));
        double all = told(many, millis(port, rig, many));
        System.out.printf(Locale.ROOT, "%d watchers against %d: %.1f times%n", many, FEW, all / few);
        visitor.post(rig + "/run/end", Map.of(), "");
    }

    private static double told(int watchers, double[] millis) {
        Arrays.sort(millis);
        double late = millis[millis.length * 95 / 100];
        System.out.printf(
                Locale.ROOT,
                "%3d watchers: median %6.1f ms, 95th %6.1f ms, worst %6.1f ms%n",
                watchers,
                millis[millis.length / 2],
                late,
                millis[millis.length - 1]);
        return late;
    }

    /** Each press of the first until the last of the others has a tape with it. */
    private static double[] millis(int port, String rig, int watchers) throws Exception {
        List<Ear> ears = new ArrayList<>();
        HttpClient client = HttpClient.newHttpClient();
        for (int i = 0; i < watchers; i++) {
            Ear ear = new Ear();
            ear.line = client.newWebSocketBuilder()
                    .header("Origin", "http://127.0.0.1:" + port)
                    .buildAsync(URI.create("ws://127.0.0.1:%d%s/run/live".formatted(port, rig)), ear)
                    .get(10, TimeUnit.SECONDS);
            ears.add(ear);
        }
        for (Ear ear : ears) {
            ear.tapes.acquire();
        }
        double[] millis = new double[PRESSES];
        // As often again before it, for warming up.
        for (int i = -PRESSES; i < PRESSES; i++) {
            ears.forEach(ear -> ear.tapes.drainPermits());
            long began = System.nanoTime();
            ears.getFirst().line().sendText((i & 1) == 0 ? "press " + SWITCH : "release " + SWITCH, true);
            if (!ears.getLast().tapes.tryAcquire(5, TimeUnit.SECONDS)) {
                throw new IllegalStateException("press %d was never shown".formatted(i));
            }
            millis[Math.floorMod(i, PRESSES)] = (System.nanoTime() - began) / 1e6;
            // Until all have it, and as a foot that is not faster than ten presses a second.
            Thread.sleep(100);
        }
        ears.forEach(ear -> ear.line().abort());
        return millis;
    }

    /** One who watches. */
    private static final class Ear implements WebSocket.Listener {
        private final Semaphore tapes = new Semaphore(0);
        private final StringBuilder text = new StringBuilder();
        private @Nullable WebSocket line;

        WebSocket line() {
            return Objects.requireNonNull(line);
        }

        @Override
        public @Nullable CompletionStage<?> onText(WebSocket socket, CharSequence data, boolean isLast) {
            text.append(data);
            if (isLast) {
                if (text.indexOf("piece run-tape") == 0) {
                    tapes.release();
                }
                text.setLength(0);
            }
            socket.request(1);
            return null;
        }
    }
}
