package embrack.app.light;

import embrack.app.frame.StageView;
import embrack.core.light.Look;
import embrack.core.light.text.LookText;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import java.util.List;
import java.util.Optional;

/**
 * The looks on paper, in ink and words, for whoever stands at the desk.
 *
 * @param looks in the order in which they were written
 */
record LookSheet(List<Row> looks) {

    /**
     * A look.
     *
     * @param lines what it shows, as it was written
     * @param where the scenes that hold it
     */
    record Row(String name, List<String> lines, String where, StageView stage) {}

    static LookSheet of(Plan plan) {
        return new LookSheet(
                plan.lights().looks().stream().map(look -> row(plan, look)).toList());
    }

    private static Row row(Plan plan, Look look) {
        return new Row(
                look.name().text(),
                LookText.of(look).lines().toList(),
                Words.list(plan.lights().holding(look.id()).stream()
                        .map(held -> DesksPage.words(plan, held.desk(), held.place()))
                        .toList()),
                StageView.of(plan.lights(), Optional.of(look)));
    }
}
