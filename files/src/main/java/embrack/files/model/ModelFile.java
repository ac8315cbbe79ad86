package embrack.files.model;

import embrack.core.gear.Model;
import embrack.files.json.JsonFile;
import embrack.files.json.Published;
import java.nio.charset.StandardCharsets;

/** A model of gear as a file of its own: one JSON document. */
public final class ModelFile {

    /** What the field "format" says. */
    public static final String FORMAT = "embrack-model";

    /** The version that is written, and the newest that can be read. */
    public static final int VERSION = 9;

    /** Where the schema of that version is published, on a server and below {@code docs}. */
    public static final String SCHEMA = "/schema/model-" + VERSION + ".schema.json";

    private ModelFile() {}

    /**
     * Reads a model.
     *
     * @throws embrack.files.json.UnreadableFile with everything that is wrong with it
     */
    public static Model read(byte[] file) {
        return JsonFile.read(file, "a model", f -> ModelLayout.FILE.read(f, f));
    }

    /** As {@link #read(byte[])}, for text. */
    public static Model read(String text) {
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    /** What is published of the format. */
    public static Published published() {
        return new Published(ModelLayout.FILE);
    }

    /** Writes a model; the same model always gives the same text. */
    public static String write(Model model) {
        return JsonFile.write(ModelLayout.FILE.write(model));
    }
}
