package embrack.core.run;

import embrack.core.chart.Action;
import embrack.core.rig.DeviceId;
import embrack.core.run.Playhead.Mode;
import embrack.core.run.Script.Beat;
import embrack.core.show.Calls;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Song;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import embrack.core.world.Happened;
import embrack.core.world.Place;
import embrack.core.world.Reading;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A run while it goes on. It goes from one instant to the next: to what comes later, to the next beat of a song, to the
 * next message that arrives; so it does not matter in how many pieces time is told.
 */
final class Going {

    /** How often more than usual something goes round before somebody lets it go at the player. */
    private static final int TOO_OFTEN = 4;

    /** How long a song takes to fade, where the plan does not say. Common practice, no source. */
    private static final long FADE_MICROS = 5_000_000;

    private final Night night;
    private final Agenda agenda;
    private final Tape tape;
    private final BothRigs rigs;
    private final Music music;
    private final Feet feet;
    private Timetable times;
    private Playhead head;
    private final List<Playhead> tails;
    private int ready;

    Going(Run.State from) {
        night = from.night();
        agenda = new Agenda(from.now(), from.due(), from.dues());
        tape = new Tape(from.tape(), from.lines());
        rigs = new BothRigs(from, agenda, tape, this::arrived);
        music = new Music(from, rigs, agenda, tape);
        feet = new Feet(from.feet(), from.strays());
        times = new Timetable(night, from.byPlan());
        head = from.head();
        tails = new ArrayList<>(from.tails());
        ready = from.ready();
    }

    Run.State state() {
        return new Run.State(
                night,
                now(),
                times.byPlan(),
                head,
                tails,
                rigs.ideal(),
                rigs.actual(),
                agenda.all(),
                agenda.count(),
                rigs.watch().wrongs(),
                rigs.loops().all(),
                music.stopped(),
                music.silentSince(),
                feet.all(),
                feet.strays(),
                tape.last(),
                tape.lines(),
                ready);
    }

    private long now() {
        return agenda.now();
    }

    // ---------------------------------------------------------------- time

    void until(long to) {
        for (long at = nextInstant(); at <= to && at != Long.MAX_VALUE; at = nextInstant()) {
            rigs.pass(at);
            happen();
            rigs.compare();
        }
        if (to != Long.MAX_VALUE) {
            rigs.pass(to);
        }
    }

    /** When something comes next. */
    long nextInstant() {
        long next = Math.min(agenda.next(), Math.min(times.next(head), rigs.nextArrival()));
        for (Playhead tail : tails) {
            next = Math.min(next, times.sounding(tail));
        }
        return next == Long.MAX_VALUE ? next : Math.max(now(), next);
    }

    /** When the part ends that goes, or its section while others follow; never where nobody knows. */
    long endsMicros() {
        return times.ends(head);
    }

    /** The player of the song that plays: of a pair the one that is used; empty where none plays. */
    Optional<DeviceId> playing() {
        return night.script(head.part())
                .map(Script::player)
                .filter(player -> head.mode() == Mode.GOES && music.plays(player))
                .map(music::leader);
    }

    /** All that comes now. */
    private void happen() {
        while (agenda.next() <= now()) {
            done(agenda.take());
        }
        for (int i = 0; i < tails.size(); ) {
            if (times.sounding(tails.get(i)) > now()) {
                i++;
            } else if (tailGoes(i)) {
                tails.remove(i);
            }
        }
        while (times.next(head) <= now()) {
            headGoes();
        }
    }

    /** What goes on of a song while the next has begun; whether it is over. */
    private boolean tailGoes(int index) {
        Playhead tail = tails.get(index);
        Optional<Script> script = night.script(tail.part());
        if (script.isPresent() && Timetable.isBeatNext(tail, script.get(), now())) {
            beat(tail, script.get());
            tails.set(index, tail.past());
            return false;
        }
        if (script.isPresent() && !Timetable.isLast(tail, script.get().song().form())) {
            tails.set(index, tail.inSection(tail.section() + 1));
            return false;
        }
        ended(tail);
        return true;
    }

    private void headGoes() {
        if (head.mode() == Mode.WAITS) {
            call();
            return;
        }
        Optional<Script> script = night.script(head.part());
        if (script.isPresent() && Timetable.isBeatNext(head, script.get(), now())) {
            beat(head, script.get());
            head = head.past();
        } else if (times.handover(head) <= now()) {
            tails.add(head);
            head = Playhead.waiting(head.part() + 1, now());
            expect();
        } else if (script.isPresent()
                && Timetable.boundary(head, script.get()) <= now()
                && (goesRound(script.get())
                        || !Timetable.isLast(head, script.get().song().form()))) {
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
            long end = Timetable.boundary(head, script) - head.origin();
            script.loop().forEach(beat -> cue(script, beat));
            head = head.once(end - from, script.firstFrom(from));
        } else {
            head = head.inSection(section + 1);
        }
        tell(new Line.InSection(head.part(), head.section(), head.pass()));
    }

    /** Whether the section that ends is played once more. */
    private boolean goesRound(Script script) {
        if (head.round().again()) {
            return true;
        }
        var section = script.song().form().sections().get(head.section());
        DeviceId player = music.leader(script.player());
        Optional<Place> on = night.vamps(player).stream()
                .filter(place -> rigs.actual().value(place) != 0)
                .findFirst();
        if (on.isPresent() && !head.round().released()) {
            if (!times.byPlan() || head.pass() < section.passes() + TOO_OFTEN) {
                return true;
            }
            rigs.did(new Event.Set(on.get(), 0));
            return false;
        }
        boolean isVampedByPeople = section.vamp()
                && !night.isVampWorked(script.player())
                && !head.round().released();
        return isVampedByPeople && (!times.byPlan() || head.pass() < section.passes());
    }

    /** A part is over, and the next one's turn has come. */
    private void over() {
        Playhead old = head;
        ended(old);
        int next = old.part() + 1;
        long gap =
                Math.max(0, night.parts().get(old.part()).entry().transition().gapMicros());
        head = next < night.parts().size() ? Playhead.waiting(next, now() + gap) : old.in(Mode.OVER, now());
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
            if (times.byPlan() || !feet.isAsked(at, of.part(), Footfall.Why.END)) {
                step(at, Footfall.Why.END, of.part(), 0);
            }
        });
        music.listen(head);
    }

    /** Somebody begins what waits, or it begins by itself. */
    private void call() {
        Optional<SwitchAt> start = night.start(head.part());
        if (start.isEmpty()) {
            begin(head.part(), Entrance.PLANNED);
            return;
        }
        if (head.called().times() >= Timetable.TRIES) {
            tell(new Line.Leapt(new Leap.Play()));
            begin(head.part(), Entrance.PLANNED);
            return;
        }
        boolean isFirst = head.called().times() == 0;
        int part = head.part();
        head = head.calledAt(now());
        if (isFirst) {
            calls(part).arm().ifPresent(at -> step(at, Footfall.Why.ARM, part, 0));
        }
        step(start.get(), Footfall.Why.START, part, 0);
        if (head.mode() == Mode.WAITS && head.part() == part && !night.isBegunByPlayer(part)) {
            begin(part, Entrance.PLANNED);
        } else {
            music.listen(head);
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
        script.map(Script::player).ifPresent(music::begin);
        tell(new Line.Began(part));
        if (script.isEmpty()) {
            head = Playhead.going(part, now(), 0, 0);
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
            head = Playhead.going(part, now() + leadIn - from, section, 0);
            tell(new Line.InSection(part, section, 1));
        }
        music.listen(head);
    }

    // ---------------------------------------------------------------- what is sent and pressed

    /** A cue comes: what it means comes about, and its player sends what it sends, if it plays. */
    private void cue(Script script, Beat beat) {
        Cue cue = beat.cue();
        boolean sent = music.plays(script.player());
        rigs.cue(script.player(), cue, new Line.Cued(script.song().id(), cue.number(), beat.every(), sent));
    }

    /** A press of the plan: the run makes it, or somebody is expected to. */
    private void step(SwitchAt at, Footfall.Why why, int part, int cue) {
        if (times.byPlan()) {
            rigs.pressAsPlanned(at);
        } else if (why == Footfall.Why.CUE || why == Footfall.Why.END) {
            rigs.mean(at);
            feet.expect(Footfall.due(at, why, part, cue, now()).asMeant());
            agenda.in(Footfall.LATE_MICROS, new Due.GiveUp(at, now()));
        }
    }

    private void done(Due.Deed deed) {
        switch (deed) {
            case Due.OfRigs ofRigs -> rigs.done(ofRigs);
            case Due.Return back -> repair(back.event());
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
            case Due.Listen listen -> music.settled(listen.part());
        }
    }

    // ---------------------------------------------------------------- what comes upon it

    void take(Act act) {
        switch (act) {
            case Act.ByHand hand -> byHand(hand.what());
            case Act.AtPlayer at -> leap(at.leap());
            case Act.GoOn on -> goOn();
            case Act.Feet by -> {
                times = new Timetable(night, by.byPlan());
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
        rigs.compare();
    }

    /** It went to an earlier moment, or elsewhere, from one by which so many lines had been told. */
    void cameFrom(Run.State other) {
        times = new Timetable(night, other.byPlan());
        tape.follow(other.tape(), other.lines());
        tell(new Line.WentBack(now()));
    }

    private void byHand(Event.ByHand what) {
        switch (what) {
            case Event.Press press -> pressed(rigs.standing(press.at()));
            case Event.Release release -> rigs.release(release.at());
            case Event.Hold hold -> rigs.gesture(hold, hold.at(), Moment.HOLD);
            case Event.DoublePress twice -> rigs.gesture(twice, twice.at(), Moment.DOUBLE_PRESS);
            default -> rigs.did(what);
        }
    }

    /** Somebody presses: what was due, what comes soon, what begins the part that waits, or something else. */
    private void pressed(SwitchAt at) {
        Optional<Script> script = night.script(head.part());
        Optional<Footfall> waited = feet.pressed(at, now());
        boolean isEarly =
                waited.isEmpty() && head.mode() == Mode.GOES && script.isPresent() && pressedEarly(script.get(), at);
        boolean isSpeech = script.isEmpty() && head.mode() == Mode.GOES;
        boolean begins = waited.isEmpty() && isSpeech && isStartOfNext(at);
        if (begins) {
            long due = endsMicros() == Long.MAX_VALUE ? now() : endsMicros();
            feet.expect(Footfall.due(at, Footfall.Why.START, head.part() + 1, 0, due)
                    .pressedAt(now()));
        }
        boolean isFree = begins || isSpeech && endsThis(at) || script.isPresent() && letsGo(script.get(), at);
        if (waited.isEmpty() && !isEarly && !isFree) {
            feet.stray(at, now());
        }
        boolean isMeant = waited.filter(Footfall::meant).isEmpty();
        rigs.press(at, isMeant);
        if (head.mode() == Mode.WAITS
                && night.start(head.part()).filter(at::equals).isPresent()) {
            head = head.calledAt(now());
            if (night.isBegunByPlayer(head.part())) {
                music.listen(head);
            } else {
                begin(head.part(), Entrance.PLANNED);
            }
        } else if (head.mode() == Mode.GOES && script.isEmpty() && isStartOfNext(at)) {
            over();
            head = head.calledAt(now());
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
        return !times.byPlan()
                && next < night.parts().size()
                && night.start(next).filter(at::equals).isPresent();
    }

    private boolean endsThis(SwitchAt at) {
        return !times.byPlan() && calls(head.part()).end().filter(at::equals).isPresent();
    }

    /** Whether somebody presses what the song will soon ask for. */
    private boolean pressedEarly(Script script, SwitchAt at) {
        int beat = comesSoon(script, at);
        if (beat >= 0) {
            Beat soon = script.inside().get(beat);
            long due = head.origin() + soon.at();
            feet.expect(
                    Footfall.due(at, Footfall.Why.CUE, head.part(), soon.cue().number(), due)
                            .pressedAt(now()));
            head = head.pressedEarly(beat);
        }
        return beat >= 0;
    }

    /** The beat of a song that will soon ask for that switch; -1 where none does. */
    private int comesSoon(Script script, SwitchAt at) {
        for (int i = head.next(); i < script.inside().size(); i++) {
            Beat beat = script.inside().get(i);
            if (head.origin() + beat.at() - now() > Footfall.EARLY_MICROS) {
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
        if (times.byPlan() || head.mode() != Mode.WAITS) {
            return;
        }
        int part = head.part();
        long when = Math.max(now(), head.origin());
        calls(part).arm().ifPresent(at -> feet.expectOnce(at, Footfall.Why.ARM, part, when));
        night.start(part).ifPresent(at -> feet.expectOnce(at, Footfall.Why.START, part, when));
    }

    private Calls calls(int part) {
        return night.parts().get(part).entry().calls();
    }

    /** The press that ends what goes is expected, where people press. */
    private void expectEnd() {
        if (times.byPlan()
                || head.mode() != Mode.GOES
                || night.script(head.part()).isPresent()) {
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
                    head = head.in(Mode.HELD, now() - head.origin());
                }
            }
            case Leap.Fade fade -> {
                if (head.mode() == Mode.GOES && script.isPresent()) {
                    tell(new Line.Leapt(leap));
                    long micros =
                            night.parts().get(head.part()).entry().transition().micros();
                    agenda.in((micros == 0 ? FADE_MICROS : micros), new Due.Faded(head.part()));
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
        music.listen(head);
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
                head = head.in(Mode.GOES, now() - head.origin());
            }
            case STOPPED -> {
                tell(new Line.Leapt(new Leap.Play()));
                begin(head.part(), Entrance.PLANNED);
            }
            case GOES -> {
                if (script.isPresent() && !music.plays(script.get().player())) {
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
        head = head.in(Mode.STOPPED, now());
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
                now() + Night.leadInMicros(song, from) - from,
                section,
                script.get().firstFrom(from));
        tell(new Line.InSection(head.part(), section, 1));
    }

    // ---------------------------------------------------------------- what goes wrong

    private void strike(Fault fault) {
        rigs.struck(fault);
        switch (fault) {
            case Fault.LinkOut out ->
                befall(new Event.LinkOut(out.link()), new Event.LinkBack(out.link()), out.backAfterMicros());
            case Fault.BoxOut out -> befall(new Event.Off(out.box()), new Event.On(out.box()), out.backAfterMicros());
            case Fault.Slip slip -> befall(new Event.Mishap(slip.link(), slip.fate()));
            case Fault.Stutter stutter -> agenda.in(0, new Due.Late(stutter.link(), now() + stutter.forMicros()));
            case Fault.Misstep step -> {
                rigs.slip(new Event.Press(step.at()));
                rigs.slip(new Event.Release(step.at()));
            }
            case Fault.Astray astray -> rigs.slip(new Event.Set(astray.place(), astray.value()));
            case Fault.Overrun overrun -> head = head.longer(overrun.micros());
        }
        music.listen(head);
    }

    /** Something is out, and is back after so many microseconds; 0 for when somebody brings it back. */
    private void befall(Event out, Event back, long afterMicros) {
        befall(out);
        if (afterMicros > 0) {
            agenda.in(afterMicros, new Due.Return(back));
        }
    }

    private void befall(Event event) {
        rigs.befall(event);
        if (head.mode() == Mode.GOES || !tails.isEmpty()) {
            music.befell();
        }
    }

    private void repair(Event event) {
        rigs.repair(event);
        music.listen(head);
    }

    // ---------------------------------------------------------------- what is told

    /** A box does something by a message: if it plays the songs, it may go elsewhere by it. */
    private void arrived(Happened.Arrived arrived) {
        if (arrived.reading() instanceof Reading.Acts acts) {
            acts.actions().forEach(action -> told(arrived.socket().device(), action));
        }
    }

    private void told(DeviceId box, Action action) {
        if (player().map(music::leader).filter(box::equals).isPresent()) {
            boolean plays = rigs.actual().value(World.place(box, action)) == 1;
            Leap.of(night.chart(box), action, plays).ifPresent(this::leap);
        }
    }

    private void tell(Line.What what) {
        tape.tell(now(), what);
    }
}
