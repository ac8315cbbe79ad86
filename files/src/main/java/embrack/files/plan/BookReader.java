package embrack.files.plan;

import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.music.Tempo;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Day;
import embrack.core.show.Entry;
import embrack.core.show.Form;
import embrack.core.show.Item;
import embrack.core.show.Pad;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.StemAt;
import embrack.core.show.TimeOfDay;
import embrack.core.show.Transition;
import embrack.core.show.text.SongReading;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.files.json.Fields;
import embrack.files.model.FileWords;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.function.Function;

/** Reads a prompt book from the fields of a plan whose rig and switches are known. */
final class BookReader {

    private static final Map<String, Item> ITEMS = FileWords.byWord(Item.values());
    private static final Map<String, Transition.Way> WAYS = FileWords.byWord(Transition.Way.values());
    private static final int MAX_SHOWS = 500;

    private final Plan plan;
    private final Function<Fields, Step> steps;

    private BookReader(Plan plan, Function<Fields, Step> steps) {
        this.plan = plan;
        this.steps = steps;
    }

    /** The plan with the book that the file holds. */
    static Plan read(Fields file, Plan plan, Function<Fields, Step> steps) {
        var reader = new BookReader(plan, steps);
        List<Song> songs = file.objects("songs", Book.MAX_SONGS, reader::song);
        List<Cue> always = file.holds("everySong")
                ? file.objects("everySong", Song.MAX_CUES, f -> reader.cue(f, Form.UNKNOWN))
                : List.of();
        List<Show> shows = file.holds("shows") ? file.objects("shows", MAX_SHOWS, reader::show) : List.of();
        int lastAlways = file.integerOr("lastEverySong", 0);
        return file.fit("songs", () -> plan.withBook(new Book(songs, always, shows, lastAlways)));
    }

    private Song song(Fields f) {
        SongId id = f.text("id", SongId::new);
        TapeLabel title = f.text("title", TapeLabel::new);
        int place = f.integer("place");
        Optional<Key> played = f.optionalText("played", Key::parse);
        Optional<Key> original = f.optionalText("original", Key::parse);
        Optional<Tempo> recorded = f.optionalText("recordedTempo", Tempo::parse);
        long trimStart = f.optionalText("trimStart", Clock::parse).orElse(0L);
        long trimEnd = f.optionalText("trimEnd", Clock::parse).orElse(0L);
        int leadIn = f.integer("leadInBars");
        SongReading how = SongReading.of(String.join("\n", f.texts("how")));
        Form form = f.fit(
                "how",
                () -> how.form()
                        .orElseThrow(() -> new IllegalArgumentException(
                                how.problems().getFirst().toString())));
        String notes = f.optionalText("notes", text -> text).orElse("");
        Optional<DeviceId> player = f.optionalText(
                "player", text -> plan.rig().device(new DeviceId(text)).id());
        int lastCue = f.integerOr("lastCue", 0);
        List<Cue> cues = f.objects("cues", Song.MAX_CUES, c -> cue(c, form));
        return f.fit(() -> new Song(
                id,
                title,
                place,
                played,
                original,
                recorded,
                new Song.Trims(trimStart, trimEnd),
                leadIn,
                form,
                how.stems(),
                notes,
                player,
                cues,
                lastCue));
    }

    private Cue cue(Fields f, Form form) {
        int number = f.integer("number");
        Optional<TapeLabel> name = f.optionalText("name", TapeLabel::new);
        Anchor at = CuePlace.read(f, form);
        List<Step> does = f.holds("steps") ? f.objects("steps", Cue.MAX_STEPS, steps) : List.of();
        List<Message> raw = f.holds("messages")
                ? f.fit(
                        "messages",
                        () -> f.texts("messages").stream()
                                .map(BookReader::message)
                                .toList())
                : List.of();
        Optional<SwitchAt> foot = f.optionalObject("foot", this::switchAt);
        boolean early = f.boolOr("early", false);
        boolean leavesOff = f.boolOr("leavesOff", false);
        return f.fit(() -> new Cue(number, name, at, does, raw, foot, early, leavesOff));
    }

    private static Message message(String hex) {
        List<Message> read;
        try {
            read = Decoder.decode(HexFormat.of().parseHex(hex.replace(" ", ""))).messages();
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("\"%s\" is not hexadecimal".formatted(hex), e);
        }
        if (read.size() != 1) {
            throw new IllegalArgumentException("\"%s\" is not one message".formatted(hex));
        }
        return read.getFirst();
    }

    private SwitchAt switchAt(Fields f) {
        DeviceId board =
                f.text("board", text -> plan.rig().device(new DeviceId(text)).id());
        int bank = f.integer("bank");
        int number = f.integer("switch");
        return f.fit(() -> new SwitchAt(board, bank, number));
    }

    private Show show(Fields f) {
        ShowId id = f.text("id", ShowId::new);
        TapeLabel name = f.text("name", TapeLabel::new);
        Optional<Day> day = f.optionalText("day", Day::parse);
        Optional<TimeOfDay> start = f.optionalText("start", TimeOfDay::parse);
        long slot = f.optionalText("slot", Clock::parse).orElse(0L);
        List<Entry> order = f.objects("order", Show.MAX_ENTRIES, this::entry);
        int lastPart = f.integerOr("lastPart", 0);
        TreeSet<TapeLabel> present = new TreeSet<>();
        if (f.holds("playingLive")) {
            f.fit(
                            "playingLive",
                            () -> f.texts("playingLive").stream()
                                    .map(TapeLabel::new)
                                    .toList())
                    .forEach(present::add);
        }
        TreeSet<StemAt> turned = new TreeSet<>();
        if (f.holds("turnedStems")) {
            turned.addAll(f.objects(
                    "turnedStems",
                    Song.MAX_CUES,
                    s -> new StemAt(s.text("song", SongId::new), s.text("stem", TapeLabel::new))));
        }
        return f.fit(() -> new Show(id, name, day, start, slot, order, present, turned, lastPart));
    }

    private Entry entry(Fields f) {
        int number = f.integer("number");
        Item item = f.oneOf("item", ITEMS);
        TapeLabel name = f.text("name", TapeLabel::new);
        Optional<SongId> song = f.optionalText("song", SongId::new);
        Optional<Key> key = f.optionalText("key", Key::parse);
        long length = f.optionalText("length", Clock::parse).orElse(0L);
        Transition.Way way = f.oneOf("transition", WAYS);
        long time = f.optionalText("transitionTime", Clock::parse).orElse(0L);
        Optional<Pad> pad = f.optionalObject("pad", p -> {
            Optional<Key> in = p.optionalText("key", Key::parse);
            long lasts = p.text("length", Clock::parse);
            return p.fit(() -> new Pad(in, lasts));
        });
        Optional<SwitchAt> press = f.optionalObject("press", this::switchAt);
        return f.fit(() -> new Entry(number, item, name, song, key, length, new Transition(way, time), pad, press));
    }
}
