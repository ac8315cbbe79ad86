package embrack.core.midi;

/** Puts the bytes of messages into a stream, with or without running status. */
final class Encoder {

    private Encoder() {}

    /** A status byte and two data bytes; gives the position behind them. */
    static int write(int status, int data1, int data2, byte[] to, int position) {
        to[position] = (byte) status;
        to[position + 1] = (byte) data1;
        to[position + 2] = (byte) data2;
        return position + 3;
    }

    /** A status byte and one data byte; gives the position behind them. */
    static int write(int status, int data1, byte[] to, int position) {
        to[position] = (byte) status;
        to[position + 1] = (byte) data1;
        return position + 2;
    }

    /**
     * Writes a message behind another, leaving out a status byte that repeats the one before.
     *
     * @param running the status that holds before, 0 for none
     * @return the position behind it
     */
    static int writeRunning(Message message, int running, byte[] to, int position) {
        if (message.status() != running || !message.type().hasChannel()) {
            return message.write(to, position);
        }
        to[position] = (byte) message.data1();
        if (message.type().dataBytes() == 2) {
            to[position + 1] = (byte) message.data2();
        }
        return position + message.type().dataBytes();
    }

    /** The running status that holds behind a message: real time leaves it as it was, other system messages end it. */
    static int runningAfter(Message message, int before) {
        if (message.type().hasChannel()) {
            return message.status();
        }
        return message.type().isRealTime() ? before : 0;
    }
}
