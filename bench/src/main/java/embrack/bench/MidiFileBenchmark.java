package embrack.bench;

import embrack.core.plan.Plan;
import embrack.files.midi.MidiImport;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.concurrent.TimeUnit;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Reading a MIDI file of 5 MB and turning its messages into actions; the baseline is the JDK reading the same file into
 * events.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
@Fork(1)
public class MidiFileBenchmark {

    private static final int BYTES = 5_000_000;

    private final Plan plan = ShowRig.of(1);
    private byte[] file = {};

    @Setup
    public void write() throws InvalidMidiDataException, IOException {
        Sequence sequence = new Sequence(Sequence.PPQ, 480);
        Track track = sequence.createTrack();
        for (int i = 0; i < BYTES / 4; i++) {
            track.add(new MidiEvent(
                    new ShortMessage(
                            i % 2 == 0 ? 0xB0 | i / 2 % 16 : 0xC0 | i / 2 % 16,
                            i % 2 == 0 ? 40 + i / 32 % 24 : i % 128,
                            i / 64 % 2 == 0 ? 127 : 0),
                    i * 30L));
        }
        var out = new ByteArrayOutputStream();
        MidiSystem.write(sequence, 1, out);
        file = out.toByteArray();
    }

    @Benchmark
    public MidiImport asActions() {
        return MidiImport.read(file, "Large", plan, false);
    }

    @Benchmark
    public Sequence baselineEventsByTheJdk() throws InvalidMidiDataException, IOException {
        return MidiSystem.getSequence(new ByteArrayInputStream(file));
    }
}
