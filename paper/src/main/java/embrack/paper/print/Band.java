package embrack.paper.print;

import embrack.paper.page.Block;
import embrack.paper.page.Part;
import java.util.List;

/**
 * What stands of a part on one page, over its whole width.
 *
 * @param number which page of the part it is, from 1
 * @param of how many the part has
 * @param columns what stands in each
 * @param high how high it is, points
 */
record Band(Part part, int number, int of, List<List<Block>> columns, double high) {

    Band {
        columns = List.copyOf(columns);
    }

    /** The title, with which page of the part it is. */
    public String title() {
        return of == 1 ? part.title() : "%s (%d of %d)".formatted(part.title(), number, of);
    }
}
