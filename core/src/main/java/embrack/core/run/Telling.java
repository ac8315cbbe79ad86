package embrack.core.run;

import embrack.core.chart.Aspect;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.switches.Step;
import embrack.core.word.Fact;
import embrack.core.word.Phrase;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Place;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What happens in a run, to be said. */
public record Telling(Night night) {

    static final String ROOM = "core/run";

    /** One line of what happened. */
    public Phrase of(Line.What what) {
        return switch (what) {
            case Line.Began began -> Phrase.of(ROOM, "began").with("part", part(began.part()));
            case Line.Ended ended -> Phrase.of(ROOM, "ended").with("part", part(ended.part()));
            case Line.InSection in ->
                Phrase.of(ROOM, "section").with("section", section(in)).with("pass", in.pass());
            case Line.Leapt leapt -> leap(leapt.leap());
            case Line.Cued cued -> cued(cued);
            case Line.Trod trod ->
                Phrase.of(ROOM, "trod." + trod.moment().key()).with("at", trod.at());
            case Line.Did did -> did(did.what());
            case Line.Travelled travelled -> travelled(travelled.what());
            case Line.Struck struck -> fault(struck.fault());
            case Line.Repaired back -> repaired(back.event());
            case Line.Amiss amiss -> amiss(amiss.wrong());
            case Line.Righted righted ->
                Phrase.of(ROOM, "righted").with("place", place(righted.place())).with("micros", righted.afterMicros());
            case Line.Silent silent -> Phrase.of(ROOM, "silent");
            case Line.Sounds sounds -> Phrase.of(ROOM, "sounds").with("micros", sounds.afterMicros());
            case Line.Missed missed -> Phrase.of(ROOM, "missed").with("at", missed.at());
            case Line.Marked marked ->
                Phrase.of(ROOM, "marked")
                        .with("words", new Fact.Name(marked.words().isEmpty() ? "none" : marked.words()));
            case Line.WentBack back -> Phrase.of(ROOM, "back").with("micros", back.to());
        };
    }

    private Phrase amiss(Wrong wrong) {
        boolean isPassedOver = wrong.place().aspect() == Aspect.CHOSEN && wrong.meant() != 0;
        return isPassedOver
                ? Phrase.of(ROOM, "amiss.chosen").with("place", place(wrong.place()))
                : Phrase.of(ROOM, "amiss")
                        .with("place", place(wrong.place()))
                        .with("actual", value(wrong.place(), wrong.actual()))
                        .with("meant", value(wrong.place(), wrong.meant()));
    }

    /** Why a place stands wrong, as far as what happened to messages, or went wrong before, tells it. */
    public Optional<Phrase> because(Wrong wrong) {
        return wrong.where().flatMap(this::stuck).or(() -> wrong.by().flatMap(this::astray));
    }

    private Optional<Phrase> stuck(Happened happened) {
        return switch (happened) {
            case Happened.Lost lost ->
                Optional.of(Phrase.of(ROOM, "because.cable").with("plug", lost.socket()));
            case Happened.Failed failed ->
                Optional.of(Phrase.of(ROOM, "because.stuck").with("plug", failed.socket()));
            case Happened.CameRound round ->
                Optional.of(Phrase.of(ROOM, "because.round").with("plug", round.socket()));
            case Happened.Arrived arrived ->
                Optional.of(Phrase.of(ROOM, "because.unread")
                        .with("box", arrived.socket().device())
                        .with("reading", reading(arrived)));
            default -> Optional.empty();
        };
    }

    private Optional<Phrase> astray(Line.What by) {
        return switch (by) {
            case Line.Struck struck ->
                Optional.of(Phrase.of(ROOM, "because.fault").with("fault", fault(struck.fault())));
            case Line.Cued cued -> cued.sent() ? Optional.empty() : Optional.of(Phrase.of(ROOM, "because.cue"));
            default -> Optional.empty();
        };
    }

    private Fact part(int part) {
        return new Fact.Name(night.parts().get(part).entry().name().text());
    }

    private Fact section(Line.InSection in) {
        return new Fact.Name(night.song(in.part())
                .map(Song::form)
                .map(form -> form.sections().get(in.section()).name().text())
                .orElse(""));
    }

    private Phrase cued(Line.Cued cued) {
        Plan plan = night.plan();
        List<Step> steps = plan.book()
                .cue(cued.song(), cued.cue(), cued.every())
                .map(Cue::steps)
                .orElse(List.of());
        if (!cued.sent()) {
            return Phrase.of(ROOM, "cued.not-sent")
                    .with(
                            "player",
                            plan.book().find(cued.song()).flatMap(plan::player).orElseThrow())
                    .with("what", steps);
        }
        return steps.isEmpty()
                ? Phrase.of(ROOM, "cued.raw")
                : Phrase.of(ROOM, "cued").with("what", steps);
    }

    private Phrase did(Event.ByHand what) {
        return switch (what) {
            case Event.TurnTo turn ->
                Phrase.of(ROOM, "turned").with("box", turn.box()).with("bank", turn.bank());
            case Event.Move move ->
                Phrase.of(ROOM, "moved").with("control", move.at()).with("position", move.position());
            case Event.Set set ->
                Phrase.of(ROOM, "set").with("place", place(set.place())).with("value", value(set.place(), set.value()));
            case Event.ByFoot foot -> Phrase.of(ROOM, "trod.press").with("at", foot.at());
        };
    }

    private Phrase travelled(Happened what) {
        return switch (what) {
            case Happened.Sent sent ->
                Phrase.of(ROOM, "sent").with("box", sent.socket().device()).with("message", message(sent.message()));
            case Happened.Lost lost -> at("lost", lost);
            case Happened.Failed failed -> at("failed", failed);
            case Happened.KeptBack kept -> at("kept-back", kept);
            case Happened.CameRound round -> at("came-round", round);
            case Happened.Arrived arrived ->
                Phrase.of(ROOM, "arrived")
                        .with("box", arrived.socket().device())
                        .with("reading", reading(arrived));
        };
    }

    private static Phrase at(String key, Happened what) {
        return Phrase.of(ROOM, key).with("message", message(what.message())).with("plug", what.socket());
    }

    private Fact reading(Happened.Arrived arrived) {
        return new Fact.Name(
                arrived.reading().words(night.plan().rig(), arrived.socket().device()));
    }

    private static Fact message(Message message) {
        return new Fact.Name(message.toString());
    }

    private static Phrase leap(Leap leap) {
        return switch (leap) {
            case Leap.Play play -> Phrase.of(ROOM, "leap.play");
            case Leap.Stop stop -> Phrase.of(ROOM, "leap.stop");
            case Leap.Pause pause -> Phrase.of(ROOM, "leap.pause");
            case Leap.Fade fade -> Phrase.of(ROOM, "leap.fade");
            case Leap.ToSong to -> Phrase.of(ROOM, "leap.song").with("number", to.place());
            case Leap.Ready ready -> Phrase.of(ROOM, "leap.ready").with("number", ready.place());
            case Leap.ToSection to -> Phrase.of(ROOM, "leap.section").with("number", to.number());
            case Leap.Again again -> Phrase.of(ROOM, "leap.again");
            case Leap.BySongs by -> Phrase.of(ROOM, "leap.songs").with("by", by.songs());
            case Leap.BySections by -> Phrase.of(ROOM, "leap.sections").with("by", by.sections());
            case Leap.LetGo go -> Phrase.of(ROOM, "leap.let-go");
        };
    }

    /** Something that goes wrong, or could. */
    public Phrase fault(Fault fault) {
        return switch (fault) {
            case Fault.LinkOut out -> Phrase.of(ROOM, "fault.link-out").with("link", link(out.link()));
            case Fault.BoxOut out -> Phrase.of(ROOM, "fault.box-out").with("box", out.box());
            case Fault.Slip slip ->
                Phrase.of(ROOM, "fault." + slip.fate().name().toLowerCase(Locale.ROOT))
                        .with("link", link(slip.link()));
            case Fault.Stutter stutter ->
                Phrase.of(ROOM, "fault.stutter")
                        .with("link", link(stutter.link()))
                        .with("micros", stutter.forMicros());
            case Fault.Misstep step -> Phrase.of(ROOM, "fault.misstep").with("at", step.at());
            case Fault.Astray astray ->
                Phrase.of(ROOM, "fault.astray")
                        .with("place", place(astray.place()))
                        .with("value", value(astray.place(), astray.value()));
            case Fault.Overrun overrun -> Phrase.of(ROOM, "fault.overrun").with("micros", overrun.micros());
        };
    }

    /** What brings something back. */
    public static Phrase repaired(Event event) {
        return switch (event) {
            case Event.LinkBack back -> Phrase.of(ROOM, "repaired.link").with("link", link(back.link()));
            case Event.On on -> Phrase.of(ROOM, "repaired.box").with("box", on.device());
            case Event.GoOver over ->
                Phrase.of(ROOM, "repaired.second")
                        .with("first", over.pair().first())
                        .with("second", over.pair().second());
            case Event.GoBack back ->
                Phrase.of(ROOM, "repaired.first").with("first", back.pair().first());
            default -> throw new IllegalArgumentException(event + " brings nothing back");
        };
    }

    /** What somebody has to do to bring something back. */
    public static Phrase toRepair(Event event) {
        return switch (event) {
            case Event.LinkBack back -> Phrase.of(ROOM, "repair.link").with("link", link(back.link()));
            case Event.On on -> Phrase.of(ROOM, "repair.box").with("box", on.device());
            case Event.GoOver over ->
                Phrase.of(ROOM, "repair.second").with("second", over.pair().second());
            case Event.GoBack back ->
                Phrase.of(ROOM, "repair.first").with("first", back.pair().first());
            default -> throw new IllegalArgumentException(event + " brings nothing back");
        };
    }

    private static Fact link(Link link) {
        return new Fact.Joined(link.from(), link.to());
    }

    private static Fact place(Place place) {
        return new Fact.PartOf(place.device(), place.part());
    }

    private Fact value(Place place, int value) {
        Rig rig = night.plan().rig();
        return new Fact.Name(place.word(rig, value));
    }
}
