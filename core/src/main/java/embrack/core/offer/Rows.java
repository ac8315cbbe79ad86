package embrack.core.offer;

import embrack.core.chart.Action;
import embrack.core.chart.Part;
import embrack.core.gear.Board;
import embrack.core.gear.ControlGroup;
import embrack.core.gear.ControlType;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.switches.ControlAt;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Target;
import embrack.core.text.Numbers;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Whole rows of a box filled at once: which of them, and what they do, both as people say it. */
public final class Rows {

    private static final Pattern NOT = Pattern.compile("(?i)[,\\s]+(?:but not|not|except|without)\\s+");

    private final Plan plan;

    public Rows(Plan plan) {
        this.plan = plan;
    }

    /** A switch, and what its press is to do. */
    public record Pressed(SwitchAt at, Offer offer) {}

    /** A fader or knob, and the level that it is to move. */
    public record Moved(ControlAt at, Target target) {}

    /**
     * Switches, pads, keys or buttons of a bank with what they are to do.
     *
     * @param which "1-8, not 4"; nothing for those that do nothing yet
     * @throws IllegalArgumentException with a sentence for the person when the two do not go together
     */
    public List<Pressed> pressed(DeviceId box, Optional<ControlType> of, int bank, String which, String what) {
        int count = plan.rig()
                .model(box)
                .surface()
                .board(of, 1)
                .map(Board::switches)
                .orElse(0);
        RowWish wish = RowWish.of(what);
        List<Offer> offers = wish.of(
                new Offers(plan).find(new SwitchAt(box, of, bank, 1), wish.stem()),
                offer -> about(offer.step().device(), offer.step().action()),
                device -> plan.rig().chart(device).parts());
        List<SwitchAt> places = places(
                        which,
                        count,
                        offers.size(),
                        n -> plan.switches()
                                .at(new SwitchAt(box, of, bank, n))
                                .steps()
                                .isEmpty())
                .stream()
                .map(number -> new SwitchAt(box, of, bank, number))
                .toList();
        int pairs = pairs(places.size(), offers.size(), wish);
        return IntStream.range(0, pairs)
                .mapToObj(i -> new Pressed(places.get(i), offers.get(i)))
                .toList();
    }

    /** Faders, knobs or pedals of a bank with the levels that they are to move, as {@link #pressed}. */
    public List<Moved> moved(DeviceId box, ControlType type, int bank, String which, String what) {
        int count = plan.rig().model(box).surface().groups().stream()
                .filter(group -> group.type() == type)
                .mapToInt(ControlGroup::count)
                .sum();
        RowWish wish = RowWish.of(what);
        List<Target> targets = wish.of(
                new LevelOffers(plan).find(wish.stem()),
                target -> about(target.device(), target.at(0)),
                device -> plan.rig().chart(device).parts());
        List<ControlAt> places = places(
                        which,
                        count,
                        targets.size(),
                        n -> plan.switches()
                                .at(new ControlAt(box, type, bank, n))
                                .targets()
                                .isEmpty())
                .stream()
                .map(number -> new ControlAt(box, type, bank, number))
                .toList();
        int pairs = pairs(places.size(), targets.size(), wish);
        return IntStream.range(0, pairs)
                .mapToObj(i -> new Moved(places.get(i), targets.get(i)))
                .toList();
    }

    private RowWish.About about(DeviceId device, Action action) {
        Part part = plan.rig().chart(device).part(action.part()).orElseThrow();
        return new RowWish.About(
                device,
                action.verb(),
                part,
                plan.rig().partName(device, action.part()).text());
    }

    /** Whether a place does nothing yet. */
    private interface Free {
        boolean is(int number);
    }

    private static List<Integer> places(String which, int count, int needed, Free free) {
        if (which.isBlank()) {
            return IntStream.rangeClosed(1, count)
                    .filter(free::is)
                    .limit(needed)
                    .boxed()
                    .toList();
        }
        String[] parts = NOT.split(which.strip(), 2);
        SortedSet<Integer> chosen = parts[0].strip().equalsIgnoreCase("all")
                ? IntStream.rangeClosed(1, count).boxed().collect(Collectors.toCollection(TreeSet::new))
                : new TreeSet<>(Numbers.parse(parts[0], count));
        if (parts.length > 1) {
            chosen.removeAll(Numbers.parse(parts[1], count));
        }
        return new ArrayList<>(chosen);
    }

    /** How many go together; a row that names both must have as many of one as of the other. */
    private static int pairs(int places, int things, RowWish wish) {
        if (things == 0) {
            throw new IllegalArgumentException(
                    "Nothing in the rig is called so. Write what, then which: mute inputs 1-8.");
        }
        if (places == 0) {
            throw new IllegalArgumentException(
                    "None is left to fill: each does something already. Say which all the same, such as 1-8.");
        }
        boolean isCounted = !wish.to().isEmpty();
        if (places > things || places < things && isCounted) {
            throw new IllegalArgumentException(
                    "%d to fill and %d to fill them with: name as many of one as of the other."
                            .formatted(places, things));
        }
        return places;
    }
}
