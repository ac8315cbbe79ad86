package embrack.files.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.tuple;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import embrack.core.Evening;
import embrack.core.Fault;
import embrack.core.MappingFaults;
import embrack.core.Mixers;
import embrack.core.MuteBoard;
import embrack.core.Sketch;
import embrack.core.chart.ChartReading;
import embrack.core.chart.LearnableId;
import embrack.core.chart.PartId;
import embrack.core.check.Report;
import embrack.core.check.rule.Finding;
import embrack.core.check.rule.Told;
import embrack.core.edit.ControlEdit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.NumberEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.gear.ControlType;
import embrack.core.gear.Model;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.library.Library;
import embrack.core.gear.text.BoxReading;
import embrack.core.level.Curve;
import embrack.core.level.Law;
import embrack.core.level.Takeover;
import embrack.core.midi.MessageType;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Folder;
import embrack.core.show.text.SongReading;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.Practice;
import embrack.core.switches.Target;
import embrack.files.json.UnreadableFile;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class PlanFileTests {

    private static final String CLEAN = PlanFile.write(MuteBoard.plan());
    private static final Path EXAMPLES = Path.of("../docs/examples");
    private static final Schema SCHEMA = schema();

    private static Stream<Plan> plans() {
        return Stream.of(
                MuteBoard.plan(),
                Evening.plan(),
                wholeLibrary(),
                Plan.empty(new TapeLabel("Nothing")),
                MuteBoard.withSecondMixer(3),
                MuteBoard.withMixer(Mixers.chartOnly()),
                MuteBoard.withMixer(Mixers.swappedChart()),
                MuteBoard.with(
                        new GearEdit.SwapHardware(MuteBoard.BOARD, Library.FOUR_SWITCH_DESK_BOARD),
                        new SwitchEdit.NameSwitch(MuteBoard.at(4), "Ærø & \"quotes\" \\ ñ")));
    }

    /** One box of every model that ships. */
    private static Plan wholeLibrary() {
        Plan plan = Plan.empty(new TapeLabel("All that ships"));
        for (Model model : Library.all()) {
            plan = new GearEdit.AddDevice(model.name().text(), model).apply(plan);
        }
        return plan;
    }

    /** The validator is an independent reader of JSON Schema 2020-12 (json-schema.org). */
    @ParameterizedTest
    @MethodSource("plans")
    void whatIsWrittenFitsTheSchemaAndIsReadBackTheSame(Plan plan) {
        String file = PlanFile.write(plan);
        assertThat(SCHEMA.validate(file, InputFormat.JSON)).isEmpty();
        assertThat(PlanFile.read(file)).isEqualTo(plan);
        assertThat(PlanFile.write(PlanFile.read(file))).isEqualTo(file);
    }

    @Test
    void theExamplesAreAsEmbrackWritesThem() throws IOException {
        try (Stream<Path> files = Files.list(EXAMPLES)) {
            List<Path> examples = files.filter(file -> !file.toString().endsWith(".model.json"))
                    .toList();
            assertThat(examples).hasSizeGreaterThan(1);
            for (Path example : examples) {
                String text = Files.readString(example);
                assertThat(PlanFile.write(PlanFile.read(text)))
                        .as(example.toString())
                        .isEqualTo(text);
                assertThat(SCHEMA.validate(text, InputFormat.JSON)).isEmpty();
            }
        }
        assertThat(Report.of(PlanFile.read(Files.readString(EXAMPLES.resolve("mute-board.json"))))
                        .findings())
                .isEmpty();
    }

    @Test
    void theExampleInTheDocumentationIsAPlanWithoutAFinding() throws IOException {
        Matcher example = Pattern.compile("```json\n(.*?)```", Pattern.DOTALL)
                .matcher(Files.readString(Path.of("../docs/formats.md")));
        assertThat(example.find()).isTrue();
        assertThat(SCHEMA.validate(example.group(1), InputFormat.JSON)).isEmpty();
        Report report = Report.of(PlanFile.read(example.group(1)));
        assertThat(report.findings()).isEmpty();
        assertThat(report.proofs()).hasSize(2);
    }

    @Test
    void theLanguagesInTheDocumentationAreReadToTheLetter() throws IOException {
        ChartReading chart = ChartReading.of(documented("chart"));
        assertThat(chart.errors()).isEmpty();
        assertThat(chart.rows()).hasSizeGreaterThan(300);
        assertThat(BoxReading.of(documented("box")).problems()).isEmpty();
        assertThat(SongReading.of(documented("song")).problems()).isEmpty();
    }

    private static String documented(String language) throws IOException {
        Matcher block = Pattern.compile("```" + language + "\n(.*?)```", Pattern.DOTALL)
                .matcher(Files.readString(Path.of("../docs/formats.md")));
        assertThat(block.find()).isTrue();
        return block.group(1);
    }

    /**
     * Plans of the first version had parts with ids of their own and runs as objects; those of the second had cables
     * only.
     */
    @Test
    void plansOfEarlierVersionsAreReadAndMeanTheSame() throws IOException {
        Plan earlier = PlanFile.read(Files.readString(Path.of("src/test/resources/quay-rig-version-1.json")));
        Plan today = PlanFile.read(Files.readString(Path.of("src/test/resources/quay-rig-version-2.json")));
        assertThat(today.rig().links()).hasSize(3).isEqualTo(earlier.rig().links());
        assertThat(earlier.switches()).isEqualTo(today.switches());
        assertThat(earlier.rig().devices()).isEqualTo(today.rig().devices());
        assertThat(earlier.rig().model(new DeviceId("vocal-mixer")).chart().rows())
                .isEqualTo(
                        today.rig().model(new DeviceId("vocal-mixer")).chart().rows());
        assertThat(Report.of(earlier).findings())
                .as("the first version knew nothing of power")
                .isEqualTo(Report.of(today).findings().stream()
                        .filter(f -> !f.code().startsWith("power."))
                        .toList());
        assertThat(PlanFile.read(PlanFile.write(earlier))).isEqualTo(earlier);
    }

    /** Whole rigs with one wiring fault each, by the code that is found. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "wiring.not-ready",
                "wiring.loop",
                "wiring.arrives-twice",
                "wiring.hears-neighbour",
                "wiring.input-off",
                "wiring.output-off",
                "wiring.homeless-app",
                "wiring.pair-differs",
                "wiring.too-long",
                "power.none",
                "power.too-much",
                "sound.heard-in-the-house",
                "sound.no-in-ears",
                "switches.kept-back"
            })
    void aFileWithOneWiringFaultSaysThat(String code) throws IOException {
        Plan plan =
                PlanFile.read(Files.readString(Path.of("src/test/resources/wiring-faults/%s.json".formatted(code))));
        assertThat(Report.of(plan).findings()).extracting(f -> f.code()).containsExactly(code);
        assertThat(PlanFile.read(PlanFile.write(plan))).isEqualTo(plan);
    }

    /** Whole rigs with one mapping fault each; what is offered as a remedy makes them clean. */
    @ParameterizedTest
    @MethodSource("embrack.core.MappingFaults#all")
    void aFileWithOneMappingFaultSaysThat(Fault fault) throws IOException {
        Plan plan = PlanFile.read(
                Files.readString(Path.of("src/test/resources/mapping-faults/%s.json".formatted(fault.name()))));
        List<Finding> findings = Report.of(plan).findings();
        assertThat(findings)
                .extracting(Finding::code, f -> Told.of(f, plan).what())
                .containsExactly(tuple(fault.code(), fault.what()));
        assertThat(PlanFile.read(PlanFile.write(plan))).isEqualTo(plan);
        assertThat(schemaErrors(PlanFile.write(plan))).isEmpty();
        Report.of(plan)
                .healing()
                .best(findings.getFirst())
                .ifPresent(remedy -> assertThat(
                                Report.of(remedy.edit().apply(plan)).findings())
                        .as(remedy.name())
                        .isEmpty());
    }

    /** Small rigs that fail in some order of presses only, and the same mended. */
    @ParameterizedTest
    @MethodSource("embrack.core.StateFaults#all")
    void aFileThatFailsInSomeStateSaysThat(Fault fault) throws IOException {
        String text = Files.readString(Path.of("src/test/resources/state-faults/%s.json".formatted(fault.name())));
        Plan plan = PlanFile.read(text);
        assertThat(plan).isEqualTo(fault.faulty());
        List<Finding> findings = Report.of(plan).findings();
        assertThat(findings).extracting(Finding::code).containsOnly(fault.code());
        assertThat(findings.getFirst().severity()).isEqualTo(fault.severity());
        Told told = Told.of(findings.getFirst(), plan);
        assertThat(List.of(told.where(), told.what())).isEqualTo(List.of(fault.where(), fault.what()));
        assertThat(Report.of(PlanFile.read(PlanFile.write(fault.mended()))).findings())
                .isEmpty();
    }

    /** Whole evenings with one fault of the show each. */
    @ParameterizedTest
    @MethodSource("embrack.core.ShowFaults#all")
    void aFileWithOneFaultOfTheShowSaysThat(Fault fault) throws IOException {
        String text = Files.readString(Path.of("src/test/resources/show-faults/%s.json".formatted(fault.name())));
        Plan plan = PlanFile.read(text);
        assertThat(Report.of(plan).findings()).extracting(Finding::code).containsOnly(fault.code());
        assertThat(plan).isEqualTo(fault.faulty());
        assertThat(PlanFile.write(plan)).isEqualTo(text);
        assertThat(schemaErrors(text)).isEmpty();
    }

    /** Lights with all that they can hold, those of a described type and of a desk with banks too. */
    @ParameterizedTest
    @MethodSource("embrack.core.LightFaults#all")
    void lightsAreKept(Fault fault) throws IOException {
        String text = PlanFile.write(fault.faulty());
        assertThat(PlanFile.read(text)).isEqualTo(fault.faulty());
        assertThat(PlanFile.write(PlanFile.read(text))).isEqualTo(text);
        assertThat(schemaErrors(text)).isEmpty();
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> PlanFile.read(text.replace("\"par-1\"", "\"par-2\"")))
                .withMessageContaining("fixtures");
    }

    @Test
    void cleanFilesAreSilent() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("src/test/resources/mapping-clean"))) {
            List<Path> clean = files.toList();
            assertThat(clean).hasSizeGreaterThanOrEqualTo(10);
            for (Path file : clean) {
                assertThat(Report.of(PlanFile.read(Files.readString(file))).findings())
                        .as(file.toString())
                        .isEmpty();
            }
        }
    }

    @Test
    void plansOfTheThirdVersionKnewNothingOfGesturesAndControls() throws IOException {
        assertThat(PlanFile.read(Files.readString(Path.of("src/test/resources/mute-board-version-3.json"))))
                .isEqualTo(PlanFile.read(Files.readString(Path.of("../docs/examples/mute-board.json"))));
    }

    /** Their charts did not say what parts are to a show. */
    @Test
    void plansOfTheSeventhVersionMeanTheSameToday() throws IOException {
        String today = Files.readString(Path.of("../docs/examples/quay-rig.json"));
        String seventh = today.replaceAll("(?s)\"conditions\" : \\[.*?\\],\\n *", "")
                .replaceAll("(?s),\\n *\"notAboutMessages\" : \"[^\"]*\"", "")
                .replaceAll(",?\\n *\"means [^\"]*\"", "")
                .replace("\"version\" : 18", "\"version\" : 7");
        assertThat(today).contains("\"means song: Song 1..40\"");
        assertThat(seventh).doesNotContain("means ");
        Plan then = PlanFile.read(seventh);
        Plan now = PlanFile.read(today);
        assertThat(then.rig().models().stream().map(Model::chart).toList())
                .isEqualTo(now.rig().models().stream().map(Model::chart).toList());
        assertThat(then.rig().models())
                .filteredOn(model -> !model.memory().conditions().isEmpty())
                .isNotEmpty();
        assertThat(Report.of(then).findings()).isEqualTo(Report.of(now).findings());
    }

    /** They had bar, beat and fraction of a cue in one text. */
    @Test
    void plansOfTheSixthVersionMeanTheSameToday() throws IOException {
        String text = Files.readString(Path.of("src/test/resources/quay-rig-version-6.json"));
        assertThat(text).contains("\"19|1\"").doesNotContain("\"bar\"");
        Plan today = PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json")));
        assertThat(PlanFile.read(text).book())
                .isEqualTo(
                        today.book().with(today.book().tonight().orElseThrow().withFolder(Folder.USUAL)));
        assertThat(PlanFile.write(today)).contains("\"bar\" : 19").doesNotContain("\"at\" : \"bar");
    }

    /** Everything that a plan can say of switches and controls, there and back. */
    @Test
    void gesturesControlsNumbersAndSchoolsAreKept() {
        ControlAt treadle = new ControlAt(new DeviceId("foot-board"), ControlType.TREADLE, 2, 1);
        Plan plan = MappingFaults.loops()
                .step("foot-board 1: loop-table undo:track-1")
                .then("foot-board 1", Moment.RELEASE, "vocal-mixer open:input-2")
                .then("foot-board 1", Moment.HOLD, "vocal-mixer mute:input-2")
                .mode("foot-board 1", SwitchMode.MOMENTARY)
                .edit(new SwitchEdit.NameSwitch(Sketch.at("foot-board 1"), "Undo"))
                .edit(new SwitchEdit.WaitBefore(
                        Sketch.at("foot-board 1"), Moment.HOLD, 0, Sketch.stepOf("vocal-mixer mute:input-2"), "250"))
                .edit(new ControlEdit.NameControl(treadle, "Loop level"))
                .edit(new ControlEdit.AddTarget(treadle, new Target(new DeviceId("loop-table"), new PartId("track-1"))))
                .edit(new ControlEdit.Shape(
                        treadle,
                        new DeviceId("loop-table"),
                        new PartId("track-1"),
                        "100",
                        "0",
                        Curve.FAST,
                        Law.GAIN,
                        "3",
                        "-6"))
                .edit(new ControlEdit.ChooseTakeover(treadle, Takeover.CATCH))
                .edit(new NumberEdit.Choose(Practice.MEMORIES, 1))
                .edit(new NumberEdit.UseMemories(new DeviceId("loop-table"), "1..12, 20", "7"))
                .edit(new NumberEdit.Respond(
                        new DeviceId("loop-table"), LearnableId.parse("record:track-1"), true, "5", "120"))
                .edit(new NumberEdit.PinNumber(
                        new DeviceId("loop-table"),
                        LearnableId.parse("stop-all:tracks"),
                        MessageType.CONTROL_CHANGE,
                        "9",
                        "30"))
                .plan();
        String text = PlanFile.write(plan);
        assertThat(PlanFile.read(text)).isEqualTo(plan);
        assertThat(schemaErrors(text)).isEmpty();
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> PlanFile.read(text.replace("\"takeover\" : \"catch\"", "\"takeover\" : \"leap\"")))
                .withMessageContaining("controls[0].takeover: must be one of catch, jump, scaled, was \"leap\"");
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> PlanFile.read(text.replace("\"bank\" : 2", "\"bank\" : 12")))
                .withMessageContaining("Foot board has 10 banks, so there is no bank 12");
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> PlanFile.read(text.replace("\"number\" : 30", "\"number\" : 300")))
                .withMessageContaining("learned");
    }

    private static List<Arguments> broken() {
        return List.of(
                Arguments.of(
                        "\"embrack-plan\"",
                        "\"shopping-list\"",
                        "format: must be \"embrack-plan\"; this is some other file"),
                Arguments.of(
                        "\"version\" : 18",
                        "\"version\" : 19",
                        "version: is 19, written by a newer Embrack; this one reads up to version 18. Update "
                                + "Embrack to read it"),
                Arguments.of("\"name\" : \"Mute board\"", "\"name\" : \"\"", "name: Write a name; it is empty."),
                Arguments.of(
                        "\"name\" : \"Vocal mixer\"",
                        "\"name\" : \"Voice board\"",
                        "devices[1]: two devices are called \"Voice board\""),
                Arguments.of(
                        "\"name\" : \"Vocal mixer\"",
                        "\"name\" : \"Vocal <b>mixer</b>\"",
                        "devices[1].name: Leave out < and >; a name is plain text."),
                Arguments.of(
                        "\"receive-channel\" : 2",
                        "\"receive-channel\" : 17",
                        "devices[1].settings.receive-channel: MIDI receive channel goes from 1 to 16; 17 is "
                                + "not on the box."),
                Arguments.of(
                        "\"receive-channel\" : 2",
                        "\"receive-channel\" : \"two\"",
                        "devices[1].settings.receive-channel: must be a whole number, was the text \"two\""),
                Arguments.of(
                        "\"receive-channel\" : 2",
                        "\"colour\" : 2",
                        "devices[1].settings.colour: Rack mixer, 24 strips has no such setting"),
                Arguments.of(
                        "\"input-1\" : \"Vocal mic\"",
                        "\"in-99\" : \"Vocal mic\"",
                        "devices[1].labels.in-99: Rack mixer, 24 strips has no such part"),
                Arguments.of(
                        "\"model\" : \"rack-mixer-24\"",
                        "\"model\" : \"other\"",
                        "devices[1].model: there is no model \"other\" in this file"),
                Arguments.of(
                        "\"chart\" : [",
                        "\"chart\" : [ \"mute Input 1..16: cc 40..54\",",
                        "models[1].chart[0]: column 22: 16 parts, but 15 numbers: \"Input 1..16\" and "
                                + "\"40..54\" must be of the same length."),
                Arguments.of(
                        "\"chart\" : [",
                        "\"chart\" : [ \"mute Main: cc 1\\nmute Main: cc 2\",",
                        "models[1].chart: holds a line break; each line of the chart is a text of its own"),
                Arguments.of(
                        "\"chart\" : [",
                        "\"colour\" : 1, \"chart\" : [",
                        "models[1].colour: is not a field of this format;"
                                + " known here are board, chart, conditions, controls, fixturePages, "
                                + "habits, heartbeat, id, kind, "
                                + "memories, name, passes, ports, power, reality, settings, sharedSockets, "
                                + "sound, timedMessages, writing"),
                Arguments.of(
                        "\"direction\" : \"out\"",
                        "\"direction\" : \"sideways\"",
                        "models[0].ports[0].direction: must be one of both, in, out, thru, was \"sideways\""),
                Arguments.of(
                        "\"connector\" : \"power\"",
                        "\"connector\" : \"steam\"",
                        "models[0].ports[1].connector: must be one of audio, bluetooth, bus, computer-sound, dmx,"
                                + " five-pin, headphones, jack, mono-jack, multicore, network, optical, phono, power,"
                                + " sound-network, stereo-jack, trs-a, trs-b, usb-device, usb-host, virtual, "
                                + "wifi, xlr, was \"steam\""),
                Arguments.of(
                        "\"port\" : \"in\"",
                        "\"port\" : \"thru\"",
                        "links[0]: Voice board MIDI OUT and Vocal mixer MIDI THRU both send."
                                + " A link goes from an OUT or THRU to an IN."),
                Arguments.of(
                        "\"switch\" : 4",
                        "\"switch\" : 5",
                        "switches[3]: Voice board has 4 switches in a bank, so there is no switch 5"),
                Arguments.of(
                        "\"switch\" : 4",
                        "\"switch\" : 3",
                        "switches: switch 3 in bank 1 of \"voice-board\" is there twice"),
                Arguments.of(
                        "\"verb\" : \"mute\",\n          \"part\" : \"main\"",
                        "\"verb\" : \"level\", \"part\" : \"main\", \"amount\" : 128",
                        "switches[3].steps[0]: amount must be 0 to 127, was 128"),
                Arguments.of(
                        "\"verb\" : \"mute\",\n          \"part\" : \"main\"",
                        "\"verb\" : \"level\", \"part\" : \"main\"",
                        "switches[3].steps[0]: \"level\" needs an amount, 0 to 127"),
                Arguments.of(
                        "\"device\" : \"vocal-mixer\",\n          \"verb\" : \"mute\",\n          \"part\" : \"main\"",
                        "\"device\" : \"gone\", \"verb\" : \"mute\", \"part\" : \"main\"",
                        "switches[3].steps[0].device: there is no device \"gone\" in this rig"),
                Arguments.of(
                        "\"area\" : \"floor\"",
                        "\"area\" : \"roof\"",
                        "devices[0].area: must be one of booth, crew, desk, floor, rack, was \"roof\""),
                Arguments.of(
                        "\"area\" : \"floor\"",
                        "\"area\" : \"floor\", \"livesIn\" : \"vocal-mixer\"",
                        "devices[0].livesIn: Vocal mixer is no computer or tablet, so Voice board cannot live in it."),
                Arguments.of(
                        "\"area\" : \"floor\"",
                        "\"area\" : \"floor\", \"feeds\" : [ { \"output\" : \"ear\", \"sounds\" : [ "
                                + "\"click\" ], \"to\" : [ ] } ]",
                        "devices[0]: Voice board has no sound output \"ear\""),
                Arguments.of(
                        "\"area\" : \"floor\"",
                        "\"area\" : \"floor\", \"passes\" : [ { \"from\" : \"out\", \"to\" : \"in\", "
                                + "\"open\" : true } ]",
                        "devices[0]: Voice board has no way through from \"out\" to \"in\""),
                Arguments.of(
                        "\"links\" : [",
                        "\"pairs\" : [ { \"first\" : \"voice-board\", \"second\" : \"vocal-mixer\" } ], \"links\" : [",
                        "pairs[0]: Voice board and Vocal mixer are not the same hardware, so neither can "
                                + "stand in for the other."),
                Arguments.of(
                        "\"links\" : [", "\"links\" : [ 3,", "links[0]: must be an object in braces, was the number 3"),
                Arguments.of("\"name\" : \"Mute board\",", "", "name: is missing"),
                Arguments.of(
                        "\"name\" : \"Mute board\",",
                        "\"name\" : \"Mute board\", \"name\" : \"Twice\",",
                        "line 4, column 32: is not JSON: Duplicate Object property \"name\""));
    }

    @ParameterizedTest
    @MethodSource("broken")
    void whatIsWrongIsSaidWithItsPlace(String old, String replacement, String problem) {
        assertThat(CLEAN).contains(old);
        String file = CLEAN.replaceFirst(Pattern.quote(old), Matcher.quoteReplacement(replacement));
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> PlanFile.read(file))
                .satisfies(e -> assertThat(e.problems()).first().asString().isEqualTo(problem));
    }

    @Test
    void allProblemsOfAListAreTold() {
        String file = CLEAN.replace("mute Input 1..16", "mutte Input 1..16")
                .replace("open Bus 1..3: cc", "open Bus 1..3: cd");
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> PlanFile.read(file))
                .satisfies(e -> assertThat(e.problems())
                        .extracting(p -> p.where())
                        .containsExactly("models[1].chart[1]", "models[1].chart[7]"));
        String twoModels = CLEAN.replace("\"direction\" : \"out\"", "\"direction\" : \"up\"")
                .replace("\"direction\" : \"in\"", "\"direction\" : \"down\"");
        assertThatExceptionOfType(UnreadableFile.class)
                .isThrownBy(() -> PlanFile.read(twoModels))
                .satisfies(e -> assertThat(e.problems())
                        .extracting(p -> p.where())
                        .startsWith(
                                "models[0].ports[0].direction",
                                "models[0].ports[1].direction",
                                "models[1].ports[0].direction",
                                "models[1].ports[3].direction"));
    }

    @Test
    void nonsenseIsRefusedAndNeverBreaksTheReader() {
        assertProblem("".getBytes(StandardCharsets.UTF_8), "the file");
        assertProblem("{".getBytes(StandardCharsets.UTF_8), "line 1");
        assertProblem("[]".getBytes(StandardCharsets.UTF_8), "the file");
        assertProblem("[".repeat(100_000).getBytes(StandardCharsets.UTF_8), "");
        byte[] large = new byte[20 << 20];
        assertProblem(large, "the file");
        Random random = new Random(7);
        byte[] clean = CLEAN.getBytes(StandardCharsets.UTF_8);
        for (int i = 0; i < 500; i++) {
            byte[] damaged = clean.clone();
            damaged[random.nextInt(damaged.length)] = (byte) random.nextInt();
            try {
                PlanFile.read(damaged);
            } catch (UnreadableFile e) {
                assertThat(e.problems())
                        .allMatch(p -> !p.where().isBlank() && !p.what().isBlank());
            }
        }
    }

    private static void assertProblem(byte[] file, String where) {
        UnreadableFile e = catchThrowableOfType(UnreadableFile.class, () -> PlanFile.read(file));
        assertThat(e.problems()).first().asString().startsWith(where);
    }

    private static List<?> schemaErrors(String text) {
        return SCHEMA.validate(text, InputFormat.JSON);
    }

    private static Schema schema() {
        try (InputStream in = PlanFile.class.getResourceAsStream("/embrack/files" + PlanFile.SCHEMA)) {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                    .getSchema(new String(in.readAllBytes(), StandardCharsets.UTF_8), InputFormat.JSON);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
