package embrack.app.line;

import embrack.app.frame.Mark;
import embrack.app.frame.Messages;
import embrack.app.frame.Spoken;
import embrack.app.store.LineStore.Kept;
import embrack.core.check.rule.Severity;
import embrack.core.line.Amiss;
import embrack.core.line.Came;
import embrack.core.line.Inspection;
import embrack.core.line.Inspection.Result;
import embrack.core.line.LineCheck;
import embrack.core.line.Planned;
import embrack.core.line.Remark;
import embrack.core.line.Taking;
import embrack.core.line.Task;
import embrack.core.line.Telling;
import embrack.core.line.Travels;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.word.Phrase;
import embrack.core.word.Wording;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * A line check as its page shows it.
 *
 * @param turn counts what happened to it, so that a page knows whether it is behind
 * @param gapMillis when nothing has come for so long a gesture is over
 * @param isOpen whether something came that may not be all of it yet
 * @param boxes those that are walked to
 * @param boxKey where somebody is
 * @param rows what is pressed there
 * @param todos what to do there, what was found last first
 * @param travels its pedals, faders and knobs
 * @param tape what came in last
 */
record LinePage(
        long turn,
        long gapMillis,
        int done,
        int count,
        boolean isAllRight,
        boolean isOpen,
        List<BoxTab> boxes,
        String boxKey,
        String box,
        String place,
        List<Row> rows,
        List<ToDo> todos,
        List<Moved> travels,
        List<TapeRow> tape) {

    private static final int TAPE = 8;
    private static final String ROOM = "app/line";
    private static final DateTimeFormatter CLOCK =
            DateTimeFormatter.ofPattern("HH:mm:ss.SSS").withZone(ZoneId.systemDefault());

    /**
     * A box that is walked to.
     *
     * @param figure "3 of 10"
     * @param checked "30 Nov, 18:02 by this machine, revision 12"; empty while nothing is done
     */
    record BoxTab(String key, String name, String place, String figure, int amiss, String checked, boolean isHere) {}

    /**
     * Something to press.
     *
     * @param number as it stands at the switch, with what is done beside pressing: "3", "3 hold"
     * @param mark empty while it is to do
     * @param prompt what is asked for, where it is this one's turn
     */
    record Row(
            String key, String number, String tape, Optional<Mark> mark, List<String> words, Optional<Prompt> prompt) {}

    /**
     * What is asked for now.
     *
     * @param title "Press 6, Swell guitar"
     * @param waits "ch 7 PC 2"
     * @param remark what came last and was not it; empty if nothing
     */
    record Prompt(String digit, String title, String bank, List<String> waits, String remark) {}

    /**
     * What to do at a box.
     *
     * @param take what the plan would have otherwise if it is wrong; empty where nothing in it makes that right
     */
    record ToDo(String key, String where, String what, String todo, String take) {}

    /**
     * A pedal, fader or knob.
     *
     * @param planned "ch 2 CC 11, 0 to 100"
     * @param words how far it is, or what is wrong with it and what to do
     */
    record Moved(String name, String tape, String planned, Optional<Mark> mark, String words) {}

    /** What came in. */
    record TapeRow(String clock, String from, String message, String more) {}

    static LinePage of(Plan plan, LineChecks.Standing standing, Map<Task, Kept> kept) {
        LineCheck check = standing.check();
        Inspection found = check.inspection();
        Optional<DeviceId> box = check.box();
        return new LinePage(
                standing.turn(),
                check.gapMicros() / 1_000,
                found.done(),
                found.count(),
                found.isAllRight() && found.count() > 0,
                check.open().isPresent(),
                check.walk().boxes().stream()
                        .map(one -> tab(
                                plan, found, kept, one, box.filter(one::equals).isPresent()))
                        .toList(),
                box.map(DeviceId::text).orElse(""),
                box.map(one -> plan.rig().name(one).text()).orElse(""),
                box.map(one -> plan.rig().area(one).words()).orElse(""),
                box.map(one -> rows(plan, check, found, one)).orElse(List.of()),
                box.map(one -> todos(plan, check, found, one)).orElse(List.of()),
                travels(plan, standing, box),
                standing.tape().stream()
                        .limit(TAPE)
                        .map(arrived -> tapeRow(plan, arrived))
                        .toList());
    }

    private static BoxTab tab(Plan plan, Inspection found, Map<Task, Kept> kept, DeviceId box, boolean isHere) {
        List<Task> tasks = found.walk().on(box).stream().map(Planned::task).toList();
        long done = tasks.stream().filter(task -> !found.of(task).isToDo()).count();
        return new BoxTab(
                box.text(),
                plan.rig().name(box).text(),
                plan.rig().area(box).words(),
                say(Phrase.of(ROOM, "of").with("done", (int) done).with("count", tasks.size())),
                (int) tasks.stream()
                        .filter(task -> found.of(task) instanceof Result.Wrong)
                        .count(),
                kept.entrySet().stream()
                        .filter(entry -> tasks.contains(entry.getKey()))
                        .map(Map.Entry::getValue)
                        .reduce((first, last) -> last)
                        .map(last -> say(Phrase.of(ROOM, "checked")
                                .with("when", last.when())
                                .with("who", last.who())
                                .with("revision", last.revision())))
                        .orElse(""),
                isHere);
    }

    private static List<Row> rows(Plan plan, LineCheck check, Inspection found, DeviceId box) {
        List<Row> rows = new ArrayList<>();
        Wording words = Spoken.of(plan);
        for (Planned planned : check.walk().on(box)) {
            Task task = planned.task();
            boolean isNext = check.at().filter(task::equals).isPresent();
            rows.add(new Row(
                    task.key(),
                    Telling.number(plan, task),
                    Telling.tape(plan, task.at()),
                    mark(plan, planned, found.of(task)),
                    words(
                            words,
                            plan,
                            planned,
                            found.of(task),
                            Optional.ofNullable(check.came().get(task))),
                    isNext ? Optional.of(prompt(plan, check, planned)) : Optional.empty()));
        }
        return rows;
    }

    private static Optional<Mark> mark(Plan plan, Planned planned, Result result) {
        return switch (result) {
            case Result.Right right -> Optional.of(new Mark("tick", "exact", say(Phrase.of(ROOM, "right"))));
            case Result.Wrong wrong ->
                Optional.of(Mark.of(
                        wrong.amiss().isGrave() ? Severity.STOPS : Severity.LOOK,
                        Spoken.of(plan).say(new Telling(plan, planned).brief(wrong.amiss()))));
            case Result.ToDo todo -> Optional.empty();
            case Result.Changed changed -> Optional.empty();
        };
    }

    private static List<String> words(Wording words, Plan plan, Planned planned, Result result, Optional<Came> came) {
        Telling telling = new Telling(plan, planned);
        return switch (result) {
            case Result.Right right -> telling.lines(planned.messages());
            case Result.Wrong wrong ->
                List.of(
                        wrong.again()
                                ? say(Phrase.of(ROOM, "same-cause"))
                                : words.say(telling.what(wrong.amiss(), came.orElseThrow())));
            case Result.Changed changed -> List.of(say(Phrase.of(ROOM, "changed")));
            case Result.ToDo todo -> List.of(say(Phrase.of(ROOM, "to-do")));
        };
    }

    private static Prompt prompt(Plan plan, LineCheck check, Planned planned) {
        Task task = planned.task();
        String digit = task.at().place();
        String title = say(Phrase.of(ROOM, "press." + task.how().key())
                .with("switch", task.at().of().isPresent() ? task.at().words() : digit)
                .with("tape", Telling.tape(plan, task.at())));
        String bank =
                plan.banks(task.box()) > 1 ? say(Phrase.of(ROOM, "bank").with("bank", plan.bankName(task.at()))) : "";
        return new Prompt(
                digit,
                title,
                bank,
                new Telling(plan, planned).lines(planned.messages()),
                check.remark().map(remark -> remark(plan, check, task, remark)).orElse(""));
    }

    private static String remark(Plan plan, LineCheck check, Task task, Remark remark) {
        return switch (remark) {
            case Remark.OnceMore once -> once.task().equals(task) ? say(Phrase.of(ROOM, "once-more")) : "";
            case Remark.ThatIs other ->
                say(Phrase.of(ROOM, "that-is")
                        .with("other", Telling.name(plan, other.other()))
                        .with("this", Telling.name(plan, task)));
            case Remark.Again again -> say(Phrase.of(ROOM, "again").with("other", Telling.name(plan, again.task())));
            case Remark.Done done -> "";
        };
    }

    private static List<ToDo> todos(Plan plan, LineCheck check, Inspection found, DeviceId box) {
        List<ToDo> todos = new ArrayList<>();
        Wording words = Spoken.of(plan);
        for (Planned planned : check.walk().on(box)) {
            Task task = planned.task();
            if (found.of(task) instanceof Result.Wrong wrong && !wrong.again()) {
                Telling telling = new Telling(plan, planned);
                Amiss amiss = wrong.amiss();
                Came came = Objects.requireNonNull(check.came().get(task));
                ToDo todo = new ToDo(
                        task.key(),
                        Telling.name(plan, task),
                        words.say(telling.what(amiss, came)),
                        words.say(telling.todo(amiss)),
                        Taking.of(plan, task, came)
                                .map(edit -> words.say(edit.summary(plan)))
                                .orElse(""));
                todos.add(check.last().filter(task::equals).isPresent() ? 0 : todos.size(), todo);
            }
        }
        return todos;
    }

    /** Those of a box, and of boxes on which nothing is pressed. */
    private static List<Moved> travels(Plan plan, LineChecks.Standing standing, Optional<DeviceId> box) {
        Travels travels = standing.travels();
        return travels.planned().stream()
                .filter(travel -> box.filter(travel.box()::equals).isPresent()
                        || standing.check().walk().on(travel.box()).isEmpty())
                .map(travel -> {
                    Travels.Result result = travels.result(travel);
                    return new Moved(
                            plan.words(travel.at()),
                            plan.switches()
                                    .at(travel.at())
                                    .label()
                                    .map(TapeLabel::text)
                                    .orElse(""),
                            say(Phrase.of(ROOM, "travel.planned")
                                    .with("channel", travel.from().channel().number())
                                    .with("controller", travel.from().controller())
                                    .with("from", travel.from().value())
                                    .with("to", travel.to().value())),
                            result instanceof Travels.Result.Right
                                    ? Optional.of(new Mark("tick", "exact", say(Phrase.of(ROOM, "right"))))
                                    : result instanceof Travels.Result.Wrong
                                            ? Optional.of(Mark.of(Severity.LOOK))
                                            : Optional.empty(),
                            switch (result) {
                                case Travels.Result.ToDo todo -> say(Phrase.of(ROOM, "travel.to-do"));
                                case Travels.Result.SoFar so ->
                                    say(Phrase.of(ROOM, "travel.so-far")
                                            .with("least", so.least())
                                            .with("greatest", so.greatest()));
                                case Travels.Result.Right right -> say(Phrase.of(ROOM, "travel.right"));
                                case Travels.Result.Wrong wrong ->
                                    Spoken.of(plan).say(Travels.words(travel, wrong.amiss()));
                            });
                })
                .toList();
    }

    private static TapeRow tapeRow(Plan plan, LineChecks.Arrived arrived) {
        return new TapeRow(
                CLOCK.format(arrived.at()),
                arrived.from().map(box -> plan.rig().name(box).text()).orElse(arrived.port()),
                Messages.words(arrived.line().message()),
                arrived.line().count() > 1
                        ? say(Phrase.of(ROOM, "times")
                                .with("count", arrived.line().count()))
                        : "");
    }

    private static String say(Phrase phrase) {
        return Spoken.words().say(phrase);
    }
}
