package embrack.bench;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Long work at two servers with a core each against the same work at one of them: the same nights are drawn in parts by
 * both, then, when the second has ended, by the first alone.
 */
final class Together {

    private static final String FAULTS = "/rigs/1/run/faults";
    private static final int WARM_UP = 160;
    private static final int LOOKS_EVERY_MILLIS = 1_000; // as a page does
    private static final double LEAST = 1.6;

    private final Visitor visitor;

    private Together(Visitor visitor) {
        this.visitor = visitor;
    }

    /** Arguments: folder of the data, the command that starts the first server, nights, the second's command line. */
    public static void main(String[] arguments) throws Exception {
        List<String> all = List.of(arguments);
        var servers = new Servers(Path.of(all.get(0)), all.get(1), all.subList(3, all.size()));
        int nights = Integer.parseInt(all.get(2));
        servers.start();
        var together = new Together(new Visitor(servers.port(0)));
        together.seconds(1_000_000, WARM_UP);
        double two = together.seconds(1, nights);
        servers.stop();
        together.seconds(1_000_000, WARM_UP);
        double one = together.seconds(1, nights);
        System.out.printf(
                Locale.ROOT,
                "%d nights: two servers %.1f s, one %.1f s; two do %.2f times the work of one (least %.1f)%n",
                nights,
                two,
                one,
                one / two,
                LEAST);
        System.exit(one / two >= LEAST ? 0 : 1);
    }

    private double seconds(int seed, int nights) throws IOException, InterruptedException {
        visitor.enter(FAULTS);
        long began = System.nanoTime();
        int status = visitor.post(
                        FAULTS + "/nights", Map.of("seed", String.valueOf(seed), "count", String.valueOf(nights)), "")
                .statusCode();
        if (status != 302) {
            throw new IllegalStateException("it was answered with %d".formatted(status));
        }
        String done = "%d nights from seed %d:".formatted(nights, seed);
        while (!visitor.get(FAULTS).body().contains(done)) {
            Thread.sleep(LOOKS_EVERY_MILLIS);
        }
        return (System.nanoTime() - began) / 1e9;
    }
}
