package embrack.bench;

import embrack.core.midi.Decoded;
import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import embrack.core.midi.Wire;
import embrack.core.midi.Wire.RunningStatus;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.ShortMessage;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OperationsPerInvocation;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A stream of a thousand messages read; the baseline is javax.sound.midi's own path, a ShortMessage made of the status
 * and data bytes at the places where messages begin (it has no reader of streams, so it is spared looking for them).
 * Figures are messages a microsecond.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 6, time = 1)
@Fork(2)
public class DecodingBenchmark {

    private static final int COUNT = EncodingBenchmark.COUNT;

    private final byte[] stream = Wire.stream(
            IntStream.range(0, COUNT)
                    .<Message>mapToObj(EncodingBenchmark::message)
                    .toList(),
            RunningStatus.NOT_USED);

    @Benchmark
    @OperationsPerInvocation(COUNT)
    public Decoded embrack() {
        return Decoder.decode(stream);
    }

    @Benchmark
    @OperationsPerInvocation(COUNT)
    public List<ShortMessage> baseline() throws InvalidMidiDataException {
        List<ShortMessage> messages = new ArrayList<>(COUNT);
        int i = 0;
        while (i < stream.length) {
            int status = stream[i] & 0xFF;
            boolean one = (status & 0xE0) == 0xC0;
            messages.add(
                    one
                            ? new ShortMessage(status, stream[i + 1], 0)
                            : new ShortMessage(status, stream[i + 1], stream[i + 2]));
            i += one ? 2 : 3;
        }
        return messages;
    }
}
