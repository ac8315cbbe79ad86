package embrack.core.sheet;

import embrack.core.chart.Learnable;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.check.Report;
import embrack.core.compile.CompiledControl;
import embrack.core.compile.CompiledStep;
import embrack.core.compile.Compiler;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.proof.CueSent;
import embrack.core.proof.Sendings;
import embrack.core.proof.Sent;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.way.Ways;
import embrack.core.world.Engine;
import embrack.core.world.Journey;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Finds how each message that a box learns can be sent alone. What a gesture sends is played over the wires of the
 * plan: what counts is what comes in at the box.
 */
public final class Lessons {

    /** Enough of a control's way to see all messages that it sends. */
    private static final int[] POSITIONS = {0, 42, 85, 127};

    private final Plan plan;
    private final Compiler compiler;
    private final Engine engine;

    /** What is sent, each worked out once: all that a box learns is looked for in all of it. */
    private final Sendings sendings;

    public Lessons(Report report) {
        this.plan = report.plan();
        Ways ways = new Ways(plan.rig());
        this.compiler = new Compiler(plan, ways);
        this.engine = new Engine(plan, ways);
        this.sendings = new Sendings(plan, ways);
    }

    /** How a device comes to learn something that it has been given a message for. */
    public Lesson of(DeviceId device, LearnableId learnable) {
        Learned wanted = Optional.ofNullable(plan.rig().device(device).learned().get(learnable))
                .orElseThrow(() -> new IllegalArgumentException(
                        "%s has learned nothing for %s".formatted(device, learnable.key())));
        return Stream.<Stream<Lesson>>of(
                        pressed(device, learnable, wanted),
                        moved(device, learnable, wanted),
                        played(device, wanted),
                        alone(device, learnable))
                .flatMap(each -> each)
                .findFirst()
                .orElseGet(Lesson.NotAlone::new);
    }

    private Stream<Lesson> pressed(DeviceId device, LearnableId learnable, Learned wanted) {
        return using(device, learnable).flatMap(assignment -> {
            Sent.BySwitch sent = sendings.of(assignment);
            return assignment.moments().keySet().stream()
                    .filter(moment -> moment != Moment.AGAIN)
                    .filter(moment -> isAlone(device, wanted, sent.journey(moment)))
                    .map(moment -> new Lesson.Pressed(assignment.at(), moment));
        });
    }

    private Stream<Lesson> moved(DeviceId device, LearnableId learnable, Learned wanted) {
        return plan.switches().moving(device).stream()
                .filter(control -> control.targets().stream()
                        .anyMatch(target -> target.device().equals(device)
                                && target.part().equals(learnable.part())
                                && learnable.verb().takesAmount()))
                .filter(control -> {
                    CompiledControl compiled = compiler.compile(control);
                    return IntStream.of(POSITIONS)
                                    .mapToObj(position -> engine.journey(compiled, position))
                                    .allMatch(journey ->
                                            arrivals(device, journey).allMatch(message -> is(message, wanted)))
                            && arrivals(device, engine.journey(compiled, 127)).count() == 1;
                })
                .map(control -> new Lesson.Moved(control.at()));
    }

    private Stream<Lesson> played(DeviceId device, Learned wanted) {
        return plan.book().songs().stream()
                .flatMap(song -> Stream.concat(
                        song.cues().stream().flatMap(cue -> played(device, wanted, song, cue, false).stream()),
                        plan.book().always().stream()
                                .flatMap(cue -> played(device, wanted, song, cue, true).stream())));
    }

    private Optional<Lesson> played(DeviceId device, Learned wanted, Song song, Cue cue, boolean every) {
        return plan.player(song)
                .filter(player -> !player.equals(device) && cue.foot().isEmpty())
                .filter(player -> isAlone(
                        device, wanted, sendings.of(CueSent.of(player, cue)).journey()))
                .map(player -> new Lesson.Played(song.id(), cue.number(), every));
    }

    /** A switch that can be programmed, with the message of the one step. */
    private Stream<Lesson> alone(DeviceId device, LearnableId learnable) {
        return using(device, learnable)
                .filter(assignment -> plan.board(assignment.at())
                        .fixed(assignment.at().bank(), assignment.at().number())
                        .isEmpty())
                .flatMap(assignment -> assignment.moments().entrySet().stream()
                        .flatMap(moment -> compiler.compile(assignment).steps(moment.getKey()).stream()
                                .filter(CompiledStep::isSent)
                                .filter(step -> step.step().device().equals(device)
                                        && LearnableId.of(step.step().action()).equals(learnable))
                                .filter(step -> step.messages().size() == 1)
                                .map(step -> new Lesson.Alone(
                                        assignment.at(),
                                        moment.getKey(),
                                        step.messages().getFirst()))));
    }

    private Stream<Assignment> using(DeviceId device, LearnableId learnable) {
        return plan.switches().using(device).stream()
                .filter(assignment -> assignment.steps().stream()
                        .anyMatch(step -> step.device().equals(device)
                                && LearnableId.of(step.action()).equals(learnable)));
    }

    /** Whether one message comes in that the device could learn, and that is the wanted one. */
    private boolean isAlone(DeviceId device, Learned wanted, Journey journey) {
        List<Message> heard = arrivals(device, journey).toList();
        return heard.size() == 1 && is(heard.getFirst(), wanted);
    }

    /** What comes in that the device, while it learns, would take for its lesson: on any channel, of any number. */
    private Stream<Message> arrivals(DeviceId device, Journey journey) {
        Device box = plan.rig().device(device);
        List<Learnable> learnables = plan.rig().model(box.id()).chart().learnables();
        return journey.deliveries().stream()
                .filter(delivery -> delivery.to().device().equals(device))
                .map(Journey.Delivery::message)
                .filter(message -> learnables.stream()
                        .anyMatch(learnable -> learnable.refusal(message).isEmpty()))
                .filter(message -> !message.isRelease());
    }

    private static boolean is(Message message, Learned wanted) {
        return message instanceof Message.Voice voice
                && message.type() == wanted.type()
                && message.data1() == wanted.number()
                && wanted.channel().filter(c -> !c.equals(voice.channel())).isEmpty();
    }
}
