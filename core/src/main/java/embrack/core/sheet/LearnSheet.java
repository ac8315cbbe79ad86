package embrack.core.sheet;

import embrack.core.chart.Learnable;
import embrack.core.chart.LearnableId;
import embrack.core.chart.Learned;
import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.sheet.Section.Task;
import embrack.core.sheet.Sheet.Job;
import embrack.core.switches.Moment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Makes the sheets of boxes that learn by pressing: what is cleared, what is sent alone and when, what is kept. */
final class LearnSheet {

    private final Plan plan;
    private final Rig rig;
    private final Lessons lessons;

    LearnSheet(Report report) {
        this.plan = report.plan();
        this.rig = plan.rig();
        this.lessons = new Lessons(report);
    }

    /** What learns by pressing, once the boxes that send are programmed. */
    Optional<Sheet> of(Device device) {
        if (device.learned().isEmpty()
                || rig.model(device.id()).implementation().quirks().assignableInputs() > 0) {
            return Optional.empty();
        }
        List<Task> early = new ArrayList<>();
        List<Task> tasks = new ArrayList<>();
        device.learned().forEach((learnable, message) -> {
            Lesson lesson = lessons.of(device.id(), learnable);
            (lesson instanceof Lesson.Alone ? early : tasks)
                    .add(new Task(
                            "%s/learn/%s".formatted(device.id(), learnable.key()),
                            "%s: choose \"learn\", then %s. It should say %s."
                                    .formatted(target(rig, device.id(), learnable), how(lesson), words(message))));
        });
        boolean refuses = rig.model(device.id()).chart().learnables().stream().anyMatch(Learnable::refusesZero);
        List<String> cautions = refuses
                ? List.of("It does not learn from a message of value 0: press so that 127 is sent.")
                : List.of();
        List<Section> sections = new ArrayList<>();
        sections.add(new Section.Todo(
                "Before",
                List.of(new Task(
                        device.id() + "/learn-before",
                        "Erase what it learned before: an old link stays, and works two things with one message."))));
        if (!early.isEmpty()) {
            sections.add(new Section.Todo("First, what is sent together with other messages", early));
        }
        if (!tasks.isEmpty()) {
            sections.add(new Section.Todo("Have it learn, one at a time", tasks));
        }
        sections.add(new Section.Todo("After", after(device)));
        return Optional.of(new Sheet(
                Job.LEARN,
                device.id() + "-learn",
                device.name() + " learns",
                rig.model(device.id()).name().text(),
                sections,
                cautions));
    }

    /** Learning is left, and both ends keep what they have. */
    private List<Task> after(Device device) {
        List<Task> tasks = new ArrayList<>();
        tasks.add(new Task(
                device.id() + "/learn-leave", "Leave learning; then move and press nothing until it is left."));
        tasks.add(new Task(
                device.id() + "/learn-keep",
                "Save it: %s".formatted(rig.model(device.id()).writing().orElse("save its file or set."))));
        plan.controllers().stream()
                .filter(sender -> plan.meant().getOrDefault(sender, Set.of()).contains(device.id()))
                .forEach(sender -> rig.model(sender)
                        .writing()
                        .ifPresent(how -> tasks.add(new Task(
                                "%s/learn-keep/%s".formatted(device.id(), sender),
                                "Save %s too: %s".formatted(rig.name(sender), how)))));
        return tasks;
    }

    private String how(Lesson lesson) {
        return switch (lesson) {
            case Lesson.Pressed press -> "%s %s".formatted(gesture(press.moment()), plan.words(press.at()));
            case Lesson.Moved move -> "move %s through its whole way".formatted(plan.words(move.at()));
            case Lesson.Played played ->
                "play the cue of %s at %s"
                        .formatted(
                                plan.book().song(played.song()).title(),
                                plan.book()
                                        .cue(played.song(), played.cue(), played.every())
                                        .map(cue -> cue.at()
                                                .text(plan.book()
                                                        .song(played.song())
                                                        .form()
                                                        .tempoMap()))
                                        .orElse("its place"));
            case Lesson.Alone alone ->
                "program %s with this message alone, %s it, and program the rest afterwards"
                        .formatted(plan.words(alone.at()), gesture(alone.moment()));
            case Lesson.NotAlone none ->
                "have something else send it: whatever sends it in this plan sends more than that";
        };
    }

    private static String gesture(Moment moment) {
        return switch (moment) {
            case PRESS, AGAIN -> "press";
            case RELEASE -> "press and let go of";
            case HOLD -> "hold";
            case DOUBLE_PRESS -> "press twice";
        };
    }

    /** What is learned, in words: "play Tracks". */
    static String target(Rig rig, DeviceId device, LearnableId learnable) {
        return "%s %s".formatted(learnable.verb().words(), rig.partName(device, learnable.part()));
    }

    /** A learned message in words: "CC 102 on channel 5". */
    static String words(Learned message) {
        return "%s %d%s"
                .formatted(
                        message.type().shortName(),
                        message.number(),
                        message.channel().map(c -> " on channel " + c.number()).orElse(""));
    }
}
