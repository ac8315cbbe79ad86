package embrack.core.midi;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How a box that shows banks of patches finds the patch for a program: they follow one another, unless its table was
 * edited.
 *
 * @param patchesPerBank 1 to 128
 * @param first what the box calls the first of them: a bank, perhaps a character between, a patch, each from 0, 1 or A:
 * "1-1", "A1", "01", "11"; empty where the banks are counted from 0 and the patches from 1
 */
public record ProgramTable(int patchesPerBank, Optional<String> first) {

    private static final Pattern FIRST = Pattern.compile("([01A])([-. :/]?)([01A])");

    /** Banks and patches where a manual does not say how it calls them. */
    private static final String UNSAID = "0-1";

    public ProgramTable {
        if (patchesPerBank < 1 || patchesPerBank > 128) {
            throw new IllegalArgumentException("a bank has 1 to 128 patches, was " + patchesPerBank);
        }
        if (first.filter(text -> !FIRST.matcher(text).matches()).isPresent()) {
            throw new IllegalArgumentException(
                    "the first patch is called by a bank and a patch, each 0, 1 or A, such as 1-1 or A1; was \"%s\""
                            .formatted(first.get()));
        }
    }

    /** Banks that are counted from 0. */
    public ProgramTable(int patchesPerBank) {
        this(patchesPerBank, Optional.empty());
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

    /** The program of a bank and a patch as the box calls them; empty when it has none of that name. */
    public Optional<Integer> program(String bank, String patch) {
        for (int program = 0; program <= DataByte.MAX; program++) {
            if (bankName(program).equalsIgnoreCase(bank) && patchName(program).equalsIgnoreCase(patch)) {
                return Optional.of(program);
            }
        }
        return Optional.empty();
    }

    /** Where a program is, in words: "bank 1, patch 1", with what the box shows where that is said: "(1-1)". */
    public String words(int program) {
        return "bank %s, patch %s%s"
                .formatted(
                        bankName(program),
                        patchName(program),
                        first.map(text -> " (%s)".formatted(shown(program))).orElse(""));
    }

    /** As the display of the box has it: "3-2", "C2". */
    public String shown(int program) {
        return bankName(program) + part(2) + patchName(program);
    }

    /** The convention in words: "banks from 1". */
    public String convention() {
        return "banks from " + part(1);
    }

    /** The other way to count the banks, for which this one is often taken; empty for letters. */
    public Optional<ProgramTable> mistakenFor() {
        return switch (part(1)) {
            case "0" -> Optional.of(new ProgramTable(patchesPerBank, Optional.of("1" + part(2) + part(3))));
            case "1" -> Optional.of(new ProgramTable(patchesPerBank, Optional.of("0" + part(2) + part(3))));
            default -> Optional.empty();
        };
    }

    private String bankName(int program) {
        return name(part(1), bank(program));
    }

    private String patchName(int program) {
        return name(part(3), patch(program) - 1);
    }

    private String part(int group) {
        Matcher matcher = FIRST.matcher(first.orElse(UNSAID));
        if (!matcher.matches()) {
            throw new IllegalStateException(first.orElse(UNSAID));
        }
        return matcher.group(group);
    }

    /** The name of the one so many behind the first; behind Z follow AA, AB. */
    private static String name(String first, int further) {
        if (!first.equals("A")) {
            return String.valueOf(Integer.parseInt(first) + further);
        }
        String last = String.valueOf((char) ('A' + further % 26));
        return further < 26 ? last : (char) ('A' + further / 26 - 1) + last;
    }
}
