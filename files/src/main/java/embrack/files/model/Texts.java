package embrack.files.model;

import embrack.core.chart.PartId;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.SettingId;
import embrack.core.name.TapeLabel;
import embrack.files.json.Text;
import java.util.List;
import java.util.function.Function;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** The texts that stand for something in models and plans. */
public final class Texts {

    private static final JsonNode ID = pattern("^[a-z0-9][a-z0-9-]{0,39}$");

    /** A name on tape. */
    public static final Text<TapeLabel> LABEL = new Text<>(
            "label",
            "one line of plain text as on tape, 1 to 40 characters",
            lengths(1, 40).put("pattern", "^[^<>\\u0000-\\u001f\\u007f-\\u009f]+$"),
            TapeLabel::new,
            TapeLabel::text);

    /** Names a model. */
    public static final Text<ModelId> MODEL = id("modelId", "the id of a model", ModelId::new, ModelId::text);

    /** Names a setting of a model. */
    public static final Text<SettingId> SETTING =
            id("settingId", "the id of a setting", SettingId::new, SettingId::text);

    /** Names a port of a model. */
    public static final Text<PortId> PORT = id("portId", "the id of a port", PortId::new, PortId::text);

    /** Names a part of a model: its name in the form of an id. */
    public static final Text<PartId> PART = id("partId", "the id of a part", PartId::new, PartId::text);

    private Texts() {}

    /** A text in the form of an id, which is used inside the file only. */
    public static <V> Text<V> id(String name, String words, Function<String, V> parse, Function<V, String> print) {
        return new Text<>(name, words, ID, parse, print);
    }

    /** What a schema says of a text that fits a regular expression. */
    public static ObjectNode pattern(String expression) {
        return JsonNodeFactory.instance.objectNode().put("pattern", expression);
    }

    /** What a schema says of a text that is one of some. */
    public static ObjectNode choice(List<String> words) {
        ObjectNode rule = JsonNodeFactory.instance.objectNode();
        ArrayNode choices = rule.putArray("enum");
        words.forEach(choices::add);
        return rule;
    }

    /** What a schema says of a text of some length, in characters. */
    public static ObjectNode lengths(int least, int most) {
        return JsonNodeFactory.instance.objectNode().put("minLength", least).put("maxLength", most);
    }
}
