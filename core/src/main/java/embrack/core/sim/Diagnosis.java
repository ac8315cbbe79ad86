package embrack.core.sim;

import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.chart.MessageMemory;
import embrack.core.chart.Response;
import embrack.core.compile.CompiledStep;
import embrack.core.midi.DataByte;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.proof.Broken;
import embrack.core.proof.Doing;
import embrack.core.proof.Lack;
import embrack.core.proof.Seen;
import embrack.core.rig.DeviceId;
import embrack.core.show.CueAt;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.way.Ways;
import embrack.core.world.Engine;
import embrack.core.world.Happened;
import embrack.core.world.Hearing;
import embrack.core.world.Lane;
import embrack.core.world.Place;
import embrack.core.world.Reading;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Finds what is to blame where something does not do what is meant: it plays the shortest story through the engine and
 * goes along the way of the message to the first thing that is otherwise than it should be.
 *
 * <p>Cost: a story played for each place that fails; nothing where all is right.
 */
public final class Diagnosis {

    private static final int MOST_WAYS = 4;

    private final Plan plan;
    private final Ways ways;
    private @Nullable Engine engine;
    private List<World> starts = List.of();

    /** {@code ways} those of the plan. */
    public Diagnosis(Plan plan, Ways ways) {
        this.plan = plan;
        this.ways = ways;
    }

    /** What is to blame for all that switches, controls and cues leave otherwise than meant. */
    public List<Blame> all(List<Proof> proofs, List<ControlProof> controls, BookProof book) {
        List<Blame> blames = new ArrayList<>();
        proofs.forEach(proof -> blames.addAll(of(proof)));
        controls.forEach(proof -> blames.addAll(of(proof)));
        for (SongProof song : book.songs()) {
            song.player()
                    .ifPresent(player -> song.cues()
                            .forEach(cue -> blames.addAll(of(
                                    player,
                                    new CueAt(song.song().id(), cue.cue().number()),
                                    cue))));
        }
        return blames;
    }

    /** What is to blame for the places that a switch leaves otherwise than meant, one each. */
    List<Blame> of(Proof proof) {
        if (isKnownOtherwise(proof.verdict())) {
            return List.of();
        }
        return proof.wrongPlaces().stream()
                .flatMap(place -> proof.seen().stream()
                        .filter(seen ->
                                seen.place().equals(place) && seen.broken().isPresent())
                        .min(Comparator.comparing((Seen seen) -> isByMode(proof, seen))
                                .thenComparing(
                                        seen -> seen.broken().orElseThrow().length()))
                        .map(seen -> blame(proof, seen))
                        .stream())
                .toList();
    }

    /** Whether it is right, or has been found out to be impossible or endless already. */
    private static boolean isKnownOtherwise(Verdict verdict) {
        return verdict.isRight() || verdict == Verdict.NOT_KNOWN || verdict == Verdict.NO_WAY;
    }

    private Blame blame(Proof proof, Seen seen) {
        Broken broken = seen.broken().orElseThrow();
        Place place = seen.place();
        return new Blame(
                proof.at().board(),
                Optional.of(proof),
                Optional.empty(),
                Optional.empty(),
                place,
                proof.steps().stream().anyMatch(step -> isAbout(step.step(), place)),
                cause(proof, seen, broken),
                Optional.of(broken));
    }

    private static boolean isByMode(Proof proof, Seen seen) {
        return seen.gesture() instanceof Doing.Foot foot
                && proof.compiled().byItself().containsKey(foot.moment());
    }

    private Cause cause(Proof proof, Seen seen, Broken broken) {
        if (broken.without().isPresent()) {
            Broken.Without without = broken.without().get();
            return without.lack() == Lack.STANDS_STILL
                    ? new Cause.StandsStill(without.started())
                    : new Cause.OtherBank(without.started());
        }
        if (isByMode(proof, seen)) {
            return new Cause.SentByMode();
        }
        Moment moment = seen.gesture() instanceof Doing.Foot foot ? foot.moment() : proof.moment();
        List<CompiledStep> steps = proof.compiled().steps(moment);
        boolean turned = steps.stream()
                .map(CompiledStep::step)
                .anyMatch(step -> isAbout(step, seen.place())
                        && plan.rig().chart(step.device()).isByToggle(step.action()));
        if (turned && seen.moved()) {
            return new Cause.TurnedRound();
        }
        Retold retold = Retold.of(plan, engine(), broken);
        var scene = new Scene(proof.at().board(), seen.place(), steps, retold.last(), List.of(retold.before()));
        return scene.cause();
    }

    /** What is to blame for the places that a cue leaves otherwise than meant, one each. */
    private List<Blame> of(DeviceId player, CueAt at, CueProof proof) {
        return isKnownOtherwise(proof.verdict()) || proof.steps().isEmpty()
                ? List.of()
                : proof.wrongPlaces().stream()
                        .map(place -> new Blame(
                                player,
                                Optional.empty(),
                                Optional.of(at),
                                Optional.empty(),
                                place,
                                proof.steps().stream().anyMatch(step -> isAbout(step.step(), place)),
                                new Scene(player, place, proof.steps(), proof.trace(), starts()).cause(),
                                Optional.empty()))
                        .toList();
    }

    /** What is to blame for the places that a control leaves otherwise than meant, one each. */
    private List<Blame> of(ControlProof proof) {
        if (isKnownOtherwise(proof.verdict())) {
            return List.of();
        }
        DeviceId sender = proof.at().box();
        List<CompiledStep> steps = proof.compiled().targets().stream()
                .map(target -> new CompiledStep(
                        new Step(target.target().device(), target.target().at(DataByte.MAX)),
                        List.of(target.at().getLast()),
                        target.way(),
                        target.obstacle()))
                .toList();
        return proof.wrongPlaces().stream()
                .map(place -> new Blame(
                        sender,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(proof.at()),
                        place,
                        steps.stream().anyMatch(step -> isAbout(step.step(), place)),
                        new Scene(sender, place, steps, proof.trace(), starts()).cause(),
                        Optional.empty()))
                .toList();
    }

    private List<World> starts() {
        if (starts.isEmpty()) {
            starts = List.of(World.poweredOn(plan.rig()), World.opposite(plan.rig()));
        }
        return starts;
    }

    private Engine engine() {
        Engine made = engine;
        if (made == null) {
            made = new Engine(plan, ways);
            engine = made;
        }
        return made;
    }

    /** Whether a step is about a place or its lane, on its device or on the one that stands in for it. */
    private boolean isAbout(Step step, Place place) {
        Lane lane = Lane.of(plan.rig(), place);
        return Stream.concat(Stream.of(step.device()), plan.rig().standIn(step.device()).stream())
                .anyMatch(device ->
                        Lane.of(plan.rig(), World.place(device, step.action())).equals(lane));
    }

    /** The moment in which it fails. */
    private final class Scene {

        private final DeviceId sender;
        private final Place place;
        private final List<CompiledStep> steps;
        private final List<Happened.Arrived> arrived;
        private final List<World> before;

        /**
         * A scene.
         *
         * @param steps what is sent, and what for
         * @param happened all that happens
         * @param before how the rig stood; several where it is not known
         */
        Scene(DeviceId sender, Place place, List<CompiledStep> steps, List<Happened> happened, List<World> before) {
            this.sender = sender;
            this.place = place;
            this.steps = steps;
            this.before = before;
            this.arrived = happened.stream()
                    .filter(Happened.Arrived.class::isInstance)
                    .map(Happened.Arrived.class::cast)
                    .filter(each -> each.socket().device().equals(place.device()))
                    .toList();
        }

        private Cause cause() {
            List<CompiledStep> meant =
                    steps.stream().filter(step -> isAbout(step.step(), place)).toList();
            return meant.isEmpty() ? moved() : notHeard(meant).orElseGet(() -> otherwise(meant));
        }

        /** What keeps the receiver from obeying what is meant for it, the first on the way first. */
        private Optional<Cause> notHeard(List<CompiledStep> meant) {
            List<Message> messages =
                    meant.stream().flatMap(step -> step.messages().stream()).toList();
            List<Happened.Arrived> own = arrived.stream()
                    .filter(each -> messages.stream().anyMatch(m -> isSame(m, each.message())))
                    .toList();
            if (own.isEmpty()) {
                return arrived.isEmpty() ? Optional.of(new Cause.NotReached()) : Optional.empty();
            }
            return own.stream()
                    .flatMap(each -> notHeard(each, meant, messages).stream())
                    .findFirst();
        }

        private Optional<Cause> notHeard(Happened.Arrived each, List<CompiledStep> meant, List<Message> messages) {
            return switch (each.reading()) {
                case Reading.OtherChannel other -> {
                    Message.Voice voice = (Message.Voice) each.message();
                    yield Optional.of(movedBy(voice, messages)
                            .orElseGet(() -> new Cause.OtherChannel(voice.channel(), other.listensOn())));
                }
                case Reading.InputOff off -> Optional.of(new Cause.InputOff(off.setting()));
                case Reading.Deaf deaf -> Optional.of(new Cause.Deaf());
                case Reading.NotWritten none -> Optional.of(new Cause.Unwritten(none.memory()));
                default -> {
                    Optional<Cause> set = isDecided(each)
                            ? Optional.empty()
                            : meant.stream()
                                    .flatMap(step -> inputSet(step.step()).stream())
                                    .findFirst();
                    yield set.isPresent() || !isReadByBefore(each)
                            ? set
                            : Optional.of(new Cause.ReadByBefore(each.message()));
                }
            };
        }

        private boolean isReadByBefore(Happened.Arrived each) {
            Hearing hearing = engine().hearing(place.device());
            Reading fresh = hearing.reading(each.message(), MessageMemory.NOTHING, 1);
            return !fresh.equals(each.reading()) && !isDecided(each);
        }

        /** Whether what came right before it, in this very moment, is what it is read by. */
        private boolean isDecided(Happened.Arrived each) {
            return each.reading() instanceof Reading.Acts acts
                    && acts.actions().stream()
                            .anyMatch(action -> steps.stream()
                                    .anyMatch(step -> step.step().action().equals(action)));
        }

        /** The box that put a message onto the channel that it came on. */
        private Optional<Cause> movedBy(Message.Voice came, List<Message> sent) {
            return sent.stream()
                    .filter(message -> isSame(message, came) && !message.equals(came))
                    .map(Message.Voice.class::cast)
                    .flatMap(message -> box(message).map(box -> new Cause.Moved(box, message, came)).stream())
                    .<Cause>map(cause -> cause)
                    .findFirst();
        }

        private Optional<DeviceId> box(Message.Voice message) {
            return ways.all(sender, place.device(), MOST_WAYS).stream()
                    .flatMap(way -> way.hops().stream())
                    .filter(hop -> hop.pass(message)
                            .filter(passed -> !passed.equals(message))
                            .isPresent())
                    .map(hop -> hop.from().device())
                    .findFirst();
        }

        /** It is heard, and something else comes of it. */
        private Cause otherwise(List<CompiledStep> meant) {
            boolean isWrong = meant.stream()
                    .map(CompiledStep::step)
                    .anyMatch(step -> plan.rig()
                            .model(place.device())
                            .contradictedActions()
                            .contains(step.action()));
            if (isWrong) {
                return new Cause.ChartWrong();
            }
            Optional<Happened.Arrived> last = decisive();
            List<Message> own =
                    meant.stream().flatMap(step -> step.messages().stream()).toList();
            boolean isOwn = last.filter(each -> own.stream().noneMatch(m -> isSame(m, each.message())))
                    .isEmpty();
            if (!isOwn) {
                return moved();
            }
            return meant.stream()
                    .flatMap(step -> inputSet(step.step()).stream())
                    .findFirst()
                    .orElseGet(Cause.Nothing::new);
        }

        private Optional<Cause> inputSet(Step step) {
            LearnableId function = LearnableId.of(step.action());
            return Optional.ofNullable(
                            plan.rig().device(place.device()).learned().get(function))
                    .map(Learned::response)
                    .filter(response -> !response.equals(Response.PLAIN)
                            && !step.action().verb().takesAmount())
                    .<Cause>map(response -> new Cause.InputSet(step, response));
        }

        /** What moved the place, which was not meant to be moved so. */
        private Cause moved() {
            Optional<Happened.Arrived> last = decisive();
            if (last.isEmpty()) {
                return new Cause.Nothing();
            }
            Message message = last.get().message();
            List<CompiledStep> senders = steps.stream()
                    .filter(step -> step.messages().stream().anyMatch(m -> isSame(m, message)))
                    .toList();
            if (senders.isEmpty()) {
                return new Cause.Nothing();
            }
            if (message instanceof Message.Voice voice) {
                Optional<Cause> by = movedBy(
                        voice,
                        senders.stream()
                                .flatMap(step -> step.messages().stream())
                                .toList());
                if (by.isPresent()) {
                    return by.get();
                }
            }
            Optional<CompiledStep> here = senders.stream()
                    .filter(step -> step.step().device().equals(place.device()))
                    .findFirst();
            if (here.isEmpty()) {
                return new Cause.Overheard(message, senders.getFirst().step().device());
            }
            if (plan.rig()
                    .model(place.device())
                    .contradictedActions()
                    .contains(here.get().step().action())) {
                return new Cause.ChartWrong();
            }
            if (isReadByBefore(last.get())) {
                return new Cause.ReadByBefore(message);
            }
            List<LearnableId> alike = learnedFrom(message);
            return alike.size() > 1
                    ? new Cause.LearnedTwice(message, alike)
                    : new Cause.Overheard(message, place.device());
        }

        private List<LearnableId> learnedFrom(Message message) {
            return plan.rig().device(place.device()).learned().entrySet().stream()
                    .filter(e -> e.getValue().type() == message.type()
                            && e.getValue().number() == message.data1())
                    .map(Map.Entry::getKey)
                    .toList();
        }

        /** The last message that changes the place, from any state that it may be in. */
        private Optional<Happened.Arrived> decisive() {
            return before.stream().flatMap(state -> decisive(state).stream()).findFirst();
        }

        private Optional<Happened.Arrived> decisive(World state) {
            Happened.Arrived last = null;
            for (Happened.Arrived each : arrived) {
                if (each.reading() instanceof Reading.Acts acts) {
                    World next = state.after(place.device(), acts.actions());
                    last = next.value(place) == state.value(place) ? last : each;
                    state = next;
                }
            }
            return Optional.ofNullable(last);
        }
    }

    /** Whether two messages are the same but for their channel. */
    private static boolean isSame(Message one, Message other) {
        return one.equals(other)
                || one instanceof Message.Voice a
                        && other instanceof Message.Voice b
                        && a.onChannel(b.channel()).equals(b);
    }
}
