package embrack.bench;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
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
 * A thousand messages turned into the bytes of one stream; the baseline turns the same messages of javax.sound.midi of
 * the JDK into the same bytes, by its own getMessage. Figures are messages a microsecond.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.Throughput)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 6, time = 1)
@Fork(2)
public class EncodingBenchmark {

    static final int COUNT = 1_000;

    private final Message[] messages =
            IntStream.range(0, COUNT).mapToObj(EncodingBenchmark::message).toArray(Message[]::new);
    private final ShortMessage[] references =
            IntStream.range(0, COUNT).mapToObj(EncodingBenchmark::reference).toArray(ShortMessage[]::new);
    private final byte[] stream = new byte[3 * COUNT];

    static Message message(int i) {
        Channel channel = Channel.ofWire(i & 0xF);
        return switch (i % 3) {
            case 0 -> new Message.NoteOn(channel, i & 0x7F, 1 + i % 127);
            case 1 -> new Message.ControlChange(channel, i & 0x7F, i % 128);
            default -> new Message.ProgramChange(channel, i & 0x7F);
        };
    }

    static ShortMessage reference(int i) {
        byte[] bytes = message(i).bytes();
        try {
            return new ShortMessage(bytes[0] & 0xFF, bytes[1], bytes.length > 2 ? bytes[2] : 0);
        } catch (InvalidMidiDataException e) {
            throw new IllegalStateException(e);
        }
    }

    @Benchmark
    @OperationsPerInvocation(COUNT)
    public byte[] embrack() {
        int position = 0;
        for (Message message : messages) {
            position = message.write(stream, position);
        }
        return stream;
    }

    @Benchmark
    @OperationsPerInvocation(COUNT)
    public byte[] baseline() {
        int position = 0;
        for (ShortMessage message : references) {
            byte[] bytes = message.getMessage();
            System.arraycopy(bytes, 0, stream, position, bytes.length);
            position += bytes.length;
        }
        return stream;
    }
}
