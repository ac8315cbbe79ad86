package embrack.core.run;

import embrack.core.chart.Action;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Pair;
import embrack.core.run.Playhead.Mode;
import embrack.core.run.Script.Beat;
import embrack.core.show.Calls;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Running;
import embrack.core.show.Song;
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
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/**
 * A run while it goes on. It goes from one instant to the next: to what comes later, to the next beat of a song, to the
 * next message that arrives; so it does not matter in how many pieces time is told.
 */
final class Going {

    /** When a foot that pressed as planned lets go. Common practice, no source. */
    private static final long LET_GO_MICROS = 150_000;

    /** When somebody presses once more for what did not begin. Common practice, no source. */
    private static final long TRY_AGAIN_MICROS = 3_000_000;

    /** How often somebody presses before going to the player. Common practice, no source. */
    private static final int TRIES = 3;

    /** When somebody begins it at the player, where presses did not. Common practice, no source. */
    private static final long WALK_TO_PLAYER_MICROS = 20_000_000;

    /** How often more than usual something goes round before somebody lets it go at the player. */
    private static final int TOO_OFTEN = 4;

    /** How long a song takes to fade, where the plan does not say. Common practice, no source. */
    private static final long FADE_MICROS = 5_000_000;

    private final Night night;
    private final Engine engine;
    private long now;
    private boolean byPlan;
    private Playhead head;
    private final List<Playhead> tails;
    private World ideal;
    private World actual;
    private final Agenda agenda;
    private final Watch watch;
    private final SortedSet<DeviceId> stopped;
    private long silentSince;
    private final Feet feet;
    private final Tape tape;
    private int ready;

    /** What was done last, to say who is to blame for what then stands wrong. */
    private Optional<Line.What> doing = Optional.empty();

    Going(Run.State from) {
        night = from.night();
        engine = night.engine();
        now = from.now();
        byPlan = from.byPlan();
        head = from.head();
        tails = new ArrayList<>(from.tails());
        ideal = from.ideal();
        actual = from.actual();
        agenda = new Agenda(from.due(), from.dues());
        tape = new Tape(from.tape(), from.lines());
        watch = new Watch(night.plan().rig(), tape, agenda, from.wrongs());
        stopped = new TreeSet<>(from.stopped());
        silentSince = from.silentSince();
        feet = new Feet(from.feet(), from.strays());
        ready = from.ready();
    }

    Run.State state() {
        return new Run.State(
                night,
                now,
                byPlan,
                head,
                tails,
                ideal,
                actual,
                agenda.all(),
                agenda.count(),
                watch.wrongs(),
                stopped,
                silentSince,
                feet.all(),
                feet.strays(),
                tape.last(),
                tape.lines(),
                ready);
    }

    // ---------------------------------------------------------------- time

    void until(long to) {
        for (long at = nextInstant(); at <= to && at != Long.MAX_VALUE; at = nextInstant()) {
            pass(at);
            happen();
            compare();
        }
        if (to != Long.MAX_VALUE) {
            pass(to);
        }
    }

    /** When something comes next. */
    long nextInstant() {
        long next = agenda.next();
        for (Playhead tail : tails) {
            next = Math.min(next, nextOf(tail));
        }
        next = Math.min(next, nextOfHead());
        if (actual.nextArrivalMicros().isPresent()) {
            next = Math.min(next, now + actual.nextArrivalMicros().getAsLong());
        }
        return next == Long.MAX_VALUE ? next : Math.max(now, next);
    }

    private long nextOfHead() {
        return switch (head.mode()) {
            case WAITS -> nextCall();
            case GOES -> Math.min(nextOf(head), handover());
            case HELD, STOPPED, OVER -> Long.MAX_VALUE;
        };
    }

    /** When somebody presses for what waits, or it begins by itself. */
    private long nextCall() {
        boolean asksForAPress = night.start(head.part()).isPresent();
        if (!byPlan && asksForAPress) {
            return Long.MAX_VALUE;
        }
        return head.calls() == 0
                ? head.origin()
                : head.calls() < TRIES
                        ? head.calledMicros() + head.calls() * TRY_AGAIN_MICROS
                        : head.calledMicros() + WALK_TO_PLAYER_MICROS;
    }

    /** When the next beat, the end of the section, or the end comes of what goes. */
    private long nextOf(Playhead of) {
        Optional<Script> script = night.script(of.part());
        if (script.isEmpty()) {
            return end(of);
        }
        long boundary = boundary(of, script.get());
        List<Beat> inside = script.get().inside();
        long beat =
                of.next() < inside.size() ? of.origin() + inside.get(of.next()).at() : Long.MAX_VALUE;
        return Math.min(beat, boundary);
    }

    /** When the section ends, or the song. */
    private static long boundary(Playhead of, Script script) {
        Song song = script.song();
        return of.section() + 1 < song.form().sections().size()
                ? of.origin() + Math.min(song.form().endMicros(of.section()), song.endMicros())
                : of.origin() + song.endMicros() + of.extraMicros();
    }

    /** When a part ends that has no script; never where somebody has to end it, or nobody knows how long it takes. */
    private long end(Playhead of) {
        Running.Part part = night.parts().get(of.part());
        Calls.Ending ending = part.entry().calls().ending();
        boolean isEndedByPeople = ending != Calls.Ending.ITSELF || part.lengthMicros() == 0 || isSpoken(part);
        return !byPlan && isEndedByPeople && of.part() + 1 < night.parts().size()
                ? Long.MAX_VALUE
                : of.origin() + part.lengthMicros() + of.extraMicros();
    }

    private static boolean isSpoken(Running.Part part) {
        return part.entry().item().isSpoken();
    }

    /** When the next part begins while this one still goes; never where it does not. */
    private long handover() {
        long gap = night.parts().get(head.part()).entry().transition().gapMicros();
        if (gap >= 0 || head.part() + 1 >= night.parts().size()) {
            return Long.MAX_VALUE;
        }
        Optional<Script> script = night.script(head.part());
        if (script.isEmpty()) {
            long end = end(head);
            return end == Long.MAX_VALUE ? end : Math.max(head.origin(), end + gap);
        }
        boolean isLast =
                head.section() + 1 >= script.get().song().form().sections().size();
        return isLast ? boundary(head, script.get()) + gap : Long.MAX_VALUE;
    }

    /** When the part ends that goes, or its section while others follow; never where nobody knows. */
    long endsMicros() {
        return night.script(head.part()).map(script -> boundary(head, script)).orElseGet(() -> end(head));
    }

    /** Goes on to a moment before which nothing comes but what arrives at it. */
    private void pass(long at) {
        boolean isArriving = actual.nextArrivalMicros().orElse(Long.MAX_VALUE) <= at - now;
        if (at > now || isArriving) {
            long by = at - now;
            now = at;
            take(engine.step(actual, new Event.Wait(by)));
        }
    }

    /** All that comes now. */
    private void happen() {
        while (agenda.next() <= now) {
            done(agenda.take());
        }
        for (int i = 0; i < tails.size(); ) {
            if (nextOf(tails.get(i)) > now) {
                i++;
            } else if (tailGoes(i)) {
                tails.remove(i);
            }
        }
        for (long next = nextOfHead(); next <= now; next = nextOfHead()) {
            headGoes();
        }
    }

    /** What goes on of a song while the next has begun; whether it is over. */
    private boolean tailGoes(int index) {
        Playhead tail = tails.get(index);
        Optional<Script> script = night.script(tail.part());
        if (script.isPresent() && isBeatNext(tail, script.get())) {
            beat(tail, script.get());
            tails.set(index, tail.past());
            return false;
        }
        if (script.isPresent()
                && tail.section() + 1 < script.get().song().form().sections().size()) {
            tails.set(index, tail.inSection(tail.section() + 1));
            return false;
        }
        ended(tail);
        return true;
    }

    private boolean isBeatNext(Playhead of, Script script) {
        return of.next() < script.inside().size()
                && of.origin() + script.inside().get(of.next()).at() < boundary(of, script)
                && of.origin() + script.inside().get(of.next()).at() <= now;
    }

    private void headGoes() {
        if (head.mode() == Mode.WAITS) {
            call();
            return;
        }
        Optional<Script> script = night.script(head.part());
        if (script.isPresent() && isBeatNext(head, script.get())) {
            beat(head, script.get());
            head = head.past();
        } else if (handover() <= now) {
            tails.add(head);
            head = Playhead.waiting(head.part() + 1, now);
            expect();
        } else if (script.isPresent()
                && boundary(head, script.get()) <= now
                && (goesRound(script.get())
                        || head.section() + 1
                                < script.get().song().form().sections().size())) {
            section(script.get());
        } else {
            over();
        }
    }

    // ---------------------------------------------------------------- songs

    /** A beat of a song comes; one that only the player knows comes once. */
    private void beat(Playhead of, Script script) {
        Beat beat = script.inside().get(of.next());
        if (!beat.timed() && of.pass() > 1 || of.early().contains(of.next())) {
            return;
        }
        Optional<SwitchAt> foot = beat.cue().foot();
        if (foot.isEmpty()) {
            cue(script, beat);
        } else if (!isTooSoonToLetGo(of, script, foot.get())) {
            step(foot.get(), Footfall.Why.CUE, of.part(), beat.cue().number());
        }
    }

    /** Whether a press would end what is usually played once more. */
    private boolean isTooSoonToLetGo(Playhead of, Script script, SwitchAt at) {
        return of.pass() < script.song().form().sections().get(of.section()).passes()
                && night.letsGo(at, script.player());
    }

    /** The end of a section: once more, or the next. */
    private void section(Script script) {
        Form form = script.song().form();
        int section = head.section();
        if (goesRound(script)) {
            long from = form.startMicros(section);
            long end = boundary(head, script) - head.origin();
            script.loop().forEach(beat -> cue(script, beat));
            head = head.once(end - from, script.firstFrom(from));
        } else {
            head = head.inSection(section + 1);
        }
        tell(new Line.InSection(head.part(), head.section(), head.pass()));
    }

    /** Whether the section that ends is played once more. */
    private boolean goesRound(Script script) {
        if (head.again()) {
            return true;
        }
        var section = script.song().form().sections().get(head.section());
        DeviceId player = leader(script.player());
        Optional<Place> on = night.vamps(player).stream()
                .filter(place -> actual.value(place) != 0)
                .findFirst();
        if (on.isPresent() && !head.released()) {
            if (!byPlan || head.pass() < section.passes() + TOO_OFTEN) {
                return true;
            }
            did(new Event.Set(on.get(), 0));
            return false;
        }
        boolean isVampedByPeople = section.vamp() && !night.isVampWorked(script.player()) && !head.released();
        return isVampedByPeople && (!byPlan || head.pass() < section.passes());
    }

    /** A part is over, and the next one's turn has come. */
    private void over() {
        Playhead old = head;
        ended(old);
        int next = old.part() + 1;
        long gap =
                Math.max(0, night.parts().get(old.part()).entry().transition().gapMicros());
        head = next < night.parts().size() ? Playhead.waiting(next, now + gap) : old.in(Mode.OVER, now);
        expect();
    }

    /** A part has come to its end, with what its player then sends, and what somebody presses. */
    private void ended(Playhead of) {
        night.script(of.part()).ifPresent(script -> {
            for (int i = of.next(); i < script.inside().size(); i++) {
                Beat beat = script.inside().get(i);
                if (beat.cue().foot().isEmpty() && !of.early().contains(i)) {
                    cue(script, beat);
                }
            }
            script.stop().forEach(beat -> cue(script, beat));
        });
        tell(new Line.Ended(of.part()));
        calls(of.part()).end().ifPresent(at -> {
            if (byPlan || !feet.isAsked(at, of.part(), Footfall.Why.END)) {
                step(at, Footfall.Why.END, of.part(), 0);
            }
        });
        music();
    }

    /** Somebody begins what waits, or it begins by itself. */
    private void call() {
        Optional<SwitchAt> start = night.start(head.part());
        if (start.isEmpty()) {
            begin(head.part(), Entrance.PLANNED);
            return;
        }
        if (head.calls() >= TRIES) {
            tell(new Line.Leapt(new Leap.Play()));
            begin(head.part(), Entrance.PLANNED);
            return;
        }
        boolean isFirst = head.calls() == 0;
        int part = head.part();
        head = head.called(now);
        if (isFirst) {
            calls(part).arm().ifPresent(at -> step(at, Footfall.Why.ARM, part, 0));
        }
        step(start.get(), Footfall.Why.START, part, 0);
        if (head.mode() == Mode.WAITS && head.part() == part && !night.isBegunByPlayer(part)) {
            begin(part, Entrance.PLANNED);
        } else {
            music();
        }
    }

    /** Where a part begins. */
    private enum Entrance {
        /** With its first sound. */
        PLANNED,
        /** With the bars before it that people get to be ready. */
        AFTER_A_JUMP
    }

    private void begin(int part, Entrance how) {
        Optional<Script> script = night.script(part);
        ready = -1;
        script.map(Script::player)
                .filter(player -> !actual.isDark(leader(player)))
                .ifPresent(player -> stopped.remove(leader(player)));
        tell(new Line.Began(part));
        if (script.isEmpty()) {
            head = Playhead.going(part, now, 0, 0);
            expectEnd();
        } else {
            Song song = script.get().song();
            long from = song.trims().startMicros();
            long leadIn = how == Entrance.AFTER_A_JUMP ? Night.leadInMicros(song, from) : 0;
            int section = song.form()
                    .sectionOf(song.form()
                            .tempoMap()
                            .position(song.form().tempoMap().tickAt(from))
                            .bar());
            script.get().load().forEach(beat -> cue(script.get(), beat));
            head = Playhead.going(part, now + leadIn - from, section, 0);
            tell(new Line.InSection(part, section, 1));
        }
        music();
    }

    // ---------------------------------------------------------------- what is sent and pressed

    /** The one of a pair that is used. */
    private DeviceId leader(DeviceId player) {
        for (Pair pair : night.plan().rig().pairs()) {
            if (pair.first().equals(player) && actual.isOver(pair)) {
                return pair.second();
            }
        }
        return player;
    }

    private boolean plays(DeviceId player) {
        return !actual.isDark(leader(player)) && !stopped.contains(leader(player));
    }

    /** A cue comes: what it means comes about, and its player sends what it sends, if it plays. */
    private void cue(Script script, Beat beat) {
        Cue cue = beat.cue();
        boolean sent = plays(script.player());
        Line.Cued line = new Line.Cued(script.song().id(), cue.number(), beat.every(), sent);
        tell(line);
        doing = Optional.of(line);
        intend(Meant.steps(cue));
        if (!sent) {
            return;
        }
        byItself(script.player(), cue);
        for (Engine.Timed timed : engine.timed(script.player(), cue)) {
            if (timed.atMicros() == 0) {
                take(engine.step(actual, new Event.Send(script.player(), timed.message())));
            } else {
                later(now + timed.atMicros(), new Due.Send(script.player(), timed.message()));
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
                later(now + wait, new Due.ByItself(step));
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
                later(now + wait, new Due.Intend(step));
            }
        }
    }

    /** A press of the plan: the run makes it, or somebody is expected to. */
    private void step(SwitchAt at, Footfall.Why why, int part, int cue) {
        if (byPlan) {
            tread(at, true, true);
        } else if (why == Footfall.Why.CUE || why == Footfall.Why.END) {
            mean(at);
            feet.expect(Footfall.due(at, why, part, cue, now).asMeant());
            later(now + Footfall.LATE_MICROS, new Due.GiveUp(at, now));
        }
    }

    /** A foot goes down; {@code planned} whether the run lets it go again, {@code meant} whether it should. */
    private void tread(SwitchAt at, boolean planned, boolean meant) {
        Line.Trod line = new Line.Trod(at, Moment.PRESS, planned);
        tell(line);
        doing = Optional.of(line);
        if (meant) {
            mean(at);
        }
        take(engine.step(actual, new Event.Press(at)));
        if (planned) {
            later(now + LET_GO_MICROS, new Due.LetGo(at));
        }
    }

    /** What a press means comes about. */
    private void mean(SwitchAt at) {
        List<Step> steps = night.meantBy(at, ideal);
        ideal = night.alternates(at) ? ideal.turning(at) : ideal;
        intend(steps);
    }

    private void done(Due.Deed deed) {
        switch (deed) {
            case Due.LetGo let -> {
                intend(night.plan().switches().at(let.at()).steps(Moment.RELEASE));
                take(engine.step(actual, new Event.Release(let.at())));
            }
            case Due.Send send -> take(engine.step(actual, new Event.Send(send.from(), send.message())));
            case Due.Intend intend -> ideal = night.intended(ideal, List.of(intend.step()));
            case Due.ByItself itself -> actual = night.intended(actual, List.of(itself.step()));
            case Due.Return back -> repair(back.event());
            case Due.Late late -> {
                actual = engine.step(actual, new Event.Mishap(late.link(), Event.Fate.LATE))
                        .after();
                long next = now + Fault.Stutter.EVERY_MICROS;
                if (next <= late.until()) {
                    later(next, late);
                }
            }
            case Due.Look look -> watch.look(look.place(), now);
            case Due.GiveUp up -> {
                if (feet.giveUp(up.at(), up.due())) {
                    tell(new Line.Missed(up.at()));
                }
            }
            case Due.Faded faded -> {
                if (head.part() == faded.part() && head.mode() == Mode.GOES) {
                    stop();
                }
            }
            case Due.Listen listen -> {
                if (silentSince >= 0 && now - silentSince >= Wrong.SETTLES_MICROS) {
                    tell(new Line.Silent(listen.part()));
                }
            }
        }
    }

    private void later(long at, Due.Deed deed) {
        agenda.add(at, deed);
    }

    // ---------------------------------------------------------------- what comes upon it

    void take(Act act) {
        switch (act) {
            case Act.ByHand hand -> byHand(hand.what());
            case Act.AtPlayer at -> leap(at.leap());
            case Act.GoOn on -> goOn();
            case Act.Feet by -> {
                byPlan = by.byPlan();
                expect();
                expectEnd();
            }
            case Act.Struck struck -> strike(struck.fault());
            case Act.Repaired back -> repair(back.event());
            case Act.Note note -> tell(new Line.Marked(note.words()));
            case Act.Back back -> throw new IllegalArgumentException("a run knows nothing of before; a history does");
            case Act.From from -> throw new IllegalArgumentException("only a history begins elsewhere");
        }
        happen();
        compare();
    }

    /** It went to an earlier moment, or elsewhere, from one by which so many lines had been told. */
    void cameFrom(Run.State other) {
        byPlan = other.byPlan();
        tape.follow(other.tape(), other.lines());
        tell(new Line.WentBack(now));
    }

    private void byHand(Event.ByHand what) {
        switch (what) {
            case Event.Press press -> pressed(engine.standing(actual, press.at()));
            case Event.Release release -> {
                SwitchAt at = engine.standing(actual, release.at());
                tell(new Line.Trod(at, Moment.RELEASE, false));
                if (actual.isHeld(at)) {
                    intend(night.plan().switches().at(at).steps(Moment.RELEASE));
                }
                take(engine.step(actual, new Event.Release(at)));
            }
            case Event.Hold hold -> gesture(hold, hold.at(), Moment.HOLD);
            case Event.DoublePress twice -> gesture(twice, twice.at(), Moment.DOUBLE_PRESS);
            default -> did(what);
        }
    }

    private void gesture(Event.ByFoot what, SwitchAt at, Moment moment) {
        Line.Trod line = new Line.Trod(at, moment, false);
        tell(line);
        doing = Optional.of(line);
        intend(night.plan().switches().at(at).steps(moment));
        take(engine.step(actual, what));
    }

    /** What is done at a box by hand is meant. */
    private void did(Event.ByHand what) {
        Line.Did line = new Line.Did(what);
        tell(line);
        doing = Optional.of(line);
        if (what instanceof Event.Set set) {
            ideal = ideal.with(set.place(), set.value());
        }
        World before = actual;
        take(engine.step(actual, what));
        if (what instanceof Event.Move) {
            ideal = ideal.after(List.of()).corrected(merged(before));
        }
    }

    /** The ideal rig with what a control has just moved. */
    private World merged(World before) {
        World moved = ideal;
        for (Place place : before.differences(actual)) {
            moved = moved.with(place, actual.value(place));
        }
        return moved;
    }

    /** Somebody presses: what was due, what comes soon, what begins the part that waits, or something else. */
    private void pressed(SwitchAt at) {
        Optional<Script> script = night.script(head.part());
        Optional<Footfall> waited = feet.pressed(at, now);
        boolean isEarly =
                waited.isEmpty() && head.mode() == Mode.GOES && script.isPresent() && pressedEarly(script.get(), at);
        boolean isSpeech = script.isEmpty() && head.mode() == Mode.GOES;
        boolean begins = waited.isEmpty() && isSpeech && isStartOfNext(at);
        if (begins) {
            long due = endsMicros() == Long.MAX_VALUE ? now : endsMicros();
            feet.expect(Footfall.due(at, Footfall.Why.START, head.part() + 1, 0, due)
                    .pressedAt(now));
        }
        boolean isFree = begins || isSpeech && endsThis(at) || script.isPresent() && letsGo(script.get(), at);
        if (waited.isEmpty() && !isEarly && !isFree) {
            feet.stray(at, now);
        }
        boolean isMeant = waited.filter(Footfall::meant).isEmpty();
        tread(at, false, isMeant);
        if (head.mode() == Mode.WAITS
                && night.start(head.part()).filter(at::equals).isPresent()) {
            head = head.called(now);
            if (night.isBegunByPlayer(head.part())) {
                music();
            } else {
                begin(head.part(), Entrance.PLANNED);
            }
        } else if (head.mode() == Mode.GOES && script.isEmpty() && isStartOfNext(at)) {
            over();
            head = head.called(now);
            if (!night.isBegunByPlayer(head.part())) {
                begin(head.part(), Entrance.PLANNED);
            }
        } else if (head.mode() == Mode.GOES && script.isEmpty() && endsThis(at)) {
            over();
        }
    }

    /** Whether somebody lets go what goes round: how often it does is up to the people. */
    private boolean letsGo(Script script, SwitchAt at) {
        return head.mode() == Mode.GOES
                && script.song().form().sections().get(head.section()).vamp()
                && night.letsGo(at, script.player());
    }

    private boolean isStartOfNext(SwitchAt at) {
        int next = head.part() + 1;
        return !byPlan
                && next < night.parts().size()
                && night.start(next).filter(at::equals).isPresent();
    }

    private boolean endsThis(SwitchAt at) {
        return !byPlan && calls(head.part()).end().filter(at::equals).isPresent();
    }

    /** Whether somebody presses what the song will soon ask for. */
    private boolean pressedEarly(Script script, SwitchAt at) {
        int beat = comesSoon(script, at);
        if (beat >= 0) {
            Beat soon = script.inside().get(beat);
            long due = head.origin() + soon.at();
            feet.expect(
                    Footfall.due(at, Footfall.Why.CUE, head.part(), soon.cue().number(), due)
                            .pressedAt(now));
            head = head.pressedEarly(beat);
        }
        return beat >= 0;
    }

    /** The beat of a song that will soon ask for that switch; -1 where none does. */
    private int comesSoon(Script script, SwitchAt at) {
        for (int i = head.next(); i < script.inside().size(); i++) {
            Beat beat = script.inside().get(i);
            if (head.origin() + beat.at() - now > Footfall.EARLY_MICROS) {
                return -1;
            }
            if (beat.cue().foot().filter(at::equals).isPresent()
                    && !head.early().contains(i)) {
                return i;
            }
        }
        return -1;
    }

    /** The presses that begin what waits are expected, where people press. */
    private void expect() {
        if (byPlan || head.mode() != Mode.WAITS) {
            return;
        }
        int part = head.part();
        long when = Math.max(now, head.origin());
        calls(part).arm().ifPresent(at -> feet.expectOnce(at, Footfall.Why.ARM, part, when));
        night.start(part).ifPresent(at -> feet.expectOnce(at, Footfall.Why.START, part, when));
    }

    private Calls calls(int part) {
        return night.parts().get(part).entry().calls();
    }

    /** The press that ends what goes is expected, where people press. */
    private void expectEnd() {
        if (byPlan || head.mode() != Mode.GOES || night.script(head.part()).isPresent()) {
            return;
        }
        int part = head.part();
        long when = head.origin() + night.parts().get(part).lengthMicros();
        calls(part).end().ifPresent(at -> feet.expectOnce(at, Footfall.Why.END, part, when));
    }

    private void goOn() {
        if (head.mode() == Mode.OVER) {
            return;
        }
        if (head.mode() == Mode.WAITS) {
            begin(head.part(), Entrance.PLANNED);
        } else {
            over();
            if (head.mode() == Mode.WAITS) {
                begin(head.part(), Entrance.PLANNED);
            }
        }
    }

    // ---------------------------------------------------------------- where the music goes

    /** The music goes elsewhere, as its player was told. */
    private void leap(Leap leap) {
        Optional<Script> script = night.script(head.part());
        switch (leap) {
            case Leap.Play play -> play(script);
            case Leap.Stop stop -> {
                if (head.mode() == Mode.GOES && script.isPresent()) {
                    tell(new Line.Leapt(leap));
                    stop();
                }
            }
            case Leap.Pause pause -> {
                if (head.mode() == Mode.GOES && script.isPresent()) {
                    tell(new Line.Leapt(leap));
                    head = head.in(Mode.HELD, now - head.origin());
                }
            }
            case Leap.Fade fade -> {
                if (head.mode() == Mode.GOES && script.isPresent()) {
                    tell(new Line.Leapt(leap));
                    long micros =
                            night.parts().get(head.part()).entry().transition().micros();
                    later(now + (micros == 0 ? FADE_MICROS : micros), new Due.Faded(head.part()));
                }
            }
            case Leap.ToSong song ->
                player().flatMap(player -> night.partOf(player, song.place(), head.part()))
                        .ifPresent(part -> {
                            tell(new Line.Leapt(leap));
                            jump(part);
                        });
            case Leap.Ready song ->
                player().flatMap(player -> night.partOf(player, song.place(), head.part()))
                        .ifPresent(part -> {
                            tell(new Line.Leapt(leap));
                            ready = part;
                        });
            case Leap.ToSection to -> section(script, to.number() - 1, leap);
            case Leap.BySections by -> section(script, head.section() + by.sections(), leap);
            case Leap.BySongs by -> bySongs(by.songs(), leap);
            case Leap.Again again -> {
                if (head.mode() == Mode.GOES && script.isPresent()) {
                    tell(new Line.Leapt(leap));
                    head = head.onceMore();
                }
            }
            case Leap.LetGo go -> {
                if (head.mode() == Mode.GOES && script.isPresent()) {
                    tell(new Line.Leapt(leap));
                    head = head.letGo();
                }
            }
        }
        music();
    }

    private Optional<DeviceId> player() {
        return night.player(head.part()).or(() -> night.player(0));
    }

    private void play(Optional<Script> script) {
        if (ready >= 0 && !(head.mode() == Mode.GOES && ready == head.part())) {
            tell(new Line.Leapt(new Leap.Play()));
            jump(ready);
            return;
        }
        switch (head.mode()) {
            case WAITS -> {
                if (script.isPresent()) {
                    begin(head.part(), Entrance.PLANNED);
                }
            }
            case HELD -> {
                tell(new Line.Leapt(new Leap.Play()));
                head = head.in(Mode.GOES, now - head.origin());
            }
            case STOPPED -> {
                tell(new Line.Leapt(new Leap.Play()));
                begin(head.part(), Entrance.PLANNED);
            }
            case GOES -> {
                if (script.isPresent() && !plays(script.get().player())) {
                    tell(new Line.Leapt(new Leap.Play()));
                    begin(head.part(), Entrance.PLANNED);
                } else if (script.isEmpty() && night.script(head.part() + 1).isPresent()) {
                    over();
                    begin(head.part(), Entrance.PLANNED);
                }
            }
            case OVER -> {}
        }
    }

    /** A song stops before its end. */
    private void stop() {
        Playhead old = head;
        head = head.in(Mode.STOPPED, now);
        night.script(old.part()).ifPresent(script -> script.stop().forEach(beat -> cue(script, beat)));
        tell(new Line.Ended(old.part()));
    }

    private void jump(int part) {
        boolean goes = head.mode() == Mode.GOES || head.mode() == Mode.HELD;
        if (goes) {
            Playhead old = head;
            night.script(old.part()).ifPresent(script -> script.stop().forEach(beat -> cue(script, beat)));
            tell(new Line.Ended(old.part()));
        }
        begin(part, goes || head.mode() == Mode.STOPPED ? Entrance.AFTER_A_JUMP : Entrance.PLANNED);
    }

    private void bySongs(int songs, Leap leap) {
        for (int part = head.part() + songs; part >= 0 && part < night.parts().size(); part += songs) {
            if (night.script(part).isPresent()) {
                tell(new Line.Leapt(leap));
                if (head.mode() == Mode.GOES && night.script(head.part()).isPresent()) {
                    jump(part);
                } else {
                    ready = part;
                }
                return;
            }
        }
    }

    private void section(Optional<Script> script, int section, Leap leap) {
        if (head.mode() != Mode.GOES || script.isEmpty()) {
            return;
        }
        Song song = script.get().song();
        Form form = song.form();
        if (section < 0 || section >= form.sections().size()) {
            return;
        }
        tell(new Line.Leapt(leap));
        long from = form.startMicros(section);
        head = Playhead.going(
                head.part(),
                now + Night.leadInMicros(song, from) - from,
                section,
                script.get().firstFrom(from));
        tell(new Line.InSection(head.part(), section, 1));
    }

    // ---------------------------------------------------------------- what goes wrong

    private void strike(Fault fault) {
        Line.Struck line = new Line.Struck(fault);
        tell(line);
        doing = Optional.of(line);
        switch (fault) {
            case Fault.LinkOut out -> {
                befall(new Event.LinkOut(out.link()));
                if (out.backAfterMicros() > 0) {
                    later(now + out.backAfterMicros(), new Due.Return(new Event.LinkBack(out.link())));
                }
            }
            case Fault.BoxOut out -> {
                befall(new Event.Off(out.box()));
                if (out.backAfterMicros() > 0) {
                    later(now + out.backAfterMicros(), new Due.Return(new Event.On(out.box())));
                }
            }
            case Fault.Slip slip -> befall(new Event.Mishap(slip.link(), slip.fate()));
            case Fault.Stutter stutter -> later(now, new Due.Late(stutter.link(), now + stutter.forMicros()));
            case Fault.Misstep step -> {
                take(engine.step(actual, new Event.Press(step.at())));
                take(engine.step(actual, new Event.Release(step.at())));
            }
            case Fault.Astray astray -> take(engine.step(actual, new Event.Set(astray.place(), astray.value())));
            case Fault.Overrun overrun -> head = head.longer(overrun.micros());
        }
        music();
    }

    private void befall(Event event) {
        actual = engine.step(actual, event).after();
        for (DeviceId player : night.plan().players()) {
            if (actual.isDark(player) && (head.mode() == Mode.GOES || !tails.isEmpty())) {
                stopped.add(player);
            }
        }
    }

    private void repair(Event event) {
        Line.Repaired line = new Line.Repaired(event);
        tell(line);
        doing = Optional.of(line);
        actual = engine.step(actual, event).after();
        music();
    }

    // ---------------------------------------------------------------- what is told

    private void take(Outcome outcome) {
        World before = actual;
        actual = outcome.after();
        for (Happened happened : outcome.trace()) {
            tell(new Line.Travelled(happened));
        }
        for (Happened happened : outcome.trace()) {
            if (happened instanceof Happened.Arrived arrived && arrived.reading() instanceof Reading.Acts acts) {
                acts.actions().forEach(action -> told(arrived, action));
            }
        }
        if (before != actual) {
            compare();
        }
    }

    /** The player of the songs was told something. */
    private void told(Happened.Arrived arrived, Action action) {
        Optional<DeviceId> player = player();
        if (player.isPresent() && leader(player.get()).equals(arrived.socket().device())) {
            boolean plays = actual.value(World.place(arrived.socket().device(), action)) == 1;
            Leap.of(night.chart(arrived.socket().device()), action, plays).ifPresent(this::leap);
        }
    }

    private void tell(Line.What what) {
        tape.tell(now, what);
    }

    /** Whether the song that should play does. */
    private void music() {
        Optional<Script> script = night.script(head.part());
        boolean isCalled = head.mode() == Mode.WAITS && head.calls() > 0 && script.isPresent();
        boolean isDumb =
                head.mode() == Mode.GOES && script.map(s -> !plays(s.player())).orElse(false);
        if ((isCalled || isDumb) && silentSince < 0) {
            silentSince = now;
            later(now + Wrong.SETTLES_MICROS, new Due.Listen(head.part()));
        } else if (!isCalled && !isDumb && silentSince >= 0) {
            if (now - silentSince >= Wrong.SETTLES_MICROS) {
                tell(new Line.Sounds(head.part(), now - silentSince));
            }
            silentSince = -1;
        }
    }

    private void compare() {
        watch.compare(ideal, actual, now, doing);
    }
}
