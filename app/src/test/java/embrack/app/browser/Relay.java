package embrack.app.browser;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** A way to the server that can be cut, as when the router of a venue is switched off, and comes back at its port. */
final class Relay implements AutoCloseable {

    private static final InetAddress HERE = InetAddress.getLoopbackAddress();

    private final int server;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private ServerSocket door;

    Relay(int server) {
        this.server = server;
        door = open(0);
    }

    int port() {
        return door.getLocalPort();
    }

    private ServerSocket open(int port) {
        try {
            ServerSocket opened = new ServerSocket();
            opened.setReuseAddress(true);
            opened.bind(new InetSocketAddress(HERE, port));
            Thread.ofVirtual().start(() -> serve(opened));
            return opened;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void serve(ServerSocket opened) {
        while (!opened.isClosed()) {
            try {
                Socket caller = opened.accept();
                Socket there = new Socket(HERE, server);
                open.add(caller);
                open.add(there);
                Thread.ofVirtual().start(() -> pass(caller, there));
                Thread.ofVirtual().start(() -> pass(there, caller));
            } catch (IOException e) {
                return; // cut
            }
        }
    }

    private void pass(Socket from, Socket to) {
        try (from;
                to) {
            from.getInputStream().transferTo(to.getOutputStream());
        } catch (IOException e) {
            // cut
        } finally {
            open.remove(from);
            open.remove(to);
        }
    }

    void cut() {
        close();
    }

    void mend() {
        door = open(port());
    }

    @Override
    public void close() {
        try {
            door.close();
            for (Socket socket : open) {
                socket.close();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
