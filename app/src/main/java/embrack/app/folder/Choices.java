package embrack.app.folder;

import embrack.core.show.Leaf;
import embrack.paper.print.Ground;
import embrack.paper.type.LabelSize;
import embrack.paper.type.Paper;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;

/**
 * What of a folder is wanted, as an address says it.
 *
 * @param reader the name of who gets it; empty for everybody
 * @param leaf keys of leaves, for those alone; empty for what the reader gets
 * @param changed only what changed since it was printed
 */
record Choices(String reader, String leaf, Paper paper, LabelSize labels, Ground ground, boolean changed) {

    static Choices of(String reader, String leaf, String paper, LabelSize labels, String ground, boolean changed) {
        return new Choices(reader, leaf, Paper.of(paper), labels, Ground.of(ground), changed);
    }

    /** The leaves that are wanted by themselves; none for what the reader gets. */
    List<Leaf> leaves() {
        List<String> keys = Arrays.asList(leaf.split(","));
        return Stream.of(Leaf.values()).filter(l -> keys.contains(l.key())).toList();
    }
}
