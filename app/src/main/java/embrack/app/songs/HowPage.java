package embrack.app.songs;

import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.music.NoteLength;
import embrack.core.music.Tempo;
import embrack.core.offer.Freedom;
import embrack.core.offer.TempoTimes;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Form;
import embrack.core.show.Song;
import embrack.core.show.text.SongText;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * How a song goes, in fields and as a text.
 *
 * @param transposed what the keys mean for its stems
 * @param sections each with its bars and its times
 * @param freedoms what can be done with it on the night
 */
record HowPage(
        Facts facts,
        Edges edges,
        Sent sent,
        String notes,
        String text,
        Speed speed,
        List<String> transposed,
        List<SectionRow> sections,
        List<String> freedoms,
        int onClock,
        List<AtTempo> times,
        String takersWords) {

    /** How long notes last at one of its tempos, and what boxes come to. */
    record AtTempo(String tempo, List<Note> notes, List<Taker> takers) {}

    /** A note: "dotted eighth", "535.7 ms", "1.87 Hz". */
    record Note(String key, String words, String millis, String hertz) {}

    /** What a box shows for each note, nothing where it cannot; settable at the tempo that the song begins at. */
    record Taker(String name, String device, String part, boolean isSettable, List<String> shown) {}

    /** What it is. */
    record Facts(String title, String played, String original, int place) {}

    /** Where it begins and ends. */
    record Edges(String trimStart, String trimEnd, int leadIn) {}

    /** Who plays it and sends its cues. */
    record Sent(String player, List<Choice> players) {}

    /** Its tempo against that of the recording. */
    record Speed(String tempo, String stretch) {}

    /** A player to choose. */
    record Choice(String key, String words, boolean isChosen) {}

    /** A section by bars and by the clock. */
    record SectionRow(String name, String bars, String start, String length, String guide) {}

    static HowPage of(Plan plan, Song song) {
        List<Choice> players = new ArrayList<>(List.of(
                new Choice("", "the first player of the rig", song.player().isEmpty())));
        plan.players()
                .forEach(player -> players.add(new Choice(
                        player.text(),
                        plan.rig().name(player).text(),
                        song.player().filter(player::equals).isPresent())));
        Tempo tempo = song.form().tempoMap().tempo(0);
        String stretch = song.recorded()
                .map(recorded -> String.format(
                                Locale.ROOT,
                                "recorded at %s: times \u00d7 %.3f, %+.1f %%",
                                recorded,
                                recorded.bpm() / tempo.bpm(),
                                song.stretchPercent())
                        .replace('-', '\u2212'))
                .orElse("");
        return new HowPage(
                new Facts(song.title().text(), text(song.played()), text(song.original()), song.place()),
                new Edges(trim(song.trims().startMicros()), trim(song.trims().endMicros()), song.leadInBars()),
                new Sent(song.player().map(Object::toString).orElse(""), players),
                song.notes(),
                SongText.of(song.form(), song.stems()),
                new Speed(tempo.toString(), stretch),
                transposed(song),
                sections(song.form()),
                Freedom.of(plan, song).stream()
                        .map(freedom -> words(plan, freedom))
                        .toList(),
                (int) song.cues().stream()
                        .filter(cue -> cue.at() instanceof Anchor.OnClock)
                        .count(),
                times(plan, TempoTimes.of(plan, song.form()), tempo),
                TempoTimes.of(plan, song.form()).takers().isEmpty()
                        ? "No box of the rig shows a time in ms or Hz; set these by hand, or by tap."
                        : "A button has the song send it on load; what was sent there before is replaced.");
    }

    private static List<AtTempo> times(Plan plan, TempoTimes times, Tempo start) {
        List<NoteLength> notes = List.of(NoteLength.values());
        return times.tempos().stream()
                .map(tempo -> new AtTempo(
                        tempo.toString(),
                        notes.stream()
                                .map(note -> new Note(
                                        note.name(), note.words(), note.shownMillis(tempo), note.shownHertz(tempo)))
                                .toList(),
                        times.takers().stream()
                                .map(taker -> new Taker(
                                        "%s: %s"
                                                .formatted(
                                                        plan.rig().name(taker.device()),
                                                        plan.rig().partName(taker.device(), taker.part())),
                                        taker.device().text(),
                                        taker.part().text(),
                                        tempo.equals(start),
                                        notes.stream()
                                                .map(note ->
                                                        taker.shown(note, tempo).orElse(""))
                                                .toList()))
                                .toList()))
                .toList();
    }

    private static String text(Optional<Key> key) {
        return key.map(Key::toString).orElse("");
    }

    private static String trim(long micros) {
        return micros == 0 ? "" : Clock.exact(micros);
    }

    private static List<String> transposed(Song song) {
        return song.transposition()
                .filter(by -> by.getFirst() != 0)
                .map(by -> {
                    List<String> lines = new ArrayList<>();
                    lines.add("Move by %s semitones, frequency \u00d7 %s."
                            .formatted(
                                    Key.words(by),
                                    String.join(
                                            " or ",
                                            by.stream()
                                                    .map(n -> String.format(Locale.ROOT, "%.4f", Key.ratio(n)))
                                                    .toList())));
                    song.stems()
                            .forEach(stem -> lines.add("%s: %s"
                                    .formatted(
                                            stem.name(),
                                            stem.sort().isTransposed()
                                                    ? Key.words(by)
                                                    : "left alone, "
                                                            + stem.sort().words())));
                    return lines;
                })
                .orElse(List.of());
    }

    private static List<SectionRow> sections(Form form) {
        List<SectionRow> rows = new ArrayList<>();
        for (int i = 0; i < form.sections().size(); i++) {
            rows.add(new SectionRow(
                    form.sections().get(i).name().text(),
                    "%d\u2013%d".formatted(form.firstBar(i), form.lastBar(i)),
                    Clock.text(form.startMicros(i)),
                    Clock.text(form.endMicros(i) - form.startMicros(i)),
                    form.sections().get(i).guide()));
        }
        return rows;
    }

    private static String words(Plan plan, Freedom freedom) {
        return "%s: %s"
                .formatted(
                        freedom.kind().words(),
                        !freedom.can()
                                ? "the player cannot"
                                : freedom.isOnASwitch()
                                        ? plan.words(freedom.switches())
                                        : "the player can; it is on no switch");
    }
}
