package embrack.core.send;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Finds which one of many messages a box answers to where half of them together would show nothing, since it turns
 * round at each or several do: one after the other at a pace, until somebody says stop. Who sees it is late by a
 * moment; so what was sent just before is asked back, the last first.
 *
 * @param all in the order of sending
 * @param count how many were sent
 * @param suspects what it may have been, the likeliest first; empty before somebody said stop
 * @param found empty until one was asked back and it was that
 */
public record OneByOne<M>(List<M> all, int count, List<M> suspects, Optional<M> found) implements Seeking<M> {

    /** So many may go out between what happens and a hand that says stop: at one a second. Common practice. */
    private static final int LATE = 3;

    public OneByOne {
        all = List.copyOf(all);
        suspects = List.copyOf(suspects);
    }

    public static <M> OneByOne<M> among(List<M> all) {
        return new OneByOne<>(all, 0, List.of(), Optional.empty());
    }

    @Override
    public List<M> next() {
        if (found.isPresent()) {
            return List.of();
        }
        List<M> from = suspects.isEmpty() ? all.subList(count, all.size()) : suspects;
        return from.subList(0, Math.min(1, from.size()));
    }

    @Override
    public boolean isAskingBack() {
        return found.isEmpty() && !suspects.isEmpty();
    }

    @Override
    public boolean isOver() {
        return found.isPresent() || suspects.isEmpty() && count >= all.size();
    }

    @Override
    public OneByOne<M> sent() {
        return isAskingBack() || isOver() ? this : new OneByOne<>(all, count + 1, suspects, found);
    }

    /** It happened: somebody says stop. */
    public OneByOne<M> stopped() {
        if (count == 0 || isAskingBack() || found.isPresent()) {
            return this;
        }
        List<M> late = new ArrayList<>(all.subList(Math.max(0, count - LATE), count));
        return new OneByOne<>(all, count, late.reversed(), found);
    }

    /** About the one that is asked back. Where none of them did it, it goes on behind them. */
    @Override
    public OneByOne<M> answered(boolean happened) {
        if (!isAskingBack()) {
            return this;
        }
        return happened
                ? new OneByOne<>(all, count, List.of(), Optional.of(suspects.getFirst()))
                : new OneByOne<>(all, count, suspects.subList(1, suspects.size()), found);
    }
}
