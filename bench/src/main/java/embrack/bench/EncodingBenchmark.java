package embrack.bench;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import java.util.concurrent.TimeUnit;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.ShortMessage;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A control change made and turned into its bytes; the baseline does the same with javax.sound.midi of the JDK. */
@State(Scope.Thread)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class EncodingBenchmark {

    private int value;

    @Benchmark
    public byte[] embrack() {
        value = value + 1 & 0x7F;
        return new Message.ControlChange(Channel.ofWire(value & 0xF), value, value).bytes();
    }

    @Benchmark
    public byte[] baseline() throws InvalidMidiDataException {
        value = value + 1 & 0x7F;
        return new ShortMessage(ShortMessage.CONTROL_CHANGE, value & 0xF, value, value).getMessage();
    }
}
