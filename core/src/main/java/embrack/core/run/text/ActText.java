package embrack.core.run.text;

import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.gear.ControlType;
import embrack.core.gear.PortId;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.rig.Socket;
import embrack.core.run.Act;
import embrack.core.run.Fault;
import embrack.core.run.Leap;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;
import embrack.core.world.Event;
import embrack.core.world.Event.Fate;
import embrack.core.world.Place;
import java.util.List;
import java.util.Locale;
import java.util.NoSuchElementException;
import java.util.Optional;

/**
 * An act in words: {@code press quay-board.1.3}, {@code cable-out computer-a.usb rack-merger.in-1 3000000}, {@code note
 * too loud}. Times are in microseconds.
 */
public final class ActText {

    private static final long DAY_MICROS = 86_400_000_000L;

    private ActText() {}

    /** An act in words, which {@link #read} reads back. */
    public static String write(Act act) {
        return switch (act) {
            case Act.ByHand hand -> hand(hand.what());
            case Act.AtPlayer at -> "player " + leap(at.leap());
            case Act.GoOn on -> "go-on";
            case Act.Back back -> "back " + back.micros();
            case Act.From from -> "from %d %d".formatted(from.part(), from.bar());
            case Act.Feet feet -> "feet " + (feet.byPlan() ? "plan" : "people");
            case Act.Struck struck -> fault(struck.fault());
            case Act.Repaired repaired -> repair(repaired.event());
            case Act.Note note -> "note " + note.words();
        };
    }

    private static String hand(Event.ByHand what) {
        return switch (what) {
            case Event.Press press -> "press " + press.at().key();
            case Event.Release release -> "release " + release.at().key();
            case Event.Hold hold -> "hold " + hold.at().key();
            case Event.DoublePress twice -> "twice " + twice.at().key();
            case Event.TurnTo turn -> "turn %s %d".formatted(turn.box(), turn.bank());
            case Event.Move move ->
                "move %s %s %d %d %d"
                        .formatted(
                                move.at().box(),
                                move.at().type().key(),
                                move.at().bank(),
                                move.at().number(),
                                move.position());
            case Event.Set set -> "set %s %d".formatted(place(set.place()), set.value());
        };
    }

    private static String leap(Leap leap) {
        return switch (leap) {
            case Leap.Play play -> "play";
            case Leap.Stop stop -> "stop";
            case Leap.Pause pause -> "pause";
            case Leap.Fade fade -> "fade";
            case Leap.ToSong song -> "song " + song.place();
            case Leap.Ready ready -> "ready " + ready.place();
            case Leap.ToSection section -> "section " + section.number();
            case Leap.Again again -> "again";
            case Leap.BySongs by -> "songs " + by.songs();
            case Leap.BySections by -> "sections " + by.sections();
            case Leap.LetGo go -> "let-go";
        };
    }

    private static String fault(Fault fault) {
        return switch (fault) {
            case Fault.LinkOut out -> "link-out %s %d".formatted(link(out.link()), out.backAfterMicros());
            case Fault.BoxOut out -> "box-out %s %d".formatted(out.box(), out.backAfterMicros());
            case Fault.Slip slip -> "%s %s".formatted(slip.fate().name().toLowerCase(Locale.ROOT), link(slip.link()));
            case Fault.Stutter stutter -> "stutter %s %d".formatted(link(stutter.link()), stutter.forMicros());
            case Fault.Misstep step -> "misstep " + step.at().key();
            case Fault.Astray astray -> "astray %s %d".formatted(place(astray.place()), astray.value());
            case Fault.Overrun overrun -> "overrun " + overrun.micros();
        };
    }

    private static String repair(Event event) {
        return switch (event) {
            case Event.LinkBack back -> "link-back " + link(back.link());
            case Event.On on -> "box-on " + on.device();
            case Event.GoOver over -> "use-second " + pair(over.pair());
            case Event.GoBack back -> "use-first " + pair(back.pair());
            default -> throw new IllegalArgumentException(event + " brings nothing back");
        };
    }

    private static String place(Place place) {
        return "%s %s %s"
                .formatted(place.device(), place.part(), place.aspect().name().toLowerCase(Locale.ROOT));
    }

    private static String link(Link link) {
        return socket(link.from()) + " " + socket(link.to());
    }

    private static String socket(Socket socket) {
        return socket.device() + "." + socket.port();
    }

    private static String pair(Pair pair) {
        return pair.first() + " " + pair.second();
    }

    /** What {@link #write} wrote; empty where it is none, or speaks of what the rig does not have. */
    public static Optional<Act> read(Rig rig, String text) {
        if (text.equals("note") || text.startsWith("note ")) {
            return Optional.of(new Act.Note(text.substring(4).strip()));
        }
        try {
            var words = new Words(rig, List.of(text.split(" ")).iterator());
            Act act = words.act();
            return words.isAtEnd() ? Optional.of(act) : Optional.empty();
        } catch (NoSuchElementException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    /** The words of a text, one after the other; throws where one is missing or none. */
    private record Words(Rig rig, java.util.Iterator<String> left) {

        boolean isAtEnd() {
            return !left.hasNext();
        }

        Act act() {
            String what = left.next();
            return switch (what) {
                case "press" -> new Act.ByHand(new Event.Press(at()));
                case "release" -> new Act.ByHand(new Event.Release(at()));
                case "hold" -> new Act.ByHand(new Event.Hold(at()));
                case "twice" -> new Act.ByHand(new Event.DoublePress(at()));
                case "turn" -> new Act.ByHand(new Event.TurnTo(device(), number()));
                case "move" -> new Act.ByHand(new Event.Move(control(), number()));
                case "set" -> new Act.ByHand(new Event.Set(place(), number()));
                case "player" -> new Act.AtPlayer(leap());
                case "go-on" -> new Act.GoOn();
                case "back" -> new Act.Back(micros());
                case "from" -> new Act.From(number(), number());
                case "feet" -> new Act.Feet(one(List.of("plan", "people")).equals("plan"));
                case "link-out" -> new Act.Struck(new Fault.LinkOut(link(), micros()));
                case "box-out" -> new Act.Struck(new Fault.BoxOut(device(), micros()));
                case "lost", "doubled", "late" ->
                    new Act.Struck(new Fault.Slip(link(), Fate.valueOf(what.toUpperCase(Locale.ROOT))));
                case "stutter" -> new Act.Struck(new Fault.Stutter(link(), micros()));
                case "misstep" -> new Act.Struck(new Fault.Misstep(at()));
                case "astray" -> new Act.Struck(new Fault.Astray(place(), number()));
                case "overrun" -> new Act.Struck(new Fault.Overrun(micros()));
                case "link-back" -> new Act.Repaired(new Event.LinkBack(link()));
                case "box-on" -> new Act.Repaired(new Event.On(device()));
                case "use-second" -> new Act.Repaired(new Event.GoOver(pair()));
                case "use-first" -> new Act.Repaired(new Event.GoBack(pair()));
                default -> throw new NoSuchElementException(what);
            };
        }

        private Leap leap() {
            String what = left.next();
            return switch (what) {
                case "play" -> new Leap.Play();
                case "stop" -> new Leap.Stop();
                case "pause" -> new Leap.Pause();
                case "fade" -> new Leap.Fade();
                case "song" -> new Leap.ToSong(number());
                case "ready" -> new Leap.Ready(number());
                case "section" -> new Leap.ToSection(number());
                case "again" -> new Leap.Again();
                case "songs" -> new Leap.BySongs(number());
                case "sections" -> new Leap.BySections(number());
                case "let-go" -> new Leap.LetGo();
                default -> throw new NoSuchElementException(what);
            };
        }

        private String one(List<String> of) {
            String word = left.next();
            return of.stream().filter(word::equals).findFirst().orElseThrow();
        }

        private int number() {
            return Integer.parseInt(left.next());
        }

        private long micros() {
            long micros = Long.parseLong(left.next());
            if (micros < 0 || micros > DAY_MICROS) {
                throw new IllegalArgumentException("times are 0 to a day, was " + micros);
            }
            return micros;
        }

        private SwitchAt at() {
            SwitchAt at = SwitchAt.parse(left.next()).orElseThrow();
            rig.find(at.board()).orElseThrow();
            return at;
        }

        private DeviceId device() {
            return rig.find(new DeviceId(left.next())).orElseThrow().id();
        }

        private ControlAt control() {
            DeviceId box = device();
            ControlType type = ControlType.valueOf(left.next().toUpperCase(Locale.ROOT));
            return new ControlAt(box, type, number(), number());
        }

        private Place place() {
            return new Place(
                    device(),
                    new PartId(left.next()),
                    Aspect.valueOf(left.next().toUpperCase(Locale.ROOT)));
        }

        private Socket socket() {
            String[] word = left.next().split("\\.", 2);
            if (word.length < 2) {
                throw new NoSuchElementException(word[0]);
            }
            return new Socket(new DeviceId(word[0]), new PortId(word[1]));
        }

        private Link link() {
            Socket from = socket();
            Socket to = socket();
            return rig.links().stream()
                    .filter(link -> link.joins(from, to))
                    .findFirst()
                    .orElseThrow();
        }

        private Pair pair() {
            var pair = new Pair(device(), device());
            return rig.pairs().stream().filter(pair::equals).findFirst().orElseThrow();
        }
    }
}
