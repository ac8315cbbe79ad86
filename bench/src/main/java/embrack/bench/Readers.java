package embrack.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/**
 * Many readers of one page, against as many readers of a static file in the same run.
 *
 * <p>Arguments: port, path of the page, readers, rounds a reader.
 */
final class Readers {

    private static final String FILE = "/embrack.js";

    private Readers() {}

    public static void main(String[] arguments) throws Exception {
        int port = Integer.parseInt(arguments[0]);
        int readers = Integer.parseInt(arguments[2]);
        int rounds = Integer.parseInt(arguments[3]);
        for (String path : List.of(FILE, arguments[1])) {
            read(port, path, readers, rounds); // warms up both
        }
        double file = told(FILE, read(port, FILE, readers, rounds));
        double page = told(arguments[1], read(port, arguments[1], readers, rounds));
        System.out.printf(Locale.ROOT, "95th of the page is %.1f times the 95th of the file (limit 8)%n", page / file);
    }

    private static double told(String path, List<Double> times) {
        Collections.sort(times);
        double usual = times.get(times.size() / 2);
        double late = times.get(times.size() * 95 / 100);
        System.out.printf(
                Locale.ROOT, "%-34s %6d answers, median %7.1f ms, 95th %7.1f ms%n", path, times.size(), usual, late);
        return late;
    }

    /** How long each answer took, in ms; anything but a 200 ends the run. */
    private static List<Double> read(int port, String path, int readers, int rounds) throws Exception {
        List<Double> all = Collections.synchronizedList(new ArrayList<>());
        var visitor = new Visitor(port);
        try (ExecutorService pool = Executors.newFixedThreadPool(readers)) {
            Callable<Void> reader = () -> {
                for (int i = 0; i < rounds; i++) {
                    long began = System.nanoTime();
                    int status = visitor.get(path).statusCode();
                    all.add((System.nanoTime() - began) / 1e6);
                    if (status != 200) {
                        throw new IllegalStateException("%s was answered with %d".formatted(path, status));
                    }
                }
                return null;
            };
            for (Future<Void> done : pool.invokeAll(Collections.nCopies(readers, reader))) {
                done.get();
            }
        }
        return all;
    }
}
