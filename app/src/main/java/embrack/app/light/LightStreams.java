package embrack.app.light;

import embrack.app.store.RigDeleted;
import embrack.app.store.RigId;
import embrack.core.edit.Refused;
import embrack.core.light.Frame;
import embrack.core.light.Frames;
import embrack.core.live.LiveLight;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.stage.Onstage;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.files.acn.DataPacket;
import embrack.files.acn.Source;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetSocketAddress;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Lights that go out as streaming ACN, one stream a rig. Nothing is sent until somebody asks for it, nor after the
 * server was started anew; what was asked for is sent as the rig was then.
 */
@Component
class LightStreams {

    private static final int MOST = 8;
    private static final long NANOS = 1_000;

    private final UUID sender = UUID.randomUUID();
    private final Map<RigId, Stream> streams = new ConcurrentHashMap<>();
    private final ScheduledExecutorService clock = Executors.newSingleThreadScheduledExecutor(
            Thread.ofPlatform().daemon().name("light-streams").factory());

    LightStreams() {
        clock.scheduleAtFixedRate(this::tick, Frame.MIN_MICROS, Frame.MIN_MICROS, TimeUnit.MICROSECONDS);
    }

    /**
     * What is to be sent.
     *
     * @param key as pages call it: "look storm"
     * @param words as people call it
     * @param lastsMicros when it ends by itself, microseconds; empty for what goes on until it is stopped
     * @param desk the desk whose messages it obeys; empty for what goes by itself
     */
    record What(String key, String words, Onstage onstage, Optional<Long> lastsMicros, Optional<DeviceId> desk) {

        /** What goes by itself. */
        What(String key, String words, Onstage onstage, Optional<Long> lastsMicros) {
            this(key, words, onstage, lastsMicros, Optional.empty());
        }

        Plan plan() {
            return onstage.plan();
        }
    }

    /**
     * A stream as it stands.
     *
     * @param to where it goes, as it was typed; empty for the simulated receiver
     * @param atMicros how far it has come
     * @param live what it was told so far; empty for what goes by itself
     * @param meant what every universe is meant to be sent now
     * @param trouble what the network said; empty if nothing
     */
    record State(
            What what,
            String to,
            long atMicros,
            Optional<LiveLight> live,
            Map<Integer, Frame> meant,
            Optional<SimulatedReceiver.Heard> heard,
            long sent,
            boolean hasEnded,
            String trouble) {}

    private static final class Stream {
        private final What what;
        private final String typed;
        private final Frames frames;
        private final Source source;
        private final DatagramSocket socket;
        private final InetSocketAddress to;
        private final Optional<SimulatedReceiver> receiver;
        private final long startNanos = System.nanoTime();
        private final Optional<Engine> engine;
        private Optional<LiveLight> live;
        private long sent;
        private boolean hasEnded;
        private String trouble = "";

        private Stream(What what, Optional<InetSocketAddress> typed, String name, UUID sender) throws IOException {
            this.what = what;
            this.typed = typed.map(to -> to.getAddress().getHostAddress()).orElse("");
            this.frames = new Frames(what.plan().lights());
            this.source = new Source(sender, name);
            this.engine = what.desk().map(desk -> new Engine(what.plan()));
            this.live = what.desk().map(desk -> LiveLight.of(what.plan(), desk));
            this.socket = new DatagramSocket();
            this.receiver = typed.isPresent() ? Optional.empty() : Optional.of(new SimulatedReceiver());
            this.to = typed.or(() -> receiver.map(SimulatedReceiver::address)).orElseThrow();
        }

        private long micros() {
            return (System.nanoTime() - startNanos) / NANOS;
        }

        private Map<Integer, Frame> meant(long micros) {
            Map<Integer, Frame> meant = new TreeMap<>();
            Onstage onstage = live.map(LiveLight::onstage).orElse(what.onstage());
            frames.universes().forEach(number -> meant.put(number, onstage.frame(frames, micros, number)));
            return meant;
        }

        private synchronized void press(SwitchAt at) {
            live = live.map(light -> light.pressed(engine.orElseThrow(), at, micros()));
        }

        private synchronized void hear(List<Timed> messages) {
            long now = micros();
            for (Timed message : messages) {
                long at = now - Math.min(message.ageMicros(), now);
                live = live.map(light -> light.heard(engine.orElseThrow(), message.message(), at));
            }
        }

        /** However short it is, and however late the clock comes by, its beginning goes out. */
        private synchronized void begin() {
            send(source.due(0, meant(0)));
        }

        private synchronized void tick() {
            long micros = micros();
            if (!hasEnded && what.lastsMicros().filter(last -> micros > last).isPresent()) {
                end();
            }
            if (!hasEnded) {
                send(source.due(micros, meant(micros)));
            }
        }

        private synchronized void end() {
            if (!hasEnded) {
                hasEnded = true;
                send(source.end());
            }
        }

        private synchronized void close() {
            end();
            socket.close();
            receiver.ifPresent(SimulatedReceiver::close);
        }

        private void send(List<DataPacket> packets) {
            for (DataPacket packet : packets) {
                byte[] bytes = packet.bytes();
                try {
                    socket.send(new DatagramPacket(bytes, bytes.length, to));
                    sent++;
                    trouble = "";
                } catch (IOException e) {
                    trouble = String.valueOf(e.getMessage());
                }
            }
        }

        private synchronized State state() {
            long at = micros();
            return new State(
                    what, typed, at, live, meant(at), receiver.map(SimulatedReceiver::heard), sent, hasEnded, trouble);
        }
    }

    /** Begins to send; what the rig sent before ends. */
    void start(RigId rig, String name, What what, Optional<InetSocketAddress> to) {
        stop(rig);
        if (streams.size() >= MOST) {
            throw Refused.text(
                    "what", "This server sends the lights of %d rigs already; stop one first.".formatted(MOST));
        }
        try {
            Stream stream = new Stream(what, to, "Embrack, " + name, sender);
            stream.begin();
            streams.put(rig, stream);
        } catch (IOException e) {
            throw Refused.text("to", "The network does not let it send: %s.".formatted(e.getMessage()));
        }
    }

    /** Ends what a rig sends. */
    void stop(RigId rig) {
        Optional.ofNullable(streams.remove(rig)).ifPresent(Stream::close);
    }

    /** Light of a rig that is there no more goes out no more. */
    @EventListener
    void deleted(RigDeleted deleted) {
        stop(deleted.rig());
    }

    /** A message that came so long ago, microseconds. */
    record Timed(long ageMicros, Message message) {}

    /** A switch of the rig is pressed and let go, as the rig was when it began to send. */
    void press(RigId rig, SwitchAt at) {
        Optional.ofNullable(streams.get(rig)).ifPresent(stream -> stream.press(at));
    }

    /** Messages came in at the desk that is stood in for, the oldest first. */
    void hear(RigId rig, List<Timed> messages) {
        Optional.ofNullable(streams.get(rig)).ifPresent(stream -> stream.hear(messages));
    }

    Optional<State> state(RigId rig) {
        return Optional.ofNullable(streams.get(rig)).map(Stream::state);
    }

    private void tick() {
        streams.values().forEach(Stream::tick);
    }

    @PreDestroy
    void close() {
        clock.shutdown();
        streams.keySet().forEach(this::stop);
    }
}
