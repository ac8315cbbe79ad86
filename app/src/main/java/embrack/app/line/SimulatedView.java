package embrack.app.line;

import embrack.app.frame.Spoken;
import embrack.core.line.Mistake;
import embrack.core.line.SimulatedRig;
import embrack.core.line.Slip;
import embrack.core.line.Travel;
import embrack.core.line.Walk;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Boxes that are there when no gear is.
 *
 * @param mistakes in words, in the order in which they were made
 */
record SimulatedView(List<Box> boxes, List<Kind> kinds, List<String> mistakes) {

    private static final String ROOM = "app/line";

    /** A box with what can be pressed and moved on it. */
    record Box(String key, String name, List<Bank> banks, List<Foot> moved) {}

    /** A bank; {@code name} is empty where the box has one. */
    record Bank(String name, List<Foot> feet) {}

    /** A switch to press. */
    record Foot(String key, String number, String tape, String words) {}

    /** A mistake to choose. */
    record Kind(String key, String words) {}

    static SimulatedView of(SimulatedRig boxes) {
        Plan plan = boxes.plan();
        Walk walk = Walk.of(plan);
        return new SimulatedView(
                walk.boxes().stream().map(box -> box(plan, walk, box)).toList(),
                Stream.concat(
                                Stream.of(Mistake.Kind.values()).map(Mistake.Kind::key),
                                Stream.of(Slip.Kind.values()).map(Slip.Kind::key))
                        .map(key -> new Kind(key, say(Phrase.of(ROOM, "kind." + key))))
                        .toList(),
                Stream.concat(
                                boxes.mistakes().stream().map(mistake -> words(plan, mistake)),
                                boxes.slips().stream().map(slip -> words(plan, slip)))
                        .toList());
    }

    private static Box box(Plan plan, Walk walk, DeviceId box) {
        List<Bank> banks = new ArrayList<>();
        List<SwitchAt> pressed = walk.on(box).stream()
                .map(planned -> planned.task().at())
                .distinct()
                .toList();
        for (int bank : pressed.stream().map(SwitchAt::bank).distinct().toList()) {
            SwitchAt any =
                    pressed.stream().filter(at -> at.bank() == bank).findFirst().orElseThrow();
            banks.add(new Bank(
                    plan.banks(box) > 1 ? say(Phrase.of(ROOM, "bank").with("bank", plan.bankName(any))) : "",
                    pressed.stream()
                            .filter(at -> at.bank() == bank)
                            .map(at -> new Foot(
                                    at.key(),
                                    at.place(),
                                    plan.switches()
                                            .at(at)
                                            .label()
                                            .map(TapeLabel::text)
                                            .orElse(""),
                                    plan.words(at)))
                            .toList()));
        }
        return new Box(
                box.text(),
                plan.rig().name(box).text(),
                banks,
                Travel.of(plan).stream()
                        .filter(travel -> travel.box().equals(box))
                        .map(travel -> new Foot(
                                travel.key(),
                                "",
                                plan.words(travel.at()),
                                travel.at().words()))
                        .toList());
    }

    private static String words(Plan plan, Mistake mistake) {
        Phrase phrase = Phrase.of(ROOM, "mistake." + mistake.kind().key())
                .with("number", mistake.number())
                .with(
                        "at",
                        mistake.wholeBox()
                                ? plan.rig().name(mistake.at().board()).text()
                                : plan.words(mistake.at()));
        return Spoken.of(plan).say(phrase);
    }

    private static String words(Plan plan, Slip slip) {
        return say(Phrase.of(ROOM, "mistake." + slip.kind().key())
                .with("number", slip.number())
                .with(
                        "at",
                        Travel.of(plan).stream()
                                .filter(travel -> travel.key().equals(slip.travel()))
                                .map(travel -> plan.words(travel.at()))
                                .findFirst()
                                .orElse("")));
    }

    private static String say(Phrase phrase) {
        return Spoken.words().say(phrase);
    }
}
