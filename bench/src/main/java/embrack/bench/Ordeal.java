package embrack.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Eight clients add cues while server and database are ended at random without warning, and started again. What was
 * acknowledged is there afterwards, once; what was not is there at most once.
 *
 * <p>Arguments: folder of the data, the command that starts Embrack, acknowledged edits wanted, seed.
 */
final class Ordeal {

    private static final int CLIENTS = 8;
    private static final Duration LONGEST = Duration.ofMinutes(12);
    private static final String SONG = "/rigs/1/songs/small-harbour-song";
    private static final Pattern AT = Pattern.compile("\"at\" : \"(\\d+:\\d\\d\\.\\d{3})\"");

    private final Path data;
    private final String command;
    private final int wanted;
    private final Random random;
    private final Instant end = Instant.now().plus(LONGEST);
    private final AtomicInteger next = new AtomicInteger();
    private final Set<String> acknowledged = ConcurrentHashMap.newKeySet();
    private final AtomicInteger again = new AtomicInteger();
    private volatile int port;

    private Ordeal(Path data, String command, int wanted, long seed) {
        this.data = data;
        this.command = command;
        this.wanted = wanted;
        this.random = new Random(seed);
    }

    public static void main(String[] arguments) throws Exception {
        boolean passed = new Ordeal(
                        Path.of(arguments[0]),
                        arguments[1],
                        Integer.parseInt(arguments[2]),
                        Long.parseLong(arguments[3]))
                .run();
        System.exit(passed ? 0 : 1);
    }

    private boolean run() throws Exception {
        start();
        int killed = 0;
        try (ExecutorService clients = Executors.newFixedThreadPool(CLIENTS)) {
            List<Future<?>> working = new ArrayList<>();
            for (int i = 0; i < CLIENTS; i++) {
                working.add(clients.submit(this::work));
            }
            while (acknowledged.size() < wanted && Instant.now().isBefore(end)) {
                Thread.sleep(4_000 + random.nextInt(6_000)); // a server that has just begun is slow at first
                boolean server = random.nextBoolean();
                kill(server ? data.resolve("embrack.pid") : postmaster());
                killed++;
                System.out.printf(
                        Locale.ROOT,
                        "%s ended after %d acknowledged edits%n",
                        server ? "server" : "database",
                        acknowledged.size());
                start();
            }
            for (Future<?> each : working) {
                each.get();
            }
        }
        return judged(killed);
    }

    private boolean judged(int killed) throws Exception {
        Matcher matcher = AT.matcher(new Visitor(port).get("/rigs/1/plan.json").body());
        Map<String, Integer> there = new TreeMap<>();
        while (matcher.find()) {
            there.merge(matcher.group(1), 1, Integer::sum);
        }
        long lost = acknowledged.stream().filter(at -> !there.containsKey(at)).count();
        long twice = there.entrySet().stream()
                .filter(e -> e.getValue() > 1 && isOurs(e.getKey()))
                .count();
        System.out.printf(
                Locale.ROOT,
                "%d edits acknowledged, %d sendings repeated, %d times ended: %d lost, %d twice%n",
                acknowledged.size(),
                again.get(),
                killed,
                lost,
                twice);
        return acknowledged.size() >= wanted && lost == 0 && twice == 0;
    }

    /** One client: each cue at a moment of its own, sent until it is answered. */
    private void work() {
        var visitor = new Visitor(port);
        boolean entered = false;
        while (acknowledged.size() < wanted && Instant.now().isBefore(end)) {
            String at = moment(next.incrementAndGet());
            for (boolean done = false; !done && Instant.now().isBefore(end); ) {
                try {
                    if (!entered) {
                        visitor = new Visitor(port);
                        visitor.enter(SONG);
                        entered = true;
                    }
                    HttpResponse<String> answer = visitor.post(
                            SONG + "/cues",
                            Map.of("at", at, "device", "lantern-desk", "action", "recall:scene-3"),
                            "ordeal-" + at);
                    if (answer.statusCode() == 302) {
                        acknowledged.add(at);
                        done = true;
                    } else if (answer.statusCode() < 500) {
                        throw new IllegalStateException("refused with %d: %s".formatted(answer.statusCode(), at));
                    } else {
                        pause();
                    }
                } catch (IOException e) {
                    again.incrementAndGet();
                    entered = false;
                    pause();
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    return;
                }
            }
        }
    }

    private static void pause() {
        try {
            Thread.sleep(200);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** Milliseconds that no cue of the demo lies at. */
    private static String moment(int i) {
        return String.format(Locale.ROOT, "%d:%02d.%03d", i / 60 / 10, i / 10 % 60, 101 + i % 10);
    }

    private static boolean isOurs(String at) {
        return at.matches(".*\\.1(0[1-9]|10)");
    }

    private Path postmaster() {
        return data.resolve("cluster/postmaster.pid");
    }

    private static void kill(Path pidFile) throws IOException {
        long pid = Long.parseLong(
                Files.readString(pidFile).lines().findFirst().orElseThrow().strip());
        ProcessHandle.of(pid).ifPresent(ProcessHandle::destroyForcibly);
    }

    private void start() throws IOException, InterruptedException {
        for (int tries = 0; tries < 5; tries++) {
            Process starting = new ProcessBuilder(command, "start")
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            if (starting.waitFor() == 0) {
                port = Integer.parseInt(Files.readString(data.resolve("port")).strip());
                return;
            }
        }
        throw new IllegalStateException("Embrack does not start again");
    }
}
