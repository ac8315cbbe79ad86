package embrack.core.sim;

import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.compile.CompiledStep;
import embrack.core.gear.SwitchMode;
import embrack.core.offer.Freedom;
import embrack.core.plan.Plan;
import embrack.core.proof.Lack;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Entry;
import embrack.core.show.Form;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.sim.ShowRun.Between;
import embrack.core.sim.ShowRun.Leftover;
import embrack.core.sim.ShowRun.Still;
import embrack.core.sim.ShowRun.Turn;
import embrack.core.sim.ShowRun.Upset;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Lane;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Runs a show: the ideal rig and the actual one side by side, cue by cue and press by press. After each of them the two
 * are compared; where they differ, that cue is to blame, and the run goes on as if it had done what it should, so that
 * one mistake is told once and not again by all that follows from it.
 */
final class ShowRunner {

    private final Plan plan;
    private final BookProver prover;
    private final Deeds deeds;
    private final Map<SongId, Script> scripts = new LinkedHashMap<>();
    private final Map<List<Object>, Upset> upsets = new LinkedHashMap<>();
    private final Map<InSong, Leftover> leftovers = new LinkedHashMap<>();
    private final Set<Still> stills = new LinkedHashSet<>();
    private final List<Between> between = new ArrayList<>();
    private final Map<SwitchAt, Boolean> feet = new HashMap<>();

    /** By each world what led to it, so that it can be told who changed a place last. */
    private final Map<World, Past> past = new IdentityHashMap<>();

    private final Map<SongId, List<Freedom>> freedoms = new HashMap<>();
    private int jumps;

    /**
     * One moment of a song.
     *
     * @param at microseconds from bar 1
     * @param deed empty for a press
     * @param blameless whether the cue, taken alone, does what it should
     */
    record Beat(long at, boolean always, Cue cue, Optional<Deed> deed, boolean blameless) {}

    /**
     * What happens in a song, in order.
     *
     * @param turns whether anything in it depends on how things stood
     * @param early lanes that it sets by the end of its first section
     */
    record Script(
            Song song,
            List<Beat> load,
            List<Beat> inside,
            List<Beat> stop,
            List<Beat> loop,
            boolean turns,
            Set<Lane> early,
            Set<Lane> all) {}

    /** How a song went: states at its start, at the end of each section, and at its end. */
    private record Course(Script script, World start, List<World> sections, World end) {}

    /** A cue or press, and the world that it was done to. */
    private record Past(Turn turn, World world) {}

    /** A place, in a song. */
    private record InSong(SongId song, Place place) {}

    ShowRunner(Plan plan, BookProver prover) {
        this.plan = plan;
        this.prover = prover;
        this.deeds = prover.deeds();
    }

    ShowRun run(List<SongProof> proofs) {
        proofs.forEach(proof -> proof.player()
                .ifPresent(player -> scripts.put(proof.song().id(), prover.script(proof, p -> script(p, player)))));
        List<Course> courses = new ArrayList<>();
        World state = prover.poweredOn();
        Optional<SongId> before = Optional.empty();
        for (Entry entry : order()) {
            state = pressed(List.of(entry.calls().arm(), entry.press()), state);
            Script script = entry.song().map(scripts::get).orElse(null);
            if (script != null) {
                Course course = play(new Jump.None(), script, state);
                courses.add(course);
                state = course.end();
                before = entry.song();
            } else {
                between(entry, before, state);
            }
            state = pressed(List.of(entry.calls().end()), state);
        }
        for (int i = 0; i < courses.size(); i++) {
            leftovers(
                    new Jump.None(),
                    courses.get(i),
                    i + 1 < courses.size() ? Optional.of(courses.get(i + 1).script()) : Optional.empty());
        }
        for (int i = 0; i < courses.size(); i++) {
            jumps(courses, i);
        }
        return new ShowRun(
                List.copyOf(upsets.values()),
                List.copyOf(leftovers.values()),
                List.copyOf(stills),
                between,
                jumps,
                feet);
    }

    private World pressed(List<Optional<SwitchAt>> presses, World before) {
        World state = before;
        for (Optional<SwitchAt> at : presses) {
            state = at.isPresent() ? press(at.get(), state) : state;
        }
        return state;
    }

    /** What stands otherwise than before the show, in a part in which no song is played. */
    private void between(Entry entry, Optional<SongId> before, World state) {
        for (Place place : prover.poweredOn().differences(state)) {
            between.add(new Between(entry.number(), before, place, state.value(place)));
        }
    }

    /** Tonight's order, or all songs one behind the other. */
    private List<Entry> order() {
        return plan.book()
                .tonight()
                .map(show -> show.order())
                .orElseGet(() -> plan.book().songs().stream()
                        .map(song -> Entry.of(1, song))
                        .toList());
    }

    private Script script(SongProof proof, DeviceId player) {
        Song song = proof.song();
        Form form = song.form();
        List<Beat> load = beats(proof, player, CueProof.Phase.LOAD);
        List<Beat> inside = beats(proof, player, CueProof.Phase.INSIDE).stream()
                .sorted(Comparator.comparingLong(Beat::at))
                .toList();
        List<Beat> stop = beats(proof, player, CueProof.Phase.STOP);
        List<Beat> loop = beats(proof, player, CueProof.Phase.LOOP);
        boolean turns =
                List.of(load, inside, stop, loop).stream().flatMap(List::stream).anyMatch(ShowRunner::turns);
        Set<Lane> early = new HashSet<>();
        Set<Lane> all = new HashSet<>();
        long soon = form.endMicros(0);
        for (Beat beat : load) {
            early.addAll(lanes(beat));
        }
        for (Beat beat : inside) {
            (beat.at() < soon ? early : all).addAll(lanes(beat));
        }
        Stream.concat(stop.stream(), loop.stream()).forEach(beat -> all.addAll(lanes(beat)));
        all.addAll(early);
        return new Script(song, load, inside, stop, loop, turns, early, all);
    }

    /** What every song sends first, where it comes at the same time. */
    private List<Beat> beats(SongProof proof, DeviceId player, CueProof.Phase phase) {
        Song song = proof.song();
        return Stream.concat(
                        proof.always().stream()
                                .filter(cue -> cue.phase() == phase)
                                .map(cue -> beat(player, cue, true, song)),
                        proof.cues().stream()
                                .filter(cue -> cue.phase() == phase)
                                .map(cue -> beat(player, cue, false, song)))
                .toList();
    }

    private Beat beat(DeviceId player, CueProof proof, boolean always, Song song) {
        boolean blameless = proof.verdict() == Verdict.EXACT || proof.verdict() == Verdict.LATE;
        Optional<Deed> deed =
                proof.cue().foot().isPresent() ? Optional.empty() : Optional.of(prover.deed(player, proof.cue()));
        return new Beat(proof.beginsMicros(song), always, proof.cue(), deed, blameless);
    }

    private static boolean turns(Beat beat) {
        return beat.cue().steps().stream().anyMatch(step -> step.action().verb().turnsRound())
                || beat.deed().filter(deed -> deed.moves().isEmpty()).isPresent();
    }

    private Set<Lane> lanes(Beat beat) {
        return beat.cue()
                .foot()
                .map(at -> prover.lanes(deeds.targets(plan.switches().at(at).steps())))
                .orElseGet(() -> prover.lanes(deeds.targets(beat.cue().steps())));
    }

    private Course play(Jump jump, Script script, World start) {
        World state = done(jump, script, script.load(), start);
        Form form = script.song().form();
        List<World> sections = new ArrayList<>();
        int next = 0;
        for (int section = 0; section < form.sections().size(); section++) {
            long end = section + 1 < form.sections().size() ? form.endMicros(section) : Long.MAX_VALUE;
            while (next < script.inside().size() && script.inside().get(next).at() < end) {
                state = done(jump, script, script.inside().get(next++), state);
            }
            sections.add(state);
        }
        return new Course(script, start, sections, done(jump, script, script.stop(), state));
    }

    private World done(Jump jump, Script script, List<Beat> beats, World start) {
        World state = start;
        for (Beat beat : beats) {
            state = done(jump, script, beat, state);
        }
        return state;
    }

    private World done(Jump jump, Script script, Beat beat, World state) {
        World after = beat.deed().isEmpty()
                ? press(beat.cue().foot().orElseThrow(), state)
                : sent(jump, script, beat, beat.deed().get(), state);
        Turn turn = new Turn(
                script.song().id(),
                beat.cue().number(),
                beat.always(),
                beat.cue().foot());
        past.putIfAbsent(after, new Past(turn, state));
        return after;
    }

    /** What changed a place last on the way to a world. */
    private Optional<Turn> by(World world, Place place) {
        World now = world;
        for (Past before = past.get(now); before != null; before = past.get(now)) {
            if (before.world == now) {
                return Optional.empty();
            }
            if (before.world.value(place) != now.value(place)) {
                return Optional.of(before.turn);
            }
            now = before.world;
        }
        return Optional.empty();
    }

    private World sent(Jump jump, Script script, Beat beat, Deed deed, World state) {
        World ideal = state.after(deed.meant());
        World actual = deeds.done(state, deed);
        stills(jump, script, beat, actual);
        if (!beat.blameless() || !ideal.differs(actual)) {
            return actual;
        }
        SongId song = script.song().id();
        for (Place place : ideal.differences(actual)) {
            if (!leftovers.containsKey(new InSong(song, place))) {
                upsets.putIfAbsent(
                        List.of(song, beat.cue().number(), beat.always(), place),
                        new Upset(
                                jump,
                                song,
                                beat.cue().number(),
                                beat.always(),
                                place,
                                ideal.value(place),
                                actual.value(place),
                                by(state, place)));
            }
        }
        return actual.corrected(ideal);
    }

    private World press(SwitchAt at, World state) {
        BookProver.Footwork work = prover.footwork(plan.switches().at(at));
        boolean alternates = work.compiled().mode() == SwitchMode.ALTERNATING;
        Moment side = alternates && state.isTurned(at) ? Moment.AGAIN : Moment.PRESS;
        World turned = alternates ? state.turning(at) : state;
        World down = pressed(work, side, turned);
        return pressed(work, Moment.RELEASE, down);
    }

    /** One moment of a press, held against what is meant by it. */
    private World pressed(BookProver.Footwork work, Moment moment, World state) {
        Deed deed = Objects.requireNonNull(work.deeds().get(moment));
        Deed press = Objects.requireNonNull(work.deeds().get(Moment.PRESS));
        boolean same = moment == Moment.AGAIN && deed.meant().isEmpty();
        World after = deeds.done(state, deed);
        boolean isRight =
                !state.after((same ? press : deed).meant()).differs(after) && !standsStill(work, moment, after);
        feet.merge(work.compiled().at(), isRight, Boolean::logicalAnd);
        return after;
    }

    private boolean standsStill(BookProver.Footwork work, Moment moment, World after) {
        List<Step> steps =
                work.compiled().steps(moment).stream().map(CompiledStep::step).toList();
        return IntStream.range(0, steps.size())
                .anyMatch(i -> missing(steps, i, after).isPresent());
    }

    /** A part that something would need that was started, and what is so without it. */
    private record Missing(PartId need, Lack lack) {}

    /** What something that a step has started would need, and is off. */
    private Optional<Missing> missing(List<Step> steps, int index, World after) {
        Step step = steps.get(index);
        DeviceId device = step.device();
        return after.value(World.place(device, step.action())) == 0
                ? Optional.empty()
                : prover.rig()
                        .chart(device)
                        .need(step.action().part())
                        .filter(need -> isOff(device, need, after))
                        .map(need -> new Missing(need, Lack.STANDS_STILL))
                        .or(() -> plan.bankOf(steps, index)
                                .filter(bank -> isOff(device, bank.bank(), after)
                                        && (bank.others().isEmpty()
                                                || bank.others().stream()
                                                        .anyMatch(other -> !isOff(device, other, after))))
                                .map(bank -> new Missing(bank.bank(), Lack.IS_ANOTHER)));
    }

    private boolean isOff(DeviceId device, PartId part, World after) {
        return prover.rig().model(device).implementation().aspects(part).stream()
                .noneMatch(aspect -> after.value(new Place(device, part, aspect)) != 0);
    }

    private void stills(Jump jump, Script script, Beat beat, World after) {
        List<Step> steps = jump instanceof Jump.None ? beat.cue().steps() : List.of();
        for (int i = 0; i < steps.size(); i++) {
            Step step = steps.get(i);
            missing(steps, i, after)
                    .map(missing -> new Still(
                            script.song().id(),
                            beat.cue().number(),
                            beat.always(),
                            step.device(),
                            step.action().part(),
                            missing.need(),
                            missing.lack()))
                    .ifPresent(stills::add);
        }
    }

    private void jumps(List<Course> courses, int i) {
        Course course = courses.get(i);
        Script script = course.script();
        Form form = script.song().form();
        if (i > 0 && i + 1 < courses.size()) {
            jumps++;
            Jump skip = new Jump.Skip(script.song().title());
            Script next = courses.get(i + 1).script();
            leftovers(skip, courses.get(i - 1), Optional.of(next));
            if (next.turns()) {
                play(skip, next, courses.get(i - 1).end());
            }
        }
        boolean restarts = isFree(script.song(), Freedom.Kind.JUMP) || isPlayed(script.song());
        boolean repeats = isFree(script.song(), Freedom.Kind.REPEAT) || isFree(script.song(), Freedom.Kind.SKIP);
        for (int section = 0; section < form.sections().size(); section++) {
            World there = course.sections().get(section);
            if (restarts) {
                jumps++;
            }
            if (restarts && script.turns()) {
                play(
                        new Jump.Restart(form.sections().get(section).name()),
                        script,
                        done(new Jump.None(), script, script.stop(), there));
            }
            if (!repeats && !form.sections().get(section).vamp()) {
                continue;
            }
            jumps++;
            if (script.turns()) {
                Jump repeat = new Jump.Repeat(form.sections().get(section).name());
                long from = form.startMicros(section);
                World again = done(repeat, script, script.loop(), there);
                done(
                        repeat,
                        script,
                        script.inside().stream()
                                .filter(beat ->
                                        beat.at() >= from && !(beat.cue().at() instanceof Anchor.Automatic))
                                .toList(),
                        again);
            }
        }
    }

    /** Whether a switch gives somebody that freedom with a song. */
    private boolean isFree(Song song, Freedom.Kind kind) {
        return freedoms.computeIfAbsent(song.id(), id -> Freedom.of(plan, song)).stream()
                .anyMatch(freedom -> freedom.kind() == kind && freedom.isOnASwitch());
    }

    /** Whether a switch plays a song, so that it can begin again. */
    private boolean isPlayed(Song song) {
        return plan.player(song).stream()
                .anyMatch(player -> plan.switches().assignments().stream()
                        .flatMap(a -> a.steps().stream())
                        .anyMatch(step -> step.device().equals(player)
                                && (step.action().verb() == Verb.PLAY
                                        || step.action().verb() == Verb.TOGGLE_PLAY
                                        || step.action().verb() == Verb.PREVIOUS)));
    }

    private void leftovers(Jump jump, Course course, Optional<Script> next) {
        for (Place place : course.start().differences(course.end())) {
            int value = course.end().value(place);
            Lane lane = Lane.of(prover.rig(), place);
            boolean set = next.filter(script -> script.early().contains(lane)).isPresent();
            boolean isMeant = course.script().all().contains(lane);
            if (isMeant && !set && stands(place, value) && (next.isPresent() || goesOn(place))) {
                leftovers.putIfAbsent(
                        new InSong(course.script().song().id(), place),
                        new Leftover(
                                jump,
                                course.script().song().id(),
                                next.map(script -> script.song().id()),
                                place,
                                value,
                                next.filter(script -> script.all().contains(lane))
                                        .isPresent()));
            }
        }
    }

    /**
     * Whether a value is one that stays on people: something on, chosen, muted or playing, or a level that was moved;
     * not the place of a list.
     */
    private boolean stands(Place place, int value) {
        boolean counted =
                switch (place.aspect()) {
                    case SWITCHED, CHOSEN, MUTED, TRANSPORT -> value != 0;
                    case LEVEL -> true;
                    default -> false;
                };
        return counted && !plan.players().contains(place.device());
    }

    /** Whether something moves by itself until it is stopped: a chase, a loop, what plays. */
    private boolean goesOn(Place place) {
        return place.aspect() == Aspect.TRANSPORT
                || prover.rig().chart(place.device()).need(place.part()).isPresent();
    }
}
