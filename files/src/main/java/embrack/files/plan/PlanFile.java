package embrack.files.plan;

import embrack.core.plan.Plan;
import embrack.files.json.JsonFile;
import embrack.files.json.Published;
import embrack.files.json.UnreadableFile;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import tools.jackson.databind.node.ObjectNode;

/** Plans as files: one JSON document that holds a plan and everything it needs. */
public final class PlanFile {

    /** What the field "format" says. */
    public static final String FORMAT = "embrack-plan";

    /** The version that is written, and the newest that can be read. */
    public static final int VERSION = 18;

    /** Where the schema of that version is published, on a server and below {@code docs}. */
    public static final String SCHEMA = "/schema/plan-" + VERSION + ".schema.json";

    private static final String EDITION = "edition";

    private PlanFile() {}

    /**
     * Reads a plan.
     *
     * @throws UnreadableFile when it is not a plan of a version that is known, or anything in it is not as it should be
     */
    public static Plan read(byte[] file) {
        return new PlanReader(0).read(file);
    }

    /** As {@link #read(byte[])}, for text. */
    public static Plan read(String text) {
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    /** What is published of the format. */
    public static Published published() {
        return new Published(PlanLayout.FILE);
    }

    /** Writes a plan; the same plan always gives the same text, which ends in a line break. */
    public static String write(Plan plan) {
        return JsonFile.write(PlanLayout.FILE.write(plan));
    }

    /**
     * A plan that came back.
     *
     * @param edition as which it left; empty where it does not say so
     */
    public record Copy(Plan plan, Optional<Edition> edition) {}

    /**
     * Reads a plan with the edition as which it was written.
     *
     * @throws UnreadableFile as {@link #read(byte[])}
     */
    public static Copy readCopy(byte[] file) {
        return JsonFile.read(
                file,
                "a plan",
                fields -> new Copy(new PlanReader(0).plan(fields), fields.optionalText(EDITION, Edition::parse)));
    }

    /** Writes a plan as an edition of a rig. */
    public static String write(Plan plan, Edition edition) {
        ObjectNode file = PlanLayout.FILE.write(plan);
        file.put(EDITION, edition.text());
        return JsonFile.write(file);
    }
}
