package embrack.core.live;

import embrack.core.level.Gain;
import embrack.core.sound.Listener;
import embrack.core.sound.Source;
import java.util.Comparator;
import java.util.List;
import java.util.Map;

/**
 * A sound that goes on: something of a box that plays was begun and not stopped.
 *
 * @param gains who can hear it at all, and how loud it comes there now; silent where something on the way is shut
 */
public record Sounding(Source source, Map<Listener, Gain> gains) {

    /** Whether it goes on and nobody hears it: it comes back as soon as what is shut on its way is opened. */
    public boolean isUnheard() {
        return gains.values().stream().allMatch(Gain::isSilent);
    }

    /** Who hears it, the loudest first. */
    public List<Listener> heardBy() {
        return gains.entrySet().stream()
                .filter(entry -> !entry.getValue().isSilent())
                .sorted(Comparator.comparingDouble(entry -> -entry.getValue().decibels()))
                .map(Map.Entry::getKey)
                .toList();
    }
}
