package embrack.files.plan;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Which edition of which rig a plan was written as, so that a copy that comes back is compared with what it left as.
 *
 * @param rig what tells its rig from all others: 1 to 60 letters, digits and strokes
 * @param revision from 1
 */
public record Edition(String rig, int revision) {

    /** How it is written: {@code rig-2-t5q7 41}. */
    static final String PATTERN = "^([a-z0-9-]{1,60}) ([1-9][0-9]{0,8})$";

    private static final Pattern PARTS = Pattern.compile(PATTERN);

    public Edition {
        if (!PARTS.matcher(written(rig, revision)).matches()) {
            throw new IllegalArgumentException("must be the mark of a rig and a revision, as rig-2-t5q7 41");
        }
    }

    /**
     * Reads one.
     *
     * @throws IllegalArgumentException when it is none
     */
    public static Edition parse(String text) {
        Matcher parts = PARTS.matcher(text);
        if (!parts.matches()) {
            throw new IllegalArgumentException("must be the mark of a rig and a revision, as rig-2-t5q7 41");
        }
        return new Edition(parts.group(1), Integer.parseInt(parts.group(2)));
    }

    /** As a file has it. */
    public String text() {
        return written(rig, revision);
    }

    private static String written(String rig, int revision) {
        return String.format(Locale.ROOT, "%s %d", rig, revision);
    }
}
