package embrack.bench;

import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.List;
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

    private ManyEdits() {
    }

    public static void main(String[] arguments) throws Exception {
        var visitor = new Visitor(Integer.parseInt(arguments[0]));
        String many = arguments[1];
        int edits = Integer.parseInt(arguments[2]);
        visitor.enter(many + "/gear");
        HttpResponse<String> copied = visitor.send("/rigs/import", visitor.get(many + "/plan.json").body());
        require(copied, 302);
        String few = copied.headers().firstValue("Location").orElseThrow().replaceAll(".*(/rigs/\\d+)/.*", "$1");
        for (int i = 0; i < edits; i++) {
            rename(visitor, many, i);
        }
        for (int i = 0; i < FEW; i++) {
            rename(visitor, few, i);
        }
        for (String rig : List.of(many, few)) {
            pages(visitor, rig, "warm");
        }
        System.out.printf(Locale.ROOT, "after %d edits against after %d: page %.2f times, edit %.2f times%n", edits, FEW,
                told("page after many edits", pages(visitor, many, "")) / told("page after few edits", pages(visitor, few, "")),
                told("edit after many edits", edits(visitor, many)) / told("edit after few edits", edits(visitor, few)));
    }

    private static double told(String what, double[] millis) {
        Arrays.sort(millis);
        System.out.printf(Locale.ROOT, "%-24s median %7.1f ms%n", what, millis[millis.length / 2]);
        return millis[millis.length / 2];
    }

    /** Each of a page that was never drawn before. */
    private static double[] pages(Visitor visitor, String rig, String mark) throws Exception {
        double[] millis = new double[SAMPLES];
        for (int i = 0; i < SAMPLES; i++) {
            long began = System.nanoTime();
            require(visitor.get("%s/wiring/table?drawn=%s%d".formatted(rig, mark, i)), 200);
            millis[i] = (System.nanoTime() - began) / 1e6;
        }
        return millis;
    }

    private static double[] edits(Visitor visitor, String rig) throws Exception {
        double[] millis = new double[SAMPLES];
        for (int i = 0; i < SAMPLES; i++) {
            long began = System.nanoTime();
            rename(visitor, rig, -1 - i);
            millis[i] = (System.nanoTime() - began) / 1e6;
        }
        return millis;
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
