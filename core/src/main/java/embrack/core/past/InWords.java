package embrack.core.past;

import embrack.core.gear.Model;
import embrack.core.gear.PortId;
import embrack.core.gear.Setting;
import embrack.core.gear.text.Box;
import embrack.core.gear.text.BoxWriter;
import embrack.core.light.Chase;
import embrack.core.light.Fixture;
import embrack.core.light.FixtureType;
import embrack.core.light.Held;
import embrack.core.light.Look;
import embrack.core.light.text.FixtureText;
import embrack.core.light.text.LookText;
import embrack.core.music.Clock;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Pair;
import embrack.core.rig.Socket;
import embrack.core.rig.SoundUse;
import embrack.core.show.Cue;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.text.SongText;
import embrack.core.switches.Assignment;
import embrack.core.switches.ControlAssignment;
import embrack.core.switches.Step;
import embrack.core.word.Fact;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import java.util.ArrayList;
import java.util.List;

/** The things of a plan in words: what each is called, and what it is, a line each. */
final class InWords {

    private final Plan plan;
    private final Wording wording;

    InWords(Plan plan) {
        this.plan = plan;
        this.wording = new Wording(plan.rig(), plan.book(), Language.ENGLISH);
    }

    /** What a thing is called, which the plan has. */
    String name(Thing thing) {
        return switch (thing) {
            case Thing.Name name -> "The name of the rig";
            case Thing.Hardware hardware ->
                plan.rig().models().stream()
                        .filter(model -> model.id().equals(hardware.model()))
                        .map(model -> "How %s is described".formatted(model.name()))
                        .findFirst()
                        .orElse(hardware.model().text());
            case Thing.Box box -> box(box.device());
            case Thing.Lead lead -> lead(lead);
            case Thing.StandIn pair -> "What stands in for " + box(pair.first());
            case Thing.Pressed pressed -> plan.words(pressed.at());
            case Thing.Moved moved -> plan.words(moved.at());
            case Thing.Way way -> way.practice().question();
            case Thing.EverySong every -> "What every song sends";
            case Thing.OneSong song ->
                plan.book()
                        .find(song.song())
                        .map(Song::title)
                        .map(TapeLabel::text)
                        .orElse("a song");
            case Thing.OneCue cue ->
                plan.book()
                        .find(cue.song())
                        .flatMap(song -> song.cue(cue.number()))
                        .map(found -> "Cue: " + wording.say(new Fact.Moment(cue.song(), found.at())))
                        .orElse("a cue");
            case Thing.OnePart part ->
                plan.book()
                        .find(part.show())
                        .map(show -> show.name()
                                + ", "
                                + show.entry(part.number())
                                        .map(entry -> entry.song()
                                                .flatMap(plan.book()::find)
                                                .map(Song::title)
                                                .orElse(entry.name())
                                                .text())
                                        .orElse("a part"))
                        .orElse("a part of a show");
            case Thing.OneShow show ->
                plan.book()
                        .find(show.show())
                        .map(Show::name)
                        .map(TapeLabel::text)
                        .orElse("a show");
            case Thing.Sort sort ->
                plan.lights().types().stream()
                        .filter(type -> type.id().equals(sort.type()))
                        .map(type -> "How %s is described".formatted(type.name()))
                        .findFirst()
                        .orElse("a type of fixture");
            case Thing.Lamp lamp ->
                plan.lights().fixtures().stream()
                        .filter(fixture -> fixture.id().equals(lamp.fixture()))
                        .map(fixture -> fixture.name().text())
                        .findFirst()
                        .orElse("a fixture");
            case Thing.OneLook look ->
                plan.lights().looks().stream()
                        .filter(one -> one.id().equals(look.look()))
                        .map(one -> "Look " + one.name())
                        .findFirst()
                        .orElse("a look");
            case Thing.Scene scene -> "%s: %s".formatted(box(scene.desk()), scene(scene));
            case Thing.OneChase chase ->
                plan.lights().chases().stream()
                        .filter(one -> one.id().equals(chase.chase()))
                        .map(one -> "Chase " + one.name())
                        .findFirst()
                        .orElse("a chase");
        };
    }

    private String box(DeviceId device) {
        return plan.rig().find(device).map(found -> found.name().text()).orElse(device.text());
    }

    private String lead(Thing.Lead lead) {
        return "From %s to %s"
                .formatted(plan.rig().words(lead.from()), plan.rig().words(lead.to()));
    }

    private String scene(Thing.Scene scene) {
        String name = plan.rig().partName(scene.desk(), scene.place().scene()).text();
        return scene.place()
                .bank()
                .map(bank -> "%s, %s".formatted(plan.rig().partName(scene.desk(), bank), name))
                .orElse(name);
    }

    /**
     * What a thing is; nothing if it is not there.
     *
     * @param whole with its parts, a line each
     */
    List<String> lines(Thing thing, Things of, boolean whole) {
        List<String> lines =
                new ArrayList<>(of.find(thing).map(value -> lines(thing, value)).orElse(List.of()));
        if (whole) {
            of.all().stream()
                    .filter(part -> part.owner().filter(thing::equals).isPresent())
                    .forEach(part -> lines.add(of.find(part)
                            .map(value -> String.join(", ", lines(part, value)))
                            .orElseThrow()));
        }
        return lines;
    }

    private List<String> lines(Thing thing, Object value) {
        return thing instanceof Thing.OneCue at && value instanceof Cue cue ? cue(at.song(), cue) : lines(value);
    }

    private List<String> lines(Object value) {
        return switch (value) {
            case TapeLabel name -> List.of(name.text());
            case Model model -> described(model);
            case Device device -> of(device);
            case Link link -> of(link);
            case Pair pair -> List.of(box(pair.second()));
            case Assignment assignment -> of(assignment);
            case ControlAssignment control -> of(control);
            case Song song -> of(song);
            case Show show -> of(show);
            case FixtureType type -> FixtureText.of(type).lines().toList();
            case Entry entry -> of(entry);
            case Fixture fixture -> of(fixture);
            case Look look -> of(look);
            case Held held -> List.of(look(held));
            case Chase chase -> of(chase);
            default -> List.of(String.valueOf(value));
        };
    }

    private static List<String> described(Model model) {
        List<String> lines =
                new ArrayList<>(BoxWriter.write(Box.of(model)).lines().toList());
        model.chart().text().lines().forEach(lines::add);
        return lines;
    }

    private List<String> of(Device device) {
        Model model = plan.rig().model(device.id());
        List<String> lines = new ArrayList<>();
        lines.add("called " + device.name());
        lines.add(model.name().text());
        lines.add(device.spot()
                .host()
                .map(host -> "in " + box(host))
                .orElse("stands: " + device.spot().area().words()));
        device.settings()
                .forEach((id, set) -> lines.add(model.settings().stream()
                        .filter(setting -> setting.id().equals(id))
                        .map((Setting setting) -> "%s %s".formatted(setting.name(), setting.shown(set)))
                        .findFirst()
                        .orElse("%s %d".formatted(id, set))));
        device.labels()
                .forEach((part, label) ->
                        lines.add("%s: %s".formatted(plan.rig().printedName(device.id(), part), label)));
        device.filters()
                .forEach((route, filter) -> lines.add("%s to %s: %s"
                        .formatted(port(device, route.from()), port(device, route.to()), filter.words())));
        device.learned()
                .forEach((learnable, learned) -> lines.add("learned: %s %s by %s %d%s"
                        .formatted(
                                learnable.verb().words(),
                                plan.rig().partName(device.id(), learnable.part()),
                                learned.type().shortName(),
                                learned.number(),
                                learned.pinned() ? ", pinned" : "")));
        device.table()
                .forEach((program, part) ->
                        lines.add("program %d: %s".formatted(program, plan.rig().partName(device.id(), part))));
        device.memories().inShow().forEach(memory -> lines.add("memory of the show: " + memory));
        device.memories().taken().forEach(memory -> lines.add("memory that is taken: " + memory));
        device.handWork()
                .atDoors()
                .forEach(action -> lines.add("at doors: " + plan.rig().words(device.id(), action)));
        device.handWork()
                .worked()
                .forEach(part -> lines.add("worked by hand: " + plan.rig().partName(device.id(), part)));
        lines.addAll(sound(device));
        return lines;
    }

    private List<String> sound(Device device) {
        SoundUse sound = device.sound();
        List<String> lines = new ArrayList<>();
        sound.feeds().forEach((output, feed) -> lines.add("%s: %s".formatted(port(device, output), feed.words())));
        sound.sends()
                .forEach((route, send) -> lines.add("%s to %s: %s".formatted(route.from(), route.to(), send.words())));
        sound.phantom().forEach(input -> lines.add("48 V at " + port(device, input)));
        sound.inverted().forEach(input -> lines.add("turned round at " + port(device, input)));
        sound.wants().forEach(wanted -> lines.add("wants to hear " + wanted.words()));
        sound.away().ifPresent(length -> lines.add("as far away as " + length.words()));
        return lines;
    }

    private String port(Device device, PortId port) {
        return plan.rig().port(new Socket(device.id(), port)).name().text();
    }

    private static List<String> of(Link link) {
        List<String> lines = new ArrayList<>(List.of("joined"));
        link.length().ifPresent(length -> lines.add("length " + length.words()));
        link.measured().ifPresent(measured -> lines.add("measured"));
        return lines;
    }

    private List<String> of(Assignment assignment) {
        List<String> lines = new ArrayList<>();
        assignment.label().ifPresent(label -> lines.add("tape: " + label));
        assignment.shortLabel().ifPresent(label -> lines.add("short: " + label));
        assignment.duty().ifPresent(duty -> lines.add("job in the show: " + duty.words()));
        assignment.mode().ifPresent(mode -> lines.add("down and up: " + mode.words()));
        assignment
                .moments()
                .forEach((moment, steps) ->
                        steps.forEach(step -> lines.add("%s: %s".formatted(moment.words(), step(step)))));
        return lines;
    }

    private String step(Step step) {
        String words = plan.words(step);
        return step.waitMillis() == 0 ? words : "after %d ms, %s".formatted(step.waitMillis(), words);
    }

    private List<String> of(ControlAssignment control) {
        List<String> lines = new ArrayList<>();
        control.label().ifPresent(label -> lines.add("tape: " + label));
        lines.add("taken over: " + control.takeover().words());
        control.targets()
                .forEach(target -> lines.add("%s: %s to %s"
                        .formatted(
                                plan.words(target),
                                plan.shown(target, target.range().from()),
                                plan.shown(target, target.range().to()))));
        return lines;
    }

    List<String> of(Song song) {
        List<String> lines = new ArrayList<>();
        lines.add("title " + song.title());
        lines.add("number in the player " + song.place());
        song.played().ifPresent(key -> lines.add("played in " + key));
        song.original().ifPresent(key -> lines.add("recorded in " + key));
        song.recorded().ifPresent(tempo -> lines.add("recorded at " + tempo));
        song.player().ifPresent(player -> lines.add("sent by " + box(player)));
        if (song.trims().startMicros() > 0 || song.trims().endMicros() > 0) {
            lines.add("trimmed by %s and %s"
                    .formatted(
                            Clock.exact(song.trims().startMicros()),
                            Clock.exact(song.trims().endMicros())));
        }
        if (song.leadInBars() > 0) {
            lines.add("lead-in of %d bars".formatted(song.leadInBars()));
        }
        SongText.of(song.form(), song.stems()).lines().forEach(lines::add);
        song.notes().lines().forEach(lines::add);
        return lines;
    }

    List<String> cue(SongId song, Cue cue) {
        List<String> lines = new ArrayList<>(List.of(wording.say(new Fact.Moment(song, cue.at()))));
        cue.name().ifPresent(name -> lines.add("tape: " + name));
        cue.foot().ifPresent(foot -> lines.add("pressed: " + plan.words(foot)));
        cue.steps().forEach(step -> lines.add(step(step)));
        cue.raw().forEach(message -> lines.add(String.valueOf(message)));
        if (cue.early()) {
            lines.add("sent early, to land on the beat");
        }
        if (cue.leavesOff()) {
            lines.add("leaves it off");
        }
        return lines;
    }

    private List<String> of(Show show) {
        List<String> lines = new ArrayList<>();
        lines.add("called " + show.name());
        show.day().ifPresent(day -> lines.add("day " + day));
        show.start().ifPresent(start -> lines.add("starts at " + start));
        lines.add("slot " + Clock.text(show.slotMicros()));
        show.present().forEach(who -> lines.add("plays: " + who));
        show.turned().forEach(stem -> lines.add("turned round tonight: " + stem));
        show.absent().forEach(device -> lines.add("not there: " + box(device)));
        lines.add(show.anyOrder() ? "songs in any order" : "songs in this order");
        show.folder().readers().forEach(reader -> lines.add("reads: %s, %s".formatted(reader.name(), reader)));
        show.folder().numbers().lines().forEach(lines::add);
        return lines;
    }

    private List<String> of(Entry entry) {
        List<String> lines = new ArrayList<>();
        lines.add(entry.item().words());
        lines.add(entry.song()
                .flatMap(plan.book()::find)
                .map(Song::title)
                .orElse(entry.name())
                .text());
        entry.key().ifPresent(key -> lines.add("in " + key));
        lines.add("takes " + Clock.text(entry.micros()));
        lines.add("goes over: %s, %s"
                .formatted(
                        entry.transition().way().words(),
                        Clock.text(entry.transition().micros())));
        entry.pad().ifPresent(pad -> lines.add("pad: " + pad));
        entry.calls().presses().forEach(at -> lines.add("pressed: " + plan.words(at)));
        return lines;
    }

    private static List<String> of(Fixture fixture) {
        List<String> lines = new ArrayList<>();
        lines.add("called " + fixture.name());
        lines.add("%s, %s".formatted(fixture.type(), fixture.mode()));
        lines.add("among " + fixture.group());
        fixture.at().ifPresent(address -> lines.add("address " + address));
        lines.add("hangs at " + fixture.hang());
        fixture.whom().ifPresent(whom -> lines.add("lights " + whom));
        if (fixture.isByAir()) {
            lines.add("by air");
        }
        return lines;
    }

    private static List<String> of(Look look) {
        List<String> lines = new ArrayList<>(List.of("called " + look.name()));
        LookText.of(look).lines().forEach(lines::add);
        return lines;
    }

    private String look(Held held) {
        return plan.lights().looks().stream()
                .filter(look -> look.id().equals(held.look()))
                .map(look -> look.name().text())
                .findFirst()
                .orElse(held.look().text());
    }

    private List<String> of(Chase chase) {
        List<String> lines = new ArrayList<>(
                List.of("called " + chase.name(), "goes on " + chase.pace().words()));
        chase.steps()
                .forEach(step -> lines.add(plan.lights().looks().stream()
                        .filter(look -> look.id().equals(step))
                        .map(look -> look.name().text())
                        .findFirst()
                        .orElse(step.text())));
        chase.at()
                .ifPresent(at -> lines.add(
                        "at %s, %s".formatted(box(at.desk()), plan.rig().partName(at.desk(), at.part()))));
        return lines;
    }
}
