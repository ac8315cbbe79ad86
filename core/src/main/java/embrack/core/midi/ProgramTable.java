package embrack.core.midi;

/**
 * How a box that shows banks of patches finds the patch for a program: they follow one another, unless its table was
 * edited.
 *
 * @param patchesPerBank 1 to 128
 */
public record ProgramTable(int patchesPerBank) {

    public ProgramTable {
        if (patchesPerBank < 1 || patchesPerBank > 128) {
            throw new IllegalArgumentException("a bank has 1 to 128 patches, was " + patchesPerBank);
        }
    }

    /**
     * The bank, counted from 0.
     *
     * @param program as sent, 0 to 127
     */
    public int bank(int program) {
        return DataByte.checked("program", program) / patchesPerBank;
    }

    /**
     * The patch in its bank, counted from 1.
     *
     * @param program as sent, 0 to 127
     */
    public int patch(int program) {
        return DataByte.checked("program", program) % patchesPerBank + 1;
    }

    /** Where a program is, in words: "bank 1, patch 1". */
    public String words(int program) {
        return "bank %d, patch %d".formatted(bank(program), patch(program));
    }
}
