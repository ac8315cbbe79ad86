package embrack.app.run;

import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.plan.Plan;
import embrack.core.run.Act;
import embrack.core.run.Coming;
import embrack.core.run.Leap;
import embrack.core.run.Run;
import embrack.core.run.text.ActText;
import embrack.core.show.Form;
import embrack.core.show.Running;
import embrack.core.show.Song;
import embrack.core.show.Transition;
import embrack.core.switches.Duty;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A night as the one who plays sees it, large and still.
 *
 * @param now what goes
 * @param facts its key, tempo and metre
 * @param state what it does, where it does not simply play: "waits", "stopped"; empty where it plays
 * @param clock how far the show is
 * @param slot how it lies against its slot: "on time, 1:47 to spare"
 * @param sections those of the song that goes
 * @param presses those that come next, the first first
 * @param then how it goes over into the next part: "next, crossfade 4 s"
 * @param next the next part
 * @param nextFacts its key and tempo
 * @param otherKey by how much the key of the next part is another than the one it is written in
 * @param safe what makes all safe, as an act; empty where no switch does
 * @param again what plays the section once more, as an act; empty where nothing can
 * @param bars when each bar begins, microseconds from bar 1, with the end of the last; empty outside of songs
 * @param beats how many beats each bar has
 */
record StandView(
        String now,
        String facts,
        String state,
        String clock,
        String slot,
        List<Part> sections,
        List<PressView> presses,
        String then,
        String next,
        String nextFacts,
        String otherKey,
        String safe,
        String again,
        String bars,
        String beats,
        boolean isOver) {

    /** As many presses are shown or kept for later. */
    private static final int MOST = 8;

    /** A section, and what is sung in it; {@code from} microseconds from bar 1. */
    record Part(String name, String line, long from, boolean isHere, String then, int bars) {}

    /**
     * A press: "7", "Boat loop", "Quay board".
     *
     * @param when in words, as it is now: "at bar 33", "when the room is ready"
     * @param song microseconds from bar 1, where it has a time in the song; else empty
     * @param run microseconds of the run, where only that is known; else empty
     */
    record PressView(String number, String label, String board, String when, String song, String run) {}

    static StandView of(Run run) {
        List<Running.Part> parts = run.night().parts();
        String clock = Clock.brief(Math.max(0, RunPage.showMicros(run)));
        if (run.isOver() || parts.isEmpty()) {
            return new StandView(
                    "Over",
                    "",
                    "",
                    clock,
                    RunPage.slot(run),
                    List.of(),
                    List.of(),
                    "",
                    "",
                    "",
                    "",
                    "",
                    "",
                    "",
                    "",
                    true);
        }
        Plan plan = run.night().plan();
        Running.Part part = parts.get(run.part());
        Optional<Running.Part> next =
                run.part() + 1 < parts.size() ? Optional.of(parts.get(run.part() + 1)) : Optional.empty();
        Optional<StripView> strip = StripView.of(run);
        return new StandView(
                part.entry().name().text(),
                facts(plan, part),
                run.isWaiting() ? "waits" : run.isStopped() ? "stopped" : "",
                clock,
                RunPage.slot(run),
                run.song().map(song -> sections(run, song)).orElse(List.of()),
                run.coming().stream()
                        .limit(MOST)
                        .map(coming -> press(run, plan, coming))
                        .toList(),
                "next, " + over(part.entry().transition()),
                next.map(p -> p.entry().name().text()).orElse("the end"),
                next.map(p -> facts(plan, p)).orElse(""),
                next.map(p -> otherKey(plan, p)).orElse(""),
                safe(plan),
                run.song().isPresent() && !run.isWaiting() ? ActText.write(new Act.AtPlayer(new Leap.Again())) : "",
                strip.map(StripView::bars).orElse(""),
                strip.map(StripView::beats).orElse(""),
                false);
    }

    private static String facts(Plan plan, Running.Part part) {
        List<String> facts = new ArrayList<>();
        part.key().ifPresent(key -> facts.add(key.toString()));
        part.entry().song().flatMap(plan.book()::find).ifPresent(song -> {
            facts.add(String.valueOf(song.form().tempoMap().tempo(0)));
            facts.add(song.form().tempoMap().metre(1).toString());
        });
        if (part.entry().song().isEmpty() && part.lengthMicros() > 0) {
            facts.add("about " + Clock.brief(part.lengthMicros()));
        }
        return String.join(" \u00B7 ", facts);
    }

    /** By how much a song is in another key tonight than it is written in, or was recorded in. */
    private static String otherKey(Plan plan, Running.Part part) {
        Optional<Song> song = part.entry().song().flatMap(plan.book()::find);
        Optional<Key> usual =
                song.flatMap(Song::played).filter(key -> part.key().isPresent());
        return usual.filter(key -> !part.key().get().equals(key))
                .map(key -> "%s tonight, written in %s (%s)"
                        .formatted(
                                part.key().get(),
                                key,
                                Key.words(key.semitonesTo(part.key().get()))))
                .orElse("");
    }

    private static String over(Transition transition) {
        return transition.way().words() + (transition.way().takesTime() ? " " + Clock.brief(transition.micros()) : "");
    }

    private static List<Part> sections(Run run, Song song) {
        Form form = song.form();
        int last = form.sections().size() - 1;
        return IntStream.rangeClosed(0, last)
                .mapToObj(i -> new Part(
                        form.sections().get(i).name().text(),
                        form.sections().get(i).lines().stream().findFirst().orElse(""),
                        form.startMicros(i),
                        run.section().isPresent() && run.section().getAsInt() == i,
                        i < last ? form.sections().get(i + 1).name().text() : "the end",
                        form.sections().get(i).bars()))
                .toList();
    }

    private static PressView press(Run run, Plan plan, Coming coming) {
        SwitchAt at = coming.at();
        boolean isNow = coming.part() == run.part();
        boolean isTimed = isNow && coming.songMicros().isPresent();
        return new PressView(
                at.place(),
                plan.switches().at(at).label().map(Object::toString).orElse(at.words()),
                plan.rig().name(at.board()).text(),
                when(run, coming, isNow),
                isTimed ? String.valueOf(coming.songMicros().getAsLong()) : "",
                !isTimed && coming.inMicros().isPresent()
                        ? String.valueOf(run.now() + coming.inMicros().getAsLong())
                        : "");
    }

    private static String when(Run run, Coming coming, boolean isNow) {
        String part = run.night().parts().get(coming.part()).entry().name().text();
        return switch (coming.why()) {
            case ARM -> "before " + part;
            case START -> isNow ? "when the room is ready" : "to begin " + part;
            case CUE ->
                bar(run.night().song(coming.part()), coming.songMicros().orElse(0)) + (isNow ? "" : " of " + part);
            case END -> "at the end" + (isNow ? "" : " of " + part);
        };
    }

    private static String bar(Optional<Song> song, long micros) {
        return song.map(s -> s.form().tempoMap())
                .map(tempos ->
                        "at bar " + tempos.position(tempos.tickAt(micros)).bar())
                .orElse("");
    }

    private static String safe(Plan plan) {
        return plan.switches().assignments().stream()
                .filter(assignment -> assignment.isFor(Duty.SAFE))
                .map(assignment -> "tap " + assignment.at().key())
                .findFirst()
                .orElse("");
    }
}
