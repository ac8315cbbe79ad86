package embrack.paper.page;

import java.util.List;

/**
 * A switch, pedal or fader on a card.
 *
 * @param number as on the box: "3", "pedal"
 * @param name its short name in one or two lines, to be read from 1.7 m; none where nothing is planned
 * @param full its full name
 * @param more what a hold, a double press or a release does, a line each
 * @param tone {@code kill}, {@code safe} or empty
 * @param changed whether it says something else than when it was printed
 */
public record CardCell(String number, List<String> name, String full, List<String> more, String tone, boolean changed) {

    public CardCell {
        name = List.copyOf(name);
        more = List.copyOf(more);
    }

    /** Whether its short name is its full one. */
    public boolean isNamedInFull() {
        return full.equals(String.join(" ", name));
    }

    /** All that it says. */
    public String text() {
        return "%s %s %s %s".formatted(number, full, String.join(" ", more), tone);
    }

    public CardCell withChanged(boolean other) {
        return new CardCell(number, name, full, more, tone, other);
    }
}
