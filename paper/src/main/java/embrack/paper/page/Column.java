package embrack.paper.page;

/**
 * A column of a table.
 *
 * @param share how much of the width it gets, against the others; 1 or more
 * @param isNumber whether it holds figures, which are set in letters of one width
 */
public record Column(String title, int share, boolean isNumber) {

    public static Column words(String title, int share) {
        return new Column(title, share, false);
    }

    public static Column figures(String title, int share) {
        return new Column(title, share, true);
    }
}
