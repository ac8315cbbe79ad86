package embrack.core.sheet;

import embrack.core.check.Report;
import embrack.core.music.Clock;
import embrack.core.music.Position;
import embrack.core.music.TempoMap;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Song;
import embrack.core.sim.CueProof;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What happens in a song, line by line in the order of time, for everybody or for the person at one device.
 *
 * @param title of the song
 * @param facts key, tempo, length in a line
 * @param rows automatic ones first, those on stop last
 */
public record CueSheet(String title, String facts, List<Row> rows) {

    /**
     * One line.
     *
     * @param section the section it lies in; empty when it is that of the line before
     * @param device whose it is
     * @param what what happens there
     */
    public record Row(When when, String section, String device, String what) {}

    /**
     * When something happens.
     *
     * @param at what the player does, for what has no place in a bar; else empty
     * @param bar the number of the bar; else empty
     * @param beat the beat in it, "3½"; empty for the first
     * @param clock minutes and seconds; empty where only the player knows
     */
    public record When(String at, String bar, String beat, String clock) {

        /** When a cue comes. */
        public static When of(Cue cue, Optional<Long> micros, TempoMap tempoMap) {
            if (micros.isEmpty()) {
                return new When(cue.at().text(tempoMap), "", "", "");
            }
            Position position = tempoMap.position(Math.round(tempoMap.exactTickAt(micros.get())));
            String beat = tempoMap.shownBeat(position);
            return new When("", String.valueOf(position.bar()), beat.equals("1") ? "" : beat, Clock.text(micros.get()));
        }
    }

    public CueSheet {
        rows = List.copyOf(rows);
    }

    /** The sheet of one song; {@code device} empty for all. */
    public static CueSheet of(Report report, Song song, Optional<DeviceId> device) {
        Plan plan = report.plan();
        List<Row> rows = new ArrayList<>();
        String section = "";
        List<CueProof> always =
                report.book().song(song.id()).map(proof -> proof.always()).orElse(List.of());
        List<Cue> cues = Stream.concat(always.stream().map(CueProof::cue), song.cues().stream())
                .sorted(Comparator.comparingLong(cue -> order(cue, song.form())))
                .toList();
        for (Cue cue : cues) {
            Optional<Long> micros = cue.at().micros(song.form());
            String here = micros.map(at -> sectionAt(song.form(), at)).orElse("");
            for (Row row : rows(plan, song, cue, micros, here.equals(section) ? "" : here, device)) {
                rows.add(row);
                section = here;
            }
        }
        return new CueSheet(song.title().text(), facts(song), rows);
    }

    private static List<Row> rows(
            Plan plan, Song song, Cue cue, Optional<Long> micros, String section, Optional<DeviceId> device) {
        When when = When.of(cue, micros, song.form().tempoMap());
        List<Row> rows = new ArrayList<>();
        cue.foot()
                .filter(foot -> device.isEmpty()
                        || device.get().equals(foot.board())
                        || plan.switches().at(foot).uses(device.get()))
                .ifPresent(foot -> rows.add(new Row(
                        when,
                        section,
                        plan.rig().name(foot.board()).text(),
                        "press %s%s"
                                .formatted(
                                        foot.words(),
                                        plan.switches()
                                                .at(foot)
                                                .label()
                                                .map(label -> ", " + label)
                                                .orElse("")))));
        cue.steps().stream()
                .filter(step -> device.isEmpty() || device.get().equals(step.device()))
                .forEach(step -> rows.add(new Row(
                        when,
                        rows.isEmpty() ? section : "",
                        plan.rig().name(step.device()).text(),
                        plan.deed(step)
                                + (step.waitMillis() == 0 ? "" : ", %d ms later".formatted(step.waitMillis())))));
        if (device.isEmpty() && !cue.raw().isEmpty()) {
            rows.add(new Row(
                    when,
                    rows.isEmpty() ? section : "",
                    "everybody",
                    "messages that no chart explains: "
                            + String.join(
                                    ", ", cue.raw().stream().map(m -> m.hex()).toList())));
        }
        return rows;
    }

    private static long order(Cue cue, Form form) {
        return cue.at().micros(form).orElseGet(() -> switch (((Anchor.Automatic) cue.at()).when()) {
            case LOAD -> -2L;
            case PLAY -> -1L;
            case CONTINUE, LOOP, STOP -> Long.MAX_VALUE;
        });
    }

    private static String sectionAt(Form form, long micros) {
        Position position = form.tempoMap().position(form.tempoMap().tickAt(micros));
        return form.sections().get(form.sectionOf(position.bar())).name().text();
    }

    private static String facts(Song song) {
        return Stream.of(
                        song.played().map(key -> "in " + key).orElse(""),
                        song.form().words(),
                        Clock.brief(song.usualLengthMicros()))
                .filter(text -> !text.isEmpty())
                .reduce((a, b) -> a + ", " + b)
                .orElse("");
    }
}
