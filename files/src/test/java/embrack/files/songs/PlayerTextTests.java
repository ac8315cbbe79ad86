package embrack.files.songs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.core.Sketch;
import embrack.core.gear.CueLine;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.CueMerge;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.files.json.UnreadableFile;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Timed messages as a player writes them: written, read, and told apart from those that are there. */
class PlayerTextTests {

    private static Sketch rig() {
        return Sketch.of("Tablet")
                .box("Tablet", "tablet")
                .app("Tracks", "tablet-track-player", "tablet")
                .set("tracks", "output-port", "on")
                .box("Interface", "usb-interface-1-by-1")
                .box("Guitar sounds", "sounds-switcher")
                .set("guitar-sounds", "receive-channel", "5")
                .link("interface.usb > tablet.socket", "tracks.out > tablet.socket", "interface.out > guitar-sounds.in")
                .song("Ebb", "tempo 84\nmetre 4/4\nVerse: 16 bars\nRefrain: 8 bars\n");
    }

    private static Plan plan() {
        return rig().cues(
                        "ebb",
                        "1|1 = guitar-sounds select:patch-3",
                        "5|3 = guitar-sounds on:loop-2",
                        "17|1 = " + "guitar-sounds select:patch-12, guitar-sounds off:loop-2")
                .plan();
    }

    private static Song ebb(Plan plan) {
        return plan.book().song(new SongId("ebb"));
    }

    private static PlayerText.Pasted pasted(Plan plan, String text, int grid) {
        Song song = ebb(plan);
        return PlayerText.read(text, PlayerText.lineOf(plan, song).orElseThrow(), plan, song, grid);
    }

    private static List<String> lines(Plan plan) {
        Song song = ebb(plan);
        return PlayerText.write(plan, song, PlayerText.lineOf(plan, song).orElseThrow())
                .lines();
    }

    /** 84 quarters a minute: 714.286 ms each, so bar 5 beat 3 is 18 of them in, bar 17 is 64 (arithmetic). */
    @Test
    void timesHaveThreeDigits() {
        assertThat(lines(plan()))
                .containsExactly(
                        "0:00.000 PC ch 5 2 0",
                        "0:12.857 CC ch 5 81 127",
                        "0:45.714 PC ch 5 11 0",
                        "0:45.714 CC ch 5 81 0");
    }

    @Test
    void whatIsPastedBackIsTheSame() {
        Plan plan = plan();
        PlayerText.Pasted back = pasted(plan, String.join("\n", lines(plan)), 960);
        assertThat(back.remarks()).isEmpty();
        CueMerge merge = CueMerge.of(ebb(plan), back.cues(), CueMerge.How.REPLACE);
        assertThat(merge.song()).isEqualTo(ebb(plan));
    }

    @Test
    void whatTheOwnerDidInThePlayerIsTold() {
        Plan plan = plan();
        PlayerText.Pasted back = pasted(plan, """
                0:00.000 PC ch 5 2 0
                0:12.143   cc ch 5 81 127

                0:30.013 PC ch 5 89 0
                0:30.400 note off ch 1 60 0
                0:44.000 note ch 9 60 127
                """, 960);
        CueMerge merge = CueMerge.of(ebb(plan), back.cues(), CueMerge.How.REPLACE);
        assertThat(back.remarks())
                .containsExactly(
                        "1 note-off was left out.",
                        "0:30.013 is put at bar 11 beat 3, \u221213 ms.",
                        "0:44.000 is put at bar 16 beat 3, +286 ms.");
        assertThat(merge.changed()).extracting(change -> change.after().at()).containsExactly(at(plan, "5|2"));
        assertThat(merge.added().getFirst().steps())
                .extracting(plan::words)
                .containsExactly("Guitar sounds: select Patch 90");
        assertThat(merge.added().getLast().raw()).containsExactly(new Message.NoteOn(new Channel(9), 60, 127));
        assertThat(merge.gone()).extracting(Cue::number).containsExactly(3);
    }

    private static Anchor at(Plan plan, String words) {
        return new Anchor.OnBar(ebb(plan).form().tempoMap().parse(words));
    }

    @Test
    void linesThatAreNoneAreToldByTheirNumber() {
        assertThatThrownBy(() -> pasted(plan(), "0:00.000 PC ch 5 2 0\nCC 81\n0:01.000 CC ch 17 1 1", 960))
                .isInstanceOf(UnreadableFile.class)
                .satisfies(thrown -> assertThat(((UnreadableFile) thrown).problems())
                        .extracting(Object::toString)
                        .containsExactly(
                                "line 2: This is no line such as 1:23.456 note ch 3 60 127.",
                                "line 3: MIDI channel must be 1 to 16, was 17"));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            {time}: {bytes}                                | 1:02.003: 92 3C 40
            {time};{type};{channel};{number};{value}       | 1:02.003;note;3;60;64
            at {time} send [{type} {number}] on {channel}  | at 1:02.003 send [note 60] on 3
            """)
    void eachPlayerHasALineOfItsOwn(String pattern, String written) {
        CueLine line = new CueLine(pattern);
        Message note = new Message.NoteOn(new Channel(3), 60, 64);
        assertThat(line.write(62_003_000, note)).contains(written);
        assertThat(line.read(written).micros()).isEqualTo(62_003_000);
        assertThat(line.read(written).message().type()).isEqualTo(note.type());
    }

    @ParameterizedTest
    @CsvSource({"{type} {channel} {number}", "{time} {value}", "{time} {when} {bytes}", "{time} {time} {bytes}", "' '"})
    void linesThatSayTooLittleAreRefused(String pattern) {
        assertThatThrownBy(() -> new CueLine(pattern)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void anyMessageComesBackFromItsLine() {
        Random random = new Random(3);
        CueLine line = new CueLine("{time} {type} ch {channel} {number} {value}");
        for (int i = 0; i < 2_000; i++) {
            Channel channel = new Channel(1 + random.nextInt(16));
            int number = random.nextInt(128);
            Message message =
                    switch (random.nextInt(4)) {
                        case 0 -> new Message.NoteOn(channel, number, random.nextInt(128));
                        case 1 -> new Message.NoteOff(channel, number, random.nextInt(128));
                        case 2 -> new Message.ControlChange(channel, number, random.nextInt(128));
                        default -> new Message.ProgramChange(channel, number);
                    };
            long micros = random.nextInt(3_600_000) * 1_000L;
            assertThat(line.read(line.write(micros, message).orElseThrow()))
                    .isEqualTo(new CueLine.Said(micros, message));
        }
    }
}
