package embrack.bench;

import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;

/** How long it takes from an edit at one server until a page at the same and at another server has heard of it. */
final class Told {

    private static final int EDITS = 200;
    private static final double LIMIT_MILLIS = 200;

    private Told() {}

    /** Edits with one visitor, and has others listen at each of some servers. */
    static boolean measured(Visitor editor, List<Visitor> listeners) throws Exception {
        editor.enter("/rigs/1/gear/vocal-mixer");
        List<BlockingQueue<Long>> heard = new ArrayList<>();
        for (Visitor listener : listeners) {
            BlockingQueue<Long> times = new LinkedBlockingQueue<>();
            HttpResponse<Stream<String>> stream = listener.listen("/rigs/1/changes");
            Thread.ofPlatform()
                    .daemon()
                    .start(() -> stream.body()
                            .filter(line -> line.startsWith("data:"))
                            .forEach(line -> times.add(System.nanoTime())));
            if (times.poll(10, TimeUnit.SECONDS) == null) {
                throw new IllegalStateException("nothing is told on connecting");
            }
            heard.add(times);
        }
        boolean isWell = true;
        List<List<Double>> all =
                heard.stream().<List<Double>>map(times -> new ArrayList<>()).toList();
        for (int i = 0; i < EDITS; i++) {
            long began = System.nanoTime();
            editor.post("/rigs/1/gear/vocal-mixer/name", Map.of("name", "Told " + i), "");
            for (int at = 0; at < heard.size(); at++) {
                Long told = heard.get(at).poll(10, TimeUnit.SECONDS);
                if (told == null) {
                    throw new IllegalStateException("an edit was not told");
                }
                all.get(at).add((told - began) / 1e6);
            }
        }
        for (int at = 0; at < all.size(); at++) {
            List<Double> times = all.get(at);
            Collections.sort(times);
            double late = times.get(times.size() * 95 / 100);
            isWell &= late <= LIMIT_MILLIS;
            System.out.printf(
                    Locale.ROOT,
                    "from an edit to a page at server %d: median %.1f ms, 95th %.1f ms (limit %.0f)%n",
                    at + 1,
                    times.get(times.size() / 2),
                    late,
                    LIMIT_MILLIS);
        }
        return isWell;
    }
}
