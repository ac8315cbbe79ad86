package embrack.core.edit;

import embrack.core.light.Held;
import embrack.core.light.Look;
import embrack.core.light.LookId;
import embrack.core.light.Scenes;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Changes to what desks hold, and to how it is recalled. */
public sealed interface DeskEdit extends Edit {

    /** Has a desk hold a look at a place, or nothing there. */
    record HoldLook(DeviceId desk, Scenes.Place place, Optional<LookId> look) implements DeskEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("look", plan, desk);
            look.ifPresent(id -> Typed.look(plan, id));
            if (!Scenes.of(plan.rig().chart(desk)).places().contains(place)) {
                throw new Refused(
                        "look", Say.of("no.scene").with("desk", plan.rig().name(desk)));
            }
            List<Held> others = plan.lights().held().stream()
                    .filter(held -> !held.desk().equals(desk) || !held.place().equals(place))
                    .toList();
            return plan.withLights(plan.lights()
                    .withHeld(Stream.concat(others.stream(), look.map(id -> new Held(desk, place, id)).stream())
                            .toList()));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("hold-look")
                    .with("desk", before.rig().name(desk))
                    .with(
                            "look",
                            look.flatMap(before.lights()::look)
                                    .map(one -> one.name().text())
                                    .orElse("nothing"));
        }
    }

    /** Puts all looks into a desk that it does not hold yet, each into its next free scene. */
    record StoreLooks(DeviceId desk) implements DeskEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("desk", plan, desk);
            List<Look> missing = plan.lights().looks().stream()
                    .filter(look -> plan.lights().holding(look.id()).stream()
                            .noneMatch(held -> held.desk().equals(desk)))
                    .toList();
            List<Scenes.Place> free = Scenes.of(plan.rig().chart(desk)).places().stream()
                    .filter(place -> plan.lights().holds(desk, place).isEmpty())
                    .toList();
            if (missing.size() > free.size()) {
                throw new Refused(
                        "desk",
                        Say.of("no.scenes-left")
                                .with("desk", plan.rig().name(desk))
                                .with("free", free.size())
                                .with("looks", missing.size()));
            }
            List<Held> held = new ArrayList<>(plan.lights().held());
            for (int i = 0; i < missing.size(); i++) {
                held.add(new Held(desk, free.get(i), missing.get(i).id()));
            }
            return plan.withLights(plan.lights().withHeld(held));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("store-looks").with("desk", before.rig().name(desk));
        }
    }

    /** Puts the looks of a desk so into its banks that its songs choose one as seldom as can be; steps go along. */
    record ArrangeLooks(DeviceId desk) implements DeskEdit {
        @Override
        public Plan apply(Plan plan) {
            Typed.device("desk", plan, desk);
            if (Scenes.of(plan.rig().chart(desk)).banks().size() < 2) {
                throw new Refused(
                        "desk", Say.of("no.banks").with("desk", plan.rig().name(desk)));
            }
            return Refused.at("desk", () -> StoredAnew.arranged(plan, desk).settled());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("arrange-looks").with("desk", before.rig().name(desk));
        }
    }

    /** Has a switch choose the bank of a desk before a scene that it recalls there. */
    record ChooseBank(SwitchAt at, Moment moment, Step scene, Step bank) implements DeskEdit {
        @Override
        public Plan apply(Plan plan) {
            Assignment old = plan.switches().at(at);
            return Refused.at(
                    "step",
                    () -> plan.withSwitches(
                                    plan.switches().with(old.withSteps(moment, before(old.steps(moment), scene, bank))))
                            .settled());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-steps").with("at", before.words(at)).with("steps", before.words(bank));
        }
    }

    /** Has a cue choose the bank of a desk before a scene that it recalls there. */
    record ChooseBankInCue(SongId song, int cue, Step scene, Step bank) implements DeskEdit {
        @Override
        public Plan apply(Plan plan) {
            Song old = SongEdit.find(plan, song);
            Cue now = old.cue(cue).orElseThrow(() -> new Refused("step", Say.of("no.cue-gone")));
            return Refused.at(
                    "step",
                    () -> plan.withBook(plan.book().with(old.withCue(now.withSteps(before(now.steps(), scene, bank)))))
                            .settled());
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("add-to-cue").with("song", SongEdit.titleOf(before, song));
        }
    }

    private static List<Step> before(List<Step> steps, Step scene, Step bank) {
        if (!steps.contains(scene)) {
            throw new Refused("step", Say.of("no.step-changed"));
        }
        List<Step> more = new ArrayList<>(steps);
        more.add(steps.indexOf(scene), bank);
        return more;
    }
}
