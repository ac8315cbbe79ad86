package embrack.app.line;

import embrack.app.store.LogStore;
import embrack.app.store.StoredRig;
import embrack.core.line.Inspection;
import embrack.core.line.Inspection.Result;
import embrack.core.line.Task;
import embrack.core.line.Telling;
import embrack.core.plan.Plan;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Writes line checks into the log, as they stand. */
@Component
class LineLog {

    private final LogStore log;

    LineLog(LogStore log) {
        this.log = log;
    }

    /** One that came on a step. */
    void write(StoredRig rig, String who, Inspection found) {
        Plan plan = rig.plan();
        var wording = new Wording(plan.rig(), plan.book(), plan.switches(), Language.ENGLISH);
        List<LogStore.Line> lines = new ArrayList<>();
        found.results().forEach((task, result) -> {
            switch (result) {
                case Result.Right right -> lines.add(line(plan, task, "right", "as planned"));
                case Result.Wrong wrong ->
                    lines.add(line(
                            plan,
                            task,
                            "wrong",
                            wording.say(new Telling(plan, found.walk().planned(task)).brief(wrong.amiss()))));
                case Result.ToDo todo -> {}
                case Result.Changed changed -> {}
            }
        });
        String title = "%d of %d looked at, %d not as planned"
                .formatted(found.done(), found.count(), found.amiss().size());
        log.check(rig.id(), rig.revision(), who, title, lines);
    }

    private static LogStore.Line line(Plan plan, Task task, String sort, String words) {
        return new LogStore.Line(
                0, sort, "", plan.rig().name(task.box()).text(), Telling.name(plan, task) + ": " + words, 0);
    }
}
