package embrack.core.gear;

/** What changes when a board goes to another bank. */
public enum BankChange {
    ASSIGNMENTS("what each switch sends"),
    CHANNEL("the channel"),
    NUMBERS("the numbers, which go on");

    private final String words;

    BankChange(String words) {
        this.words = words;
    }

    /** As the end of the sentence "a bank changes ...". */
    public String words() {
        return words;
    }
}
