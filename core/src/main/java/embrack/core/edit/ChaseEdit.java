package embrack.core.edit;

import embrack.core.light.Chase;
import embrack.core.light.ChaseId;
import embrack.core.light.LookId;
import embrack.core.light.Pace;
import embrack.core.light.Scenes;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Changes to chases. */
public sealed interface ChaseEdit extends Edit {

    /**
     * Adds a chase, all as it was typed.
     *
     * @param steps the names of its looks, with commas between
     * @param pace how long each is shown, as {@link Pace} reads it
     */
    record AddChase(String name, String steps, String pace) implements ChaseEdit {
        @Override
        public Plan apply(Plan plan) {
            TapeLabel label = chaseName(plan, name, Optional.empty());
            ChaseId id = Typed.freeId(
                    label, ChaseId::new, wish -> plan.lights().chase(wish).isEmpty());
            return plan.withLights(plan.lights()
                    .withChases(Typed.plus(
                            plan.lights().chases(), chaseOf(plan, id, label, steps, pace, Optional.empty()))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-chase").with("chase", name.strip());
        }
    }

    /**
     * Says anew what a chase is, as {@link AddChase}, and where a desk holds it.
     *
     * @param at empty for nowhere
     */
    record ChangeChase(ChaseId chase, String name, String steps, String pace, Optional<Chase.At> at)
            implements ChaseEdit {
        @Override
        public Plan apply(Plan plan) {
            findChase(plan, chase);
            at.ifPresent(place -> {
                Typed.device("at", plan, place.desk());
                if (!Scenes.chases(plan.rig().chart(place.desk())).contains(place.part())) {
                    throw new Refused(
                            "at",
                            Say.of("no.chase-place").with("desk", plan.rig().name(place.desk())));
                }
            });
            Chase changed = chaseOf(plan, chase, chaseName(plan, name, Optional.of(chase)), steps, pace, at);
            return plan.withLights(plan.lights()
                    .withChases(plan.lights().chases().stream()
                            .map(other -> other.id().equals(chase)
                                    ? changed
                                    : at.isPresent() && other.at().equals(at) ? other.heldAt(Optional.empty()) : other)
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("change-chase").with("chase", chaseName(before, chase));
        }
    }

    /** Says what a chase goes on by. */
    record ChangePace(ChaseId chase, Pace pace) implements ChaseEdit {
        @Override
        public Plan apply(Plan plan) {
            findChase(plan, chase);
            return plan.withLights(plan.lights()
                    .withChases(plan.lights().chases().stream()
                            .map(other -> other.id().equals(chase) ? other.withPace(pace) : other)
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("change-chase").with("chase", chaseName(before, chase));
        }
    }

    /** Takes a chase away. */
    record RemoveChase(ChaseId chase) implements ChaseEdit {
        @Override
        public Plan apply(Plan plan) {
            findChase(plan, chase);
            return plan.withLights(plan.lights()
                    .withChases(plan.lights().chases().stream()
                            .filter(other -> !other.id().equals(chase))
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("remove-chase").with("chase", chaseName(before, chase));
        }
    }

    private static Chase chaseOf(
            Plan plan, ChaseId id, TapeLabel name, String steps, String pace, Optional<Chase.At> at) {
        List<LookId> looks = Stream.of(steps.split(","))
                .map(String::strip)
                .filter(typed -> !typed.isEmpty())
                .map(typed -> plan.lights().looks().stream()
                        .filter(look -> look.name().text().equalsIgnoreCase(typed))
                        .findFirst()
                        .orElseThrow(() ->
                                new Refused("steps", Say.of("no.look-called").with("look", typed)))
                        .id())
                .toList();
        Pace read =
                Refused.at("pace", () -> Pace.parse(pace).orElseThrow(() -> new Refused("pace", Say.of("no.pace"))));
        return Refused.at("steps", () -> new Chase(id, name, looks, read, at));
    }

    private static Chase findChase(Plan plan, ChaseId id) {
        return plan.lights().chase(id).orElseThrow(() -> new Refused("chase", Say.of("no.chase-gone")));
    }

    private static String chaseName(Plan plan, ChaseId id) {
        return plan.lights().chase(id).map(chase -> chase.name().text()).orElse("");
    }

    private static TapeLabel chaseName(Plan plan, String typed, Optional<ChaseId> own) {
        TapeLabel label = Typed.label("name", typed);
        if (plan.lights().chases().stream()
                .anyMatch(chase ->
                        own.filter(chase.id()::equals).isEmpty() && chase.name().sameAs(label))) {
            throw new Refused("name", Say.of("no.chase-taken").with("chase", label));
        }
        return label;
    }
}
