package embrack.app.send;

import embrack.app.store.RigId;
import java.io.IOException;
import java.net.URI;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MidiDevice;
import javax.sound.midi.MidiMessage;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.MidiUnavailableException;
import javax.sound.midi.Receiver;
import javax.sound.midi.Sequencer;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Synthesizer;
import javax.sound.midi.SysexMessage;
import javax.sound.midi.Transmitter;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.handler.ConcurrentWebSocketSessionDecorator;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/**
 * The MIDI ports of the computer that the server runs on, for a page that asks for them: over a socket, in the lines
 * that simulated boxes have too. {@code to 0 b0507f} goes out only if the gatekeeper let it go to the page that asks.
 */
@Configuration
class ServerPorts extends TextWebSocketHandler implements WebSocketConfigurer {

    private static final Logger LOG = LoggerFactory.getLogger(ServerPorts.class);
    private static final Pattern PATH = Pattern.compile("/rigs/(\\d{1,18})/line/send/own/ports");
    private static final Pattern TO = Pattern.compile("to (\\d{1,4}) ((?:[0-9a-f]{2}){1,40})");
    private static final int PATIENCE_MILLIS = 5_000;
    private static final int MOST_WAITING = 256 * 1_024;

    private final Gatekeeper gatekeeper;
    private final Map<String, Opened> opened = new ConcurrentHashMap<>();

    ServerPorts(Gatekeeper gatekeeper) {
        this.gatekeeper = gatekeeper;
    }

    /** How many pages use each device: it is one for all of them. */
    private final Map<MidiDevice, Integer> users = new HashMap<>();

    /** What a page opened. */
    private record Opened(
            RigId rig, String station, List<MidiDevice> devices, List<Transmitter> ins, List<Receiver> outs) {}

    @Override
    public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
        registry.addHandler(this, "/rigs/*/line/send/own/ports");
    }

    @Override
    public void afterConnectionEstablished(WebSocketSession session) throws IOException {
        URI uri = session.getUri();
        Matcher path = PATH.matcher(uri == null ? "" : uri.getPath());
        if (!path.matches()) {
            session.close(CloseStatus.BAD_DATA);
            return;
        }
        var line = new ConcurrentWebSocketSessionDecorator(session, PATIENCE_MILLIS, MOST_WAITING);
        List<MidiDevice> devices = new ArrayList<>();
        List<Transmitter> ins = new ArrayList<>();
        List<Receiver> outs = new ArrayList<>();
        var ports = new StringBuilder("ports\n");
        for (MidiDevice.Info info : MidiSystem.getMidiDeviceInfo()) {
            try {
                MidiDevice device = MidiSystem.getMidiDevice(info);
                if (device instanceof Sequencer || device instanceof Synthesizer) {
                    continue;
                }
                use(device);
                devices.add(device);
                if (device.getMaxTransmitters() != 0) {
                    Transmitter in = device.getTransmitter();
                    in.setReceiver(new Ear(line, ins.size()));
                    ins.add(in);
                    ports.append("port %s%n".formatted(info.getName()));
                }
                if (device.getMaxReceivers() != 0) {
                    outs.add(device.getReceiver());
                    ports.append("out %s%n".formatted(info.getName()));
                }
            } catch (MidiUnavailableException e) {
                LOG.info("{} is used by another program, and not opened", info.getName());
            }
        }
        String query = uri == null || uri.getQuery() == null ? "" : uri.getQuery();
        opened.put(session.getId(), new Opened(RigId.of(path.group(1)), query, devices, ins, outs));
        line.sendMessage(new TextMessage(ports.toString()));
    }

    /** Tells a page what comes in at a port. */
    private record Ear(WebSocketSession line, int port) implements Receiver {

        @Override
        public void send(MidiMessage message, long timeStamp) {
            byte[] bytes = message.getMessage();
            try {
                line.sendMessage(new TextMessage(
                        "sent 0 %d %s".formatted(port, HexFormat.of().formatHex(bytes, 0, message.getLength()))));
            } catch (IOException | IllegalStateException e) {
                LOG.debug("a page that listened is gone", e);
            }
        }

        @Override
        public void close() {}
    }

    @Override
    protected void handleTextMessage(WebSocketSession session, TextMessage message) {
        Opened mine = opened.get(session.getId());
        Matcher to = TO.matcher(message.getPayload());
        if (mine == null || !to.matches()) {
            return;
        }
        int port = Integer.parseInt(to.group(1));
        String hex = to.group(2);
        if (port < mine.outs().size() && gatekeeper.mayGo(mine.rig(), mine.station(), hex)) {
            send(mine.outs().get(port), HexFormat.of().parseHex(hex));
        }
    }

    private static MidiMessage message(byte[] bytes) throws InvalidMidiDataException {
        return (bytes[0] & 0xFF) == SysexMessage.SYSTEM_EXCLUSIVE
                ? new SysexMessage(bytes, bytes.length)
                : new ShortMessage(bytes[0] & 0xFF, bytes.length > 1 ? bytes[1] : 0, bytes.length > 2 ? bytes[2] : 0);
    }

    private static void send(Receiver out, byte[] bytes) {
        try {
            out.send(message(bytes), -1);
        } catch (InvalidMidiDataException | IllegalStateException e) {
            LOG.info("nothing could be sent: {}", e.getMessage());
        }
    }

    @Override
    public void afterConnectionClosed(WebSocketSession session, CloseStatus status) {
        Opened mine = opened.remove(session.getId());
        if (mine != null) {
            mine.ins().forEach(Transmitter::close);
            mine.outs().forEach(Receiver::close);
            mine.devices().forEach(this::leave);
        }
    }

    private synchronized void use(MidiDevice device) throws MidiUnavailableException {
        if (!users.containsKey(device)) {
            device.open();
        }
        users.merge(device, 1, Integer::sum);
    }

    private synchronized void leave(MidiDevice device) {
        if (users.merge(device, -1, Integer::sum) == 0) {
            users.remove(device);
            device.close();
        }
    }
}
