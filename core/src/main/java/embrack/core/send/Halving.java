package embrack.core.send;

import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * Finds which one of many messages a box answers to, by sending half of what is left and asking whether it happened. It
 * takes at most ⌈log₂ n⌉ questions, 7 for 128 notes and 11 for those of 16 channels, and one more that asks back what
 * was found: by it none of them is told apart, and an answer that was wrong.
 *
 * @param left what it may still be, in order
 * @param questions how many were answered
 * @param isSure whether the one that is left was asked back
 */
public record Halving<M>(List<M> left, int questions, boolean isSure) implements Seeking<M> {

    public Halving {
        left = List.copyOf(left);
    }

    /** Among some messages; each of them does nothing, or one does it. */
    public static <M> Halving<M> among(List<M> all) {
        if (all.isEmpty()) {
            throw new IllegalArgumentException("there is nothing to find it among");
        }
        return new Halving<>(all, 0, false);
    }

    @Override
    public List<M> next() {
        return isOver() ? List.of() : left.subList(0, (left.size() + 1) / 2);
    }

    @Override
    public boolean isAskingBack() {
        return left.size() == 1 && !isSure;
    }

    @Override
    public boolean isOver() {
        return isSure || left.isEmpty();
    }

    @Override
    public Optional<M> found() {
        return isSure ? Optional.of(left.getFirst()) : Optional.empty();
    }

    @Override
    public Halving<M> sent() {
        return this;
    }

    @Override
    public Halving<M> answered(boolean happened) {
        if (isOver()) {
            return this;
        }
        if (isAskingBack()) {
            return new Halving<>(happened ? left : Collections.<M>emptyList(), questions + 1, happened);
        }
        int half = next().size();
        return new Halving<>(happened ? next() : left.subList(half, left.size()), questions + 1, false);
    }
}
