package embrack.app.run;

import embrack.app.store.LogStore;
import embrack.app.store.RigStore;
import embrack.app.store.RunStore;
import embrack.core.music.Clock;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.run.Fault;
import embrack.core.run.Journal;
import embrack.core.run.Line;
import embrack.core.run.Night;
import embrack.core.run.Score;
import embrack.core.run.Stray;
import embrack.core.run.Telling;
import embrack.core.run.text.DrillText;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import embrack.core.world.Event;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Writes runs into the log: that one began, and what came of it, told from what people did in it. */
@Component
class RunLog {

    /** As many presses are named as the hardest. */
    private static final int HARDEST = 3;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private final LogStore log;
    private final RunStore runs;
    private final RigStore rigs;

    RunLog(LogStore log, RunStore runs, RigStore rigs) {
        this.log = log;
        this.runs = runs;
        this.rigs = rigs;
    }

    /** One began; what a show is played with is found again by its name. */
    void begun(LiveRun run) {
        if (run.wish().sort() == RunStore.Sort.SHOW) {
            rigs.nameUnnamed(
                    run.rig(),
                    run.revision(),
                    "As played on " + DAY.format(LocalDate.now()),
                    run.wish().who());
        }
        log.begun(
                run.rig(),
                run.id(),
                run.revision(),
                run.wish().sort(),
                run.wish().who(),
                "begun");
    }

    /** What one came to so far; written anew each time. */
    void write(LiveRun run) {
        Night night = run.start().night();
        Journal journal = Journal.of(
                run.start(), runs.acts(run.id(), night.plan().rig()), run.run().now());
        var written = new Written(night);
        List<SwitchAt> hardest = journal.score().hardest(HARDEST);
        List<LogStore.Press> presses = journal.score().presses().stream()
                .map(scored -> written.press(
                        scored,
                        journal.score()
                                        .worst(scored.foot().at())
                                        .filter(scored::equals)
                                        .isPresent()
                                ? hardest.indexOf(scored.foot().at()) + 1
                                : 0))
                .toList();
        log.write(run.id(), title(night, journal), written.lines(journal), presses);
    }

    private static String title(Night night, Journal journal) {
        List<String> parts = journal.entries().stream()
                .filter(entry -> entry.line().what() instanceof Line.Began)
                .map(entry -> night.parts().get(entry.part()).entry().name().text())
                .distinct()
                .toList();
        return parts.isEmpty()
                ? "nothing played"
                : parts.size() == 1
                        ? parts.getFirst()
                        : "%s to %s, %s"
                                .formatted(parts.getFirst(), parts.getLast(), Words.count(parts.size(), "part"));
    }

    /** A journal in the words of the day. */
    private static final class Written {
        private final Night night;
        private final Plan plan;
        private final Wording wording;
        private final Telling telling;

        Written(Night night) {
            this.night = night;
            this.plan = night.plan();
            this.wording = new Wording(plan.rig(), plan.book(), plan.switches(), Language.ENGLISH);
            this.telling = new Telling(night);
        }

        List<LogStore.Line> lines(Journal journal) {
            List<LogStore.Line> lines = new ArrayList<>();
            for (Journal.Entry entry : journal.entries()) {
                Line line = entry.line();
                Optional<Journal.Rescue> rescue = journal.rescues().stream()
                        .filter(one -> one.what().equals(line.what()) && one.at() == line.at())
                        .findFirst();
                lines.add(new LogStore.Line(
                        show(line.at()),
                        sort(line.what()),
                        part(entry.part()),
                        box(line.what()),
                        wording.say(telling.of(line.what()))
                                + rescue.map(Written::became).orElse(""),
                        rescue.map(one -> one.tookMicros().orElse(0)).orElse(micros(line.what()))));
            }
            return lines;
        }

        private static String became(Journal.Rescue rescue) {
            return rescue.wrongAt().isEmpty()
                    ? " Nothing was wrong by it."
                    : rescue.tookMicros().isPresent()
                            ? " All was right again after %s."
                                    .formatted(Clock.brief(rescue.tookMicros().getAsLong()))
                            : " It was not put right.";
        }

        private long show(long micros) {
            return night.parts().isEmpty()
                    ? micros
                    : micros + night.parts().getFirst().startMicros();
        }

        private String part(int part) {
            return part < night.parts().size()
                    ? night.parts().get(part).entry().name().text()
                    : "";
        }

        LogStore.Press press(Score.Scored scored, int rank) {
            SwitchAt at = scored.foot().at();
            return new LogStore.Press(
                    show(scored.foot().due()),
                    part(scored.foot().part()),
                    DrillText.write(scored.foot()),
                    RunPage.name(plan, at) + ", " + plan.rig().name(at.board()).text(),
                    scored.sort().name().toLowerCase(Locale.ROOT),
                    scored.grade().name().toLowerCase(Locale.ROOT),
                    (int) Math.round(scored.byMicros() / 1e3),
                    scored.instead().stream()
                            .map(Stray::at)
                            .map(other -> RunPage.name(plan, other))
                            .distinct()
                            .collect(Collectors.joining(", ")),
                    scored.isByNeighbour(),
                    rank);
        }

        private static String sort(Line.What what) {
            return switch (what) {
                case Line.Amiss amiss -> "wrong";
                case Line.Silent silent -> "silent";
                case Line.Righted righted -> "right";
                case Line.Sounds sounds -> "right";
                case Line.Struck struck -> "fault";
                case Line.Repaired back -> "back";
                case Line.Missed missed -> "missed";
                case Line.Marked marked -> "mark";
                case Line.Trod trod -> "press";
                default -> "went";
            };
        }

        private static long micros(Line.What what) {
            return switch (what) {
                case Line.Righted righted -> righted.afterMicros();
                case Line.Sounds sounds -> sounds.afterMicros();
                default -> 0;
            };
        }

        /** The box that a line tells of; empty for one that tells of none, or of many. */
        private String box(Line.What what) {
            return switch (what) {
                case Line.Amiss amiss -> name(amiss.wrong().place().device());
                case Line.Righted righted -> name(righted.place().device());
                case Line.Trod trod -> name(trod.at().board());
                case Line.Missed missed -> name(missed.at().board());
                case Line.Repaired back when back.event() instanceof Event.On on -> name(on.device());
                case Line.Struck struck ->
                    switch (struck.fault()) {
                        case Fault.BoxOut out -> name(out.box());
                        case Fault.LinkOut out -> name(out.link().to().device());
                        case Fault.Slip slip -> name(slip.link().to().device());
                        case Fault.Stutter stutter -> name(stutter.link().to().device());
                        case Fault.Misstep step -> name(step.at().board());
                        case Fault.Astray astray -> name(astray.place().device());
                        case Fault.Overrun overrun -> "";
                    };
                default -> "";
            };
        }

        private String name(DeviceId box) {
            return plan.rig().name(box).text();
        }
    }
}
