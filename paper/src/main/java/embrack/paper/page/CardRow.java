package embrack.paper.page;

import java.util.List;

/**
 * A row of switches on a card.
 *
 * @param bank the name of the bank, before its first row; else empty
 * @param millimetres how high it is
 */
public record CardRow(String bank, double millimetres, List<CardCell> cells) {
    public CardRow {
        cells = List.copyOf(cells);
    }
}
