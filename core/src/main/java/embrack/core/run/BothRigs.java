package embrack.core.run;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Cue;
import embrack.core.sim.Meant;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Outcome;
import embrack.core.world.Place;
import embrack.core.world.Reading;
import embrack.core.world.World;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/**
 * Two rigs beside each other while a run goes on: the one in which everything comes about as it is meant, and the one
 * that the engine plays. What comes upon them is done to both, each as it takes it, and told on the tape.
 */
final class BothRigs {

    /** When a foot that pressed as planned lets go. Common practice, no source. */
    private static final long LET_GO_MICROS = 150_000;

    private final Night night;
    private final Engine engine;
    private final Agenda agenda;
    private final Tape tape;
    private final Watch watch;
    private final Loops loops;
    private final Consumer<Happened.Arrived> listener;
    private World ideal;
    private World actual;

    /** What was done last, to say who is to blame for what then stands wrong. */
    private Optional<Line.What> doing = Optional.empty();

    /** As they stand; {@code listener} is told of each message that a box does something by. */
    BothRigs(Run.State from, Agenda agenda, Tape tape, Consumer<Happened.Arrived> listener) {
        this.night = from.night();
        this.engine = night.engine();
        this.agenda = agenda;
        this.tape = tape;
        this.listener = listener;
        ideal = from.ideal();
        actual = from.actual();
        loops = new Loops(from.loops());
        watch = new Watch(rig(), tape, agenda, from.wrongs());
    }

    World ideal() {
        return ideal;
    }

    World actual() {
        return actual;
    }

    Watch watch() {
        return watch;
    }

    Loops loops() {
        return loops;
    }

    private Rig rig() {
        return night.plan().rig();
    }

    // ---------------------------------------------------------------- time

    /** When the next message arrives, microseconds of the run; {@link Long#MAX_VALUE} where none is under way. */
    long nextArrival() {
        return actual.nextArrivalMicros().isPresent()
                ? agenda.now() + actual.nextArrivalMicros().getAsLong()
                : Long.MAX_VALUE;
    }

    /** Time goes on to a moment before which nothing comes but what arrives at it. */
    void pass(long at) {
        long by = at - agenda.now();
        if (by > 0 || nextArrival() <= at) {
            agenda.goOn(at);
            take(engine.step(actual, new Event.Wait(by)));
        }
    }

    /** What was to come about by now does. */
    void done(Due.OfRigs deed) {
        switch (deed) {
            case Due.LetGo let -> {
                intend(stepsAt(let.at(), Moment.RELEASE));
                take(engine.step(actual, new Event.Release(let.at())));
            }
            case Due.Send send -> take(engine.step(actual, new Event.Send(send.from(), send.message())));
            case Due.Intend intend -> ideal = night.intended(ideal, List.of(intend.step()));
            case Due.ByItself itself -> actual = night.intended(actual, List.of(itself.step()));
            case Due.Late late -> {
                befall(new Event.Mishap(late.link(), Event.Fate.LATE));
                long next = agenda.now() + Fault.Stutter.EVERY_MICROS;
                if (next <= late.until()) {
                    agenda.add(next, late);
                }
            }
            case Due.Look look -> watch.look(look.place(), agenda.now());
        }
    }

    // ---------------------------------------------------------------- what is meant and sent

    /** A cue comes: what it means comes about, and its player sends what it sends, where it does. */
    void cue(DeviceId player, Cue cue, Line.Cued line) {
        blame(line);
        intend(Meant.steps(cue));
        if (line.sent()) {
            byItself(player, cue);
            send(player, cue);
        }
    }

    private void send(DeviceId player, Cue cue) {
        for (Engine.Timed timed : engine.timed(player, cue)) {
            if (timed.atMicros() == 0) {
                take(engine.step(actual, new Event.Send(player, timed.message())));
            } else {
                agenda.in(timed.atMicros(), new Due.Send(player, timed.message()));
            }
        }
    }

    /** What a player does at itself, without a message, each step when what stands before it has waited. */
    private void byItself(DeviceId player, Cue cue) {
        long wait = 0;
        for (Step step : cue.steps()) {
            wait += step.waitMillis() * 1_000L;
            if (step.device().equals(player) && wait == 0) {
                actual = night.intended(actual, List.of(step));
            } else if (step.device().equals(player)) {
                agenda.in(wait, new Due.ByItself(step));
            }
        }
    }

    /** Steps are meant to come about, each when what stands before it has waited. */
    private void intend(List<Step> steps) {
        long wait = 0;
        for (Step step : steps) {
            wait += step.waitMillis() * 1_000L;
            if (wait == 0) {
                ideal = night.intended(ideal, List.of(step));
            } else {
                agenda.in(wait, new Due.Intend(step));
            }
        }
    }

    // ---------------------------------------------------------------- what is pressed

    /** A foot goes down. */
    void press(SwitchAt at, boolean meant) {
        tread(at, false, meant);
    }

    /** A foot goes down as planned, and is let go again. */
    void pressAsPlanned(SwitchAt at) {
        tread(at, true, true);
        agenda.in(LET_GO_MICROS, new Due.LetGo(at));
    }

    private void tread(SwitchAt at, boolean planned, boolean meant) {
        blame(new Line.Trod(at, Moment.PRESS, planned));
        if (meant) {
            mean(at);
        }
        take(engine.step(actual, new Event.Press(at)));
    }

    /** What a press means comes about, whether or not somebody pressed. */
    void mean(SwitchAt at) {
        List<Step> steps = night.meantBy(at, ideal);
        ideal = night.alternates(at) ? ideal.turning(at) : ideal;
        intend(steps);
    }

    /** A foot goes up. */
    void release(SwitchAt pressed) {
        SwitchAt at = standing(pressed);
        tell(new Line.Trod(at, Moment.RELEASE, false));
        if (actual.isHeld(at)) {
            intend(stepsAt(at, Moment.RELEASE));
        }
        take(engine.step(actual, new Event.Release(at)));
    }

    /** A switch is held or pressed twice. */
    void gesture(Event.ByFoot what, SwitchAt at, Moment moment) {
        blame(new Line.Trod(at, moment, false));
        intend(stepsAt(at, moment));
        take(engine.step(actual, what));
    }

    /** The switch that is pressed there in the bank that is shown. */
    SwitchAt standing(SwitchAt at) {
        return engine.standing(actual, at);
    }

    private List<Step> stepsAt(SwitchAt at, Moment moment) {
        return night.plan().switches().at(at).steps(moment);
    }

    /** What is done at a box by hand is meant. */
    void did(Event.ByHand what) {
        blame(new Line.Did(what));
        if (what instanceof Event.Set set) {
            ideal = ideal.with(set.place(), set.value());
        }
        World before = actual;
        take(engine.step(actual, what));
        if (what instanceof Event.Move) {
            ideal = ideal.after(List.of()).corrected(moved(before));
        }
    }

    /** The ideal rig with what a control has just moved. */
    private World moved(World before) {
        World moved = ideal;
        for (Place place : before.differences(actual)) {
            moved = moved.with(place, actual.value(place));
        }
        return moved;
    }

    // ---------------------------------------------------------------- what goes wrong

    /** Something goes wrong: what stands wrong from now on is put down to it. */
    void struck(Fault fault) {
        blame(new Line.Struck(fault));
    }

    /** Something comes upon the rig as it is. */
    void befall(Event event) {
        actual = engine.step(actual, event).after();
        loops.befell(actual);
    }

    /** Somebody does at the rig as it is what nobody meant. */
    void slip(Event.ByHand what) {
        take(engine.step(actual, what));
    }

    /** Something is brought back. */
    void repair(Event event) {
        blame(new Line.Repaired(event));
        befall(event);
    }

    // ---------------------------------------------------------------- what is told

    private void take(Outcome outcome) {
        World before = actual;
        actual = outcome.after();
        outcome.trace().forEach(happened -> tell(new Line.Travelled(happened)));
        for (Happened happened : outcome.trace()) {
            if (happened instanceof Happened.Arrived arrived && arrived.reading() instanceof Reading.Acts acts) {
                loops.did(arrived.socket().device(), acts.actions(), before, outcome.after(), agenda.now());
                listener.accept(arrived);
            }
        }
        if (before != actual) {
            compare();
        }
    }

    private void tell(Line.What what) {
        tape.tell(agenda.now(), what);
    }

    private void blame(Line.What what) {
        tell(what);
        doing = Optional.of(what);
    }

    /** Holds the one against the other. */
    void compare() {
        watch.compare(ideal, actual, agenda.now(), doing);
    }
}
