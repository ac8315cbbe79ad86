package embrack.core.check.rule;

/** How much a finding matters, worst first. */
public enum Severity {
    /** A switch that people rely on does not do what it should. */
    STOPS("Stops the show"),
    /** It may do harm; a person has to judge. */
    LOOK("Look"),
    /** Worth knowing. */
    NOTE("Note");

    private final String words;

    Severity(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
