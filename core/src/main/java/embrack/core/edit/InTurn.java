package embrack.core.edit;

import embrack.core.plan.Plan;
import embrack.core.word.Phrase;
import java.util.List;

/** Several edits that are one intent, each made on what the one before left; {@code edits} holds at least one. */
public record InTurn(List<Edit> edits) implements Edit {

    public InTurn {
        edits = List.copyOf(edits);
        if (edits.isEmpty()) {
            throw new IllegalArgumentException("there is at least one edit to make");
        }
    }

    @Override
    public Plan apply(Plan plan) {
        Plan next = plan;
        for (Edit edit : edits) {
            next = edit.apply(next);
        }
        return next;
    }

    @Override
    public Phrase summary(Plan before) {
        return Say.of("in-turn").with("first", edits.getFirst().summary(before)).with("more", edits.size() - 1);
    }
}
