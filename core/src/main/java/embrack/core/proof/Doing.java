package embrack.core.proof;

import embrack.core.plan.Plan;
import embrack.core.show.SongId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import embrack.core.world.Place;

/** What somebody does in a story. */
public sealed interface Doing {

    /** A foot does something with a switch. */
    record Foot(SwitchAt at, Moment moment) implements Doing {}

    /** A treadle, fader or knob is moved to a position, 0 to 127. */
    record Moved(ControlAt at, int position) implements Doing {}

    /** A player sends what a cue says, or a cue that every song sends. */
    record Cue(SongId song, int number, boolean always) implements Doing {}

    /** Something that no message brought about: a part stands as somebody set it at its box. */
    record ByHand(Place place, int value) implements Doing {}

    /** Before anybody does anything: a part stands after power-off as it was left. */
    record Left(Place place, int value) implements Doing {}

    /** It in words, by the names on the tape: "press Kill". */
    default Phrase phrase(Plan plan) {
        return switch (this) {
            case Foot foot ->
                Phrase.of(ROOM, "foot")
                        .with("moment", Fact.word(foot.moment.key()))
                        .with(
                                "tape",
                                plan.switches()
                                        .at(foot.at)
                                        .label()
                                        .map(Fact::of)
                                        .orElseGet(() -> Fact.of(foot.at)));
            case Moved moved ->
                Phrase.of(ROOM, "moved").with("control", moved.at).with("position", moved.position);
            case Cue cue ->
                Phrase.of(ROOM, "cue")
                        .with(
                                "moment",
                                plan.book()
                                        .cue(cue.song, cue.number, cue.always)
                                        .map(found -> Fact.of(plan.book().song(cue.song), found))
                                        .orElseGet(() -> new Fact.SongOf(cue.song)));
            case ByHand hand ->
                Phrase.of(ROOM, "by-hand")
                        .with("part", new Fact.PartOf(hand.place.device(), hand.place.part()))
                        .with("value", Fact.word(hand.place.aspect().word(hand.value)));
            case Left left ->
                Phrase.of(ROOM, "left")
                        .with("part", new Fact.PartOf(left.place.device(), left.place.part()))
                        .with("value", Fact.word(left.place.aspect().word(left.value)));
        };
    }

    String ROOM = "core/proof";
}
