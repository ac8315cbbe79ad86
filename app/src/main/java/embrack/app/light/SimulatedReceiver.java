package embrack.app.light;

import embrack.core.light.Frame;
import embrack.files.acn.DataPacket;
import embrack.files.acn.PacketReading;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;

/** A stand-in for what makes light of streaming ACN: it hears on this computer alone, and shows what it was sent. */
final class SimulatedReceiver implements AutoCloseable {

    private static final int LONGEST_PACKET = 1_500;

    private final DatagramSocket socket;
    private final Map<Integer, Frame> frames = new TreeMap<>();
    private final Map<Integer, Integer> sequences = new TreeMap<>();
    private String source = "";
    private long packets;
    private long lost;
    private boolean hasEnded;

    /**
     * What it has heard.
     *
     * @param frames the last of each universe
     * @param packets how many came
     * @param lost how many are missing by their numbers
     * @param hasEnded whether the sender said so
     */
    record Heard(String source, Map<Integer, Frame> frames, long packets, long lost, boolean hasEnded) {}

    SimulatedReceiver() {
        try {
            socket = new DatagramSocket(0, InetAddress.getLoopbackAddress());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        Thread.ofVirtual().name("light-receiver").start(this::listen);
    }

    /** Where it hears. */
    InetSocketAddress address() {
        return new InetSocketAddress(socket.getLocalAddress(), socket.getLocalPort());
    }

    synchronized Heard heard() {
        return new Heard(source, Map.copyOf(frames), packets, lost, hasEnded);
    }

    private void listen() {
        byte[] buffer = new byte[LONGEST_PACKET];
        while (!socket.isClosed()) {
            DatagramPacket datagram = new DatagramPacket(buffer, buffer.length);
            try {
                socket.receive(datagram);
            } catch (IOException e) {
                return;
            }
            PacketReading.of(Arrays.copyOf(buffer, datagram.getLength()))
                    .packet()
                    .ifPresent(this::hear);
        }
    }

    private synchronized void hear(DataPacket packet) {
        int expected = sequences.getOrDefault(packet.universe(), packet.sequence());
        lost += Math.floorMod(packet.sequence() - expected, 256);
        sequences.put(packet.universe(), (packet.sequence() + 1) % 256);
        source = packet.source();
        packets++;
        hasEnded = packet.isLast();
        if (!packet.isLast()) {
            frames.put(packet.universe(), packet.frame());
        }
    }

    @Override
    public void close() {
        socket.close();
    }
}
