package embrack.core.second;

import embrack.core.Sketch;
import embrack.core.chart.Chart;
import embrack.core.chart.ChartRow;
import embrack.core.chart.Learnable;
import embrack.core.chart.Learned;
import embrack.core.chart.Response;
import embrack.core.chart.Verb;
import embrack.core.edit.GearEdit;
import embrack.core.gear.Kind;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.Purpose;
import embrack.core.gear.Quirks;
import embrack.core.gear.library.Library;
import embrack.core.gear.text.BoxReading;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.MemoryUse;
import embrack.core.rig.Rig;
import embrack.core.world.Engine;
import embrack.core.world.Event;
import embrack.core.world.Place;
import embrack.core.world.World;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeSet;
import java.util.stream.Stream;

/** The engine and a second player, each with the same random rig, messages, faults and waits. */
public final class Duel {

    private static final int EVENTS = 200;
    private static final List<Model> SHIPPED =
            Library.all().stream().filter(model -> !model.chart().isEmpty()).toList();
    private static final DeviceId BOARD = new DeviceId("board");

    private static final List<String> LINES = List.of(
            "mute Input 1..3: cc 1..3 over 63\nopen Input 1..3: cc 1..3 under 64",
            "toggle mute Main: note 1",
            "toggle Light 1..2: note 2..3",
            "on Haze: cc 4 = 100 from 90..110\noff Haze: cc 4 = 0",
            "recall Scene 1..3: note 1..3",
            "select Patch 1..3: pc 1..3\nselect Patch 4..6: cc 0 = 1 + pc 1..3",
            "load Song 1..3: cc 0 = 2 + cc 5 over 63 + pc 1..3",
            "run Chase 1: note 1 + note 4\ntoggle Auto: note 4",
            "go Cue 1: note 1 + note 2 + note 3",
            "level Fader: cc 3",
            "play Tracks: note 2 on channel 3\nstop Tracks: note 3 on channel 3",
            "pause Tracks: pc 4\nstop all Tracks: cc 5 over 63",
            "play Loop 1..2: pc 2..3",
            "next Slide: note 4\nprevious Slide: cc 2 = 127",
            "toggle Wash 1..3: note 1..3\non Wash 1: cc 2 over 99\none at a time: Wash 1..3",
            "select Memory 1..3: pc 1..3\nloads memory: Memory 1..3; deaf for 5 ms\nat start: select Memory 2",
            "select Sound 1..2: pc 5..6\nlevel Cutoff: cc 3\ntoggle Drive: note 1\nonly in Sound 1: Cutoff\n"
                    + "only in Sound 2: Drive",
            "on Fog: note 3\noff Fog: note 4\nat start: on Fog",
            "play Reel: cc 1\nstop Reel: cc 2\nkept at power-off: Reel");

    /** A random rig, for the engine and for the second player. */
    record Twin(Plan plan, Map<String, SecondPlayer.Box> boxes, List<SecondPlayer.Lead> leads) {}

    private Duel() {}

    /** Where the two part, if they do. */
    public static Optional<String> difference(int seed) {
        Random random = new Random(seed);
        Twin twin = twin(random);
        SecondPlayer second = new SecondPlayer(twin.boxes, twin.leads);
        Engine engine = new Engine(twin.plan);
        World world = World.poweredOn(twin.plan.rig());
        List<Place> places = places(twin.plan.rig());
        for (int i = 0; i < EVENTS; i++) {
            Event event = event(random, twin);
            play(event, second, twin);
            world = engine.step(world, event).after();
            for (Place place : places) {
                int engines = world.value(place);
                int seconds = second.value(
                        place.device().text(),
                        place.part().text(),
                        place.aspect().name());
                if (engines != seconds) {
                    return Optional.of("event %d, %s: %s is %d, and %d to the second player"
                            .formatted(i, event, place, engines, seconds));
                }
            }
        }
        return Optional.empty();
    }

    private static List<Place> places(Rig rig) {
        List<Place> places = new ArrayList<>();
        for (Device device : rig.devices()) {
            Chart chart = rig.chart(device.id());
            chart.parts()
                    .forEach(part -> chart.aspects(part.id())
                            .forEach(aspect -> places.add(new Place(device.id(), part.id(), aspect))));
        }
        return places;
    }

    /** Mostly messages, with waits between in which they arrive, or not yet; now and then something goes wrong. */
    private static Event event(Random random, Twin twin) {
        int sort = random.nextInt(20);
        if (sort < 8) {
            return new Event.Send(BOARD, random.nextBoolean() ? message(random) : meant(random, twin.plan.rig()));
        } else if (sort < 16) {
            return new Event.Wait(
                    List.of(0L, 500L, 1_000L, 4_000L, 50_000L, 3_000_000L).get(random.nextInt(6)));
        }
        List<Link> links = twin.plan.rig().links();
        Link link = links.get(random.nextInt(links.size()));
        DeviceId device = new ArrayList<>(twin.plan.rig().devices())
                .get(random.nextInt(twin.plan.rig().devices().size()))
                .id();
        return switch (random.nextInt(7)) {
            case 0 -> new Event.LinkOut(link);
            case 1, 2 -> new Event.LinkBack(link);
            case 3 -> new Event.Off(device);
            case 4, 5 -> new Event.On(device);
            default -> new Event.Mishap(link, Event.Fate.values()[random.nextInt(3)]);
        };
    }

    private static void play(Event event, SecondPlayer second, Twin twin) {
        switch (event) {
            case Event.Send send -> second.send("board", send.message());
            case Event.Wait wait -> second.elapse(wait.micros());
            case Event.LinkOut out -> second.pull(lead(out.link()));
            case Event.LinkBack back -> second.putBack(lead(back.link()));
            case Event.Off off -> second.switchOff(off.device().text());
            case Event.On on -> second.switchOn(on.device().text());
            case Event.Mishap mishap ->
                second.befall(lead(mishap.link()), mishap.fate().name().toLowerCase(Locale.ROOT));
            default -> throw new IllegalArgumentException("not played here: " + event);
        }
    }

    private static SecondPlayer.Lead lead(Link link) {
        return new SecondPlayer.Lead(
                link.from().device().text(),
                link.from().port().text(),
                link.to().device().text(),
                link.to().port().text());
    }

    /** One of the messages that a box of the rig obeys, on any channel. */
    private static Message meant(Random random, Rig rig) {
        List<Device> devices = List.copyOf(rig.devices());
        Chart chart = rig.chart(devices.get(random.nextInt(devices.size())).id());
        if (chart.rows().isEmpty()) {
            return message(random);
        }
        ChartRow row = chart.rows().get(random.nextInt(chart.rows().size()));
        return chart.messagesFor(row.actions().getFirst(), new Channel(2 + random.nextInt(3)))
                .map(messages -> messages.get(random.nextInt(messages.size())))
                .orElseGet(() -> message(random));
    }

    private static Message message(Random random) {
        Channel channel = new Channel(2 + random.nextInt(3));
        int value = List.of(0, 1, 2, 63, 64, 100, 127).get(random.nextInt(7));
        return switch (random.nextInt(7)) {
            case 0, 1 -> new Message.NoteOn(channel, 1 + random.nextInt(4), value);
            case 2 -> new Message.NoteOff(channel, 1 + random.nextInt(4), value);
            case 3 -> new Message.ControlChange(channel, random.nextInt(6), value);
            case 4 -> new Message.ControlChange(channel, 0, 1 + random.nextInt(2));
            default -> new Message.ProgramChange(channel, random.nextInt(4));
        };
    }

    private static Twin twin(Random random) {
        return twin(Sketch.of("Twin").box("Board", "four-switch-desk-board"), random, random.nextInt(4), SHIPPED);
    }

    /** A small random rig behind a board: one or two boxes that do not ship. */
    static Twin small(Random random, GearEdit board) {
        return twin(Sketch.of("Twin").edit(board), random, random.nextInt(3) / 2, List.of());
    }

    private static Twin twin(Sketch sketch, Random random, int shape, List<Model> shipped) {
        List<SecondPlayer.Lead> leads = new ArrayList<>();
        if (shape == 3) {
            sketch.box("Split", "thru-box-1-to-4").box("Join", "merger-2-to-1").edit(box(random, "box-a", shipped));
            sketch.edit(box(random, "box-b", shipped));
            lead(sketch, leads, "board.out > split.in");
            lead(sketch, leads, "split.thru-1 > join.in-1");
            lead(sketch, leads, "split.thru-2 > join.in-2");
            lead(sketch, leads, "join.out > box-a.in");
            lead(sketch, leads, "box-a.thru > box-b.in");
        } else {
            String before = "board.out";
            for (String name : List.of("box-a", "box-b", "box-c").subList(0, shape + 1)) {
                sketch.edit(box(random, name, shipped));
                lead(sketch, leads, before + " > " + name + ".in");
                before = name + ".thru";
            }
        }
        Plan plan = sketch.plan();
        for (Device device : sketch.rig().devices()) {
            plan = taught(random, plan, device);
        }
        Rig rig = plan.rig();
        Map<String, SecondPlayer.Box> boxes = new HashMap<>();
        rig.devices().forEach(device -> boxes.put(device.id().text(), box(rig, device.id())));
        return new Twin(plan, boxes, leads);
    }

    private static void lead(Sketch sketch, List<SecondPlayer.Lead> leads, String words) {
        sketch.link(words);
        String[] ends = words.split(" > |\\.");
        leads.add(new SecondPlayer.Lead(ends[0], ends[1], ends[2], ends[3]));
    }

    private static GearEdit box(Random random, String name, List<Model> models) {
        List<String> lines =
                new ArrayList<>(List.of("programs from 1", "on Learned: learns cc", "level Hand: learns cc"));
        LINES.stream().filter(line -> random.nextInt(3) == 0).forEach(lines::add);
        Optional<Model> shipped = models.isEmpty() || random.nextInt(4) > 0
                ? Optional.empty()
                : Optional.of(models.get(random.nextInt(models.size())));
        List<String> habits = Stream.of("listens to all channels", "acts on note-off")
                .filter(habit -> shipped.map(model -> hasHabit(model, habit)).orElseGet(() -> random.nextInt(4) == 0))
                .toList();
        String text = """
                port MIDI IN: 5-pin in
                port MIDI THRU: 5-pin thru
                setting MIDI receive channel: 1..16, factory %d
                """.formatted(2 + random.nextInt(3)) + "power: mains"
                + (random.nextBoolean() ? ", starts in 2 s\n" : "\n")
                + (habits.isEmpty() ? "" : "habits: " + String.join("; ", habits))
                + "\nmemories: 99";
        return new GearEdit.AddDevice(
                name,
                BoxReading.of(text)
                        .box()
                        .orElseThrow()
                        .model(
                                new ModelId(name),
                                new TapeLabel(name),
                                Kind.LIGHT_DESK,
                                shipped.map(Model::chart).orElseGet(() -> Chart.of(String.join("\n", lines))),
                                Chart.EMPTY));
    }

    private static boolean hasHabit(Model model, String habit) {
        Quirks quirks = model.implementation().quirks();
        return habit.equals("acts on note-off") ? quirks.actsOnNoteOff() : quirks.hearsAllChannels();
    }

    private static Plan taught(Random random, Plan plan, Device device) {
        MemoryUse used = plan.rig().model(device.id()).memory().memories() < 3
                ? MemoryUse.ALL
                : new MemoryUse(new TreeSet<>(List.of(1 + random.nextInt(2), 2 + random.nextInt(2))), new TreeSet<>());
        Plan taught = plan.withRig(plan.rig().withDeviceChanged(device.id(), d -> d.withMemories(used)));
        for (Learnable learnable : plan.rig().model(device.id()).chart().learnables()) {
            boolean level = learnable.verb() == Verb.LEVEL;
            Learned message = new Learned(
                    MessageType.CONTROL_CHANGE,
                    random.nextBoolean() ? Optional.empty() : Optional.of(new Channel(2 + random.nextInt(3))),
                    random.nextInt(6),
                    level
                            ? new Response(false, random.nextInt(60), 60 + random.nextInt(60))
                            : new Response(random.nextBoolean(), random.nextInt(2) * 127, 127),
                    false);
            if (random.nextBoolean()) {
                taught = taught.withRig(
                        taught.rig().withDeviceChanged(device.id(), d -> d.withLearned(learnable.id(), message)));
            }
        }
        return taught;
    }

    private static SecondPlayer.Box box(Rig rig, DeviceId id) {
        Map<String, List<String>> passes = new HashMap<>();
        rig.model(id)
                .sockets()
                .routes()
                .keySet()
                .forEach(route -> passes.computeIfAbsent(route.from().text(), port -> new ArrayList<>())
                        .add(route.to().text()));
        Quirks quirks = rig.model(id).implementation().quirks();
        int channel = rig.setting(id, Purpose.RECEIVE_CHANNEL).orElse(0);
        return new SecondPlayer.Box(
                rig.chart(id).rows(),
                rig.model(id).standing(),
                quirks.hearsAllChannels() ? 0 : channel,
                quirks.actsOnNoteOff(),
                rig.memoriesInShow(id),
                rig.model(id).power().map(power -> power.startSeconds()).orElse(0),
                passes);
    }
}
