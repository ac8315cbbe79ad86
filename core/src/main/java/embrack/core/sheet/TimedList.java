package embrack.core.sheet;

import embrack.core.check.Report;
import embrack.core.compile.CompiledStep;
import embrack.core.gear.ShownMessage;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Song;
import embrack.core.sim.CueProof;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * The messages that a player is to send by itself in a song, as they are typed into it: those on load and play first,
 * then by the time at which they are sent, which may be earlier than their moment; those on stop last.
 *
 * @param rows one for each message
 */
public record TimedList(List<Row> rows) {

    public TimedList {
        rows = List.copyOf(rows);
    }

    /**
     * A message to type.
     *
     * @param cue the number of its cue
     * @param when when it is sent
     * @param micros the same in microseconds from bar 1; empty where only the player knows
     * @param shown type, channel, number and value; programs are counted from 0
     * @param does what it is for
     */
    public record Row(int cue, CueSheet.When when, OptionalLong micros, ShownMessage shown, String does) {}

    /** What a song sends, without what every song sends. */
    public static TimedList of(Report report, Song song) {
        List<CueProof> proofs =
                report.book().song(song.id()).map(proof -> proof.cues()).orElse(List.of());
        return new TimedList(rows(report.plan(), song.form(), proofs));
    }

    /** What every song sends; empty where nothing is. */
    public static TimedList ofEvery(Report report) {
        return report.book().songs().stream()
                .findFirst()
                .map(proof -> new TimedList(rows(report.plan(), Form.UNKNOWN, proof.always())))
                .orElse(new TimedList(List.of()));
    }

    private static List<Row> rows(Plan plan, Form form, List<CueProof> proofs) {
        List<Row> rows = new ArrayList<>();
        proofs.stream()
                .sorted(Comparator.comparingLong(TimedList::order))
                .forEach(proof -> rows.addAll(rows(plan, form, proof)));
        return rows;
    }

    private static List<Row> rows(Plan plan, Form form, CueProof proof) {
        Cue cue = proof.cue();
        List<Row> rows = new ArrayList<>();
        for (CompiledStep step : proof.steps()) {
            if (step.isSent()) {
                long wait = step.step().waitMillis() * 1_000L;
                Optional<Long> sent = proof.sentMicros().map(at -> at + wait);
                step.messages()
                        .forEach(message -> rows.add(row(
                                form,
                                cue,
                                sent,
                                message,
                                (wait > 0 && sent.isEmpty() ? step.step().waitMillis() + " ms later: " : "")
                                        + plan.words(step.step()))));
            }
        }
        cue.raw().forEach(message -> rows.add(row(form, cue, proof.sentMicros(), message, "no chart explains it")));
        return rows;
    }

    private static Row row(Form form, Cue cue, Optional<Long> sent, Message message, String does) {
        return new Row(
                cue.number(),
                CueSheet.When.of(cue, sent, form.tempoMap()),
                sent.map(OptionalLong::of).orElse(OptionalLong.empty()),
                ShownMessage.plain(message),
                does);
    }

    private static long order(CueProof proof) {
        return proof.sentMicros()
                .orElseGet(() -> switch (((Anchor.Automatic) proof.cue().at()).when()) {
                    case LOAD -> Long.MIN_VALUE;
                    case PLAY -> Long.MIN_VALUE + 1;
                    case CONTINUE, LOOP, STOP -> Long.MAX_VALUE;
                });
    }
}
