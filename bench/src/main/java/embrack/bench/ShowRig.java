package embrack.bench;

import embrack.core.chart.Action;
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.Purpose;
import embrack.core.gear.library.Library;
import embrack.core.music.Position;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.show.Anchor;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Entry;
import embrack.core.show.Form;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.When;
import embrack.core.show.text.SongReading;
import embrack.core.switches.Step;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * A player and 32 receivers behind thru boxes, 40 devices in all, and a show of as many songs as wanted, 83 cues each.
 */
final class ShowRig {

    /** Cues of a song beside the one on load. */
    static final int CUES = 83;

    private static final int CHANNELS = 16;
    private static final int LOOKS = 12;
    private static final Form FORM = SongReading.of("""
            tempo 92
            Count-in: 2 bars
            Verse 1: 24 bars
            metre 7/8
            Turn: 8 bars
            metre 4/4
            Verse 2: 24 bars
            Refrain: 16 bars
            tempo 92 to 76 over 16 bars
            Last: 16 bars
            """).form().orElseThrow();

    private ShowRig() {}

    /** Writes plans of as many songs as each argument says into the folder that the last one names. */
    public static void main(String[] arguments) throws IOException {
        Path folder = Files.createDirectories(Path.of(arguments[arguments.length - 1]));
        for (int i = 0; i < arguments.length - 1; i++) {
            Files.writeString(
                    folder.resolve(arguments[i] + "-songs.json"), PlanFile.write(of(Integer.parseInt(arguments[i]))));
        }
    }

    static Plan of(int songs) {
        Plan plan = rig();
        List<Song> made = new ArrayList<>();
        Show show = Show.empty(new ShowId("show"), new TapeLabel("Show"));
        for (int i = 1; i <= songs; i++) {
            Song song = song(i, CUES);
            made.add(song);
            show = show.withMore(Entry.of(i, song));
        }
        return plan.withBook(new Book(made, List.of(), List.of(show)));
    }

    /** One song of as many cues as wanted. */
    static Plan ofOne(int cues) {
        return rig().withBook(new Book(List.of(song(1, cues)), List.of(), List.of()));
    }

    private static Song song(int number, int cues) {
        var random = new Random(number);
        List<List<Step>> looks = new ArrayList<>();
        List<Step> load = new ArrayList<>();
        for (int i = 0; i < LOOKS; i++) {
            int pair = 1 + random.nextInt(CHANNELS);
            int strip = 1 + random.nextInt(16);
            Step mute = new Step(
                    new DeviceId("mixer-" + pair), Action.parse((i % 2 == 0 ? "mute:input-" : "open:input-") + strip));
            Step patch =
                    new Step(new DeviceId("sounds-" + pair), Action.parse("select:patch-" + (1 + random.nextInt(128))));
            looks.add(List.of(mute, patch));
            load.add(new Step(mute.device(), Action.parse("open:input-" + strip)));
            load.add(new Step(patch.device(), Action.parse("select:patch-1")));
        }
        List<Cue> made = new ArrayList<>(List.of(new Cue(1, new Anchor.Automatic(When.LOAD), load)));
        for (int i = 0; i < cues; i++) {
            Position at =
                    FORM.tempoMap().position((long) i * FORM.tempoMap().tick(Position.bar(FORM.bars() + 1)) / cues);
            made.add(new Cue(i + 2, new Anchor.OnBar(at), looks.get(i % LOOKS)));
        }
        return Song.blank(new SongId("song-" + number), new TapeLabel("Song " + number), number)
                .withForm(FORM)
                .withCues(made);
    }

    private static Plan rig() {
        Plan plan = Plan.empty(new TapeLabel("Show rig"));
        plan = add(plan, "Computer", "computer");
        plan = add(plan, "Player", "linear-timeline-player");
        plan = add(plan, "Interface", "usb-interface-1-by-1");
        plan = add(plan, "Thru 0", "thru-box-1-to-4");
        plan = edit(plan, new WiringEdit.LiveIn(new DeviceId("player"), Optional.of(new DeviceId("computer"))));
        plan = link(plan, "player.out", "computer.usb-1");
        plan = link(plan, "interface.usb", "computer.usb-1");
        plan = link(plan, "interface.out", "thru-0.in");
        for (int branch = 1; branch <= 4; branch++) {
            plan = add(plan, "Thru " + branch, "thru-box-1-to-4");
            plan = link(plan, "thru-0.thru-" + branch, "thru-%d.in".formatted(branch));
            for (int leaf = 1; leaf <= 4; leaf++) {
                int channel = (branch - 1) * 4 + leaf;
                plan = add(plan, "Mixer " + channel, "rack-mixer-24");
                plan = add(plan, "Sounds " + channel, "sounds-switcher");
                for (String receiver : List.of("mixer-", "sounds-")) {
                    plan = edit(
                            plan,
                            new GearEdit.ChangeSetting(
                                    new DeviceId(receiver + channel),
                                    Purpose.RECEIVE_CHANNEL.id(),
                                    String.valueOf(channel)));
                }
                plan = link(plan, "thru-%d.thru-%d".formatted(branch, leaf), "mixer-%d.in".formatted(channel));
                plan = link(plan, "mixer-%d.thru".formatted(channel), "sounds-%d.in".formatted(channel));
            }
        }
        return plan;
    }

    private static Plan add(Plan plan, String name, String model) {
        return edit(
                plan,
                new GearEdit.AddDevice(name, Library.find(new ModelId(model)).orElseThrow()));
    }

    private static Plan link(Plan plan, String from, String to) {
        return edit(plan, new WiringEdit.Connect(socket(from), socket(to)));
    }

    static Socket socket(String words) {
        String[] pieces = words.split("\\.");
        return new Socket(new DeviceId(pieces[0]), new PortId(pieces[1]));
    }

    private static Plan edit(Plan plan, Edit edit) {
        return edit.apply(plan);
    }
}
