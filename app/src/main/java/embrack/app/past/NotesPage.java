package embrack.app.past;

import embrack.app.store.Note;
import embrack.app.store.StoredRig;
import embrack.core.past.Names;
import embrack.core.past.Thing;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * The notes of a rig.
 *
 * @param path where its forms are sent
 * @param about what the next note is about
 * @param names what notes can be about, by their names
 * @param people to whom one can be
 */
record NotesPage(String path, List<Row> open, List<Row> done, String about, List<String> names, List<String> people) {

    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM, HH:mm", Locale.ENGLISH);

    /**
     * A note.
     *
     * @param href where that is which it is about; empty when there is no such thing
     * @param done by whom and when; empty while it is open
     * @param maySettle whether whoever reads may say that it is done
     */
    record Row(
            long number,
            String about,
            String href,
            String words,
            String who,
            String whom,
            String when,
            String done,
            boolean maySettle) {}

    static NotesPage of(
            StoredRig stored, List<Note> notes, List<String> people, String about, String reader, boolean plans) {
        Map<String, Thing> names = Names.of(stored.plan());
        String rig = "/rigs/" + stored.id();
        List<Row> rows =
                notes.stream().map(note -> row(rig, note, names, reader, plans)).toList();
        return new NotesPage(
                rig + "/notes",
                rows.stream().filter(row -> row.done().isEmpty()).toList(),
                rows.stream().filter(row -> !row.done().isEmpty()).toList(),
                about,
                List.copyOf(names.keySet()),
                people);
    }

    private static Row row(String rig, Note note, Map<String, Thing> names, String reader, boolean plans) {
        Thing thing = names.get(note.about());
        return new Row(
                note.id(),
                note.about(),
                thing == null ? "" : rig + place(thing),
                note.words(),
                note.who(),
                note.whom(),
                WHEN.format(note.at()),
                note.doneAt() == null ? "" : "%s, %s".formatted(note.doneBy(), WHEN.format(note.doneAt())),
                note.isSettledBy(reader, plans));
    }

    /**
     * What a page shows, by what it is called; empty where that is no one thing.
     *
     * @param address of the page, with its query, from the name of the server on
     */
    static String shown(StoredRig stored, String address) {
        String rig = "/rigs/" + stored.id();
        String page = address.replaceFirst("^https?://[^/]*", "");
        return Names.of(stored.plan()).entrySet().stream()
                .filter(name ->
                        place(name.getValue()).chars().filter(c -> c == '/').count() > 1
                                || place(name.getValue()).contains("="))
                .filter(name -> isAt(rig + place(name.getValue()), page))
                .max(Comparator.comparingInt(name -> place(name.getValue()).length()))
                .map(Map.Entry::getKey)
                .orElse("");
    }

    /** Whether a page is that of a thing, whatever else was chosen on it. */
    private static boolean isAt(String place, String address) {
        String[] thing = place.split("\\?", 2);
        String[] page = address.split("\\?", 2);
        return thing[0].equals(page[0])
                && (thing.length < 2
                        || page.length > 1 && List.of(page[1].split("&")).contains(thing[1]));
    }

    /** Where a thing is changed, below the address of its rig. */
    private static String place(Thing thing) {
        return switch (thing) {
            case Thing.Box box -> "/gear/" + box.device();
            case Thing.Pressed pressed ->
                pressed.at().of().isPresent()
                        ? "/switches"
                        : "/switches/%s/%d/%d"
                                .formatted(
                                        pressed.at().board(),
                                        pressed.at().bank(),
                                        pressed.at().number());
            case Thing.OneSong song -> "/songs/" + song.song();
            case Thing.OneCue cue -> "/songs/%s?cue=%d".formatted(cue.song(), cue.number());
            case Thing.OneShow show -> "/order/" + show.show();
            case Thing.OnePart part -> "/order/%s?part=%d".formatted(part.show(), part.number());
            case Thing.OneLook look -> "/lights?look=" + look.look();
            default -> "/" + thing.room().name().toLowerCase(Locale.ROOT);
        };
    }
}
