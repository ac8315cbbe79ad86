package embrack.bench;

import embrack.core.music.Clock;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.SongId;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
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
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Eight people add cues at two servers on one database, while servers and database are ended at random without warning
 * and started again, the database is away for a minute, its disc is full for a while, one server's clock is an hour
 * behind, and somebody reads nothing of what they are told. What was acknowledged is there afterwards, once and whole;
 * what was not is there at most once.
 *
 * <p>Arguments: folder of the data, the command that starts Embrack, acknowledged edits wanted, seed, whether the
 * folder may be filled, and the command line of the second server.
 */
final class Ordeal {

    private static final int PEOPLE = 8;
    private static final Duration LONGEST = Duration.ofMinutes(14);
    private static final String SONG = "/rigs/1/songs/small-harbour-song";
    private static final String PASSWORD = "eight at the harbour wall";
    private static final Pattern LINK = Pattern.compile("class=\"the-link\">[^<]*(/join/[^<]+)<");
    private static final int BLOCK = 1 << 20;

    private final Path data;
    private final Servers servers;
    private final int wanted;
    private final Random random;
    private final boolean mayFill;
    private final Instant end = Instant.now().plus(LONGEST);
    private final AtomicInteger next = new AtomicInteger();
    private final Set<String> acknowledged = ConcurrentHashMap.newKeySet();
    private final Set<String> tried = ConcurrentHashMap.newKeySet();
    private final AtomicInteger again = new AtomicInteger();
    private int ended;

    private Ordeal(Path data, Servers servers, int wanted, long seed, boolean mayFill) {
        this.data = data;
        this.servers = servers;
        this.wanted = wanted;
        this.random = new Random(seed);
        this.mayFill = mayFill;
    }

    public static void main(String[] arguments) throws Exception {
        Path data = Path.of(arguments[0]);
        List<String> second = List.of(arguments).subList(5, arguments.length);
        var servers = new Servers(data, arguments[1], second);
        boolean passed = false;
        try {
            passed = new Ordeal(
                            data,
                            servers,
                            Integer.parseInt(arguments[2]),
                            Long.parseLong(arguments[3]),
                            Boolean.parseBoolean(arguments[4]))
                    .run();
        } finally {
            servers.stop();
        }
        System.exit(passed ? 0 : 1);
    }

    private boolean run() throws Exception {
        servers.start();
        List<Visitor> people = gathered();
        List<Socket> slow = new ArrayList<>();
        slow.add(servers.slowReader(0, people.getFirst().cookies()));
        try (ExecutorService hands = Executors.newFixedThreadPool(PEOPLE)) {
            List<Future<?>> working = new ArrayList<>();
            for (int i = 0; i < PEOPLE; i++) {
                Visitor visitor = people.get(i);
                int server = i % 2;
                working.add(hands.submit(() -> work(visitor, server)));
            }
            int awayAt = wanted / 4;
            int fullAt = wanted / 2;
            while (isGoingOn()) {
                Thread.sleep(4_000 + random.nextInt(6_000)); // a server that has just begun is slow at first
                if (acknowledged.size() >= awayAt) {
                    awayAt = Integer.MAX_VALUE;
                    said("database away for a minute");
                    servers.killDatabase();
                    ended++;
                    Thread.sleep(60_000);
                } else if (acknowledged.size() >= fullAt && mayFill) {
                    fullAt = Integer.MAX_VALUE;
                    fill();
                } else {
                    endOne();
                }
                servers.start();
            }
            for (Future<?> each : working) {
                each.get();
            }
        }
        for (Socket socket : slow) {
            socket.close();
        }
        return judged(people.getFirst());
    }

    private boolean isGoingOn() {
        return acknowledged.size() < wanted && Instant.now().isBefore(end);
    }

    private void endOne() throws IOException {
        int which = random.nextInt(3);
        if (which == 2) {
            said("database ended");
            servers.killDatabase();
        } else {
            said("server %d ended".formatted(which + 1));
            servers.killServer(which);
        }
        ended++;
    }

    /** Until there is no room left; a while later there is again. */
    private void fill() throws IOException, InterruptedException {
        said("disc full");
        Path filler = data.resolve("filler");
        try (OutputStream out = Files.newOutputStream(filler)) {
            byte[] block = new byte[BLOCK];
            while (Files.getFileStore(data).getUsableSpace() > 0) {
                out.write(
                        block, 0, (int) Math.min(BLOCK, Files.getFileStore(data).getUsableSpace()));
            }
        } catch (IOException e) {
            said("no byte more");
        }
        Thread.sleep(15_000);
        Files.delete(filler);
    }

    private void said(String what) {
        System.out.printf(Locale.ROOT, "%s after %d acknowledged edits%n", what, acknowledged.size());
    }

    /** The first makes the crew, and invites the others. */
    private List<Visitor> gathered() throws IOException, InterruptedException {
        List<Visitor> people = new ArrayList<>();
        var lead = new Visitor(servers.port(0));
        lead.enter("/people");
        made(lead.post("/people/begin", Map.of("crew", "Ordeal", "name", "Person 1", "password", PASSWORD), ""), 200);
        lead.enter("/crews/1");
        people.add(lead);
        for (int i = 2; i <= PEOPLE; i++) {
            HttpResponse<String> invited =
                    lead.post("/crews/1/invitations", Map.of("role", "planner", "note", "Person " + i), "");
            Matcher link = LINK.matcher(invited.body());
            if (!link.find()) {
                throw new IllegalStateException("no invitation: " + invited.statusCode());
            }
            var person = new Visitor(servers.port(0));
            person.enter(link.group(1));
            made(person.post(link.group(1), Map.of("name", "Person " + i, "password", PASSWORD), ""), 200);
            people.add(person);
        }
        return people;
    }

    private static void made(HttpResponse<String> answer, int status) {
        if (answer.statusCode() != status) {
            throw new IllegalStateException("%s: %d".formatted(answer.uri(), answer.statusCode()));
        }
    }

    /** One person: each cue at a moment of its own, sent until it is answered, by turns at each server that answers. */
    private void work(Visitor visitor, int first) {
        int server = first;
        visitor.goTo(servers.port(server));
        while (isGoingOn()) {
            String at = moment(next.incrementAndGet());
            tried.add(at);
            for (boolean done = false; !done && Instant.now().isBefore(end); ) {
                try {
                    done = isSent(visitor, at);
                    if (!done) {
                        pause();
                    }
                } catch (IOException e) {
                    again.incrementAndGet();
                    server = 1 - server;
                    visitor.goTo(servers.port(server));
                    pause();
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    return;
                }
            }
        }
    }

    private boolean isSent(Visitor visitor, String at) throws IOException, InterruptedException {
        if (!visitor.hasEntered()) {
            visitor.enter(SONG);
        }
        HttpResponse<String> answer = visitor.post(
                SONG + "/cues", Map.of("at", at, "device", "lantern-desk", "action", "recall:scene-3"), "ordeal-" + at);
        if (answer.statusCode() == 302) {
            acknowledged.add(at);
            return true;
        }
        if (answer.statusCode() < 500) {
            throw new IllegalStateException("refused with %d: %s".formatted(answer.statusCode(), at));
        }
        return false;
    }

    private boolean judged(Visitor visitor) throws Exception {
        visitor.goTo(servers.port(0));
        Plan plan = PlanFile.read(visitor.get("/rigs/1/plan.json").body());
        List<Cue> cues = plan.book().song(new SongId("small-harbour-song")).cues();
        Map<String, List<Cue>> ours =
                cues.stream().filter(cue -> tried.contains(place(cue))).collect(Collectors.groupingBy(Ordeal::place));
        Set<String> lost = new TreeSet<>(acknowledged);
        lost.removeAll(ours.keySet());
        long twice = ours.values().stream().filter(all -> all.size() > 1).count();
        long half = ours.values().stream()
                .flatMap(List::stream)
                .filter(cue -> cue.steps().size() != 1)
                .count();
        System.out.printf(
                Locale.ROOT,
                "%d edits acknowledged, %d sendings repeated, %d times ended: %d lost, %d twice, %d half%n",
                acknowledged.size(),
                again.get(),
                ended,
                lost.size(),
                twice,
                half);
        lost.forEach(at -> System.out.println("lost: " + at));
        return acknowledged.size() >= wanted && lost.isEmpty() && twice == 0 && half == 0;
    }

    private static void pause() {
        try {
            Thread.sleep(200);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static String place(Cue cue) {
        return cue.at() instanceof Anchor.OnClock clock ? Clock.exact(clock.micros()) : "";
    }

    /** Milliseconds that no cue of the demo lies at. */
    private static String moment(int i) {
        return String.format(Locale.ROOT, "%d:%02d.%03d", i / 60 / 10, i / 10 % 60, 101 + i % 10);
    }
}
