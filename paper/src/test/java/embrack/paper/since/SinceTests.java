package embrack.paper.since;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Change;
import embrack.paper.page.Column;
import embrack.paper.page.Line;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class SinceTests {

    private static Part part(String id, String... lines) {
        return new Part(
                id,
                id,
                "",
                Part.Form.HALVES,
                List.of(Block.of("Mixer", Stream.of(lines).map(Line::of).toList())));
    }

    private static List<String> marks(Part part) {
        return ((Body.Lines) part.blocks().getFirst().body())
                .lines().stream()
                        .map(line -> line.change() + " " + line.words())
                        .toList();
    }

    @Test
    void whatIsOtherIsNewAndWhatIsGoneStandsStruckOut() {
        Since since = Since.of(List.of(part("a", "one", "two", "two")), List.of(part("a", "two", "one", "three")));
        assertThat(marks(since.parts().getFirst())).containsExactly("NONE one", "NONE two", "NEW two", "GONE three");
        assertThat(since.counts()).containsEntry("a", 2);
    }

    @Test
    void whatIsTheSameInAnotherOrderIsUnchangedAndLeftOut() {
        Since since = Since.of(List.of(part("a", "one", "two"), part("b", "new")), List.of(part("a", "two", "one")));
        assertThat(since.counts()).containsOnlyKeys("b");
        assertThat(since.onlyChanged()).extracting(Part::id).containsExactly("b");
    }

    @Test
    void rowsAreComparedByAllThatTheySay() {
        Body.Table now = new Body.Table(
                List.of(Column.words("A", 1), Column.words("B", 1)), List.of(Row.of("1", "x"), Row.of("2", "y")));
        Body.Table then = new Body.Table(now.columns(), List.of(Row.of("1", "x"), Row.of("2", "z")));
        Part part = new Part("t", "t", "", Part.Form.WHOLE, List.of(Block.of("", now)));
        Since since = Since.of(List.of(part), List.of(part.withBlocks(List.of(Block.of("", then)))));
        assertThat(((Body.Table) since.parts().getFirst().blocks().getFirst().body()).rows())
                .extracting(Row::change)
                .containsExactly(Change.NONE, Change.NEW, Change.GONE);
    }
}
