package embrack.core.midi;

/** How a box shows a value of 0 to 127. */
public enum ValueDisplay {

    /** In full: 127. */
    PLAIN("in full") {
        @Override
        public String shown(int value) {
            return String.valueOf(DataByte.checked("value", value));
        }
    },

    /** On two digits, where a point between them adds a hundred: 127 reads 2.7, 100 reads 0.0, 99 reads 99. */
    TWO_DIGITS("on two digits; a point between them adds a hundred") {
        @Override
        public String shown(int value) {
            DataByte.checked("value", value);
            return value < 100 ? String.valueOf(value) : value / 10 % 10 + "." + value % 10;
        }
    };

    private final String words;

    ValueDisplay(String words) {
        this.words = words;
    }

    /** How the box shows values, as the end of the sentence "shows values ...". */
    public String words() {
        return words;
    }

    /**
     * What the box's display reads.
     *
     * @param value 0 to 127
     */
    public abstract String shown(int value);
}
