package embrack.core.midi;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.midi.Wire.RunningStatus;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

class StreamPropertyTests {

    @Property
    void whatIsSentIsRead(@ForAll("mixed") List<Message> messages, @ForAll RunningStatus running) {
        byte[] stream = Wire.stream(messages, running);
        Decoded decoded = Decoder.decode(stream);
        assertThat(decoded.messages()).isEqualTo(messages);
        assertThat(decoded.faults()).isEmpty();
        assertThat(stream.length).isEqualTo(lengths(messages, running));
    }

    @Property
    void anyBytesAreReadToTheirEnd(@ForAll byte[] bytes) {
        Decoded decoded = Decoder.decode(bytes);
        assertThat(decoded.messages().stream()
                        .mapToInt(m -> m.type().hasChannel() ? m.length() - 1 : m.length())
                        .sum())
                .isLessThanOrEqualTo(bytes.length);
        assertThat(decoded.faults()).allMatch(fault -> fault.offset() >= 0 && fault.offset() < bytes.length);
    }

    private static int lengths(List<Message> messages, RunningStatus running) {
        int sum = 0;
        int status = 0;
        for (Message message : messages) {
            sum += Wire.length(message, status, running);
            status = Wire.running(message, status);
        }
        return sum;
    }

    @Provide
    Arbitrary<List<Message>> mixed() {
        return message().list().ofMaxSize(60);
    }

    private static Arbitrary<Message> message() {
        Arbitrary<Channel> channel = Arbitraries.integers().between(1, 3).map(Channel::new);
        Arbitrary<Integer> data = Arbitraries.integers().between(0, 127);
        return Arbitraries.oneOf(
                        Combinators.combine(channel, data, data).as(Message.NoteOn::new),
                        Combinators.combine(channel, data, data).as(Message.NoteOff::new),
                        Combinators.combine(channel, data, data).as(Message.ControlChange::new),
                        Combinators.combine(channel, data, data).as(Message.PolyPressure::new),
                        Combinators.combine(channel, data).as(Message.ProgramChange::new),
                        Combinators.combine(channel, data).as(Message.ChannelPressure::new),
                        Combinators.combine(channel, Arbitraries.integers().between(0, FourteenBit.MAX))
                                .as(Message.PitchBend::new),
                        Arbitraries.of(RealTime.values()),
                        data.map(SystemMessage.SongSelect::new),
                        Arbitraries.of(new SystemMessage.TuneRequest()),
                        Arbitraries.integers().between(0, FourteenBit.MAX).map(SystemMessage.SongPosition::new),
                        data.map(d -> new SystemMessage.QuarterFrame(d >> 4, d & 15)),
                        data.array(int[].class).ofMinSize(1).ofMaxSize(40).map(SystemExclusive::of))
                .map(m -> m);
    }
}
