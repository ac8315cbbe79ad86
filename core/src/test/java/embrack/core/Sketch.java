package embrack.core;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.edit.ControlEdit;
import embrack.core.edit.CueEdit;
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.SongEdit;
import embrack.core.edit.SwitchEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.ControlType;
import embrack.core.gear.Ear;
import embrack.core.gear.Kind;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.Route;
import embrack.core.gear.SettingId;
import embrack.core.gear.Sound;
import embrack.core.gear.SwitchMode;
import embrack.core.gear.library.Library;
import embrack.core.gear.text.BoxReading;
import embrack.core.level.Curve;
import embrack.core.level.Range;
import embrack.core.name.Slug;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Moment;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Target;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/** A plan drawn in a few words, by the edits that a person makes: {@code board "voice-board.out"} is a port. */
public final class Sketch {

    private Plan plan;

    private Sketch(Plan plan) {
        this.plan = plan;
    }

    public static Sketch of(String name) {
        return new Sketch(Plan.empty(new TapeLabel(name)));
    }

    public static Sketch on(Plan plan) {
        return new Sketch(plan);
    }

    public Sketch edit(Edit edit) {
        plan = edit.apply(plan);
        return this;
    }

    /** Has every song send these. */
    public Sketch always(Cue... cues) {
        plan = plan.withBook(plan.book().withAlways(List.of(cues)));
        return this;
    }

    public Sketch box(String name, String model) {
        return edit(
                new GearEdit.AddDevice(name, Library.find(new ModelId(model)).orElseThrow()));
    }

    /** A box that a person describes: what is on it as one text, what it answers to as another. */
    public Sketch box(String name, Kind kind, String box, String chart) {
        return edit(new GearEdit.AddDevice(
                name,
                BoxReading.of(box)
                        .box()
                        .orElseThrow()
                        .model(new ModelId(Slug.of(name)), new TapeLabel(name), kind, Chart.of(chart), Chart.EMPTY)));
    }

    public Sketch app(String name, String model, String host) {
        return box(name, model).lives(plan.rig().devices().getLast().id().text(), host);
    }

    public Sketch lives(String app, String host) {
        return edit(new WiringEdit.LiveIn(new DeviceId(app), Optional.of(new DeviceId(host))));
    }

    /** Links, each as {@code "from.port > to.port"}. */
    public Sketch link(String... links) {
        for (String link : links) {
            String[] ends = link.split(" > ");
            edit(new WiringEdit.Connect(socket(ends[0]), socket(ends[1])));
        }
        return this;
    }

    public Sketch pull(String link) {
        String[] ends = link.split(" > ");
        return edit(new WiringEdit.Disconnect(socket(ends[0]), socket(ends[1])));
    }

    public Sketch set(String device, String setting, String value) {
        return edit(new GearEdit.ChangeSetting(new DeviceId(device), new SettingId(setting), value));
    }

    public Sketch filter(String device, String route, boolean open, String channels, String onto) {
        String[] ends = route.split(" > ");
        return edit(new WiringEdit.Filter(
                new DeviceId(device),
                new Route(new PortId(ends[0]), new PortId(ends[1])),
                open,
                Set.of(),
                channels,
                onto));
    }

    /** Steps of switches in the first bank, each as {@code "board 1: device verb:part"}. */
    public Sketch step(String... steps) {
        for (String step : steps) {
            String[] pieces = step.split(":? ", 4);
            edit(new SwitchEdit.AddStep(
                    at(pieces[0] + " " + pieces[1]), new Step(new DeviceId(pieces[2]), Action.parse(pieces[3]))));
        }
        return this;
    }

    /** Steps of another moment: {@code then("board 1", Moment.HOLD, "device verb:part")}. */
    public Sketch then(String at, Moment moment, String... steps) {
        return edit(new SwitchEdit.AddSteps(
                at(at), moment, Stream.of(steps).map(Sketch::stepOf).toList()));
    }

    public Sketch mode(String at, SwitchMode mode) {
        return edit(new SwitchEdit.ChooseMode(at(at), Optional.of(mode)));
    }

    /** Has a treadle, fader or knob move a level from one value to another. */
    public Sketch move(String box, ControlType type, String device, String part, int from, int to) {
        return edit(new ControlEdit.AddTarget(
                new ControlAt(new DeviceId(box), type, 1, 1),
                new Target(new DeviceId(device), new PartId(part)).withRange(new Range(from, to, Curve.LINEAR))));
    }

    /** A switch or pad in the first bank: {@code "board 1"}, {@code "keys pad3"}. */
    public static SwitchAt at(String words) {
        String[] pieces = words.split(" ");
        String[] board = pieces[0].split("/");
        return SwitchAt.parse("%s.%s.%s".formatted(board[0], board.length > 1 ? board[1] : "1", pieces[1]))
                .orElseThrow();
    }

    public static Step stepOf(String words) {
        String[] pieces = words.split(" ");
        return new Step(new DeviceId(pieces[0]), Action.parse(pieces[1]));
    }

    public Sketch feed(String output, List<Sound> sounds, List<Ear> to) {
        Socket socket = socket(output);
        return edit(new WiringEdit.Hear(socket.device(), socket.port(), new TreeSet<>(sounds), new TreeSet<>(to)));
    }

    public Sketch pair(String first, String second) {
        return edit(new WiringEdit.StandIn(new DeviceId(first), Optional.of(new DeviceId(second))));
    }

    /** A song that goes as a text says. */
    public Sketch song(String title, String how) {
        return edit(new SongEdit.AddSong(title, how));
    }

    /** Cues of a song that its player sends, each as {@code "17|1 = device verb:part, device verb:part"}. */
    public Sketch cues(String song, String... cues) {
        for (String cue : cues) {
            String[] ends = cue.split(" = ");
            edit(new CueEdit.AddCue(
                    new SongId(song),
                    ends[0],
                    Stream.of(ends[1].split(", ")).map(Sketch::stepOf).toList(),
                    Optional.empty()));
        }
        return this;
    }

    /** A press in a song: {@code foot("song", "17|1", "board 3")}. */
    public Sketch foot(String song, String at, String foot) {
        return edit(new CueEdit.AddCue(new SongId(song), at, List.of(), Optional.of(at(foot))));
    }

    public Song songOf(String id) {
        return plan.book().song(new SongId(id));
    }

    public Plan plan() {
        return plan;
    }

    public Rig rig() {
        return plan.rig();
    }

    public Link linkOf(String link) {
        String[] ends = link.split(" > ");
        return rig().link(socket(ends[0]), socket(ends[1])).orElseThrow();
    }

    public static Socket socket(String words) {
        String[] pieces = words.split("\\.");
        return new Socket(new DeviceId(pieces[0]), new PortId(pieces[1]));
    }
}
