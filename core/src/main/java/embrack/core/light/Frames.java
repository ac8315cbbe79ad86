package embrack.core.light;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What every universe is sent for every look. A look is worked out when somebody asks for it first, so that lights
 * which nobody watches cost nothing; from then on its frame is at hand.
 */
public final class Frames {

    private static final int FINE = 256;

    private final Lights lights;
    private final SortedSet<Integer> universes = new TreeSet<>();
    private final Map<LookId, SortedMap<Integer, Frame>> known = new ConcurrentHashMap<>();
    private final SortedMap<Integer, Frame> dark;
    private final List<Fading> fading;

    public Frames(Lights lights) {
        this.lights = lights;
        lights.fixtures().forEach(fixture -> fixture.at().ifPresent(at -> universes.add(at.universe())));
        this.fading = lights.fixtures().stream()
                .flatMap(fixture -> fixture.at().stream()
                        .flatMap(at -> fading(at, lights.lamp(fixture).mode())))
                .toList();
        this.dark = frames(lights.fixtures().stream()
                .map(lights::lamp)
                .map(lamp -> lamp.shows(Optional.empty(), 0, Optional.empty()))
                .toList());
    }

    /**
     * A number that goes over slowly.
     *
     * @param coarse its address
     * @param fine that of its fine slot; 0 where it has none
     */
    private record Fading(int universe, int coarse, int fine) {

        /** Its value from 0, in steps of 1/256. */
        int in(Frame frame) {
            return frame.at(coarse) * FINE + (fine == 0 ? 0 : frame.at(fine));
        }
    }

    private static Stream<Fading> fading(Address at, Mode mode) {
        return IntStream.range(0, mode.footprint())
                .filter(i -> mode.slots().get(i).use().fades())
                .mapToObj(i -> new Fading(
                        at.universe(),
                        at.start() + i,
                        mode.slots()
                                .get(i)
                                .use()
                                .fine()
                                .filter(mode::has)
                                .map(fine -> at.start() + mode.first(fine).getAsInt())
                                .orElse(0)));
    }

    /**
     * What a universe is sent while one frame goes over into another: strengths and positions in proportion, choices at
     * once as in the new one.
     *
     * @param part how much of it is over, 0 to 1
     */
    public Frame between(Frame from, Frame to, double part, int universe) {
        byte[] slots = new byte[Mode.MAX_SLOTS];
        to.copyInto(slots, 0);
        for (Fading number : fading) {
            if (number.universe == universe) {
                long value = Math.round(number.in(from) + (number.in(to) - number.in(from)) * part);
                slots[number.coarse - 1] = (byte) (number.fine == 0 ? Math.round(value / (double) FINE) : value / FINE);
                if (number.fine > 0) {
                    slots[number.fine - 1] = (byte) (value % FINE);
                }
            }
        }
        return Frame.of(slots);
    }

    /** Those in which something hangs. */
    public SortedSet<Integer> universes() {
        return new TreeSet<>(universes);
    }

    /** How many looks were worked out so far. */
    public int worked() {
        return known.size();
    }

    /** What a universe is sent for a look. */
    public Frame of(Look look, int universe) {
        return at(known.computeIfAbsent(look.id(), id -> frames(lights.shown(look))), universe);
    }

    /** What a universe is sent while nothing gives light: moving heads look straight ahead, all else stands at 0. */
    public Frame dark(int universe) {
        return at(dark, universe);
    }

    private static Frame at(SortedMap<Integer, Frame> frames, int universe) {
        return frames.getOrDefault(universe, Frame.DARK);
    }

    private SortedMap<Integer, Frame> frames(List<Output> outputs) {
        Map<Integer, byte[]> slots = new HashMap<>();
        for (int i = 0; i < outputs.size(); i++) {
            List<Integer> values = outputs.get(i).slots();
            lights.fixtures().get(i).at().ifPresent(at -> {
                byte[] universe = slots.computeIfAbsent(at.universe(), n -> new byte[Mode.MAX_SLOTS]);
                for (int slot = 0; slot < values.size(); slot++) {
                    universe[at.start() - 1 + slot] = values.get(slot).byteValue();
                }
            });
        }
        SortedMap<Integer, Frame> frames = new TreeMap<>();
        slots.forEach((universe, all) -> frames.put(universe, Frame.of(all)));
        return frames;
    }

    /** What each fixture is sent in a frame of its universe, slot by slot; empty for one without an address. */
    public static List<Integer> of(Fixture fixture, Mode mode, Map<Integer, Frame> frames) {
        return fixture.at()
                .map(at -> at.slots(mode.footprint())
                        .mapToObj(address ->
                                frames.getOrDefault(at.universe(), Frame.DARK).at(address))
                        .toList())
                .orElse(List.of());
    }
}
