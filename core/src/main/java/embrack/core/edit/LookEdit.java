package embrack.core.edit;

import embrack.core.light.Chase;
import embrack.core.light.Lights;
import embrack.core.light.Look;
import embrack.core.light.LookId;
import embrack.core.light.text.LookText;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.word.Phrase;
import java.util.List;
import java.util.Optional;

/** Changes to looks. */
public sealed interface LookEdit extends Edit {

    /** Adds a look, both fields as they were typed. */
    record AddLook(String name, String text) implements LookEdit {
        @Override
        public Plan apply(Plan plan) {
            TapeLabel label = freeName(plan, name, Optional.empty());
            LookId id = Typed.freeId(
                    label, LookId::new, wish -> plan.lights().look(wish).isEmpty());
            Look look = written(plan, new Look(id, label, List.of(), 0), text);
            return plan.withLights(Refused.at(
                    "name",
                    () -> plan.lights().withLooks(Typed.plus(plan.lights().looks(), look))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-look").with("look", name.strip());
        }
    }

    /** Says anew what a look is called and shows, both as they were typed. */
    record ChangeLook(LookId look, String name, String text) implements LookEdit {
        @Override
        public Plan apply(Plan plan) {
            Look old = Typed.look(plan, look);
            Look changed = written(plan, old.withName(freeName(plan, name, Optional.of(look))), text);
            return plan.withLights(plan.lights()
                    .withLooks(plan.lights().looks().stream()
                            .map(other -> other.id().equals(look) ? changed : other)
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("change-look").with("look", lookName(before, look));
        }
    }

    /** Takes a look away, out of every desk and every chase; a chase of which too little is left goes with it. */
    record RemoveLook(LookId look) implements LookEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.look(plan, look);
            Lights lights = plan.lights();
            return plan.withLights(new Lights(
                    lights.types(),
                    lights.fixtures(),
                    lights.looks().stream()
                            .filter(other -> !other.id().equals(look))
                            .toList(),
                    lights.held().stream()
                            .filter(held -> !held.look().equals(look))
                            .toList(),
                    lights.chases().stream()
                            .flatMap(chase -> without(chase, look).stream())
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("remove-look").with("look", lookName(before, look));
        }
    }

    private static Optional<Chase> without(Chase chase, LookId look) {
        List<LookId> left =
                chase.steps().stream().filter(step -> !step.equals(look)).toList();
        return left.size() < 2 ? Optional.empty() : Optional.of(chase.withSteps(left));
    }

    private static String lookName(Plan plan, LookId id) {
        return plan.lights().look(id).map(look -> look.name().text()).orElse("");
    }

    private static TapeLabel freeName(Plan plan, String typed, Optional<LookId> own) {
        TapeLabel label = Typed.label("name", typed);
        if (plan.lights().looks().stream()
                .anyMatch(look -> !own.filter(look.id()::equals).isPresent()
                        && look.name().sameAs(label))) {
            throw new Refused("name", Say.of("no.look-taken").with("look", label));
        }
        return label;
    }

    /** The lines of a look; each must mean somebody who hangs there. */
    private static Look written(Plan plan, Look look, String text) {
        LookText read = LookText.of(text);
        if (!read.problems().isEmpty()) {
            throw Typed.text("text", read.problems());
        }
        read.lines().stream()
                .map(Look.Line::who)
                .filter(who -> plan.lights().meant(who).isEmpty() && !who.sameAs(Look.ALL))
                .findFirst()
                .ifPresent(who -> {
                    throw new Refused(
                            "text",
                            Say.of("no.nobody-called")
                                    .with("who", who)
                                    .with("groups", Words.list(plan.lights().meanings())));
                });
        return Refused.at("text", () -> look.withLines(read.lines()).withFade(read.fadeMillis()));
    }
}
