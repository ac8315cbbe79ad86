package embrack.core.effort;

import embrack.core.gear.Power;
import embrack.core.loss.Failure;
import embrack.core.loss.Loss;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Length;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import embrack.core.rig.StandBy;
import embrack.core.switches.Assignment;
import embrack.core.switches.Duty;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Function;

/**
 * What to do when something fails, as the plan stands: what is pressed in the first ten seconds, what is done with
 * plugs and power in the first minute, what takes over in the first five. Nothing is said that is not there: a switch
 * that still works, a box that is spare, another board that can do the job.
 *
 * @param seconds what to press or to work by hand, within ten seconds
 * @param minute what to do with plugs and power
 * @param five what to put in its place
 */
public record FirstAid(String seconds, String minute, String five) {

    /**
     * What to do about a loss.
     *
     * @param takeOver what could take over for a board, best first
     */
    public static FirstAid of(Plan plan, Loss loss, Function<DeviceId, List<Candidate>> takeOver) {
        return new Rescue(plan, loss, takeOver).aid();
    }

    private record Rescue(Plan plan, Loss loss, Function<DeviceId, List<Candidate>> takeOver) {

        FirstAid aid() {
            return switch (loss.failure()) {
                case Failure.LinkFails fails ->
                    new FirstAid(
                            seconds(),
                            "Push both its plugs in again.",
                            rig().kind(fails.link()).isCable()
                                    ? "The spare %s cable%s."
                                            .formatted(
                                                    Linking.cable(rig(), fails.link()),
                                                    fails.link()
                                                            .length()
                                                            .map(Length::words)
                                                            .map(", "::concat)
                                                            .orElse(""))
                                    : "Start both ends anew, this one first: %s."
                                            .formatted(
                                                    rig().name(fails.link().to().device())));
                case Failure.DeviceFails fails ->
                    new FirstAid(seconds(), restart(fails.device()), instead(fails.device()));
            };
        }

        private Rig rig() {
            return plan.rig();
        }

        private String seconds() {
            List<String> words = new ArrayList<>();
            pairs().ifPresent(words::add);
            kill().ifPresent(words::add);
            List<String> byHand = boxes();
            if (!byHand.isEmpty()) {
                words.add("By hand at %s.".formatted(Words.list(byHand)));
            }
            return words.isEmpty() ? "Nothing to press: go on." : String.join(" ", words);
        }

        /** What goes over, or is brought to go over, where one of a pair is lost. */
        private Optional<String> pairs() {
            return rig().pairs().stream()
                    .filter(pair -> isGone(pair.first()) || isGone(pair.second()))
                    .findFirst()
                    .flatMap(pair -> StandBy.of(rig(), pair)
                            .map(guard -> guard.isByItself()
                                    ? "%s goes over by itself.".formatted(rig().name(guard.guard()))
                                    : "Go over at %s.".formatted(rig().name(guard.guard()))));
        }

        private boolean isGone(DeviceId device) {
            return loss.dark().contains(device)
                    || loss.failure() instanceof Failure.DeviceFails fails
                            && (fails.device().equals(device) || fails.device().equals(rig().box(device)));
        }

        /** The kill switch, where it still works. */
        private Optional<String> kill() {
            return plan.switches().assignments().stream()
                    .filter(assignment -> assignment.isFor(Duty.KILL) && isLeft(assignment.at()))
                    .findFirst()
                    .map(assignment -> "If it sounds wrong: %s.".formatted(plan.words(assignment.at())));
        }

        private boolean isLeft(SwitchAt at) {
            return !loss.switches().contains(at);
        }

        /** Boxes whose switches are lost, and that still have power: somebody can work them. */
        private List<String> boxes() {
            var boxes = new TreeSet<DeviceId>();
            loss.switches().stream()
                    .map(plan.switches()::at)
                    .map(Assignment::steps)
                    .flatMap(List::stream)
                    .map(Step::device)
                    .filter(device -> !isGone(device) && !isGone(rig().box(device)))
                    .forEach(boxes::add);
            return boxes.stream().map(box -> rig().name(box).text()).toList();
        }

        private String restart(DeviceId device) {
            int seconds = rig().model(device).power().map(Power::startSeconds).orElse(0);
            String what = rig().model(device).isApp() ? "Start it anew" : "Power off, plugs in, power on";
            return seconds == 0 ? what + "." : "%s: it starts in %d s.".formatted(what, seconds);
        }

        private String instead(DeviceId device) {
            Optional<Device> spare = rig().devices().stream()
                    .filter(other -> !other.id().equals(device)
                            && rig().linksIn(other.id()).isEmpty()
                            && rig().model(other.id()).equals(rig().model(device))
                            && !rig().model(other.id()).isApp())
                    .findFirst();
            return spare.map(box -> "%s, which is spare, in its place.".formatted(box.name()))
                    .or(() -> otherBoard(device))
                    .orElse("Nothing of the rig can take over: go on without it.");
        }

        private Optional<String> otherBoard(DeviceId device) {
            return plan.boards().contains(device)
                    ? takeOver.apply(device).stream()
                            .findFirst()
                            .map(candidate -> "%s can take over %d of %d; the swap sheet says how."
                                    .formatted(candidate.words(plan), candidate.does(), candidate.of()))
                    : Optional.empty();
        }
    }
}
