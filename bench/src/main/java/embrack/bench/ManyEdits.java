package embrack.bench;

import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;

/**
 * Pages and edits of a rig after many edits against those of a copy after few, by the same server in the same run.
 *
 * <p>Arguments: port, path of the rig ("/rigs/1"), how many edits.
 */
final class ManyEdits {

    private static final int FEW = 20;
    private static final int SAMPLES = 21;

    private ManyEdits() {}

    public static void main(String[] arguments) throws Exception {
        var visitor = new Visitor(Integer.parseInt(arguments[0]));
        String many = arguments[1];
        int edits = Integer.parseInt(arguments[2]);
        visitor.enter(many + "/gear");
        HttpResponse<String> copied =
                visitor.send("/rigs/import", visitor.get(many + "/plan.json").body());
        require(copied, 302);
        String few = copied.headers().firstValue("Location").orElseThrow().replaceAll(".*(/rigs/\\d+)/.*", "$1");
        for (int i = 0; i < edits; i++) {
            rename(visitor, many, i);
        }
        for (int i = 0; i < FEW; i++) {
            rename(visitor, few, i);
        }
        double page = compared(
                "page", many, few, (rig, i) -> require(visitor.get("%s/wiring/table?drawn=%d".formatted(rig, i)), 200));
        double edit = compared("edit", many, few, (rig, i) -> rename(visitor, rig, -1 - i));
        System.out.printf(
                Locale.ROOT,
                "after %d edits against after %d: page %.2f times, edit %.2f times%n",
                edits,
                FEW,
                page,
                edit);
    }

    /** Something that is done to a rig and takes its time; {@code i} makes each of them another. */
    private interface Deed {
        void on(String rig, int i) throws Exception;
    }

    /**
     * The median of one rig against that of the other, done in turn so that both meet the same server; the first are
     * for warming up.
     */
    private static double compared(String what, String many, String few, Deed deed) throws Exception {
        double[] after = new double[SAMPLES];
        double[] before = new double[SAMPLES];
        for (int i = 0; i < 2 * SAMPLES; i++) {
            after[i % SAMPLES] = millis(many, i, deed);
            before[i % SAMPLES] = millis(few, i, deed);
        }
        return told(what + " after many edits", after) / told(what + " after few edits", before);
    }

    private static double millis(String rig, int i, Deed deed) throws Exception {
        long began = System.nanoTime();
        deed.on(rig, i);
        return (System.nanoTime() - began) / 1e6;
    }

    private static double told(String what, double[] millis) {
        Arrays.sort(millis);
        System.out.printf(Locale.ROOT, "%-24s median %7.1f ms%n", what, millis[millis.length / 2]);
        return millis[millis.length / 2];
    }

    private static void rename(Visitor visitor, String rig, int i) throws Exception {
        require(visitor.post(rig + "/gear/name", Map.of("name", "Rig " + i), ""), 302);
    }

    private static void require(HttpResponse<String> answer, int status) {
        if (answer.statusCode() != status) {
            throw new IllegalStateException("%s was answered with %d".formatted(answer.uri(), answer.statusCode()));
        }
    }
}
