package embrack.app.order;

import embrack.core.plan.Plan;
import embrack.core.sheet.Joins;
import embrack.core.show.Show;
import java.util.List;

/** The joins of a show, one below the other. */
record JoinsPage(String show, String path, List<Join> joins) {

    /**
     * One join.
     *
     * @param blank what nobody meant perhaps; empty when nothing of the sort is there
     * @param href where the part that ends is changed
     */
    record Join(String from, String into, String way, List<Line> lines, String blank, String href) {}

    /** What a line is about, and what it says. */
    record Line(String about, String says) {}

    static JoinsPage of(Plan plan, Show show) {
        return new JoinsPage(
                show.name().text(),
                "/order/" + show.id(),
                Joins.of(plan, show).stream()
                        .map(join -> new Join(
                                join.from().name().text(),
                                join.into().name().text(),
                                join.way(),
                                join.lines().entrySet().stream()
                                        .map(line -> new Line(line.getKey().words(), line.getValue()))
                                        .toList(),
                                join.blank().orElse(""),
                                "/order/%s?part=%d"
                                        .formatted(show.id(), join.from().number())))
                        .toList());
    }
}
