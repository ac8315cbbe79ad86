package embrack.paper.page;

import java.util.List;
import java.util.Locale;
import java.util.function.UnaryOperator;

/**
 * One part of a folder; it begins on a page of its own.
 *
 * @param id tells it from all other parts, in links and names of files: {@code cards-quay-board}
 * @param aside what stands beside the title, or empty
 */
public record Part(String id, String title, String aside, Form form, List<Block> blocks) {

    /** The id of the first page. */
    public static final String COVER = "cover";

    public Part {
        blocks = List.copyOf(blocks);
    }

    /** How a part lies on paper. */
    public enum Form {
        /** One column. */
        WHOLE,
        /** Two columns. */
        HALVES,
        /** Three columns. */
        THIRDS,
        /** One column in large type, for the stage. */
        LARGE,
        /** Landscape, one block a page, which fills it. */
        WIDE,
        /** Landscape, a card of switches a page. */
        CARD,
        /** Upright, one block a page. */
        TALL,
        /** A sheet to cut, one block a page. */
        CUT;

        public int columns() {
            return switch (this) {
                case HALVES -> 2;
                case THIRDS -> 3;
                case WHOLE, LARGE, WIDE, CARD, TALL, CUT -> 1;
            };
        }

        /** Whether each block is a page. */
        public boolean isOneBlockAPage() {
            return this == WIDE || this == CARD || this == TALL || this == CUT;
        }

        /** Whether a part may stand on one page with others: not what lies on the stage or is cut. */
        public boolean sharesPages() {
            return this == WHOLE || this == HALVES || this == THIRDS;
        }

        /** Whether it holds drawings alone. */
        public boolean isDrawn() {
            return this == WIDE || this == TALL;
        }

        public boolean isLandscape() {
            return this == WIDE || this == CARD;
        }

        /** As a class in a style sheet. */
        public String key() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public Part withBlocks(List<Block> others) {
        return new Part(id, title, aside, form, others);
    }

    /** With each block changed. */
    public Part eachBlock(UnaryOperator<Block> change) {
        return withBlocks(blocks.stream().map(change).toList());
    }

    /** With each row of its tables changed. */
    public Part eachRow(UnaryOperator<Row> change) {
        return eachBlock(block -> block.body() instanceof Body.Table table
                ? block.withBody(new Body.Table(
                        table.columns(), table.rows().stream().map(change).toList()))
                : block);
    }
}
