package embrack.app.line;

import embrack.app.store.NoSuchRig;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.line.SimulatedRig;
import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import java.io.IOException;
import java.net.URI;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.socket.CloseStatus;
import org.springframework.web.socket.TextMessage;
import org.springframework.web.socket.WebSocketSession;
import org.springframework.web.socket.config.annotation.EnableWebSocket;
import org.springframework.web.socket.config.annotation.WebSocketConfigurer;
import org.springframework.web.socket.config.annotation.WebSocketHandlerRegistry;
import org.springframework.web.socket.handler.TextWebSocketHandler;

/**
 * The ports of a simulated rig, as a browser sees them: over a socket, one line a thing. In come {@code down
 * quay-board.1.3} and {@code up}, {@code hold}, {@code twice} of a switch, {@code move quay-board/treadle.1.1 64} of a
 * control, and {@code to 2 b0507f}: what is sent at a port out; out go {@code port Quay board (simulated)} for each box
 * that is there, {@code out Vocal mixer (simulated)} for each port out, then {@code sent 960 0 b0507f}: after how many
 * microseconds, at which port in, and what.
 *
 * <p>With {@code ?ends}, the ports in have the far ends too: what comes in at each box that obeys.
 */
@Configuration
@EnableWebSocket
class SimulatedPorts extends TextWebSocketHandler implements WebSocketConfigurer {

    private static final Logger LOG = LoggerFactory.getLogger(SimulatedPorts.class);
    private static final Pattern PATH = Pattern.compile("/rigs/(\\d{1,18})/line/simulated/ports");
    private static final Pattern TREAD = Pattern.compile("(down|up|hold|twice) (\\S{1,80})");
    private static final Pattern MOVE = Pattern.compile("move (\\S{1,80}) (\\d{1,3})");
    private static final Pattern TO = Pattern.compile("to (\\d{1,4}) ((?:[0-9a-f]{2}){1,256})");
    private static final String RIG = "rig";
    private static final String ENDS = "ends";
    private static final String MADE_UP = " (simulated)";

    private final RigStore rigs;
    private final SimulatedRigs simulated;

    SimulatedPorts(RigStore rigs, SimulatedRigs simulated) {
        this.rigs = rigs;
        this.simulated = simulated;
    }

    @Override
    public void registerWebSocketHandlers(WebSocketHandlerRegistry registry) {
        registry.addHandler(this, "/rigs/*/line/simulated/ports");
    }

    @Override
    public void afterConnectionEstablished(WebSocketSession session) throws IOException {
        Optional<RigId> id = rig(session);
        if (id.isEmpty()) {
            session.close(CloseStatus.BAD_DATA);
            return;
        }
        SimulatedRig boxes;
        try {
            boxes = simulated.of(rigs.load(id.get()));
        } catch (NoSuchRig e) {
            session.close(CloseStatus.BAD_DATA);
            return;
        }
        session.getAttributes().put(RIG, id.get());
        var ports = new StringBuilder();
        for (DeviceId box : boxes.plan().boards()) {
            ports.append("port %s%s%n".formatted(boxes.plan().rig().name(box), MADE_UP));
        }
        if (session.getUri() != null && ENDS.equals(session.getUri().getQuery())) {
            session.getAttributes().put(ENDS, true);
            for (DeviceId box : boxes.receivers()) {
                ports.append("port At %s%s%n".formatted(boxes.plan().rig().name(box), MADE_UP));
            }
            for (DeviceId box : boxes.receivers()) {
                ports.append("out %s%s%n".formatted(boxes.plan().rig().name(box), MADE_UP));
            }
            for (DeviceId box : boxes.plan().boards()) {
                ports.append(
                        "out Instead of %s%s%n".formatted(boxes.plan().rig().name(box), MADE_UP));
            }
        }
        session.sendMessage(new TextMessage(ports.toString()));
    }

    @Override
    protected void handleTextMessage(WebSocketSession session, TextMessage message) {
        if (!(session.getAttributes().get(RIG) instanceof RigId id)) {
            return;
        }
        Matcher tread = TREAD.matcher(message.getPayload());
        Matcher to = TO.matcher(message.getPayload());
        Matcher move = MOVE.matcher(message.getPayload());
        Optional<SimulatedRig.Done> done = move.matches()
                ? simulated.move(id, move.group(1), Integer.parseInt(move.group(2)))
                : tread.matches()
                        ? SwitchAt.parse(tread.group(2)).flatMap(at -> simulated.tread(id, at, tread.group(1)))
                        : to.matches()
                                ? simulated.receive(
                                        id,
                                        Integer.parseInt(to.group(1)),
                                        Decoder.hex(to.group(2)).messages())
                                : Optional.empty();
        if (done.isPresent()) {
            String lines = lines(done.get(), session.getAttributes().containsKey(ENDS));
            if (!lines.isEmpty() && session.isOpen()) {
                tell(session, lines);
            }
        }
    }

    /** Who left while it was worked out is told nothing more. */
    private static void tell(WebSocketSession session, String lines) {
        try {
            session.sendMessage(new TextMessage(lines));
        } catch (IOException | IllegalStateException e) {
            LOG.debug("a page that took simulated boxes is gone", e);
        }
    }

    private static String lines(SimulatedRig.Done done, boolean ends) {
        var lines = new StringBuilder();
        List<DeviceId> boards = done.after().plan().boards();
        for (SimulatedRig.Sent sent : done.sent()) {
            lines.append(line(sent.afterMicros(), boards.indexOf(sent.from()), sent.message()));
        }
        if (ends) {
            List<DeviceId> receivers = done.after().receivers();
            for (SimulatedRig.Arrived arrived : done.arrived()) {
                int end = receivers.indexOf(arrived.at());
                if (end >= 0) {
                    lines.append(line(arrived.afterMicros(), boards.size() + end, arrived.message()));
                }
            }
        }
        return lines.toString();
    }

    private static String line(long afterMicros, int port, Message message) {
        return "sent %d %d %s%n".formatted(afterMicros, port, HexFormat.of().formatHex(message.bytes()));
    }

    private static Optional<RigId> rig(WebSocketSession session) {
        URI uri = session.getUri();
        Matcher path = PATH.matcher(uri == null ? "" : uri.getPath());
        return path.matches() ? Optional.of(RigId.of(path.group(1))) : Optional.empty();
    }
}
