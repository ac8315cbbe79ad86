package embrack.core.midi;

/** What a box calls the first program: some boxes show 0 to 127, some 1 to 128; the wire always carries 0 to 127. */
public enum ProgramCounting {
    FROM_ZERO(0),
    FROM_ONE(1);

    private final int first;

    ProgramCounting(int first) {
        this.first = first;
    }

    /** The number that the box shows first, 0 or 1. */
    public int first() {
        return first;
    }

    /**
     * The number that the box shows.
     *
     * @param program as sent, 0 to 127
     */
    public int shown(int program) {
        return DataByte.checked("program", program) + first;
    }

    /**
     * The data byte that is sent.
     *
     * @param shown as the box shows it: 0 to 127 or 1 to 128
     * @throws IllegalArgumentException when the box cannot show that number
     */
    public int wire(int shown) {
        if (shown < first || shown > DataByte.MAX + first) {
            throw new IllegalArgumentException(
                    "program must be %d to %d on this box, was %d".formatted(first, DataByte.MAX + first, shown));
        }
        return shown - first;
    }
}
