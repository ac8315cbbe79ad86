package embrack.paper.print;

import embrack.core.show.Running;
import embrack.paper.page.Bundle;
import embrack.paper.page.Part;
import embrack.paper.type.Ruler;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Makes one HTML file of a folder, with fonts, style and script inside: it opens from a memory stick on any tablet, no
 * request leaves it, and it can be read where no script runs. It carries the plan.
 */
public final class OneFile {

    /** What stands around the plan in the file. */
    private static final String PLAN_BEGINS = "<script type=\"application/json\" id=\"embrack-plan\">";

    private static final String PLAN_ENDS = "</script>";

    private final Templates templates = new Templates();

    /** A part of the order, for the clock: seconds from the start of the show. */
    public record Entry(String name, double start, double length) {}

    /**
     * A file.
     *
     * @param bundle its parts; what is cut out of paper has no place in it
     * @param running the order, for its clock
     * @param plan the file of the plan
     * @param rig what tells its ticks from those of other rigs on one device
     */
    public byte[] of(Bundle bundle, Optional<Running> running, String plan, String rig) {
        List<Part> parts = bundle.parts().stream()
                .filter(part -> part.form() != Part.Form.CUT)
                .map(part -> part.eachRow(row -> row.onPage(id -> "")))
                .toList();
        List<Entry> order = running.stream()
                .flatMap(evening -> evening.parts().stream())
                .map(part -> new Entry(part.entry().name().text(), part.startMicros() / 1e6, part.lengthMicros() / 1e6))
                .toList();
        String html = templates.fill(
                "onefile",
                Map.of(
                        "title",
                        "Folder of " + bundle.foot(),
                        "bundle",
                        bundle,
                        "rig",
                        rig,
                        "parts",
                        parts,
                        "order",
                        order,
                        "style",
                        style(),
                        "script",
                        Templates.text("script/onefile.js"),
                        "screen",
                        true,
                        "capital",
                        Ruler.BOLD.capital()));
        return html.replace(PLAN_BEGINS + PLAN_ENDS, PLAN_BEGINS + inScript(plan) + PLAN_ENDS)
                .getBytes(StandardCharsets.UTF_8);
    }

    /** JSON in which nothing ends a script. */
    private static String inScript(String json) {
        return json.replace("<", "\\u003c");
    }

    /** The plan that a file carries; empty for one that carries none. */
    public static Optional<String> planOf(String html) {
        int from = html.indexOf(PLAN_BEGINS);
        int to = from < 0 ? -1 : html.indexOf(PLAN_ENDS, from);
        return to < 0 ? Optional.empty() : Optional.of(html.substring(from + PLAN_BEGINS.length(), to));
    }

    /** The plan that the file of a folder carries; any other file as it is. */
    public static byte[] planIn(byte[] file) {
        boolean isHtml = file.length > 0 && file[0] == '<';
        return isHtml
                ? planOf(new String(file, StandardCharsets.UTF_8))
                        .map(plan -> plan.getBytes(StandardCharsets.UTF_8))
                        .orElse(file)
                : file;
    }

    private static String style() {
        return face("Next", 400, "atkinson-hyperlegible-next-400")
                + face("Next", 700, "atkinson-hyperlegible-next-700")
                + face("Mono", 400, "atkinson-hyperlegible-mono-400")
                + Templates.text("style/onefile.css");
    }

    private static String face(String family, int weight, String file) {
        return "@font-face{font-family:%s;font-weight:%d;src:url(data:font/ttf;base64,%s)}%n"
                .formatted(
                        family, weight, Base64.getEncoder().encodeToString(Templates.bytes("fonts/" + file + ".ttf")));
    }
}
