package embrack.app.line;

import embrack.app.store.NoSuchRig;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.line.SimulatedRig;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import java.io.IOException;
import java.net.URI;
import java.util.HexFormat;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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
 * quay-board.1.3} and {@code up}, {@code hold}, {@code twice} of a switch; out go {@code port Quay board (simulated)}
 * for each box that is there, then {@code sent 960 0 b0507f}: after how many microseconds, at which of these ports, and
 * what.
 */
@Configuration
@EnableWebSocket
class SimulatedPorts extends TextWebSocketHandler implements WebSocketConfigurer {

    private static final Pattern PATH = Pattern.compile("/rigs/(\\d{1,18})/line/simulated/ports");
    private static final Pattern TREAD = Pattern.compile("(down|up|hold|twice) (\\S{1,80})");
    private static final String RIG = "rig";
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
        session.sendMessage(new TextMessage(ports.toString()));
    }

    @Override
    protected void handleTextMessage(WebSocketSession session, TextMessage message) throws IOException {
        Matcher tread = TREAD.matcher(message.getPayload());
        if (!tread.matches() || !(session.getAttributes().get(RIG) instanceof RigId id)) {
            return;
        }
        Optional<SimulatedRig.Done> done =
                SwitchAt.parse(tread.group(2)).flatMap(at -> simulated.tread(id, at, tread.group(1)));
        if (done.isEmpty()) {
            return;
        }
        var lines = new StringBuilder();
        for (SimulatedRig.Sent sent : done.get().sent()) {
            lines.append("sent %d %d %s%n"
                    .formatted(
                            sent.afterMicros(),
                            done.get().after().plan().boards().indexOf(sent.from()),
                            HexFormat.of().formatHex(sent.message().bytes())));
        }
        if (!lines.isEmpty()) {
            session.sendMessage(new TextMessage(lines.toString()));
        }
    }

    private static Optional<RigId> rig(WebSocketSession session) {
        URI uri = session.getUri();
        Matcher path = PATH.matcher(uri == null ? "" : uri.getPath());
        return path.matches() ? Optional.of(RigId.of(path.group(1))) : Optional.empty();
    }
}
