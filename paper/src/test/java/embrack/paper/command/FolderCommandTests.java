package embrack.paper.command;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.plan.Plan;
import embrack.files.plan.PlanFile;
import embrack.paper.print.OneFile;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FolderCommandTests {

    private static final String DEMO = "../docs/examples/quay-rig.json";

    @TempDir
    Path folder;

    private final ByteArrayOutputStream said = new ByteArrayOutputStream();

    private int run(String... args) {
        var out = new PrintStream(said, true, StandardCharsets.UTF_8);
        return new FolderCommand(out, out).run(List.of(args));
    }

    private List<String> files() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(file -> file.getFileName().toString()).sorted().toList();
        }
    }

    @Test
    void aReaderGetsTheirFilesAndNothingElse() throws IOException {
        assertThat(run(DEMO, "--for", "lights", "--out", folder.toString())).isEqualTo(FolderCommand.STOPS);
        assertThat(files())
                .containsExactly(
                        "joins.csv", "lights.csv", "quay-rig-folder-lights.html", "quay-rig-folder-lights.pdf");
        assertThat(Files.readString(folder.resolve("lights.csv")))
                .startsWith("about,Bar,Clock,Section,Look")
                .contains("Lanterns on the Sill,19,0:46.957");
    }

    /** The file is small, asks for nothing, and gives the plan back as it was. */
    @Test
    void theOneFileCarriesAllAndAsksForNothing() throws IOException {
        run(DEMO, "--out", folder.toString());
        Path file = folder.resolve("quay-rig-folder.html");
        String html = Files.readString(file);
        assertThat(Files.size(file)).isLessThan(2_000_000);
        assertThat(html.replaceAll("(?s)<script.*?</script>", ""))
                .doesNotContain("http:", "https:", " src=", "url(/", "@import");
        assertThat(OneFile.planOf(html).map(PlanFile::read)).contains(PlanFile.read(Files.readString(Path.of(DEMO))));
    }

    @Test
    void whatChangedIsMarked() throws IOException {
        String today = Files.readString(Path.of(DEMO)).replace("\"Harbour light\"", "\"Quay light\"");
        Path changed = Files.writeString(folder.resolve("changed.json"), today);
        run(changed.toString(), "--for", "Guitar", "--since", DEMO, "--out", folder.toString());
        assertThat(Files.readString(folder.resolve("quay-rig-folder-guitar.html")))
                .containsPattern("class=\"switch +new\"")
                .contains("Quay light");
    }

    /** 84 quarters a minute: bar 5 beat 3 is 18 of them in, 12.857 s (arithmetic). */
    @Test
    void aPlayerThatTakesTextGetsIt() throws IOException {
        Plan plan = Sketch.of("Tablet")
                .box("Tablet", "tablet")
                .app("Tracks", "tablet-track-player", "tablet")
                .set("tracks", "output-port", "on")
                .box("Interface", "usb-interface-1-by-1")
                .box("Guitar sounds", "sounds-switcher")
                .set("guitar-sounds", "receive-channel", "5")
                .link("interface.usb > tablet.socket", "tracks.out > tablet.socket", "interface.out > guitar-sounds.in")
                .song("Ebb", "tempo 84\nmetre 4/4\nVerse: 16 bars\n")
                .cues("ebb", "1|1 = guitar-sounds select:patch-3", "5|3 = guitar-sounds on:loop-2")
                .plan();
        String text = "0:00.000 PC ch 5 2 0\n0:12.857 CC ch 5 81 127";
        Path file = Files.writeString(folder.resolve("plan.json"), PlanFile.write(plan));
        run(file.toString(), "--labels", "50x20", "--out", folder.toString());
        assertThat(Files.readString(folder.resolve("paste-1-ebb.txt"))).isEqualToIgnoringNewLines(text);
        assertThat(Files.readString(folder.resolve("tablet-folder.html"))).contains("<pre>" + text);
        run(
                file.toString(),
                "--for",
                "lights",
                "--out",
                folder.resolve("lights").toString());
        assertThat(folder.resolve("lights").resolve("paste-1-ebb.txt")).doesNotExist();
    }

    @Test
    void whatCannotBeDoneIsSaid() throws IOException {
        assertThat(run()).isEqualTo(FolderCommand.NOT_MADE);
        assertThat(run(DEMO, "--for", "Nobody", "--out", folder.toString())).isEqualTo(FolderCommand.NOT_MADE);
        assertThat(run(DEMO, "--labels", "wide", "--out", folder.toString())).isEqualTo(FolderCommand.NOT_MADE);
        Path full = Files.writeString(folder.resolve("full"), "a file, so that no folder can be made here");
        assertThat(run(DEMO, "--for", "van", "--out", full.toString())).isEqualTo(FolderCommand.NOT_MADE);
        assertThat(said.toString(StandardCharsets.UTF_8))
                .contains("Usage: embrack folder FILE")
                .contains("Nobody reads it as \"Nobody\". There are: Director, Singer")
                .contains("Say how wide and how high labels are")
                .contains("Is the name right, and the disc not full?");
    }
}
