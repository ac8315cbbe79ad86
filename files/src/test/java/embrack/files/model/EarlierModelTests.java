package embrack.files.model;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import embrack.core.gear.Model;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.files.json.UnreadableFile;
import embrack.files.plan.PlanFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Models as plan files of version 1 held them. */
class EarlierModelTests {

    private static final String PLAN = """
            { "format": "embrack-plan", "version": 1, "name": "Old", "models": [
              { "id": "mixer", "name": "Mixer", "kind": "mixer",
                "ports": [{ "id": "in", "name": "MIDI IN", "connector": "five-pin", "direction": "in" }],
                "parts": [%s],
                "settings": [
                  { "id": "receive-channel", "name": "MIDI receive channel", "min": 1, "max": 16, "factory": 1 }],
                "chart": [%s], "reactions": [%s] }],
              "devices": [{ "id": "box", "name": "Box", "model": "mixer", "labels": { "a": "Left one" } }],
                "cables": [], "switches": [] }
            """;
    private static final String PARTS =
            "{\"id\":\"a\",\"name\":\"Input 1\"},{\"id\":\"b\",\"name\":\"Input 2\"},{\"id\":\"c\",\"name\":\"Main\"}";
    private static final DeviceId BOX = new DeviceId("box");

    @Test
    void reactionsThatOnlyWidenTheValuesBecomePartOfTheChart() {
        Model model = model(
                PARTS,
                chart("mute", "a", 2, "cc", 40, 127) + "," + chart("open", "a", 2, "cc", 40, 0),
                reaction("mute", "a", 2, "cc", 40, 64, 127) + "," + reaction("open", "a", 2, "cc", 40, 0, 63));
        assertThat(model.chart().text())
                .isEqualTo("mute Input 1..2: cc 40..41 over 63\nopen Input 1..2: cc 40..41 under 64");
        assertThat(model.implementation().reality().isEmpty()).isTrue();
    }

    @Test
    void reactionsThatSayElseStayWhatTheBoxReallyDoes() {
        Model model = model(
                PARTS, chart("mute", "a", 3, "note", 12, 100), reaction("toggle-mute", "a", 3, "note", 12, 0, 127));
        assertThat(model.chart().text()).isEqualTo("mute Input 1..2: note 12..13 = 100\nmute Main: note 14 = 100");
        assertThat(model.implementation().reality().text())
                .isEqualTo("toggle mute Input 1..2: note 12..13\ntoggle mute Main: note 14");
        assertThat(model.contradictedActions()).hasSize(3);
    }

    @Test
    void programsAndTapeComeAlong() {
        Plan plan = PlanFile.read(PLAN.formatted(PARTS, chart("open", "a", 3, "pc", 0, 0), ""));
        assertThat(plan.rig().model(BOX).chart().text())
                .isEqualTo("programs from 1\nopen Input 1..2: pc 1..2\nopen Main: pc 3");
        assertThat(plan.rig().device(BOX).labels().toString()).isEqualTo("{input-1=Left one}");
    }

    @Test
    void partsOfOneNameAreToldApart() {
        Model model = model(
                "{\"id\":\"a\",\"name\":\"Strip\"},{\"id\":\"b\",\"name\":\"Strip\"},"
                        + "{\"id\":\"c\",\"name\":\"Odd: \\\"one\\\"\"}",
                chart("mute", "a", 3, "cc", 1, 127),
                "");
        assertThat(model.parts()).extracting(p -> p.name().text()).containsExactly("Strip", "Strip b2", "Odd: 'one'");
        assertThat(model.chart().rows()).hasSize(3);
    }

    /** A run that cannot be, and what is said about it. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "mute  | a | 4 | cc   | 1   | 127 | models[0].chart[0]: a run of 4 parts from \"a\" leaves "
                        + "the 3 parts of the box",
                "mute  | x | 1 | cc   | 1   | 127 | models[0].chart[0]: a run of 1 parts from \"x\" leaves "
                        + "the 3 parts of the box",
                "mute  | a | 3 | cc   | 126 | 127 | models[0].chart[0]: a run of 3 numbers from 126 leaves 0 to 127",
                "mute  | a | 1 | cc   | 1   | 128 | models[0].chart[0]: value must be 0 to 127, was 128",
                "mute  | a | 1 | pc   | 1   | 5   | models[0].chart[0]: a program change carries no value",
                "shout | a | 1 | cc   | 1   | 5   | models[0].chart[0].verb: \"shout\" is none of the verbs",
                "mute  | a | 1 | hum  | 1   | 5   | models[0].chart[0].type: must be one of",
            })
    void runsThatCannotBeAreRefusedWithTheirPlace(
            String verb, String first, int count, String type, int number, int value, String problem) {
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> model(PARTS, chart(verb, first, count, type, number, value), ""))
                .satisfies(
                        e -> assertThat(e.problems()).singleElement().asString().startsWith(problem));
    }

    @Test
    void fieldsOfLaterVersionsAreNotKnownInEarlierOnes() {
        String mixed = PLAN.formatted(PARTS, "", "")
                .replace("\"kind\": \"mixer\",", "\"kind\": \"mixer\", \"memories\": 3, \"habits\": {},");
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> PlanFile.read(mixed))
                .withMessageStartingWith("models[0].memories: is not a field of this format");
    }

    private static Model model(String parts, String chart, String reactions) {
        return PlanFile.read(PLAN.formatted(parts, chart, reactions)).rig().model(BOX);
    }

    private static String chart(String verb, String first, int count, String type, int number, int value) {
        return "{\"verb\":\"%s\",\"first\":\"%s\",\"count\":%d,\"type\":\"%s\",\"number\":%d,\"value\":%d}"
                .formatted(verb, first, count, type, number, value);
    }

    private static String reaction(String verb, String first, int count, String type, int number, int from, int to) {
        return "{\"verb\":\"%s\",\"first\":\"%s\",\"count\":%d,\"type\":\"%s\",\"number\":%d,\"from\":%d,\"to\":%d}"
                .formatted(verb, first, count, type, number, from, to);
    }
}
