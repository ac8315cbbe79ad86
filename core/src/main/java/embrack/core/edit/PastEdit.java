package embrack.core.edit;

import embrack.core.past.Thing;
import embrack.core.past.Things;
import embrack.core.plan.Plan;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.Objects;

/** Things that are to be again as they were; all others stay as they are. */
public sealed interface PastEdit extends Edit {

    /**
     * Brings one thing back.
     *
     * @param name what it is called, for the list of changes
     * @param then the plan in which it was so
     */
    record BringBack(Thing thing, String name, Plan then) implements PastEdit {

        @Override
        public Plan apply(Plan plan) {
            return put(plan, List.of(thing), then);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("bring-back").with("what", name);
        }
    }

    /**
     * Takes an edit back that others have followed, as far as nothing stands on it: what it changed has to be as it
     * left it.
     *
     * @param before the plan before that edit
     * @param after the plan after it
     * @param summary what that edit did
     */
    record TakeBack(Plan before, Plan after, String summary) implements PastEdit {

        @Override
        public Plan apply(Plan plan) {
            Things left = Things.of(after);
            Things now = Things.of(plan);
            List<Thing> changed = Things.of(before).changed(left);
            changed.stream()
                    .filter(thing -> !Objects.equals(left.find(thing), now.find(thing)))
                    .findFirst()
                    .ifPresent(thing -> {
                        throw new Refused("undo", Say.of("no.stands-on").with("what", summary));
                    });
            return put(plan, changed, before);
        }

        @Override
        public Phrase summary(Plan now) {
            return Say.of("take-back").with("what", summary);
        }
    }

    /**
     * Takes things in as they are in a copy of the plan that came back.
     *
     * @param copy the plan in which they are so
     */
    record TakeIn(List<Thing> things, Plan copy) implements PastEdit {

        public TakeIn {
            things = List.copyOf(things);
        }

        @Override
        public Plan apply(Plan plan) {
            return put(plan, things, copy);
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("take-in").with("count", things.size());
        }
    }

    private static Plan put(Plan plan, List<Thing> things, Plan then) {
        return Refused.at(
                "back",
                () -> Things.of(plan).with(things, Things.of(then)).plan().settled());
    }
}
