package embrack.core.run;

import embrack.core.music.Position;
import embrack.core.music.TempoMap;
import embrack.core.power.PowerPlan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.show.Song;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * A night as it has gone so far: a value. Two rigs go beside each other: one in which everything comes about as it is
 * meant, and the one that the engine plays, with what its boxes make of the messages that reach them. Time goes on by
 * {@link #until}; {@link #after} is what comes upon it. The same acts at the same times give the same run, in however
 * many pieces time goes on between them.
 */
public final class Run {

    /** As many lines of what happened are kept. */
    static final int TAPE = 400;

    /** How long before a press one is there that is played for it alone, six seconds. Common practice, no source. */
    private static final long PRESS_LEAD_MICROS = 6_000_000;

    /** For so long something that is wrong is left to be mended, 30 s. */
    private static final long MEND_MICROS = 30_000_000;

    private final State state;

    /**
     * All that a run knows.
     *
     * @param now microseconds since it began
     * @param byPlan whether the run presses what the plan says
     * @param head where the night is
     * @param tails songs that still sound while the next part has begun
     * @param ideal the rig as it should be
     * @param actual the rig as it is
     * @param due what comes later
     * @param wrongs what stands otherwise than it should
     * @param loops what was recorded and goes round
     * @param stopped players that do not play, though their song goes on
     * @param silentSince since when nothing plays that should; -1 while all does
     * @param feet presses that people have to make, in the order in which they were due
     * @param strays presses of people that nothing asked for
     * @param tape what happened last
     * @param lines how many lines there were in all
     * @param ready the part whose song was made ready; -1 for the one that comes next
     */
    record State(
            Night night,
            long now,
            boolean byPlan,
            Playhead head,
            List<Playhead> tails,
            World ideal,
            World actual,
            List<Due> due,
            long dues,
            SortedMap<Place, Wrong> wrongs,
            SortedMap<Place, Loop> loops,
            SortedSet<DeviceId> stopped,
            long silentSince,
            List<Footfall> feet,
            List<Stray> strays,
            List<Line> tape,
            long lines,
            int ready) {

        State {
            tails = List.copyOf(tails);
            due = List.copyOf(due);
            wrongs = Collections.unmodifiableSortedMap(new TreeMap<>(wrongs));
            loops = Collections.unmodifiableSortedMap(new TreeMap<>(loops));
            stopped = Collections.unmodifiableSortedSet(new TreeSet<>(stopped));
            feet = List.copyOf(feet);
            strays = List.copyOf(strays);
            tape = List.copyOf(tape);
        }
    }

    Run(State state) {
        this.state = state;
    }

    /** A night that begins. {@code byPlan} whether the run itself presses what the plan says, else people do. */
    public static Run of(Night night, boolean byPlan) {
        Playhead head =
                night.parts().isEmpty() ? Playhead.waiting(0, 0).in(Playhead.Mode.OVER, 0) : Playhead.waiting(0, 0);
        return new Run(new State(
                night,
                0,
                byPlan,
                head,
                List.of(),
                night.start(),
                night.start(),
                List.of(),
                0,
                new TreeMap<>(),
                new TreeMap<>(),
                new TreeSet<>(),
                -1,
                List.of(),
                List.of(),
                List.of(),
                0,
                -1));
    }

    /**
     * A night as it is at a moment of a part, when all went as planned until then.
     *
     * @param part from 0
     * @param bar of its song, from 1; 0 for its beginning, where it waits for the press that begins it if people press
     * @param byPlan who presses from then on
     */
    public static Run at(Night night, int part, int bar, boolean byPlan) {
        Run run = Run.of(night, true);
        Run before = run;
        while (!run.isOver() && run.part() < part) {
            before = run;
            run = run.next();
        }
        Run asked = before.after(new Act.Feet(false)).until(run.now());
        if (!byPlan && bar == 0 && asked.part() == part && asked.isWaiting()) {
            return asked;
        }
        long there = night.song(part)
                .filter(song -> bar > 0)
                .map(song -> song.form().tempoMap().micros(Position.bar(bar)))
                .orElse(Long.MIN_VALUE);
        while (!run.isOver()
                && !run.isHeld()
                && run.part() == part
                && (run.isWaiting() || run.songMicros().orElse(Long.MAX_VALUE) < there)) {
            long left =
                    run.isWaiting() ? Long.MAX_VALUE : there - run.songMicros().orElse(there);
            run = run.until(Math.min(run.nextMicros(), left == Long.MAX_VALUE ? left : run.now() + left));
        }
        return run.after(new Act.Feet(byPlan));
    }

    /** As time has gone on to a moment, in microseconds since it began; as it is for one that is past. */
    public Run until(long micros) {
        Going going = new Going(state);
        going.until(micros);
        return new Run(going.state());
    }

    /** After something came upon it now. A {@link History} does {@link Act.Back}
     * and {@link Act.From}. */
    public Run after(Act act) {
        Going going = new Going(state);
        going.until(state.now());
        going.take(act);
        return new Run(going.state());
    }

    /** As this, told as what comes after another run from which somebody went here. */
    Run cameFrom(Run other) {
        Going going = new Going(state);
        going.cameFrom(other.state);
        return new Run(going.state());
    }

    State state() {
        return state;
    }

    public Night night() {
        return state.night();
    }

    /** Microseconds since it began. */
    public long now() {
        return state.now();
    }

    /** Whether the run itself presses what the plan says. */
    public boolean isByPlan() {
        return state.byPlan();
    }

    /** Which part of the order it is at, from 0. */
    public int part() {
        return state.head().part();
    }

    /** Whether the order is over. */
    public boolean isOver() {
        return state.head().mode() == Playhead.Mode.OVER;
    }

    /** Whether the part waits to be begun. */
    public boolean isWaiting() {
        return state.head().mode() == Playhead.Mode.WAITS;
    }

    /** Whether what was to play was held or stopped. */
    public boolean isStopped() {
        return state.head().mode() == Playhead.Mode.HELD || state.head().mode() == Playhead.Mode.STOPPED;
    }

    /** How far the part is, microseconds from bar 1 of a song or from its beginning; empty while it waits. */
    public OptionalLong songMicros() {
        Playhead head = state.head();
        return switch (head.mode()) {
            case GOES -> OptionalLong.of(state.now() - head.origin());
            case HELD -> OptionalLong.of(head.origin());
            case WAITS, STOPPED, OVER -> OptionalLong.empty();
        };
    }

    /** The section that plays, from 0; empty where none does. */
    public OptionalInt section() {
        boolean plays = song().isPresent() && songMicros().isPresent();
        return plays ? OptionalInt.of(state.head().section()) : OptionalInt.empty();
    }

    /** Which time the section is played, from 1. */
    public int pass() {
        return state.head().pass();
    }

    /** The song of the part. */
    public Optional<Song> song() {
        return night().song(part());
    }

    /** How long until the section is over, microseconds; empty where none plays. */
    public OptionalLong sectionLeftMicros() {
        return section().isEmpty()
                ? OptionalLong.empty()
                : OptionalLong.of(
                        song().orElseThrow().form().endMicros(section().getAsInt())
                                - songMicros().getAsLong());
    }

    /** Whether it waits for somebody, who alone could bring it on. */
    public boolean isHeld() {
        return !isOver() && nextMicros() == Long.MAX_VALUE;
    }

    /** As it is when the next thing has come; where nothing comes any more by itself, as somebody went on. */
    Run next() {
        return isHeld() ? after(new Act.GoOn()) : until(nextMicros());
    }

    /** When something comes next if nobody does anything, microseconds; {@link Long#MAX_VALUE} where nothing does. */
    public long nextMicros() {
        return new Going(state).nextInstant();
    }

    /** How much of a part is played around each of its ends where only the joins are, 10 s. */
    private static final long JOIN_MICROS = 10_000_000;

    /**
     * The next moment on the way to the next join, for who plays only those: the end of a section, and in the last one
     * ten seconds before the part ends; empty in a join, and where nobody knows when the part ends.
     */
    public OptionalLong nextJoinMicros() {
        Playhead head = state.head();
        if (head.mode() != Playhead.Mode.GOES) {
            return OptionalLong.empty();
        }
        long began = song().map(song -> song.trims().startMicros()).orElse(0L) + head.origin();
        long end = new Going(state).endsMicros();
        if (now() - began < JOIN_MICROS || end == Long.MAX_VALUE) {
            return OptionalLong.empty();
        }
        boolean isLast = song().map(
                        song -> head.section() + 1 >= song.form().sections().size())
                .orElse(true);
        long next = isLast ? end - JOIN_MICROS : end;
        return next > now() ? OptionalLong.of(next) : OptionalLong.empty();
    }

    /**
     * Where only the presses are played: the moment some seconds before the next one that somebody has to make; empty
     * where it is that near, one waits, or something went wrong that somebody may yet mend.
     */
    public OptionalLong nextPressMicros() {
        boolean isBusy = feet().stream().anyMatch(foot -> foot.isOpen() && foot.due() <= now() + PRESS_LEAD_MICROS)
                || wrongs().stream().anyMatch(wrong -> now() - wrong.since() < MEND_MICROS)
                || silentSince().isPresent() && now() - silentSince().getAsLong() < MEND_MICROS;
        if (isOver() || isBusy) {
            return OptionalLong.empty();
        }
        Optional<Coming> first = coming().stream().findFirst().filter(one -> one.part() == part());
        long next = first.filter(one -> one.inMicros().isPresent())
                .map(one -> now() + one.inMicros().getAsLong() - PRESS_LEAD_MICROS)
                .orElseGet(() -> isWaiting()
                        ? Math.max(now(), state.head().origin())
                        : new Going(state).endsMicros() - PRESS_LEAD_MICROS);
        return next > now() && next < Long.MAX_VALUE - PRESS_LEAD_MICROS ? OptionalLong.of(next) : OptionalLong.empty();
    }

    /** The presses that come next, the first first: of what waits or plays, then of the parts behind it. */
    public List<Coming> coming() {
        Playhead head = state.head();
        List<Coming> coming = new ArrayList<>();
        if (head.mode() == Playhead.Mode.OVER) {
            return coming;
        }
        int part = head.part();
        if (head.mode() == Playhead.Mode.WAITS) {
            starts(part, OptionalLong.of(Math.max(0, head.origin() - now()))).forEach(coming::add);
            inside(part, 0, Optional.empty()).forEach(coming::add);
        } else {
            inside(part, head.next(), Optional.of(head)).forEach(coming::add);
        }
        end(part).ifPresent(coming::add);
        for (int later = part + 1; later < night().parts().size(); later++) {
            starts(later, OptionalLong.empty()).forEach(coming::add);
            inside(later, 0, Optional.empty()).forEach(coming::add);
            end(later).ifPresent(coming::add);
        }
        return coming;
    }

    private List<Coming> starts(int part, OptionalLong in) {
        return Stream.concat(
                        night().parts().get(part).entry().calls().arm().stream()
                                .map(at -> new Coming(at, Footfall.Why.ARM, part, in, OptionalLong.empty())),
                        night().start(part).stream()
                                .map(at -> new Coming(at, Footfall.Why.START, part, in, OptionalLong.empty())))
                .toList();
    }

    /** Those inside a part from one of its cues on; by the clock where it plays. */
    private List<Coming> inside(int part, int from, Optional<Playhead> head) {
        List<Script.Beat> beats = night().script(part).map(Script::inside).orElse(List.of());
        List<Coming> coming = new ArrayList<>();
        for (int i = from; i < beats.size(); i++) {
            Script.Beat beat = beats.get(i);
            int number = i;
            if (beat.cue().foot().isPresent()
                    && head.filter(playing -> playing.early().contains(number)).isEmpty()) {
                coming.add(new Coming(
                        beat.cue().foot().get(),
                        Footfall.Why.CUE,
                        part,
                        head.map(playing -> OptionalLong.of(playing.origin() + beat.at() - now()))
                                .orElse(OptionalLong.empty()),
                        OptionalLong.of(beat.at())));
            }
        }
        return coming;
    }

    private Optional<Coming> end(int part) {
        return night().parts()
                .get(part)
                .entry()
                .calls()
                .end()
                .map(at -> new Coming(at, Footfall.Why.END, part, OptionalLong.empty(), OptionalLong.empty()));
    }

    /** The press that comes next. */
    public Optional<SwitchAt> nextPress() {
        return coming().stream().map(Coming::at).findFirst();
    }

    /**
     * How much later than planned the part goes that goes now, or all was over, microseconds; negative when early, 0
     * while it waits.
     */
    public long lateMicros() {
        if (isWaiting() || night().parts().isEmpty()) {
            return 0;
        }
        if (isOver()) {
            return state.head().origin() - night().micros(night().running().endMicros());
        }
        long elapsed = songMicros().orElse(0)
                - song().map(song -> song.trims().startMicros()).orElse(0L);
        return now() - elapsed - night().micros(night().parts().get(part()).startMicros());
    }

    /**
     * How much of the slot is left over when all goes on as planned, or was when all was over, microseconds; negative
     * where it does not suffice, empty without a slot.
     */
    public Optional<Long> spareMicros() {
        return night().running().roomMicros().map(room -> room - lateMicros());
    }

    /** What can be brought back: links, boxes with what hangs on them, the other one of a pair. */
    public List<Event> repairs() {
        return repairs(night(), actual());
    }

    static List<Event> repairs(Night night, World world) {
        Rig rig = night.plan().rig();
        PowerPlan power = night.power();
        List<Event> repairs = new ArrayList<>();
        world.linksOut().forEach(link -> repairs.add(new Event.LinkBack(link)));
        List<DeviceId> dark =
                rig.devices().stream().map(Device::id).filter(world::isDark).toList();
        dark.stream()
                .filter(box -> dark.stream()
                        .noneMatch(other -> !other.equals(box)
                                && power.diesWith(other).contains(box)
                                && !power.diesWith(box).contains(other)))
                .forEach(box -> repairs.add(new Event.On(box)));
        for (Pair pair : rig.pairs()) {
            if (world.isOver(pair)) {
                repairs.add(new Event.GoBack(pair));
            } else if (dark.contains(pair.first()) && !dark.contains(pair.second())) {
                repairs.add(new Event.GoOver(pair));
            }
        }
        return repairs;
    }

    /** The rig as the night would have it. */
    public World ideal() {
        return state.ideal();
    }

    /** The rig as it is. */
    public World actual() {
        return state.actual();
    }

    /** What stands otherwise than it should for longer than messages take. */
    public List<Wrong> wrongs() {
        return state.wrongs().values().stream().filter(Wrong::told).toList();
    }

    /** Since when nothing plays that should, microseconds; empty while all does. */
    public OptionalLong silentSince() {
        return state.silentSince() >= 0 && state.now() - state.silentSince() >= Wrong.SETTLES_MICROS
                ? OptionalLong.of(state.silentSince())
                : OptionalLong.empty();
    }

    /** Presses that people had to make so far, in the order in which they were due. */
    public List<Footfall> feet() {
        return state.feet();
    }

    /** What was recorded in a part of a box and goes round; empty where nothing was. */
    public Optional<Loop> loop(Place place) {
        return Optional.ofNullable(state.loops().get(place));
    }

    /** The player of the song that plays: of a pair the one that is used; empty where none plays. */
    public Optional<DeviceId> playing() {
        return new Going(state).playing();
    }

    /** How many bars of the song that plays one round of a loop lasts, at the bar that plays now; empty outside. */
    public OptionalDouble bars(Loop loop) {
        OptionalLong at = songMicros();
        if (song().isEmpty() || at.isEmpty() || loop.isOpen()) {
            return OptionalDouble.empty();
        }
        TempoMap tempos = song().get().form().tempoMap();
        int bar = tempos.position(tempos.tickAt(Math.max(0, at.getAsLong()))).bar();
        long bars = tempos.micros(Position.bar(bar + 1)) - tempos.micros(Position.bar(bar));
        return OptionalDouble.of((double) loop.lengthMicros() / bars);
    }

    /** Presses of people that nothing asked for. */
    public List<Stray> strays() {
        return state.strays();
    }

    /** What happened last, the oldest first. */
    public List<Line> tape() {
        return state.tape();
    }

    /** How many lines there were in all. */
    public long lines() {
        return state.lines();
    }

    /** The same on every machine, for the same acts at the same times. */
    @Override
    public int hashCode() {
        int hash = Long.hashCode(state.now());
        for (int part : new int[] {
            state.head().part(),
            state.head().section(),
            state.head().pass(),
            Long.hashCode(state.head().origin()),
            state.ideal().hashCode(),
            state.actual().hashCode(),
            Long.hashCode(state.lines())
        }) {
            hash = 31 * hash + part;
        }
        return hash;
    }

    /** Whether all that counts for how it goes on is the same. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Run that
                && state.now() == that.state.now()
                && state.byPlan() == that.state.byPlan()
                && state.head().equals(that.state.head())
                && state.tails().equals(that.state.tails())
                && state.ideal().equals(that.state.ideal())
                && state.actual().equals(that.state.actual())
                && state.due().equals(that.state.due())
                && state.wrongs().keySet().equals(that.state.wrongs().keySet())
                && state.loops().equals(that.state.loops())
                && state.stopped().equals(that.state.stopped())
                && state.feet().equals(that.state.feet())
                && state.lines() == that.state.lines();
    }
}
