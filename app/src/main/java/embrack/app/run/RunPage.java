package embrack.app.run;

import embrack.app.frame.Mark;
import embrack.app.frame.Spoken;
import embrack.core.check.rule.Severity;
import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.run.Act;
import embrack.core.run.Advice;
import embrack.core.run.Fault;
import embrack.core.run.Line;
import embrack.core.run.Night;
import embrack.core.run.Run;
import embrack.core.run.Telling;
import embrack.core.run.Wrong;
import embrack.core.run.text.ActText;
import embrack.core.show.Running;
import embrack.core.switches.Assignment;
import embrack.core.switches.Moment;
import embrack.core.switches.SwitchAt;
import embrack.core.word.Wording;
import embrack.core.world.Happened;
import embrack.core.world.Reading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A run as it is seen.
 *
 * @param id which one
 * @param isGoing whether time goes on
 * @param isByPlan whether it presses what the plan says
 * @param isReplay whether it plays another one again, as it was played
 * @param isOld whether the plan has changed since it began
 * @param speeds how fast it can go
 * @param title the part that goes or waits
 * @param where what of it: "waits for 1 Go", "Verse 2"
 * @param bar "bar 26"; empty outside of songs
 * @param clock how far the show is: "0:24:10", and how much earlier or later than planned
 * @param parts the order
 * @param strip the song that plays, to be moved under the line
 * @param boards what is pressed
 * @param boxes what each box does
 * @param tape what happened, the newest first
 * @param wrongs what stands otherwise than it should
 * @param advice what brings back what is wrong with the fewest acts
 * @param outs what is out and can be brought back
 * @param freedoms what can be done with the song beside playing on
 * @param pad the root of the pad that lies under it, hertz; empty where none does
 * @param drill how the feet do; empty where none are trained
 */
record RunPage(
        long id,
        boolean isGoing,
        boolean isByPlan,
        boolean isReplay,
        boolean isOld,
        List<Choice> speeds,
        String title,
        String where,
        String bar,
        String clock,
        String late,
        List<Part> parts,
        Optional<StripView> strip,
        List<BoardView> boards,
        List<BoxView> boxes,
        List<TapeRow> tape,
        List<WrongView> wrongs,
        Optional<AdviceView> advice,
        List<Deed> outs,
        List<Deed> freedoms,
        Optional<DrillView> drill,
        String pad,
        boolean isOver) {

    private static final int ROWS = 60;
    private static final int A_ABOVE_C = 9;
    private static final int OCTAVE = 12;
    private static final long SECOND = 1_000_000;

    /** Something that can be chosen. */
    record Choice(String key, String words, boolean isHere) {}

    /** A part of the order. */
    record Part(int number, String name, String start, boolean isHere, boolean isPast, int bars) {}

    /** A board from above, in the bank that it shows. */
    record BoardView(String id, String name, int columns, List<Choice> banks, List<Tile> tiles, String keys) {}

    /** A switch. {@code press} as an act. */
    record Tile(String number, String label, String key, boolean isDown, boolean isNext, String keyCap) {}

    /** Something that happened. {@code boxes} those that it is about, each between blanks. */
    record TapeRow(long number, String clock, String words, Optional<Mark> mark, String sort, String boxes) {}

    /** What stands wrong. */
    record WrongView(String words, String because, String since) {}

    /** Something that somebody can do, as an act; {@code why} not, where it cannot be done. */
    record Deed(String act, String words, String why) {}

    /** A part to begin from. */
    record From(int number, String words) {}

    /** From where a night can be begun. */
    static List<From> froms(Night night) {
        return IntStream.range(0, night.parts().size())
                .mapToObj(i -> new From(i, night.parts().get(i).entry().name().text()))
                .toList();
    }

    static RunPage of(LiveRun live, int newest) {
        Run run = live.run();
        Night night = run.night();
        Plan plan = night.plan();
        Wording wording = Spoken.of(plan);
        var telling = new Telling(night);
        Pace pace = live.pace();
        Optional<DrillView> drill = DrillView.of(live);
        return new RunPage(
                live.id(),
                pace.isGoing(),
                run.isByPlan(),
                live.isReplay(),
                live.revision() != newest,
                Stream.of(Pace.Speed.values())
                        .map(speed -> new Choice(speed.key(), speed.words(), speed == pace.speed()))
                        .toList(),
                title(run),
                where(run, plan),
                bar(run),
                Clock.brief(Math.max(0, showMicros(run))),
                run.isOver() ? slot(run) : late(run),
                parts(run),
                StripView.of(run),
                boards(run, plan),
                BoxView.all(run, wording, telling),
                tape(run, wording, telling),
                run.wrongs().stream()
                        .map(wrong -> wrong(run, wrong, wording, telling))
                        .toList(),
                drill.filter(view -> !view.asks().isEmpty()).isPresent()
                        ? Optional.empty()
                        : live.advice().map(found -> AdviceView.of(run, found, wording)),
                outs(run, live.advice(), wording),
                NightDeeds.of(run),
                drill,
                run.isOver() || night.parts().isEmpty()
                        ? ""
                        : night.parts()
                                .get(run.part())
                                .pad()
                                .map(RunPage::hertz)
                                .orElse(""),
                run.isOver());
    }

    /** The root of a key in the octave below middle C, in equal temperament with A at 440 Hz: ISO 16 for the A. */
    private static String hertz(Key key) {
        return String.format(Locale.ROOT, "%.2f", 440 * Key.ratio(key.pitchClass() - A_ABOVE_C - OCTAVE));
    }

    /** How far the show is, by the order: before its start it is negative. */
    static long showMicros(Run run) {
        return run.night().parts().isEmpty()
                ? 0
                : run.now() + run.night().parts().getFirst().startMicros();
    }

    private static String title(Run run) {
        return run.isOver() || run.night().parts().isEmpty()
                ? "Over"
                : run.night().parts().get(run.part()).entry().name().text();
    }

    private static String where(Run run, Plan plan) {
        if (run.isOver()) {
            return "";
        }
        if (run.isWaiting()) {
            return run.night()
                    .start(run.part())
                    .map(at -> "waits for " + name(plan, at))
                    .orElse("is about to begin");
        }
        if (run.isStopped()) {
            return "stopped";
        }
        return run.song()
                .map(song -> song.form()
                        .sections()
                        .get(run.section().orElse(0))
                        .name()
                        .text())
                .orElseGet(() -> "since " + Clock.brief(run.songMicros().orElse(0)));
    }

    private static String bar(Run run) {
        return run.song().isEmpty() || run.songMicros().isEmpty()
                ? ""
                : "bar "
                        + run.song()
                                .get()
                                .form()
                                .tempoMap()
                                .position(run.song()
                                        .get()
                                        .form()
                                        .tempoMap()
                                        .tickAt(Math.max(0, run.songMicros().getAsLong())))
                                .bar();
    }

    /** How late it is, in words; empty while it waits. */
    static String late(Run run) {
        if (run.night().parts().isEmpty() || run.isWaiting()) {
            return "";
        }
        long by = run.lateMicros();
        return Math.abs(by) < 2 * SECOND ? "on time" : by > 0 ? Clock.brief(by) + " late" : Clock.brief(-by) + " early";
    }

    /** How late it is, and how much of the slot would be left if all goes on as planned, or is when all is over. */
    static String slot(Run run) {
        String late = late(run);
        String spare = run.spareMicros()
                .map(left -> left >= 0 ? Clock.brief(left) + " to spare" : Clock.brief(-left) + " too long")
                .orElse("");
        return late.isEmpty() || spare.isEmpty() ? late + spare : late + ", " + spare;
    }

    /** What stands on the tape of a switch, with its place. */
    static String name(Plan plan, SwitchAt at) {
        return plan.switches()
                .at(at)
                .label()
                .map(label -> at.number() + " " + label)
                .orElseGet(at::words);
    }

    private static List<Part> parts(Run run) {
        List<Running.Part> parts = run.night().parts();
        return IntStream.range(0, parts.size())
                .mapToObj(i -> new Part(
                        i,
                        parts.get(i).entry().name().text(),
                        Clock.brief(Math.max(0, run.night().micros(parts.get(i).startMicros()))),
                        i == run.part(),
                        i < run.part(),
                        run.night().song(i).map(song -> song.form().bars()).orElse(0)))
                .toList();
    }

    private static List<BoardView> boards(Run run, Plan plan) {
        Optional<SwitchAt> next = run.nextPress();
        List<BoardView> views = new ArrayList<>();
        for (DeviceId board : byUse(plan)) {
            List<Assignment> all = plan.switches().assignments().stream()
                    .filter(a -> a.at().board().equals(board) && !a.steps().isEmpty())
                    .toList();
            if (all.isEmpty()) {
                continue;
            }
            int shown = run.actual().shownBank(board);
            List<Integer> banks =
                    all.stream().map(a -> a.at().bank()).distinct().sorted().toList();
            String keys = views.isEmpty() ? "plain" : views.size() == 1 ? "shift" : "none";
            views.add(new BoardView(
                    board.text(),
                    plan.rig().name(board).text(),
                    plan.rig()
                            .model(board)
                            .board()
                            .map(shape -> shape.columns())
                            .orElse(4),
                    banks.size() < 2 && banks.contains(shown)
                            ? List.of()
                            : banks.stream()
                                    .map(bank -> new Choice(
                                            "turn %s %d".formatted(board, bank),
                                            "bank " + plan.bankName(new SwitchAt(board, bank, 1)),
                                            bank == shown))
                                    .toList(),
                    all.stream()
                            .filter(a -> a.at().bank() == shown)
                            .map(a -> new Tile(
                                    a.at().place(),
                                    a.label().map(Object::toString).orElse(""),
                                    a.at().key(),
                                    run.actual().isHeld(a.at()),
                                    next.filter(a.at()::equals).isPresent(),
                                    keys.equals("none") || a.at().number() > 10
                                            ? ""
                                            : String.valueOf(a.at().number() % 10)))
                            .toList(),
                    keys));
        }
        return views;
    }

    /** The board with most switches in use first: it lies where the fingers are. */
    private static List<DeviceId> byUse(Plan plan) {
        return plan.controllers().stream()
                .sorted(Comparator.comparingLong((DeviceId board) -> -plan.switches().assignments().stream()
                        .filter(a -> a.at().board().equals(board))
                        .count()))
                .toList();
    }

    private static WrongView wrong(Run run, Wrong wrong, Wording wording, Telling telling) {
        return new WrongView(
                wording.say(telling.of(new Line.Amiss(wrong))),
                telling.because(wrong).map(wording::say).orElse(""),
                Clock.brief(run.now() - wrong.since()));
    }

    private static List<TapeRow> tape(Run run, Wording wording, Telling telling) {
        List<TapeRow> rows = new ArrayList<>();
        for (Line line : run.tape().reversed()) {
            if (rows.size() == ROWS) {
                break;
            }
            rows.add(new TapeRow(
                    line.number(),
                    Clock.text(line.at()),
                    wording.say(telling.of(line.what())),
                    mark(line.what()),
                    sort(line.what()),
                    boxes(line.what())));
        }
        return rows;
    }

    private static Optional<Mark> mark(Line.What what) {
        return switch (what) {
            case Line.Amiss amiss -> Optional.of(Mark.of(Severity.LOOK, "wrong"));
            case Line.Struck struck -> Optional.of(Mark.of(Severity.STOPS, "fault"));
            case Line.Silent silent -> Optional.of(Mark.of(Severity.STOPS, "silent"));
            case Line.Missed missed -> Optional.of(Mark.of(Severity.LOOK, "missed"));
            case Line.Righted righted -> Optional.of(new Mark("tick", "exact", "right"));
            case Line.Sounds sounds -> Optional.of(new Mark("tick", "exact", "right"));
            case Line.Repaired back -> Optional.of(new Mark("tick", "exact", "back"));
            case Line.Marked marked -> Optional.of(Mark.of(Severity.NOTE, "!"));
            default -> Optional.empty();
        };
    }

    /** What of the tape is shown where not all is: what people and the plan do, and what is wrong. */
    private static String sort(Line.What what) {
        return switch (what) {
            case Line.Travelled travelled ->
                switch (travelled.what()) {
                    case Happened.Arrived arrived when arrived.reading() instanceof Reading.Acts -> "effect";
                    case Happened.Arrived arrived -> "way";
                    case Happened.Sent sent -> "way";
                    case Happened.KeptBack kept -> "way";
                    case Happened.Lost lost -> "way";
                    case Happened.Failed failed -> "effect";
                    case Happened.CameRound round -> "effect";
                };
            case Line.Trod trod when trod.moment() == Moment.RELEASE -> "way";
            default -> "deed";
        };
    }

    private static String boxes(Line.What what) {
        return switch (what) {
            case Line.Travelled travelled ->
                " %s ".formatted(travelled.what().socket().device());
            case Line.Trod trod -> " %s ".formatted(trod.at().board());
            case Line.Amiss amiss -> " %s ".formatted(amiss.wrong().place().device());
            case Line.Righted righted -> " %s ".formatted(righted.place().device());
            case Line.Struck struck ->
                switch (struck.fault()) {
                    case Fault.BoxOut out -> " %s ".formatted(out.box());
                    case Fault.LinkOut out ->
                        " %s %s "
                                .formatted(
                                        out.link().from().device(),
                                        out.link().to().device());
                    default -> "";
                };
            default -> "";
        };
    }

    /** What can be brought back, beside what is advised. */
    private static List<Deed> outs(Run run, Optional<Advice> advice, Wording wording) {
        List<Act> advised = advice.map(Advice::acts).orElse(List.of());
        return run.repairs().stream()
                .filter(event -> !advised.contains(new Act.Repaired(event)))
                .map(event ->
                        new Deed(ActText.write(new Act.Repaired(event)), wording.say(Telling.toRepair(event)), ""))
                .toList();
    }
}
