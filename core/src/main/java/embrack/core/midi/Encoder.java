package embrack.core.midi;

/** Writes messages as bytes, with or without running status. */
public final class Encoder {

    private Encoder() {
    }

    /**
     * Writes a whole message.
     *
     * @param to holds at least {@link Message#length()} bytes from {@code position} on
     * @return the position behind it
     */
    public static int write(Message message, byte[] to, int position) {
        if (message instanceof SystemExclusive exclusive) {
            return writeExclusive(exclusive, to, position);
        }
        to[position] = (byte) message.status();
        return writeData(message, to, position + 1);
    }

    /**
     * Writes a message behind another, leaving out a status byte that repeats the one before.
     *
     * @param running the status that holds before, 0 for none
     * @return the position behind it
     */
    static int writeRunning(Message message, int running, byte[] to, int position) {
        return message.status() == running && message.type().hasChannel()
                ? writeData(message, to, position) : write(message, to, position);
    }

    /** The running status that holds behind a message: real time leaves it as it was, other system messages end it. */
    static int runningAfter(Message message, int before) {
        if (message.type().hasChannel()) {
            return message.status();
        }
        return message.type().isRealTime() ? before : 0;
    }

    private static int writeData(Message message, byte[] to, int position) {
        switch (message.type().dataBytes()) {
            case 2 -> {
                to[position] = (byte) message.data1();
                to[position + 1] = (byte) message.data2();
                return position + 2;
            }
            case 1 -> {
                to[position] = (byte) message.data1();
                return position + 1;
            }
            default -> {
                return position;
            }
        }
    }

    private static int writeExclusive(SystemExclusive exclusive, byte[] to, int position) {
        to[position] = (byte) exclusive.status();
        exclusive.writeContent(to, position + 1);
        int end = position + exclusive.length();
        to[end - 1] = (byte) SystemExclusive.END;
        return end;
    }
}
