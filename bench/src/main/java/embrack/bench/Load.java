package embrack.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Many people at two servers, and many rigs in the database. In steps, between which rows are made by SQL:
 *
 * <ul>
 *   <li>{@code prepare}: the first account, and a rig with its history;
 *   <li>{@code pages FILE}: how long pages take one after another, kept in a file, or held against what was kept there;
 *   <li>{@code told}: from an edit to pages at both servers;
 *   <li>{@code people PEOPLE CREWS SECONDS}: people who think for 5 s between pages, 20 edits a second, and a static
 *       file asked for under the same load.
 * </ul>
 */
final class Load {

    private static final String PASSWORD = "sixty at the harbour wall";
    private static final String STATIC = "/icon.svg";
    private static final List<String> ROOMS =
            List.of("/gear", "/wiring", "/switches/quay-board/1/1", "/songs", "/preflight", "/sheets", "/history");
    private static final int REVISIONS = 200;
    private static final int ROUNDS = 60;
    private static final int EDITS_A_SECOND = 20;
    private static final int THINKS_MILLIS = 5_000;
    private static final double MOST_BESIDE_STATIC = 8;
    private static final double MOST_BESIDE_TEN = 1.2;
    private static final int RIGS_OF_A_CREW = 10;

    /** Rigs that a crew works at just now: tonight's and the next. */
    private static final int AT_WORK = 2;

    /** So long it goes on before anything is measured: a day at a server is longer than its first minutes. */
    private static final Duration WARM_UP = Duration.ofMinutes(4);

    private static final long SECOND = 1_000_000_000L;

    private final List<Integer> ports;
    private final AtomicInteger edits = new AtomicInteger();

    private Load(List<Integer> ports) {
        this.ports = List.copyOf(ports);
    }

    public static void main(String[] arguments) throws Exception {
        var load = new Load(List.of(Integer.parseInt(arguments[0]), Integer.parseInt(arguments[1])));
        boolean isWell =
                switch (arguments[2]) {
                    case "prepare" -> load.prepare();
                    case "pages" -> load.pages(Path.of(arguments[3]));
                    case "told" ->
                        Told.measured(load.signedIn(1, 0), List.of(load.signedIn(1, 0), load.signedIn(1, 1)));
                    case "people" ->
                        load.people(
                                Integer.parseInt(arguments[3]),
                                Integer.parseInt(arguments[4]),
                                Duration.ofSeconds(Long.parseLong(arguments[5])));
                    default -> throw new IllegalArgumentException(arguments[2]);
                };
        System.exit(isWell ? 0 : 1);
    }

    private boolean prepare() throws IOException, InterruptedException {
        var lead = new Visitor(ports.getFirst());
        lead.enter("/people");
        lead.post("/people/begin", Map.of("crew", "Crew 1", "name", "Person 1", "password", PASSWORD), "");
        lead.enter("/rigs/1/gear/vocal-mixer");
        for (int i = 2; i <= REVISIONS; i++) {
            rename(lead, 1, "Vocal mixer " + i);
        }
        return true;
    }

    private static void rename(Visitor visitor, int rig, String name) throws IOException, InterruptedException {
        HttpResponse<String> answer =
                visitor.post("/rigs/%d/gear/vocal-mixer/name".formatted(rig), Map.of("name", name), "");
        if (answer.statusCode() != 302) {
            throw new IllegalStateException("an edit was answered with %d".formatted(answer.statusCode()));
        }
    }

    private Visitor signedIn(int person, int server) throws IOException, InterruptedException {
        var visitor = new Visitor(ports.get(server));
        visitor.enter("/sign-in");
        HttpResponse<String> answer =
                visitor.post("/sign-in", Map.of("name", "Person " + person, "password", PASSWORD), "");
        if (answer.statusCode() != 302) {
            throw new IllegalStateException("person %d was not let in: %d".formatted(person, answer.statusCode()));
        }
        return visitor;
    }

    /** The median of each page; what was kept of them before is held against it. */
    private boolean pages(Path file) throws IOException, InterruptedException {
        Visitor visitor = signedIn(1, 0);
        var before = new Properties();
        boolean isAgain = Files.exists(file);
        if (isAgain) {
            try (var in = Files.newBufferedReader(file)) {
                before.load(in);
            }
        }
        var now = new Properties();
        boolean isWell = true;
        List<String> paths = new ArrayList<>(List.of("/"));
        ROOMS.forEach(room -> paths.add("/rigs/1" + room));
        for (String path : paths) {
            List<Double> times = new ArrayList<>();
            for (int i = 0; i < ROUNDS; i++) {
                times.add(time(visitor, path));
            }
            double median = percentile(times, 50);
            now.setProperty(path, String.valueOf(median));
            if (isAgain) {
                double ratio = median / Double.parseDouble(before.getProperty(path));
                isWell &= ratio <= MOST_BESIDE_TEN;
                System.out.printf(Locale.ROOT, "%-20s median %6.1f ms, %.2f times as with ten%n", path, median, ratio);
            } else {
                System.out.printf(Locale.ROOT, "%-20s median %6.1f ms%n", path, median);
            }
        }
        if (!isAgain) {
            try (var out = Files.newBufferedWriter(file)) {
                now.store(out, null);
            }
        }
        return isWell;
    }

    private static double time(Visitor visitor, String path) throws IOException, InterruptedException {
        long began = System.nanoTime();
        int status = visitor.get(path).statusCode();
        if (status != 200) {
            throw new IllegalStateException("%s was answered with %d".formatted(path, status));
        }
        return (System.nanoTime() - began) / 1e6;
    }

    private static double percentile(List<Double> times, int percent) {
        List<Double> sorted = new ArrayList<>(times);
        Collections.sort(sorted);
        return sorted.get(Math.min(sorted.size() - 1, sorted.size() * percent / 100));
    }

    /** Each rig that is worked at is looked at once. */
    private void lookRound(List<Visitor> people, int crews) throws IOException, InterruptedException {
        for (int crew = 0; crew < crews; crew++) {
            for (int rig = 0; rig < AT_WORK; rig++) {
                for (String room : ROOMS) {
                    time(people.get(crew), path(crew, rig, room));
                }
            }
        }
    }

    private static String path(int crew, int rig, String room) {
        return "/rigs/%d%s".formatted(crew * RIGS_OF_A_CREW + 1 + rig, room);
    }

    /**
     * Person p is of crew p modulo crews, whose rigs are ten in a row, at two of which it works now. Of an even number
     * of crews each is at one server, as a proxy has it that sends what is asked of a rig to one. What is measured
     * comes after some minutes of the same.
     */
    private boolean people(int people, int crews, Duration lasts) throws Exception {
        List<Visitor> signedIn = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            signedIn.add(signedIn(i + 1, i % ports.size()));
        }
        List<Visitor> editors = new ArrayList<>();
        for (int i = 0; i < EDITS_A_SECOND; i++) {
            Visitor editor = signedIn(i + 1, i % ports.size());
            editor.enter("/rigs/%d/gear/vocal-mixer".formatted(edited(i, crews)));
            editors.add(editor);
        }
        lookRound(signedIn, crews);
        atWork(signedIn, editors, crews, WARM_UP);
        return judged(atWork(signedIn, editors, crews, lasts), lasts);
    }

    /**
     * What came of some time of work, in milliseconds.
     *
     * @param edits how many
     */
    private record Work(List<Seen> pages, List<Double> files, int edits) {}

    /** A page that was looked at, and how long that took, in milliseconds. */
    private record Seen(String room, double millis) {}

    private Work atWork(List<Visitor> people, List<Visitor> editors, int crews, Duration lasts) throws Exception {
        Instant end = Instant.now().plus(lasts);
        List<Seen> pages = Collections.synchronizedList(new ArrayList<>());
        List<Double> files = Collections.synchronizedList(new ArrayList<>());
        List<Callable<Void>> all = new ArrayList<>();
        for (int i = 0; i < people.size(); i++) {
            Visitor visitor = people.get(i);
            var random = new Random(i);
            int crew = i % crews;
            all.add(() -> {
                Thread.sleep(random.nextInt(THINKS_MILLIS));
                while (Instant.now().isBefore(end)) {
                    String room = ROOMS.get(random.nextInt(ROOMS.size()));
                    pages.add(new Seen(room, time(visitor, path(crew, random.nextInt(AT_WORK), room))));
                    Thread.sleep(THINKS_MILLIS / 2 + random.nextInt(THINKS_MILLIS));
                }
                return null;
            });
        }
        int before = edits.get();
        for (int i = 0; i < editors.size(); i++) {
            Visitor visitor = editors.get(i);
            int rig = edited(i, crews);
            long first = System.nanoTime() + i * SECOND / editors.size();
            all.add(() -> {
                for (long due = first; Instant.now().isBefore(end); due += SECOND) {
                    TimeUnit.NANOSECONDS.sleep(due - System.nanoTime());
                    rename(visitor, rig, "Vocal mixer " + edits.incrementAndGet());
                }
                return null;
            });
        }
        var passer = new Visitor(ports.getFirst());
        all.add(() -> {
            while (Instant.now().isBefore(end)) {
                files.add(time(passer, STATIC));
                Thread.sleep(100);
            }
            return null;
        });
        try (ExecutorService pool = Executors.newFixedThreadPool(all.size())) {
            for (Future<Void> done : pool.invokeAll(all)) {
                done.get();
            }
        }
        return new Work(pages, files, edits.get() - before);
    }

    /** The rig that an editor edits, one of its crew that is worked at. */
    private static int edited(int editor, int crews) {
        return editor % crews * RIGS_OF_A_CREW + 1 + editor / crews % AT_WORK;
    }

    private static boolean judged(Work work, Duration lasted) {
        for (String room : ROOMS) {
            List<Double> times = work.pages().stream()
                    .filter(seen -> seen.room().equals(room))
                    .map(Seen::millis)
                    .toList();
            System.out.printf(
                    Locale.ROOT,
                    "  %-24s median %6.1f ms, 95th %6.1f ms%n",
                    room,
                    percentile(times, 50),
                    percentile(times, 95));
        }
        List<Double> pages = work.pages().stream().map(Seen::millis).toList();
        List<Double> files = work.files();
        double page = percentile(pages, 95);
        double file = percentile(files, 95);
        double rate = work.edits() / (double) lasted.toSeconds();
        System.out.printf(
                Locale.ROOT,
                "%d pages: median %.1f ms, 95th %.1f ms; %d static files: 95th %.1f ms; ratio %.1f (limit %.0f); "
                        + "%.1f edits a second without error%n",
                pages.size(),
                percentile(pages, 50),
                page,
                files.size(),
                file,
                page / file,
                MOST_BESIDE_STATIC,
                rate);
        return page / file <= MOST_BESIDE_STATIC && rate >= EDITS_A_SECOND * 0.95;
    }
}
