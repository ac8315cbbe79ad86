package embrack.files.check;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.MuteBoard;
import embrack.core.edit.SwitchEdit;
import embrack.core.plan.Plan;
import embrack.files.plan.PlanFile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class CheckCommandTests {

    @TempDir
    private Path folder;

    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteArrayOutputStream err = new ByteArrayOutputStream();
    private final CheckCommand command = new CheckCommand(
            new PrintStream(out, true, StandardCharsets.UTF_8), new PrintStream(err, true, StandardCharsets.UTF_8));

    @Test
    void aCleanPlanIsProvenForAPerson() throws IOException {
        assertThat(command.run(List.of(file(MuteBoard.plan())))).isEqualTo(CheckCommand.NOTHING_STOPS);
        assertThat(out.toString(StandardCharsets.UTF_8)).isEqualTo("""
                Mute board: nothing stops the show, 0 to look at, 0 notes

                exact        Voice board, bank A, switch 1  (4 messages, 3.840 ms)
                exact        Voice board, bank A, switch 2  (2 messages, 1.920 ms)
                exact        Voice board, bank A, switch 3  (1 message, 0.960 ms)
                exact        Voice board, bank A, switch 4  (1 message, 0.960 ms)
                """);
    }

    @Test
    void aBrokenPlanIsExplainedForAProgram() throws IOException {
        assertThat(command.run(List.of("--json", file(MuteBoard.with(MuteBoard.receive(MuteBoard.MIXER, 5))))))
                .isEqualTo(CheckCommand.STOPS);
        JsonNode report = JsonMapper.shared().readTree(out.toString(StandardCharsets.UTF_8));
        assertThat(report.get("stopsTheShow").booleanValue()).isTrue();
        JsonNode finding = report.get("findings").get(0);
        assertThat(finding.propertyNames())
                .containsExactly("code", "severity", "where", "what", "why", "fix", "mends", "facts");
        assertThat(finding.get("code").stringValue()).isEqualTo("switches.channel-mismatch");
        assertThat(finding.get("severity").stringValue()).isEqualTo("stops");
        assertThat(finding.get("facts").toString())
                .isEqualTo("{\"switches\":[" + switchOf(1) + "," + switchOf(2) + "," + switchOf(3) + "," + switchOf(4)
                        + "],\"scene\":[" + switchOf(1) + "," + switchOf(2) + "," + switchOf(3) + "," + switchOf(4)
                        + "],\"board\":{\"device\":\"voice-board\"},\"sent\":2,"
                        + "\"device\":{\"device\":\"vocal-mixer\"},\"listens\":5,"
                        + "\"setting\":\"MIDI receive channel\",\"cause\":\"free\"}");
        JsonNode proof = report.get("proofs").get(1);
        assertThat(proof.propertyNames())
                .containsExactly(
                        "trigger", "verdict", "states", "story", "intended", "actual", "messages", "path", "worstMs");
        assertThat(proof.toString())
                .isEqualTo("{\"trigger\":\"Voice board, bank A, switch 2\",\"verdict\":\"dead\","
                        + "\"states\":1,\"story\":[\"press Voice board, bank A, "
                        + "switch 2\"],"
                        + "\"intended\":[\"Vocal mixer: mute Vocal reverb return\",\"Vocal mixer: mute Vocal "
                        + "delay return\"],\"actual\":[],"
                        + "\"messages\":[{\"type\":\"CC\",\"channel\":2,\"number\":\"56\",\"value\":\"127\","
                        + "\"bytes\":\"B1 38 7F\"},"
                        + "{\"type\":\"CC\",\"channel\":2,\"number\":\"57\",\"value\":\"127\",\"bytes\":\"B1 39 7F\"}],"
                        + "\"path\":[\"Voice board MIDI OUT to Vocal mixer MIDI IN\"],\"worstMs\":1.92}");
    }

    @Test
    void whatCannotBeReadIsSaidOnStandardError() throws IOException {
        Path broken = Files.writeString(
                folder.resolve("broken.json"), PlanFile.write(MuteBoard.plan()).replace("\"links\"", "\"ropes\""));
        assertThat(command.run(List.of(broken.toString()))).isEqualTo(CheckCommand.UNREADABLE);
        assertThat(err.toString(StandardCharsets.UTF_8)).contains("cannot be read:\n  links: is missing\n");
        assertThat(command.run(List.of(folder.resolve("missing.json").toString())))
                .isEqualTo(CheckCommand.UNREADABLE);
        assertThat(err.toString(StandardCharsets.UTF_8)).contains("missing.json cannot be opened. Is the name right?");
        assertThat(command.run(List.of())).isEqualTo(CheckCommand.UNREADABLE);
        assertThat(out.size()).isZero();
    }

    @Test
    void aReportSpeaksAnotherLanguageAsFarAsItHasWords() throws IOException {
        Plan plan = MuteBoard.with(
                new SwitchEdit.ClearSwitch(MuteBoard.at(3)), new SwitchEdit.NameSwitch(MuteBoard.at(3), "Voice"));
        assertThat(command.run(List.of("--language=zz", file(plan)))).isEqualTo(CheckCommand.NOTHING_STOPS);
        assertThat(out.toString(StandardCharsets.UTF_8))
                .contains("Voice board, bonk A, knip “Voice” (3)  [switches.no-steps]\n")
                .contains("  Voice zo la knip e nulo.\n");
        assertThat(command.run(List.of("--language=English", file(plan)))).isEqualTo(CheckCommand.UNREADABLE);
        assertThat(err.toString(StandardCharsets.UTF_8)).contains("A language is two to eight small letters");
    }

    private static String switchOf(int number) {
        return "{\"board\":\"voice-board\",\"bank\":1,\"switch\":%d}".formatted(number);
    }

    private String file(Plan plan) throws IOException {
        return Files.writeString(folder.resolve("plan.json"), PlanFile.write(plan))
                .toString();
    }
}
