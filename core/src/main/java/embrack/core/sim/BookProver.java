package embrack.core.sim;

import embrack.core.compile.CompiledStep;
import embrack.core.compile.CompiledSwitch;
import embrack.core.compile.Compiler;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.proof.CueSent;
import embrack.core.proof.Sendings;
import embrack.core.proof.Sent;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.When;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.Switches;
import embrack.core.way.RigChange;
import embrack.core.way.SignalPath;
import embrack.core.way.Timing;
import embrack.core.way.Ways;
import embrack.core.world.Engine;
import embrack.core.world.Happened;
import embrack.core.world.Journey;
import embrack.core.world.Lane;
import embrack.core.world.Outcome;
import embrack.core.world.Place;
import embrack.core.world.Places;
import embrack.core.world.Reading;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * Proves the cues of songs as switches are proven, finds where their messages wait for each other, and runs the whole
 * show. It belongs to one rig and remembers what it worked out, so that after an edit of one cue little is left to do.
 *
 * <p>Cost: what is sent travels once for each different cue; the run costs the cues of the show, and for each jump the
 * cues of a song, but only where a cue turns something round or a box reads messages by what came before.
 */
public final class BookProver {

    /** The most that a cue is sent ahead, 100 ms. Common practice, no source: what needs more is mended in the rig. */
    public static final long MAX_LEAD_MICROS = 100_000;

    /** Cues closer together than this are looked at as one crowd, 50 ms: a full merger is empty again by then. */
    private static final long CROWD_MICROS = 50_000;

    private final Rig rig;
    private final Ways ways;
    private final Compiler compiler;
    private final Engine engine;
    private final Timing timing;
    private final Places places;
    private final Deeds deeds;
    private final List<World> starts;
    private final Map<SignalPath, Map<Integer, Long>> usual = new IdentityHashMap<>();
    private final Map<CueSent, Proven> proven = new HashMap<>();
    private final Map<SongId, SongProof> songs = new HashMap<>();
    private final Map<SongProof, ShowRunner.Script> scripts = new IdentityHashMap<>();
    private final Map<Single, Map<Socket, Long>> alone = new HashMap<>();
    private final Map<Crowd, Optional<Worst>> crowds = new HashMap<>();
    private final Map<Assignment, Footwork> feet = new HashMap<>();
    private List<Cue> always = List.of();
    private Switches switches = Switches.NONE;
    private Optional<Ran> ran = Optional.empty();

    /** What is known of all cues that send the same. {@code deed} has what toggling steps are meant to leave. */
    private record Proven(
            Sent.ByCue sent,
            Verdict verdict,
            SortedSet<Place> targets,
            SortedSet<Place> wrong,
            List<Happened> trace,
            long worst,
            long usual,
            Deed deed) {

        Proven withTrace(List<Happened> other) {
            return new Proven(sent, verdict, targets, wrong, other, worst, usual, deed);
        }
    }

    private record Single(DeviceId player, Message message) {}

    private record Crowd(DeviceId player, List<Engine.Timed> messages) {}

    /** The message of a crowd that waits longest. */
    private record Worst(long held, Socket at, long arrives) {}

    /** How the show of a plan runs, whose songs were proven so. */
    private record Ran(Plan plan, List<SongProof> proofs, ShowRun run) {

        /** Whether another plan runs the same, on a rig that is alike to messages. */
        boolean isOf(Plan other, List<SongProof> others) {
            return kept(proofs).equals(kept(others))
                    && plan.book().equals(other.book())
                    && plan.switches().equals(other.switches())
                    && plan.practices().equals(other.practices())
                    && plan.lights().equals(other.lights());
        }
    }

    /** What a switch does, moment by moment. */
    record Footwork(CompiledSwitch compiled, Map<Moment, Deed> deeds) {}

    public BookProver(Rig rig) {
        this(new Ways(rig));
    }

    /** A prover on ways that are worked out already. */
    public BookProver(Ways ways) {
        this.rig = ways.rig();
        this.ways = ways;
        Plan bare = new Plan(rig, Switches.NONE);
        this.compiler = new Compiler(bare, ways);
        this.engine = new Engine(bare, ways);
        this.timing = new Timing(ways);
        this.places = new Places(rig);
        this.deeds = new Deeds(rig, engine, places, timing);
        this.starts = List.of(World.poweredOn(places), World.opposite(places));
    }

    /**
     * A prover of the rig that an edit left, which knows what this one knows and the edit did not touch.
     *
     * @param sendings what the plan sends on it
     */
    public synchronized BookProver on(Ways other, Sendings sendings) {
        if (rig.equals(other.rig())) {
            return this;
        }
        var prover = new BookProver(other);
        if (!places.isAlike(prover.places)) {
            return prover;
        }
        RigChange change = sendings.change();
        proven.forEach((cue, known) -> {
            if (sendings.of(cue) == known.sent) {
                prover.proven.put(cue, sendings.reachesAnyOtherwise(known.sent) ? prover.retold(known) : known);
            }
        });
        keep(alone, prover.alone, single -> !change.isUpstream(single.player()));
        keep(crowds, prover.crowds, crowd -> !change.isUpstream(crowd.player()));
        if (change.isNone()) {
            prover.songs.putAll(songs);
            prover.scripts.putAll(scripts);
            prover.feet.putAll(feet);
            prover.always = always;
            prover.switches = switches;
            prover.ran = ran;
        }
        return prover;
    }

    private static <K, V> void keep(Map<K, V> known, Map<K, V> kept, Predicate<K> which) {
        known.forEach((key, value) -> {
            if (which.test(key)) {
                kept.put(key, value);
            }
        });
    }

    /** What is known of a cue, told as it goes in this rig: a box may leave it alone for another reason. */
    private Proven retold(Proven known) {
        return known.withTrace(
                engine.play(starts.getFirst(), known.sent.journey()).trace());
    }

    /** Whether it can prove a plan: it is of the same rig. */
    public boolean fits(Plan plan) {
        return plan.rig() == rig || plan.rig().equals(rig);
    }

    /**
     * Proves the book of a plan.
     *
     * @throws IllegalArgumentException when the plan is of another rig
     */
    public BookProof prove(Plan plan) {
        return prove(plan, new Sendings(plan, ways));
    }

    /**
     * Proves the book of a plan.
     *
     * @param sendings what the plan sends
     * @throws IllegalArgumentException when the plan is of another rig
     */
    public synchronized BookProof prove(Plan plan, Sendings sendings) {
        if (!fits(plan)) {
            throw new IllegalArgumentException("this prover knows another rig");
        }
        if (plan.book().isEmpty()) {
            return BookProof.NONE;
        }
        if (!always.equals(plan.book().always())) {
            songs.clear();
            always = plan.book().always();
        }
        if (!switches.equals(plan.switches())) {
            scripts.clear();
            switches = plan.switches();
        }
        List<SongProof> proofs = plan.book().songs().stream()
                .map(song -> songs.compute(
                        song.id(),
                        (id, known) -> known != null
                                        && (known.song() == song || known.song().equals(song))
                                ? known
                                : prove(plan, song, sendings)))
                .toList();
        songs.values().retainAll(kept(proofs));
        scripts.keySet().retainAll(kept(proofs));
        ShowRun run = ran.filter(before -> before.isOf(plan, proofs))
                .map(Ran::run)
                .orElseGet(() -> new ShowRunner(plan, this).run(proofs));
        ran = Optional.of(new Ran(plan, proofs, run));
        return new BookProof(proofs, run, List.of());
    }

    private static Set<SongProof> kept(List<SongProof> proofs) {
        Set<SongProof> kept = Collections.newSetFromMap(new IdentityHashMap<>());
        kept.addAll(proofs);
        return kept;
    }

    /** What happens in a song, worked out once for its proof. */
    ShowRunner.Script script(SongProof proof, Function<SongProof, ShowRunner.Script> made) {
        return scripts.computeIfAbsent(proof, made);
    }

    private SongProof prove(Plan plan, Song song, Sendings sendings) {
        Optional<DeviceId> player = plan.player(song);
        if (player.isEmpty()) {
            return new SongProof(song, player, List.of(), List.of(), List.of());
        }
        List<CueProof> own = song.cues().stream()
                .map(cue -> prove(player.get(), song, cue, sendings))
                .toList();
        List<CueProof> every = always.stream()
                .map(cue -> prove(player.get(), song, cue, sendings))
                .toList();
        return new SongProof(song, player, own, every, queues(player.get(), own));
    }

    private CueProof prove(DeviceId player, Song song, Cue cue, Sendings sendings) {
        Optional<Long> micros = cue.at().micros(song.form());
        if (cue.foot().isPresent()) {
            return new CueProof(
                    cue, List.of(), Verdict.EXACT, new TreeSet<>(), new TreeSet<>(), List.of(), 0, 0, 0, micros);
        }
        Proven known = proven(player, cue, sendings);
        long room =
                micros.map(at -> Math.max(0, at - song.trims().startMicros())).orElse(0L);
        long lead = cue.early() ? Math.min(room, Math.min(MAX_LEAD_MICROS, known.usual())) : 0;
        boolean late = !isBeforeTheMusic(cue) && known.worst() - lead - waits(cue) > Prover.LATEST_MICROS;
        Verdict verdict = known.verdict() == Verdict.EXACT && late ? Verdict.LATE : known.verdict();
        return new CueProof(
                cue,
                known.sent().steps(),
                verdict,
                known.targets(),
                known.wrong(),
                known.trace(),
                known.worst(),
                known.usual(),
                lead,
                micros);
    }

    /** Whether nobody sees yet when it comes: what a song sends as it is loaded. */
    private static boolean isBeforeTheMusic(Cue cue) {
        return cue.at() instanceof Anchor.Automatic at && at.when() == When.LOAD;
    }

    private static long waits(Cue cue) {
        return cue.steps().stream().mapToLong(Step::waitMillis).sum() * 1_000;
    }

    private Proven proven(DeviceId player, Cue cue, Sendings sendings) {
        return proven.computeIfAbsent(CueSent.of(player, cue), sent -> {
            Sent.ByCue travelled = sendings.of(sent);
            List<CompiledStep> steps = travelled.steps();
            Journey journey = travelled.journey();
            Deed plain = deeds.of(sent.steps(), sent.byItself(), journey);
            SortedSet<Place> targets = deeds.targets(sent.steps());
            List<Trial> trials =
                    starts.stream().map(start -> trial(start, plain)).toList();
            SortedSet<Place> wrong = Trial.wrongPlaces(trials);
            Outcome once = engine.play(starts.getFirst(), journey);
            boolean stopped = steps.stream().anyMatch(step -> step.obstacle().isPresent());
            boolean unexplained = sent.steps().isEmpty();
            Verdict verdict = stopped
                    ? Verdict.NO_WAY
                    : unexplained ? rawVerdict(sent, once) : Judge.steadyVerdict(targets, wrong, trials, false);
            Verdict told = journey.cameRoundAt().isPresent() ? Judge.unknown(verdict) : verdict;
            List<Step> settled = Meant.settled(sent.steps(), sent.leavesOff());
            Deed deed = deeds.of(unexplained ? List.of() : settled, sent.byItself(), journey);
            return new Proven(
                    travelled,
                    told,
                    targets,
                    unexplained ? new TreeSet<>() : wrong,
                    once.trace(),
                    deeds.worstMicros(once),
                    usual(steps),
                    deed);
        });
    }

    /** What is said of messages as they are: known where some box of the rig does something with each. */
    private static Verdict rawVerdict(CueSent sent, Outcome once) {
        Set<Message> known = new HashSet<>();
        for (Happened event : once.trace()) {
            if (event instanceof Happened.Arrived arrived && arrived.reading() instanceof Reading.Acts) {
                known.add(arrived.message());
            }
        }
        return known.containsAll(sent.raw()) ? Verdict.EXACT : Verdict.NOT_KNOWN;
    }

    private Trial trial(World start, Deed deed) {
        return new Trial(
                start, List.of(new Press(1, Moment.PRESS, start, start.after(deed.meant()), deeds.done(start, deed))));
    }

    private long usual(List<CompiledStep> steps) {
        return steps.stream()
                .filter(step -> step.way().isPresent())
                .mapToLong(step ->
                        usual(step.way().get(), step.messages().getLast().length()))
                .max()
                .orElse(0);
    }

    private long usual(SignalPath way, int bytes) {
        return usual.computeIfAbsent(way, w -> new HashMap<>())
                .computeIfAbsent(
                        bytes,
                        length -> Timing.total(timing.shares(way, length, 0)).usual());
    }

    /** What really happens by a cue, and what is meant. */
    Deed deed(DeviceId player, Cue cue) {
        return Objects.requireNonNull(proven.get(CueSent.of(player, cue)), () -> cue + " is not proven")
                .deed();
    }

    Deeds deeds() {
        return deeds;
    }

    Rig rig() {
        return rig;
    }

    World poweredOn() {
        return starts.getFirst();
    }

    /** What a switch does. */
    Footwork footwork(Assignment assignment) {
        return feet.computeIfAbsent(assignment, a -> {
            CompiledSwitch compiled = compiler.compile(a);
            Map<Moment, Deed> byMoment = new EnumMap<>(Moment.class);
            Proof.moments(Moment.PRESS)
                    .forEach(moment ->
                            byMoment.put(moment, deeds.of(a.steps(moment), engine.journey(compiled, moment, 0))));
            return new Footwork(compiled, byMoment);
        });
    }

    private List<Queue> queues(DeviceId player, List<CueProof> cues) {
        List<CueProof> sent = cues.stream()
                .filter(cue -> cue.sentMicros().isPresent() && !cue.messages().isEmpty())
                .sorted(Comparator.comparing((CueProof cue) -> cue.sentMicros().orElseThrow()))
                .toList();
        List<Queue> queues = new ArrayList<>();
        for (int from = 0, to; from < sent.size(); from = to) {
            to = from + 1;
            while (to < sent.size() && sentAt(sent, to) - sentAt(sent, to - 1) < CROWD_MICROS) {
                to++;
            }
            queue(player, sent.subList(from, to)).ifPresent(queues::add);
        }
        return queues;
    }

    private static long sentAt(List<CueProof> cues, int index) {
        return Objects.requireNonNull(cues.get(index).sentMicros().orElseThrow());
    }

    private Optional<Queue> queue(DeviceId player, List<CueProof> cues) {
        long first = sentAt(cues, 0);
        List<Engine.Timed> messages = new ArrayList<>();
        for (CueProof cue : cues) {
            messages.addAll(
                    Engine.timed(cue.steps(), cue.cue().raw(), cue.sentMicros().orElseThrow() - first));
        }
        messages.sort(Comparator.comparingLong(Engine.Timed::atMicros));
        return crowds.computeIfAbsent(new Crowd(player, messages), this::worst)
                .map(worst -> new Queue(
                        first,
                        cues.stream().map(cue -> cue.cue().number()).toList(),
                        messages.size(),
                        worst.held(),
                        worst.at(),
                        worst.arrives()));
    }

    private Optional<Worst> worst(Crowd crowd) {
        Worst worst = null;
        Map<Message, List<Long>> begun = new HashMap<>();
        crowd.messages()
                .forEach(timed -> begun.computeIfAbsent(timed.message(), m -> new ArrayList<>())
                        .add(timed.atMicros()));
        Map<List<Object>, Integer> seen = new HashMap<>();
        for (Journey.Delivery delivery :
                engine.journey(crowd.player(), crowd.messages()).deliveries()) {
            int nth = seen.merge(List.of(delivery.to(), delivery.message()), 1, Integer::sum);
            List<Long> times = begun.getOrDefault(delivery.message(), List.of());
            Long unhindered = alone(crowd.player(), delivery.message()).get(delivery.to());
            if (unhindered != null && nth <= times.size()) {
                long held = delivery.atMicros() - times.get(nth - 1) - unhindered;
                worst = worst == null || held > worst.held()
                        ? new Worst(held, delivery.to(), delivery.atMicros())
                        : worst;
            }
        }
        return Optional.ofNullable(worst).filter(w -> w.held() > 0);
    }

    private Map<Socket, Long> alone(DeviceId player, Message message) {
        return alone.computeIfAbsent(new Single(player, message), single -> {
            Map<Socket, Long> arrivals = new HashMap<>();
            engine.journey(player, List.of(new Engine.Timed(message, 0)))
                    .deliveries()
                    .forEach(delivery -> arrivals.putIfAbsent(delivery.to(), delivery.atMicros()));
            return arrivals;
        });
    }

    /** Two provers are equal when they prove the same rig; what they remember follows from it. */
    @Override
    public boolean equals(Object other) {
        return other instanceof BookProver that && rig.equals(that.rig);
    }

    @Override
    public int hashCode() {
        return rig.hashCode();
    }

    /** Lanes of places. */
    Set<Lane> lanes(SortedSet<Place> of) {
        Set<Lane> lanes = new HashSet<>();
        of.forEach(place -> lanes.add(Lane.of(rig, place)));
        return lanes;
    }
}
