package embrack.core.gear.question;

/**
 * Whether a model can do something.
 *
 * @param itself whether it does it, rather than has another box do it
 * @param because by what it can, or why it cannot, as a sentence
 */
public record Answer(boolean can, boolean itself, String because) {

    static Answer yes(String because) {
        return new Answer(true, true, because);
    }

    static Answer byAnother(String because) {
        return new Answer(true, false, because);
    }

    static Answer of(boolean can, String because) {
        return new Answer(can, can, because);
    }

    static Answer no(String because) {
        return new Answer(false, false, because);
    }
}
