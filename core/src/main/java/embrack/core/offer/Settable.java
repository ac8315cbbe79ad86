package embrack.core.offer;

import embrack.core.chart.Action;
import embrack.core.chart.Part;
import embrack.core.chart.PartId;
import embrack.core.midi.DataByte;
import embrack.core.rig.DeviceId;
import embrack.core.rig.HandWork;
import embrack.core.rig.Rig;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.stream.Stream;

/** What people can set at one box with their hands, found by its words. */
public final class Settable {

    private final Rig rig;
    private final DeviceId device;

    public Settable(Rig rig, DeviceId device) {
        this.rig = rig;
        this.device = device;
    }

    /** Every state of a part that the box answers to, in the order of its chart; levels at 100. */
    public List<Action> states() {
        return rig.chart(device).wishes().stream()
                .filter(HandWork::isState)
                .map(action -> action.amount().isPresent() ? level(action, 100) : action)
                .distinct()
                .toList();
    }

    private static Action level(Action action, int amount) {
        return new Action(action.verb(), action.part(), Optional.of(amount));
    }

    /**
     * The states that a text can mean: the one that is called so, else all in which each of its words occurs.
     *
     * @param typed "mute Return 1", "return 1 mute"; "level of Main to 90" says how much, 0 to 127
     */
    public List<Action> statesCalled(String typed) {
        Matcher amount = Offers.AMOUNT.matcher(typed);
        Optional<Integer> to = amount.find()
                ? Optional.of(Integer.parseInt(amount.group(1))).filter(n -> n <= DataByte.MAX)
                : Optional.empty();
        List<Action> states = states().stream()
                .map(action -> action.amount().isPresent() && to.isPresent() ? level(action, to.get()) : action)
                .toList();
        List<Action> called = states.stream()
                .filter(action -> rig.words(device, action).equalsIgnoreCase(typed.strip()))
                .toList();
        return called.isEmpty()
                ? states.stream()
                        .filter(action -> has(rig.words(device, action), typed))
                        .toList()
                : called;
    }

    /** The names that parts can be found by: their own, and those of families of several. */
    public List<String> partNames() {
        List<Part> parts = rig.model(device).parts();
        Set<String> names = new LinkedHashSet<>();
        parts.stream()
                .filter(part -> parts.stream()
                                .filter(other -> other.family().equals(part.family()))
                                .count()
                        > 1)
                .forEach(part -> names.add(every(part)));
        parts.forEach(part -> names.add(rig.partName(device, part.id()).text()));
        return List.copyOf(names);
    }

    private static String every(Part part) {
        return "every " + part.family();
    }

    /** The parts that go by a name of {@link #partNames}, in whatever case; none for any other text. */
    public List<PartId> partsCalled(String typed) {
        return rig.model(device).parts().stream()
                .filter(part -> Stream.of(
                                every(part),
                                part.name().text(),
                                rig.partName(device, part.id()).text())
                        .anyMatch(name -> name.equalsIgnoreCase(typed.strip())))
                .map(Part::id)
                .toList();
    }

    private static boolean has(String words, String typed) {
        String all = words.toLowerCase(Locale.ROOT);
        return !typed.isBlank()
                && Stream.of(typed.strip().toLowerCase(Locale.ROOT).split("\\s+"))
                        .allMatch(all::contains);
    }
}
