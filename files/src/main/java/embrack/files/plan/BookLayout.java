package embrack.files.plan;

import static embrack.files.json.Shapes.as;
import static embrack.files.json.Shapes.list;
import static embrack.files.json.Shapes.one;
import static embrack.files.json.Shapes.readAs;
import static embrack.files.json.Shapes.texts;
import static embrack.files.json.Shapes.truth;
import static embrack.files.json.Shapes.whole;
import static embrack.files.json.Shapes.wholeFrom;
import static embrack.files.json.Shapes.word;
import static embrack.files.json.Shapes.words;

import embrack.core.midi.Decoder;
import embrack.core.midi.Message;
import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.music.Tempo;
import embrack.core.show.Calls;
import embrack.core.show.Cue;
import embrack.core.show.Day;
import embrack.core.show.Entry;
import embrack.core.show.Folder;
import embrack.core.show.Form;
import embrack.core.show.Item;
import embrack.core.show.Leaf;
import embrack.core.show.Pad;
import embrack.core.show.Reader;
import embrack.core.show.Role;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.Stem;
import embrack.core.show.StemAt;
import embrack.core.show.TimeOfDay;
import embrack.core.show.Transition;
import embrack.core.show.text.SongReading;
import embrack.core.show.text.SongText;
import embrack.files.json.Layout;
import embrack.files.json.Shape;
import embrack.files.json.Text;
import embrack.files.model.FileWords;
import embrack.files.model.Texts;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.IntStream;

/** The fields of songs, their cues, and shows. */
final class BookLayout {

    private static final int MAX_LINES = 2_000;

    /** More boxes than a rig can hold. */
    private static final int MOST_ABSENT = 1_000;

    private static final Text<SongId> SONG_ID = Texts.id("songId", "the id of a song", SongId::new, SongId::text);
    private static final Text<ShowId> SHOW_ID = Texts.id("showId", "the id of a show", ShowId::new, ShowId::text);

    private static final Text<Long> TIME = new Text<>(
            "time",
            "minutes:seconds.thousandths, to the microsecond where that is needed",
            Texts.pattern("^(\\d{1,2}:)?\\d{1,3}:\\d{2}(\\.\\d{1,6})?$"),
            Clock::parse,
            Clock::exact);

    private static final Text<Key> KEY = new Text<>(
            "key",
            "a key: a letter, sharp or flat, m for minor",
            Texts.pattern("^[A-G][\u266f\u266d#b]?m?$"),
            Key::parse,
            Key::toString);

    private static final Text<Tempo> TEMPO = new Text<>(
            "tempo", "quarters a minute", Texts.pattern("^\\d{2,3}(\\.\\d{1,3})?$"), Tempo::parse, Tempo::toString);

    private static final Text<Day> DAY =
            new Text<>("day", "year-month-day", Texts.pattern("^\\d{4}-\\d{2}-\\d{2}$"), Day::parse, Day::toString);

    private static final Text<TimeOfDay> TIME_OF_DAY = new Text<>(
            "timeOfDay", "hours:minutes", Texts.pattern("^\\d{1,2}:\\d{2}$"), TimeOfDay::parse, TimeOfDay::toString);

    private static final Text<Message> MESSAGE = new Text<>(
            "message",
            "the bytes of one message in hexadecimal",
            Texts.pattern("^[0-9A-F]{2}( [0-9A-F]{2})*$"),
            BookLayout::message,
            Message::hex);

    private static final Text<String> LINE =
            new Text<>("line", "a line of text", Texts.lengths(0, 500), same -> same, same -> same);

    private static final Text<String> NOTES =
            new Text<>("notes", "text", Texts.lengths(0, 4_000), same -> same, same -> same);
    private static final Text<String> NUMBERS =
            new Text<>("numbersToCall", "text", Texts.lengths(0, Folder.MAX_NUMBERS), same -> same, same -> same);

    /**
     * What reading a cue has to know.
     *
     * @param form how its song goes
     */
    record InSong(RigSoFar rig, Form form) {}

    /** How a song goes, which is a text in files. */
    private record Going(Form form, List<Stem> stems) {

        List<String> lines() {
            return SongText.of(form, stems).lines().toList();
        }
    }

    /** A cue and the music by which its place is written. */
    record Written(Cue cue, Form form) {}

    private static final Layout<InSong, Written> CUE = Layout.of("cue", "Something that happens in a song.", t -> {
        var number = t.needs(
                "number", wholeFrom(1), "never given twice", w -> w.cue().number());
        var name = t.may("name", Texts.LABEL, "what it is called", w -> w.cue().name());
        var place = CuePlace.declare(t, w -> w.cue().at(), w -> w.form().tempoMap());
        var steps = t.or(
                "steps",
                list(SwitchLayout.STEP, Cue.MAX_STEPS, g -> g.context().rig()),
                List.of(),
                "what it does, as of" + " a switch",
                w -> w.cue().steps());
        var raw = t.or(
                "messages",
                texts(MESSAGE, 0, Cue.MAX_STEPS),
                List.of(),
                "messages that no chart explains",
                w -> w.cue().raw());
        var foot = t.may(
                "foot",
                readAs(
                        one(SwitchLayout.SWITCH_AT),
                        (fields, field, g) -> fields.object(
                                field,
                                f -> SwitchLayout.SWITCH_AT.read(f, g.context().rig()))),
                "the switch that somebody presses then",
                w -> w.cue().foot());
        var early = t.or(
                "early",
                truth(),
                false,
                "sent ahead by what its way usually takes",
                w -> w.cue().early());
        var leavesOff = t.or(
                "leavesOff",
                truth(),
                false,
                "what it toggles is meant to be off afterwards",
                w -> w.cue().leavesOff());
        return g -> new Written(
                new Cue(
                        g.get(number),
                        g.get(name),
                        place.apply(g, g.context().form()),
                        g.get(steps),
                        g.get(raw),
                        g.get(foot),
                        g.get(early),
                        g.get(leavesOff)),
                g.context().form());
    });

    /** Cues that every song sends. */
    static final Shape<RigSoFar, List<Written>> EVERY_SONG =
            list(CUE, Song.MAX_CUES, g -> new InSong(g.context(), Form.UNKNOWN));

    /** A song with its cues. */
    static final Layout<RigSoFar, Song> SONG = Layout.of("song", "A song with its cues.", t -> {
        var id = t.needs("id", SONG_ID, "used inside the file only", Song::id);
        var title = t.needs("title", Texts.LABEL, "its title", Song::title);
        var place = t.needs("place", whole(1, 999), "in the player's list", Song::place);
        var played = t.may("played", KEY, "as it is played", Song::played);
        var original = t.may("original", KEY, "as it was recorded", Song::original);
        var recorded =
                t.may("recordedTempo", TEMPO, "as it was recorded, where it is played at another", Song::recorded);
        var trimStart = t.or(
                "trimStart", TIME, 0L, "left out at the start", s -> s.trims().startMicros());
        var trimEnd =
                t.or("trimEnd", TIME, 0L, "left out at the end", s -> s.trims().endMicros());
        var leadIn = t.needs("leadInBars", whole(0, 16), "bars to get ready in after a jump", Song::leadInBars);
        var how = t.needs(
                "how",
                as(texts(LINE, 0, MAX_LINES), BookLayout::goes, Going::lines),
                "how it [goes](formats.md#how-a-song-goes-as-text), line by line",
                s -> new Going(s.form(), s.stems()));
        var notes = t.or("notes", NOTES, "", "what a person wants to remember", Song::notes);
        var player = t.may(
                "player",
                DeviceLayout.KNOWN,
                "the device that plays it; missing for the first of the rig",
                Song::player);
        var lastCue = t.or(
                "lastCue",
                wholeFrom(0),
                0,
                "the highest number that a cue ever had, where that one is gone",
                s -> beyond(s.lastCue(), s.cues().stream().mapToInt(Cue::number)));
        var cues = t.needs(
                "cues",
                list(CUE, Song.MAX_CUES, g -> new InSong(g.context(), g.get(how).form())),
                "what happens when",
                s -> s.cues().stream().map(cue -> new Written(cue, s.form())).toList());
        return g -> new Song(
                g.get(id),
                g.get(title),
                g.get(place),
                g.get(played),
                g.get(original),
                g.get(recorded),
                new Song.Trims(g.get(trimStart), g.get(trimEnd)),
                g.get(leadIn),
                g.get(how).form(),
                g.get(how).stems(),
                g.get(notes),
                g.get(player),
                g.get(cues).stream().map(Written::cue).toList(),
                g.get(lastCue));
    });

    private static final Layout<Object, Pad> PAD = Layout.of("pad", "A drone that lies under a part.", t -> {
        var key = t.may("key", KEY, "missing for the key of the next song", Pad::key);
        var length = t.needs("length", TIME, "how long the recording lasts", Pad::micros);
        return g -> new Pad(g.get(key), g.get(length));
    });

    private static final Layout<RigSoFar, Entry> PART = Layout.of("part", "A part of a show.", t -> {
        var number = t.needs("number", wholeFrom(1), "never given twice", Entry::number);
        var item = t.needs("item", word(FileWords.byWord(Item.values())), "what it is", Entry::item);
        var name = t.needs("name", Texts.LABEL, "what it is called", Entry::name);
        var song = t.may("song", SONG_ID, "the song that it is", Entry::song);
        var key = t.may("key", KEY, "tonight's, where it is another than the song's", Entry::key);
        var length = t.or("length", TIME, 0L, "of what is no song", Entry::micros);
        var way = t.needs(
                "transition",
                word(FileWords.byWord(Transition.Way.values())),
                "how it goes into the next",
                e -> e.transition().way());
        var time = t.or(
                "transitionTime",
                TIME,
                0L,
                "how long that takes",
                e -> e.transition().micros());
        var pad = t.may("pad", one(PAD), "what lies under it", Entry::pad);
        var press = t.may("press", one(SwitchLayout.SWITCH_AT), "the switch that begins it", Entry::press);
        var arm = t.may(
                "arm",
                one(SwitchLayout.SWITCH_AT),
                "the switch that is pressed before, so that it stands ready",
                e -> e.calls().arm());
        var ending = t.or(
                "ends",
                word(FileWords.byWord(Calls.Ending.values())),
                Calls.Ending.ITSELF,
                "who ends it",
                e -> e.calls().ending());
        var end = t.may(
                "end",
                one(SwitchLayout.SWITCH_AT),
                "the switch that ends it, by foot",
                e -> e.calls().end());
        return g -> new Entry(
                g.get(number),
                g.get(item),
                g.get(name),
                g.get(song),
                g.get(key),
                g.get(length),
                new Transition(g.get(way), g.get(time)),
                g.get(pad),
                new Calls(g.get(arm), g.get(press), g.get(ending), g.get(end)));
    });

    private static final Layout<Object, StemAt> STEM = Layout.of("stem", "A stem of a song.", t -> {
        var song = t.needs("song", SONG_ID, "the song", StemAt::song);
        var stem = t.needs("stem", Texts.LABEL, "the stem", StemAt::stem);
        return g -> new StemAt(g.get(song), g.get(stem));
    });

    private static final Layout<Object, Reader> READER =
            Layout.of("reader", "Somebody who gets a part of the folder for the venue.", t -> {
                var name = t.needs("name", Texts.LABEL, "what they are called there", Reader::name);
                var role = t.needs("role", word(FileWords.byWord(Role.values())), "what they do", Reader::role);
                var leaves = t.needs("gets", words(FileWords.byWord(Leaf.values())), "what they get", Reader::leaves);
                var boards = t.or(
                        "boards",
                        texts(DeviceLayout.ID, 0, MOST_ABSENT),
                        List.of(),
                        "what they press",
                        r -> List.copyOf(r.boards()));
                var ears = t.may("ears", DeviceLayout.ID, "the box that they hear", Reader::ears);
                return g ->
                        new Reader(g.get(name), g.get(role), g.get(leaves), new TreeSet<>(g.get(boards)), g.get(ears));
            });

    /** A show: parts in an order. */
    static final Layout<RigSoFar, Show> SHOW = Layout.of("show", "Parts in an order.", t -> {
        var id = t.needs("id", SHOW_ID, "used inside the file only", Show::id);
        var name = t.needs("name", Texts.LABEL, "what it is called", Show::name);
        var day = t.may("day", DAY, "when it is", Show::day);
        var start =
                t.may("start", TIME_OF_DAY, "when the countdown ends; what comes before lies before it", Show::start);
        var slot = t.or("slot", TIME, 0L, "how long it may take", Show::slotMicros);
        var lastPart = t.or(
                "lastPart",
                wholeFrom(0),
                0,
                "the highest number that a part ever had, where that one is gone",
                s -> beyond(s.lastPart(), s.order().stream().mapToInt(Entry::number)));
        var order = t.needs("order", list(PART, Show.MAX_ENTRIES), "its parts", Show::order);
        var present = t.or(
                "playingLive",
                texts(Texts.LABEL, 0, Song.MAX_CUES),
                List.of(),
                "what somebody plays tonight",
                s -> List.copyOf(s.present()));
        var turned = t.or(
                "turnedStems",
                list(STEM, Song.MAX_CUES),
                List.of(),
                "stems that are the other way round than that says",
                s -> List.copyOf(s.turned()));
        var absent = t.or(
                "absent",
                texts(DeviceLayout.ID, 0, MOST_ABSENT),
                List.of(),
                "boxes that are not there tonight",
                s -> List.copyOf(s.absent()));
        var anyOrder = t.or(
                "anyOrder", truth(), false, "whether songs are called on the night, in whatever order", Show::anyOrder);
        var readers = t.or(
                "readers",
                list(READER, Folder.MAX_READERS),
                List.of(),
                "who gets what of the folder; none for the usual ones",
                s -> s.folder().readers());
        var numbers = t.or(
                "numbersToCall",
                NUMBERS,
                "",
                "who is called when something fails, a line each",
                s -> s.folder().numbers());
        return g -> new Show(
                g.get(id),
                g.get(name),
                g.get(day),
                g.get(start),
                g.get(slot),
                g.get(order),
                new TreeSet<>(g.get(present)),
                new TreeSet<>(g.get(turned)),
                g.get(lastPart),
                new TreeSet<>(g.get(absent)),
                g.get(anyOrder),
                new Folder(g.get(readers), g.get(numbers)));
    });

    private BookLayout() {}

    /** A cue that every song sends. */
    static Written everySong(Cue cue) {
        return new Written(cue, Form.UNKNOWN);
    }

    /** The highest number that was ever given, where what had it is gone; else 0. */
    static int beyond(int last, IntStream there) {
        return last > there.max().orElse(0) ? last : 0;
    }

    private static Going goes(List<String> lines) {
        SongReading reading = SongReading.of(String.join("\n", lines));
        Form form = reading.form()
                .orElseThrow(() -> new IllegalArgumentException(
                        reading.problems().getFirst().toString()));
        return new Going(form, reading.stems());
    }

    private static Message message(String hex) {
        List<Message> read;
        try {
            read = Decoder.hex(hex).messages();
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("\"%s\" is not hexadecimal".formatted(hex), e);
        }
        if (read.size() != 1) {
            throw new IllegalArgumentException("\"%s\" is not one message".formatted(hex));
        }
        return read.getFirst();
    }
}
