package embrack.files;

import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.music.Key;
import embrack.core.music.RandomTempoMaps;
import embrack.core.music.Tempo;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Book;
import embrack.core.show.Calls;
import embrack.core.show.Cue;
import embrack.core.show.Day;
import embrack.core.show.Entry;
import embrack.core.show.Folder;
import embrack.core.show.Form;
import embrack.core.show.Item;
import embrack.core.show.Pad;
import embrack.core.show.Reader;
import embrack.core.show.Role;
import embrack.core.show.Section;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.Stem;
import embrack.core.show.StemAt;
import embrack.core.show.StemSort;
import embrack.core.show.TimeOfDay;
import embrack.core.show.Transition;
import embrack.core.show.When;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.TreeSet;

/** Books in which anything stands that a book may hold. */
public final class RandomBooks {

    private RandomBooks() {}

    /** Songs with any tempo map and cues of every sort, and a show with every kind of part. */
    public static Book of(Random random, Plan plan) {
        List<DeviceId> devices = plan.rig().devices().stream().map(Device::id).toList();
        List<Song> songs = new ArrayList<>();
        for (int i = 1; i <= 1 + random.nextInt(3); i++) {
            Form form = new Form(
                    RandomTempoMaps.of(random),
                    List.of(
                            new Section(new TapeLabel("One"), 8),
                            new Section(
                                    new TapeLabel("Two"),
                                    30,
                                    "on",
                                    2,
                                    true,
                                    Optional.of(new TapeLabel("Bells")),
                                    List.of("a: b"))));
            List<Cue> cues = new ArrayList<>();
            for (int n = 1; n <= random.nextInt(12); n++) {
                Anchor at =
                        switch (random.nextInt(4)) {
                            case 0 -> new Anchor.OnBar(form.tempoMap().position(random.nextInt(100_000)));
                            case 1 -> new Anchor.OnClock(random.nextInt(90_000_000));
                            case 2 ->
                                new Anchor.AtSection(
                                        new TapeLabel(random.nextBoolean() ? "One" : "Two"), random.nextBoolean());
                            default -> new Anchor.Automatic(When.values()[random.nextInt(4)]);
                        };
                DeviceId device = devices.get(random.nextInt(devices.size()));
                List<Step> steps = plan.rig().chart(device).actions().stream()
                        .limit(random.nextInt(3))
                        .map(action -> new Step(device, action, random.nextInt(200)))
                        .toList();
                List<Message> raw = steps.isEmpty()
                        ? List.of(new Message.ControlChange(new Channel(3), random.nextInt(128), 9))
                        : List.of();
                cues.add(new Cue(
                        n,
                        random.nextBoolean() ? Optional.of(new TapeLabel("Cue " + n)) : Optional.empty(),
                        at,
                        steps,
                        raw,
                        Optional.empty(),
                        random.nextBoolean(),
                        random.nextBoolean()));
            }
            Optional<Key> key =
                    Optional.of(new Key((char) ('A' + random.nextInt(7)), random.nextInt(3) - 1, random.nextBoolean()));
            songs.add(new Song(
                    new SongId("song-" + i),
                    new TapeLabel("Song " + i),
                    i,
                    key,
                    random.nextBoolean() ? key : Optional.empty(),
                    Optional.of(new Tempo(90_123)),
                    new Song.Trims(random.nextInt(999_999), 1),
                    i,
                    form,
                    List.of(new Stem(new TapeLabel("Low"), StemSort.PERCUSSION, Optional.of(new TapeLabel("Bass")))),
                    "n\n\"q\"",
                    Optional.empty(),
                    cues,
                    random.nextInt(90)));
        }
        List<Entry> order = new ArrayList<>();
        for (Item item : Item.values()) {
            boolean plays = item == Item.SONG || item == Item.RESPONSE;
            order.add(new Entry(
                    order.size() + 1,
                    item,
                    new TapeLabel("Part"),
                    plays ? Optional.of(songs.getFirst().id()) : Optional.empty(),
                    Optional.empty(),
                    plays ? 0 : random.nextInt(90_000_000),
                    new Transition(Transition.Way.values()[random.nextInt(6)], random.nextInt(9_000_000)),
                    random.nextBoolean() ? Optional.of(new Pad(Optional.empty(), 5_000_000)) : Optional.empty(),
                    new Calls(
                            Optional.empty(),
                            Optional.empty(),
                            random.nextBoolean() ? Calls.Ending.DESK : Calls.Ending.ITSELF,
                            Optional.empty())));
        }
        Show show = new Show(
                new ShowId("night"),
                new TapeLabel("Night"),
                Optional.of(new Day(2028, 2, 29)),
                Optional.of(new TimeOfDay(random.nextInt(1440))),
                random.nextInt(2_000_000_000),
                order,
                new TreeSet<>(List.of(new TapeLabel("Bass"))),
                new TreeSet<>(List.of(new StemAt(songs.getFirst().id(), new TapeLabel("Low")))),
                random.nextInt(40),
                new TreeSet<>(),
                random.nextBoolean(),
                random.nextBoolean()
                        ? Folder.USUAL
                        : new Folder(
                                List.of(
                                        Reader.of(new TapeLabel("Bass"), Role.PLAYER),
                                        Reader.of(new TapeLabel("Desk"), Role.HOUSE)),
                                "Ada: 1\nBo: 2"));
        return new Book(songs, List.of(), List.of(show), random.nextInt(9));
    }
}
