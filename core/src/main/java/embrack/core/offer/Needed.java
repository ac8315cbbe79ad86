package embrack.core.offer;

import embrack.core.plan.Plan;
import embrack.core.show.Cue;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;

/**
 * When a show needs a switch: what has a duty always, what parts and cues press as the order has them, the others
 * whenever a foot wants.
 */
public final class Needed {

    private final Plan plan;
    private final Map<SwitchAt, Integer> firstPress = new HashMap<>();
    private final int endOfFirstSong;

    private Needed(Plan plan, List<Entry> order) {
        this.plan = plan;
        int song = -1;
        for (int place = 0; place < order.size(); place++) {
            int here = place;
            Entry entry = order.get(place);
            entry.calls().presses().forEach(at -> firstPress.putIfAbsent(at, here));
            entry.song()
                    .flatMap(plan.book()::find)
                    .ifPresent(played -> played.cues().stream()
                            .flatMap(cue -> cue.foot().stream())
                            .forEach(at -> firstPress.putIfAbsent(at, here)));
            song = song < 0 && entry.song().isPresent() ? place : song;
        }
        for (Cue cue : plan.book().always()) {
            cue.foot().ifPresent(at -> firstPress.put(at, 0));
        }
        this.endOfFirstSong = song;
    }

    /** What tonight's show needs. */
    public static Needed tonight(Plan plan) {
        return new Needed(plan, plan.book().tonight().map(Show::order).orElse(List.of()));
    }

    /** The place in the order, from 0, at which a switch is pressed first; empty where no part or cue says so. */
    public OptionalInt pressedAt(SwitchAt at) {
        Integer place = firstPress.get(at);
        return place == null ? OptionalInt.empty() : OptionalInt.of(place);
    }

    /**
     * Whether a switch has to work before the first song begins: it has a duty, or is pressed up to the end of that
     * song. Where no part or cue presses anything, all have to.
     */
    public boolean isNeededFirst(SwitchAt at) {
        return hasDuty(at)
                || firstPress.isEmpty()
                || endOfFirstSong < 0
                || firstPress.getOrDefault(at, Integer.MAX_VALUE) <= endOfFirstSong;
    }

    /** Those first that are needed first; equal ones as they lie. */
    public Comparator<Assignment> firstFirst() {
        return Comparator.comparing((Assignment a) -> !hasDuty(a.at()))
                .thenComparingInt(a -> firstPress.getOrDefault(a.at(), Integer.MAX_VALUE))
                .thenComparing(Assignment::at);
    }

    private boolean hasDuty(SwitchAt at) {
        return plan.switches().at(at).duty().isPresent();
    }
}
