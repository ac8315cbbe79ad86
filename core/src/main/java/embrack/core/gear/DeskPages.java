package embrack.core.gear;

/**
 * How a desk reaches slots: each of its fixture buttons owns a run of them, and a row of faders moves so many at a
 * time.
 *
 * @param buttons how many fixture buttons it has, 1 to 192
 * @param slots how many slots each owns, 1 to 512
 * @param faders how many faders stand in a row, 1 to 64
 */
public record DeskPages(int buttons, int slots, int faders) {

    /** The most slots a button owns: as many as a universe has (ANSI E1.11). */
    public static final int MAX_SLOTS = 512;

    /** The most fixture buttons. */
    public static final int MAX_BUTTONS = 192;

    /** The most faders in a row. */
    public static final int MAX_FADERS = 64;

    public DeskPages {
        if (buttons < 1
                || buttons > MAX_BUTTONS
                || slots < 1
                || slots > MAX_SLOTS
                || faders < 1
                || faders > MAX_FADERS) {
            throw new IllegalArgumentException(
                    "A desk has 1 to 192 fixture buttons of 1 to 512 slots, and 1 to 64 faders in a row.");
        }
    }

    /**
     * Where a slot is found.
     *
     * @param button the fixture button, counted from 1
     * @param page the page of faders, counted from 1
     * @param fader counted from 1
     */
    public record Place(int button, int page, int fader) {}

    /** The address at which a button begins, both counted from 1. */
    public int start(int button) {
        return 1 + (button - 1) * slots;
    }

    /** Where a slot is found by its address, 1 to 512; on a button that the desk may not have. */
    public Place place(int address) {
        int slot = (address - 1) % slots;
        return new Place(1 + (address - 1) / slots, 1 + slot / faders, 1 + slot % faders);
    }

    /** Whether a fixture at an address begins with a button, and lies within those that the desk has. */
    public boolean fits(int start, int footprint) {
        return (start - 1) % slots == 0 && place(start + footprint - 1).button() <= buttons;
    }

    /** How many buttons a fixture takes. */
    public int buttonsFor(int footprint) {
        return (footprint + slots - 1) / slots;
    }
}
