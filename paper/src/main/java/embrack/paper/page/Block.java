package embrack.paper.page;

import java.util.List;

/**
 * Some lines that belong together under a heading.
 *
 * @param heading empty for none
 * @param aside what stands beside the heading, or empty
 */
public record Block(String heading, String aside, Body body) {

    /** Lines under a heading. */
    public static Block of(String heading, List<Line> lines) {
        return new Block(heading, "", new Body.Lines(lines));
    }

    /** A table under a heading. */
    public static Block of(String heading, Body.Table table) {
        return new Block(heading, "", table);
    }

    /** Something that can hurt. */
    public static Block caution(List<String> words) {
        return new Block("", "", new Body.Cautions(words));
    }

    public Block withBody(Body other) {
        return new Block(heading, aside, other);
    }

    public boolean isEmpty() {
        return body.size() == 0;
    }
}
