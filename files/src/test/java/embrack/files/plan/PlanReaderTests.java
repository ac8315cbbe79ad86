package embrack.files.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.core.Evening;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.plan.Plan;
import embrack.core.rig.Rig;
import embrack.files.json.UnreadableFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Whoever has read many plans reads the next one as somebody who reads their first. */
class PlanReaderTests {

    private final PlanReader reader = new PlanReader(50);

    static Stream<Path> examples() throws IOException {
        try (var files = Files.list(Path.of("../docs/examples"))) {
            return files
                    .filter(file -> file.toString().endsWith(".json"))
                    .filter(PlanReaderTests::isAPlan)
                    .sorted()
                    .toList()
                    .stream();
        }
    }

    private static boolean isAPlan(Path file) {
        try {
            return Files.readString(file).contains("\"embrack-plan\"");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @MethodSource("examples")
    void itIsReadTheSameTheSecondTime(Path file) throws IOException {
        byte[] text = Files.readAllBytes(file);
        Plan first = reader.read(text);
        Plan second = reader.read(text);
        assertThat(second).isEqualTo(first).isEqualTo(PlanFile.read(text));
        assertThat(PlanFile.write(second)).isEqualTo(PlanFile.write(first));
        byte[] written = PlanFile.write(first).getBytes(StandardCharsets.UTF_8);
        Plan again = reader.read(written);
        assertThat(again).isEqualTo(first);
        assertThat(same(reader.read(written), again))
                .as("models of the version of today are not read again")
                .isTrue();
    }

    private static boolean same(Plan one, Plan other) {
        return one.rig().models().stream()
                .allMatch(model -> other.rig().models().stream().anyMatch(known -> known == model));
    }

    /** A model of the same id that says anything else is another one. */
    @ParameterizedTest
    @ValueSource(strings = {"Stage mixer 12", "stage-mixer-12"})
    void whatSaysSomethingElseIsReadAnew(String changed) {
        String text = PlanFile.write(Evening.plan());
        Plan first = read(text);
        String other = text.replace("\"" + changed + "\"", "\"" + changed + "-b\"");
        Plan second = read(other);
        if (other.equals(text)) {
            assertThat(second).isEqualTo(first);
        } else {
            assertThat(second.rig().models()).isNotEqualTo(first.rig().models());
            assertThat(second).isEqualTo(PlanFile.read(other));
        }
        assertThat(read(text)).isEqualTo(first);
    }

    /** A field that no model has is refused each time, also behind a model that was read well. */
    @Test
    void whatIsRefusedIsNotRemembered() {
        String text = PlanFile.write(Evening.plan());
        String wrong = text.replaceFirst("(\"models\" : \\[\\s*\\{)", "$1 \"colour\" : \"red\",");
        assertThat(wrong).isNotEqualTo(text);
        for (int i = 0; i < 3; i++) {
            assertThatThrownBy(() -> read(wrong))
                    .isInstanceOf(UnreadableFile.class)
                    .hasMessageContaining("models[0].colour");
            assertThat(read(text)).isEqualTo(Evening.plan());
        }
        String twice = text.replaceFirst("(?s)(\"models\" : \\[\\s*)(\\{.*?\\n    \\}),", "$1$2,$2,");
        assertThatThrownBy(() -> read(twice)).isInstanceOf(UnreadableFile.class).hasMessageContaining("is there twice");
    }

    /** With room for one model or none it reads as well as with room for all. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 500})
    void howMuchIsKeptIsNothingToWhatIsRead(int most) {
        var small = new PlanReader(most);
        byte[] text = PlanFile.write(Evening.plan()).getBytes(StandardCharsets.UTF_8);
        for (int i = 0; i < 3; i++) {
            assertThat(small.read(text)).isEqualTo(Evening.plan());
            assertThat(small.readKept(text)).isEqualTo(Evening.plan());
        }
    }

    @Test
    void manyReadAtTheSameTime() throws Exception {
        List<byte[]> texts = Stream.of(Evening.plan(), Evening.rig().plan())
                .map(PlanFile::write)
                .map(text -> text.getBytes(StandardCharsets.UTF_8))
                .toList();
        List<Plan> plans = texts.stream().map(PlanFile::read).toList();
        try (ExecutorService pool = Executors.newFixedThreadPool(8)) {
            List<Callable<Boolean>> all = Stream.iterate(0, n -> n + 1)
                    .limit(64)
                    .<Callable<Boolean>>map(
                            n -> () -> reader.read(texts.get(n % 2)).equals(plans.get(n % 2)))
                    .toList();
            for (Future<Boolean> done : pool.invokeAll(all)) {
                assertThat(done.get()).isTrue();
            }
        }
    }

    /** Pairs that cannot be are told where they stand, also where others before them can. */
    @Test
    void aPairThatCannotBeIsToldWhereItStands() throws IOException {
        Rig rig = PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json")))
                .rig();
        assertThat(rig.models()).extracting(Model::id).doesNotHaveDuplicates().contains(new ModelId("computer"));
        String text = PlanFile.write(Evening.plan());
        String pair = "{ \"first\": \"vocal-mixer\", \"second\": \"guitar-sounds\" }";
        String wrong = text.replaceFirst("\"switches\" : \\[", "\"pairs\" : [ " + pair + " ],\n  \"switches\" : [");
        assertThatThrownBy(() -> read(wrong))
                .isInstanceOf(UnreadableFile.class)
                .hasMessageContaining("pairs[0]")
                .hasMessageContaining("are not the same hardware");
    }

    private Plan read(String text) {
        return reader.read(text.getBytes(StandardCharsets.UTF_8));
    }
}
