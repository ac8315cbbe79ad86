package embrack.paper.print;

import java.util.List;
import java.util.stream.Stream;

/** A page: bands of parts below each other. */
record PrintedPage(List<Band> bands) {

    PrintedPage {
        bands = List.copyOf(bands);
    }

    PrintedPage with(Band more) {
        return new PrintedPage(Stream.concat(bands.stream(), Stream.of(more)).toList());
    }

    /** The form of the page itself. */
    public String form() {
        return bands.getFirst().part().form().key();
    }
}
