package embrack.files.model;

import embrack.core.gear.Model;
import embrack.files.json.Fields;
import embrack.files.json.JsonFile;
import java.nio.charset.StandardCharsets;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** A model of gear as a file of its own: one JSON document. */
public final class ModelFile {

    /** What the field "format" says. */
    public static final String FORMAT = "embrack-model";

    /** The version that is written, and the newest that can be read. */
    public static final int VERSION = 3;

    private ModelFile() {}

    /**
     * Reads a model.
     *
     * @throws embrack.files.json.UnreadableFile with everything that is wrong with it
     */
    public static Model read(byte[] file) {
        return JsonFile.read(file, "a model", ModelFile::model);
    }

    /** As {@link #read(byte[])}, for text. */
    public static Model read(String text) {
        return read(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Writes a model; the same model always gives the same text. */
    public static String write(Model model) {
        ObjectNode file = JsonNodeFactory.instance.objectNode();
        file.put("format", FORMAT).put("version", VERSION);
        ModelWriter.write(file, model);
        return JsonFile.write(file);
    }

    private static Model model(Fields f) {
        f.requireVersion(FORMAT, VERSION);
        return ModelReader.read(f);
    }
}
