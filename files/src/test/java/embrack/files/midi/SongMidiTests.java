package embrack.files.midi;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.edit.CueEdit;
import embrack.core.edit.SongEdit;
import embrack.core.midi.Message;
import embrack.core.music.Key;
import embrack.core.music.Metre;
import embrack.core.music.Position;
import embrack.core.music.RandomTempoMaps;
import embrack.core.music.TempoMap;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Section;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.text.SongReading;
import embrack.core.sim.BookProver;
import embrack.core.sim.CueProof;
import embrack.files.RandomBooks;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeSet;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Files are checked against two readers that are not ours: javax.sound.midi of the JDK, and midicsv, a program of
 * Debian's packages that prints every event of a file with its tick.
 */
class SongMidiTests {

    private static final SongId LANTERNS = new SongId("lanterns");

    private static Plan plan() {
        return Evening.sketch()
                .foot("lanterns", "23|1", "foot-board 4")
                .cues("lanterns", "27|5|1/2 = vocal-mixer level:input-2:90", "0:47.100 = guitar-sounds on:loop-3")
                .plan();
    }

    /** What a device gets by the core: ticks at 960 to the quarter, messages in hexadecimal. */
    private static TreeSet<String> expected(Plan plan, SongId id, int resolution) {
        Song song = plan.book().song(id);
        TreeSet<String> expected = new TreeSet<>();
        for (CueProof cue :
                new BookProver(plan.rig()).prove(plan).song(id).orElseThrow().cues()) {
            cue.micros()
                    .ifPresent(at -> cue.steps()
                            .forEach(step -> step.messages().forEach(message -> {
                                long tick = cue.cue().at() instanceof Anchor.OnBar bar
                                        ? song.form().tempoMap().tick(bar.at())
                                        : song.form().tempoMap().tickAt(at);
                                expected.add("%d %s %s"
                                        .formatted(
                                                Math.round(tick * resolution / 960.0),
                                                plan.rig().name(step.step().device()),
                                                message.hex()));
                            })));
        }
        return expected;
    }

    /** The events as midicsv prints them: {@code track, tick, type, channel, number, value}. */
    private static List<String[]> midicsv(byte[] file) throws IOException, InterruptedException {
        Path path = Files.write(Files.createTempFile("song", ".mid"), file);
        Process process;
        try {
            process = new ProcessBuilder("midicsv", path.toString())
                    .redirectErrorStream(true)
                    .start();
        } catch (IOException e) {
            throw new AssertionError(
                    "The tests ask midicsv, from the Debian package of that name; ./embrack test installs it.", e);
        }
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(out).isZero();
        Files.delete(path);
        return out.lines().map(line -> line.split(", ")).toList();
    }

    @ParameterizedTest
    @ValueSource(ints = {480, 960})
    void anIndependentReaderFindsEveryCueAtItsTick(int resolution) throws IOException, InterruptedException {
        Plan plan = plan();
        List<String> tracks = new ArrayList<>(List.of("", ""));
        TreeSet<String> found = new TreeSet<>();
        List<String> markers = new ArrayList<>();
        List<String> metres = new ArrayList<>();
        for (String[] event : midicsv(SongMidi.write(plan, plan.book().song(LANTERNS), resolution))) {
            int track = Integer.parseInt(event[0]);
            switch (event[2]) {
                case "Header" ->
                    assertThat(Arrays.asList(event).subList(3, 6))
                            .containsExactly("1", "4", String.valueOf(resolution));
                case "Title_t" -> tracks.add(track, event[3].replace("\"", ""));
                case "Note_on_c" ->
                    found.add("%s %s %02X %02X %02X"
                            .formatted(
                                    event[1],
                                    tracks.get(track),
                                    0x90 | Integer.parseInt(event[3]),
                                    Integer.parseInt(event[4]),
                                    Integer.parseInt(event[5])));
                case "Control_c" ->
                    found.add("%s %s %02X %02X %02X"
                            .formatted(
                                    event[1],
                                    tracks.get(track),
                                    0xB0 | Integer.parseInt(event[3]),
                                    Integer.parseInt(event[4]),
                                    Integer.parseInt(event[5])));
                case "Program_c" ->
                    found.add("%s %s %02X %02X"
                            .formatted(
                                    event[1],
                                    tracks.get(track),
                                    0xC0 | Integer.parseInt(event[3]),
                                    Integer.parseInt(event[4])));
                case "Marker_t" ->
                    markers.add(Long.parseLong(event[1]) * 960 / resolution + " " + event[3].replace("\"", ""));
                case "Time_signature" ->
                    metres.add(Long.parseLong(event[1]) * 960 / resolution + " " + event[3] + "/"
                            + (1 << Integer.parseInt(event[4])));
                default -> assertThat(event[2]).isNotBlank();
            }
        }
        assertThat(found).isEqualTo(expected(plan, LANTERNS, resolution)).hasSizeGreaterThan(5);
        assertThat(markers)
                .containsExactly(
                        "0 Count-in",
                        "7680 Verse 1",
                        "69120 Refrain 1",
                        "99840 Bridge",
                        "113280 Refrain 2",
                        "144000 Vamp",
                        "159360 Last refrain");
        assertThat(metres).containsExactly("0 4/4", "99840 7/8", "113280 4/4");
    }

    /**
     * Any tempo map: a cue in every bar comes at the microsecond that the JDK's own arithmetic over the file gives,
     * within a millisecond.
     */
    @RepeatedTest(25)
    void theJdkAgreesOnEveryTime(RepetitionInfo repetition) throws IOException, InvalidMidiDataException {
        TempoMap tempoMap = RandomTempoMaps.of(new Random(repetition.getCurrentRepetition()));
        Form form = new Form(tempoMap, List.of(new Section(new TapeLabel("All"), 30)));
        Sketch sketch = Evening.rig().song("Any", "All: 30 bars\n");
        Song any = sketch.songOf("any").withForm(form);
        List<Cue> cues = new ArrayList<>();
        for (int bar = 1; bar <= 30; bar++) {
            cues.add(new Cue(
                    bar,
                    new Anchor.OnBar(Position.bar(bar)),
                    List.of(Sketch.stepOf("lantern-desk recall:scene-" + (bar % 12 + 1)))));
        }
        Plan plan = sketch.plan().withBook(sketch.plan().book().with(any.withCues(cues)));
        Sequence sequence = MidiSystem.getSequence(new ByteArrayInputStream(
                SongMidi.write(plan, plan.book().songs().getFirst(), 960)));
        int bar = 0;
        Track notes = sequence.getTracks()[1];
        for (int i = 0; i < notes.size(); i++) {
            if (notes.get(i).getMessage().getStatus() == 0x92) {
                bar++;
                assertThat(notes.get(i).getTick()).isEqualTo(tempoMap.tick(Position.bar(bar)));
                assertThat(micros(sequence, notes.get(i).getTick()))
                        .isCloseTo(tempoMap.exactMicros(tempoMap.tick(Position.bar(bar))), within(1_000.0));
            }
        }
        assertThat(bar).isEqualTo(30);
    }

    /** The time of a tick by the tempo events of a file, as the Standard MIDI File specification defines it. */
    private static double micros(Sequence sequence, long until) {
        double micros = 0;
        double quarter = 500_000;
        long last = 0;
        Track track = sequence.getTracks()[0];
        for (int i = 0; i < track.size() && track.get(i).getTick() < until; i++) {
            byte[] bytes = track.get(i).getMessage().getMessage();
            if ((bytes[0] & 0xFF) == 0xFF && bytes[1] == 0x51) {
                micros += (track.get(i).getTick() - last) * quarter / sequence.getResolution();
                last = track.get(i).getTick();
                quarter = (bytes[3] & 0xFF) << 16 | (bytes[4] & 0xFF) << 8 | bytes[5] & 0xFF;
            }
        }
        return micros + (until - last) * quarter / sequence.getResolution();
    }

    @Test
    void whatWasWrittenComesBackAsTheSameActions() {
        Plan plan = plan();
        Song song = plan.book().song(LANTERNS);
        MidiImport read = MidiImport.read(SongMidi.write(plan, song, 960), "again", plan, false);
        assertThat(read.remarks()).isEmpty();
        assertThat(read.song().title().text()).isEqualTo("Lanterns");
        assertThat(read.song().form().sections())
                .extracting(s -> s.name() + " " + s.bars())
                .isEqualTo(song.form().sections().stream()
                        .map(s -> s.name() + " " + s.bars())
                        .toList());
        assertThat(actions(plan, read.song())).isEqualTo(actions(plan, song));
        assertThat(Math.abs(read.song().lengthMicros() - song.lengthMicros())).isLessThan(2_000);
    }

    /** Whatever a song may hold comes back the same, also when another program has read and written the file. */
    @RepeatedTest(20)
    void whateverASongHoldsComesBackTheSame(RepetitionInfo repetition) throws IOException, InvalidMidiDataException {
        var random = new Random(repetition.getCurrentRepetition());
        Plan plan = repetition.getCurrentRepetition() == 1 ? plan() : Evening.plan();
        plan = repetition.getCurrentRepetition() == 1 ? plan : plan.withBook(RandomBooks.of(random, plan));
        for (Song song : plan.book().songs()) {
            byte[] file =
                    SongMidi.write(plan, song, random.nextBoolean() ? 480 : 960, NoteOffs.values()[random.nextInt(4)]);
            var again = new ByteArrayOutputStream();
            MidiSystem.write(MidiSystem.getSequence(new ByteArrayInputStream(file)), 1, again);
            for (byte[] each : List.of(file, again.toByteArray(), wrapped(file))) {
                MidiImport read = MidiImport.read(each, "again", plan, random.nextBoolean());
                assertThat(read.remarks()).isEmpty();
                assertThat(read.song())
                        .isEqualTo(song.moved(read.song().id(), read.song().place()));
            }
        }
    }

    /** As the only chunk of a file of type RMID. */
    private static byte[] wrapped(byte[] file) {
        return ByteBuffer.allocate(file.length + 20)
                .order(ByteOrder.LITTLE_ENDIAN)
                .put("RIFF".getBytes(StandardCharsets.US_ASCII))
                .putInt(file.length + 12)
                .put("RMIDdata".getBytes(StandardCharsets.US_ASCII))
                .putInt(file.length)
                .put(file)
                .array();
    }

    /** In another program one note is moved, one removed and one added; all else is as it was. */
    @Test
    void whatWasEditedElsewhereIsTakenFromTheEvents() throws IOException, InterruptedException {
        Plan plan = plan();
        Song song = plan.book().song(LANTERNS);
        List<String> lines = new ArrayList<>();
        int notes = 0;
        for (String[] event : midicsv(SongMidi.write(plan, song, 960))) {
            String line = String.join(", ", event);
            boolean isNote = event[2].equals("Note_on_c");
            if (isNote && ++notes == 2) {
                lines.add(line.replaceFirst(", \\d+, ", ", " + (Long.parseLong(event[1]) + 60) + ", "));
            } else if (!isNote || notes != 3) {
                lines.add(line);
            }
        }
        MidiImport read = MidiImport.read(fromCsv(lines), "again", plan, false);
        assertThat(read.remarks())
                .containsExactly(
                        "2 cues have other events in the file than when Embrack wrote it; "
                                + "what they do now was read from them.",
                        "2 note-offs were left out.");
        TreeSet<String> more = actions(plan, read.song());
        more.removeAll(actions(plan, song));
        TreeSet<String> fewer = actions(plan, song);
        fewer.removeAll(actions(plan, read.song()));
        assertThat(more).containsExactly("bar 27 beat 1 1/8 Lantern desk: recall Scene 2");
        assertThat(fewer).containsExactly("bar 27 Lantern desk: recall Scene 2", "bar 43 Lantern desk: recall Scene 6");
    }

    /** Notes end, but none that would be taken for one more; of those struck again each has its own end. */
    @ParameterizedTest
    @CsvSource({"AS_TAKEN, 3", "NONE, 0", "SHORT, 5", "UNTIL_NEXT, 5"})
    void anIndependentReaderSeesNotesThatEnd(NoteOffs noteOffs, int ends) throws IOException, InterruptedException {
        Plan plan = Evening.sketch()
                .cues("ebb", "3 = old-desk toggle:scene-2", "4 = old-desk toggle:scene-2")
                .cues("ebb", "5|1 = lantern-desk recall:scene-1", "5|1|1/8 = lantern-desk recall:scene-1")
                .plan();
        Map<String, Long> sounding = new HashMap<>();
        Map<String, Integer> seen = new HashMap<>();
        for (String[] event : midicsv(SongMidi.write(plan, plan.book().song(new SongId("ebb")), 480, noteOffs))) {
            if (event[2].startsWith("Note_o")) {
                boolean isOn = event[2].equals("Note_on_c");
                seen.merge(event[2], 1, Integer::sum);
                Long since = isOn
                        ? sounding.put(event[3] + " " + event[4], Long.parseLong(event[1]))
                        : sounding.remove(event[3] + " " + event[4]);
                assertThat(isOn ? since == null || ends < 5 : Long.parseLong(event[1]) > since)
                        .as(String.join(", ", event))
                        .isTrue();
            }
        }
        assertThat(seen.getOrDefault("Note_on_c", 0)).isEqualTo(5);
        assertThat(seen.getOrDefault("Note_off_c", 0)).isEqualTo(ends);
    }

    /** Source: Standard MIDI Files 1.0, time signature and key signature; keys by the circle of fifths. */
    @ParameterizedTest
    @CsvSource({
        "4/4, 24, C, 0",
        "3/4, 24, G, 1",
        "2/2, 48, F, -1",
        "6/8, 36, Db, -5",
        "7/8, 12, C#, 7",
        "12/8, 36, Am, 0",
        "9/16, 18, F#m, 3",
        "5/8, 12, Bbm, -5",
        "3/8, 36, G#, -4",
        "3/2, 48, Abm, -7",
        "7/16, 6, D#m, 6"
    })
    void clicksAndKeysAreSaid(String metre, int clocks, String key, int sharps)
            throws IOException, InterruptedException {
        Key played = Key.parse(key);
        Song song = new Song(
                new SongId("any"),
                new TapeLabel("Any"),
                1,
                Optional.of(played),
                Optional.empty(),
                Optional.empty(),
                Song.Trims.NONE,
                0,
                SongReading.of("metre %s\nAll: 4 bars\n".formatted(metre))
                        .form()
                        .orElseThrow(),
                List.of(),
                "",
                Optional.empty(),
                List.of(),
                0);
        Plan plan = Evening.plan().withBook(new Book(List.of(song), List.of(), List.of()));
        List<String> said = midicsv(SongMidi.write(plan, song, 960)).stream()
                .filter(event -> event[2].endsWith("_signature"))
                .map(event -> String.join(" ", Arrays.asList(event).subList(3, event.length)))
                .toList();
        Metre read = Metre.parse(metre);
        assertThat(said)
                .containsExactly(
                        "%d %d %d 8".formatted(read.beats(), Integer.numberOfTrailingZeros(read.unit()), clocks),
                        "%d \"%s\"".formatted(sharps, played.minor() ? "minor" : "major"));
    }

    /** A file that midicsv's counterpart makes of lines. */
    private static byte[] fromCsv(List<String> lines) throws IOException, InterruptedException {
        Path csv = Files.write(Files.createTempFile("song", ".csv"), lines);
        Path file = Files.createTempFile("song", ".mid");
        Process process = new ProcessBuilder("csvmidi", csv.toString(), file.toString())
                .redirectErrorStream(true)
                .start();
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(out).isZero();
        byte[] bytes = Files.readAllBytes(file);
        Files.delete(csv);
        Files.delete(file);
        return bytes;
    }

    private static TreeSet<String> actions(Plan plan, Song song) {
        TreeSet<String> actions = new TreeSet<>();
        song.cues()
                .forEach(cue -> cue.at()
                        .micros(song.form())
                        .ifPresent(at -> cue.steps()
                                .forEach(step -> actions.add("%s %s"
                                        .formatted(
                                                song.form()
                                                        .tempoMap()
                                                        .text(song.form()
                                                                .tempoMap()
                                                                .position(song.form()
                                                                        .tempoMap()
                                                                        .tickAt(at))),
                                                plan.words(step))))));
        return actions;
    }

    /** A file that somebody recorded: note-offs, a message that no chart knows, bank and program as one action. */
    @Test
    void recordedFilesAreCleanedAndExplained() throws InvalidMidiDataException, IOException {
        Sequence sequence = new Sequence(Sequence.PPQ, 96);
        Track track = sequence.createTrack();
        for (int[] event : new int[][] {
            {0x92, 36, 100, 0},
            {0x82, 36, 0, 40},
            {0x92, 37, 0, 50},
            {0xC4, 8, 0, 96},
            {0xB9, 3, 3, 96},
            {0xB1, 11, 77, 192}
        }) {
            track.add(new MidiEvent(new ShortMessage(event[0], event[1], event[2]), event[3]));
        }
        var out = new ByteArrayOutputStream();
        MidiSystem.write(sequence, 0, out);
        Plan plan = Evening.plan();
        MidiImport read = MidiImport.read(out.toByteArray(), "Recorded", plan, false);
        assertThat(read.song().cues())
                .extracting(cue -> cue.at().text(read.song().form().tempoMap()) + " "
                        + cue.steps().stream().map(plan::words).toList()
                        + cue.raw().stream().map(Message::hex).toList())
                .containsExactly(
                        "bar 1 [Lantern desk: recall Scene 1][]",
                        "bar 1 beat 2 [Guitar sounds: select Patch 9][B9 03 03]",
                        "bar 1 beat 3 [Vocal mixer: set level of Input 2 to 77][]");
        assertThat(read.remarks())
                .containsExactly(
                        "2 note-offs were left out.", "1 message is explained by no chart of the rig; kept as it is.");
        assertThat(MidiImport.read(out.toByteArray(), "Recorded", plan, true)
                        .song()
                        .cues())
                .hasSize(5);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {"20;Track 1. Byte 20: the file ends inside", "120;Track", "330;Track"})
    void ofABrokenFileWhatCanBeReadIsReadAndItSaysWhere(int length, String where) {
        byte[] whole = SongMidi.write(plan(), plan().book().song(LANTERNS), 480);
        MidiFile file = MidiFile.read(Arrays.copyOf(whole, length));
        assertThat(file.broken().orElseThrow()).containsAnyOf(where, "Byte");
        assertThat(MidiImport.read(Arrays.copyOf(whole, length), "Half", plan(), false)
                        .remarks()
                        .getFirst())
                .startsWith("The file is broken. ")
                .contains("Byte ");
    }

    @Test
    void whatIsNoMidiFileIsRefused() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> MidiFile.read("RIFF and so on".getBytes(StandardCharsets.US_ASCII)))
                .withMessageContaining("no Standard MIDI File");
        byte[] frames = SongMidi.write(plan(), plan().book().song(LANTERNS), 480);
        frames[12] = (byte) 0xE7;
        assertThatIllegalArgumentException()
                .isThrownBy(() -> MidiFile.read(frames))
                .withMessageContaining("frames of time code");
    }

    /** However a file is cut or bent, it is read or refused with a sentence. */
    @RepeatedTest(40)
    void bentFilesNeverDoHarm(RepetitionInfo repetition) {
        var random = new Random(repetition.getCurrentRepetition());
        byte[] bent = SongMidi.write(plan(), plan().book().song(LANTERNS), 480);
        for (int i = 0; i < 1 + random.nextInt(30); i++) {
            bent[14 + random.nextInt(bent.length - 14)] = (byte) random.nextInt(256);
        }
        MidiImport read = MidiImport.read(
                Arrays.copyOf(bent, 30 + random.nextInt(bent.length - 30)), "Bent", plan(), random.nextBoolean());
        assertThat(new SongEdit.ImportSong(read.song()).apply(plan()).book().songs())
                .hasSize(4);
    }

    /** The player's own loop travels by no message; early cues are written where they are sent. */
    @Test
    void earlyCuesAreWrittenWhereTheyAreSent() throws InvalidMidiDataException, IOException {
        Plan plan = new CueEdit.SendEarly(LANTERNS, 2, true).apply(Evening.plan());
        Sequence sequence = MidiSystem.getSequence(
                new ByteArrayInputStream(SongMidi.write(plan, plan.book().song(LANTERNS), 960)));
        CueProof proof = new BookProver(plan.rig())
                .prove(plan)
                .song(LANTERNS)
                .orElseThrow()
                .cue(2)
                .orElseThrow();
        assertThat(proof.leadMicros()).isPositive().isLessThanOrEqualTo(BookProver.MAX_LEAD_MICROS);
        long tick = plan.book()
                .song(LANTERNS)
                .form()
                .tempoMap()
                .tickAt(proof.sentMicros().orElseThrow());
        assertThat(Arrays.stream(sequence.getTracks())
                        .skip(1)
                        .anyMatch(track -> track.get(1).getTick() == tick))
                .isTrue();
    }
}
