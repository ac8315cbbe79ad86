package embrack.core.text;

/**
 * A place in one line of text while it is read. Columns are counted from 1; words are matched whatever their capitals.
 */
public final class Cursor {

    private final String line;
    private final int end;
    private int position;

    private Cursor(String line, int position, int end) {
        this.line = line;
        this.position = position;
        this.end = end;
    }

    /** A line without the comment that may end it: from a # at its start or behind a blank. */
    public static Cursor of(String line) {
        int end = line.length();
        boolean quoted = false;
        for (int i = 0; i < line.length(); i++) {
            char c = line.charAt(i);
            quoted ^= c == '"';
            if (c == '#' && !quoted && (i == 0 || line.charAt(i - 1) == ' ')) {
                end = i;
                break;
            }
        }
        return new Cursor(line, 0, end);
    }

    /** The stretch from here to a character outside quotes, which is left behind; this cursor then stands behind it. */
    public Cursor until(int stop) {
        var part = new Cursor(line, position, Math.min(end, stop));
        position = stop >= end ? end : stop + 1;
        return part;
    }

    /** Where a character stands outside quotes, from here on; negative when it does not. */
    public int find(char wanted) {
        boolean quoted = false;
        for (int i = position; i < end; i++) {
            quoted ^= line.charAt(i) == '"';
            if (line.charAt(i) == wanted && !quoted) {
                return i;
            }
        }
        return -1;
    }

    /** Whether nothing but blanks is left. */
    public boolean isAtEnd() {
        skipBlanks();
        return position >= end;
    }

    /** The column of the next character that is not blank, counted from 1. */
    public int column() {
        skipBlanks();
        return position + 1;
    }

    /** What is left, without blanks around it. */
    public String rest() {
        skipBlanks();
        return line.substring(position, Math.max(position, end)).stripTrailing();
    }

    /**
     * Steps over words in small letters, if they stand here, whatever their capitals and the number of blanks between
     * them.
     */
    public boolean accept(String words) {
        skipBlanks();
        int at = position;
        for (int i = 0; i < words.length(); i++) {
            char wanted = words.charAt(i);
            if (wanted == ' ') {
                int before = at;
                while (at < end && line.charAt(at) == ' ') {
                    at++;
                }
                if (at == before) {
                    return false;
                }
            } else if (at >= end || Character.toLowerCase(line.charAt(at++)) != wanted) {
                return false;
            }
        }
        if (at < end && isWordCharacter(words.charAt(words.length() - 1)) && isWordCharacter(line.charAt(at))) {
            return false;
        }
        position = at;
        return true;
    }

    /** The run of characters that are neither blank nor one of + , = : ; and stand here; may be empty. */
    public String token() {
        skipBlanks();
        int at = position;
        while (at < end && " +,=:;".indexOf(line.charAt(at)) < 0) {
            at++;
        }
        String token = line.substring(position, at);
        position = at;
        return token;
    }

    /** As {@link #token}, but it stays here. */
    public String peek() {
        int before = position;
        String token = token();
        position = before;
        return token;
    }

    /** Goes back to a column that it has been at. */
    public void backTo(int column) {
        position = column - 1;
    }

    /** Steps a number of characters on. */
    public void step(int characters) {
        position += characters;
    }

    /** The error of what stands here. */
    public Fault fault(String words) {
        String token = peek();
        return new Fault(column(), Math.max(1, token.length()), words);
    }

    private void skipBlanks() {
        while (position < end && line.charAt(position) == ' ') {
            position++;
        }
    }

    private static boolean isWordCharacter(char c) {
        return Character.isLetterOrDigit(c);
    }
}
