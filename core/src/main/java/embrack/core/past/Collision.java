package embrack.core.past;

import embrack.core.plan.Plan;
import java.lang.reflect.RecordComponent;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Whether two who began from one plan changed the same, each in another way. */
public final class Collision {

    private Collision() {}

    /**
     * The things of which both made another, field by field: who names a switch and who says what it does are not in
     * each other's way. What both brought anew is not the same thing, even if both gave it one number.
     *
     * @param seen the plan that both began from
     * @param mine what one made of it
     * @param theirs what the other made of it
     */
    public static List<Thing> between(Plan seen, Plan mine, Plan theirs) {
        Things base = Things.of(seen);
        Things one = Things.of(mine);
        Things other = Things.of(theirs);
        return base.changed(one).stream()
                .filter(thing -> base.find(thing)
                        .filter(was -> areApart(
                                numbered(was, one.find(thing), other.find(thing)),
                                numbered(one.find(thing), Optional.of(was), other.find(thing)),
                                numbered(other.find(thing), Optional.of(was), one.find(thing))))
                        .isPresent())
                .toList();
    }

    /** A number that was given since is no change of one's own. */
    private static Object numbered(Object value, Optional<Object> one, Optional<Object> other) {
        Object level = value instanceof Optional<?> found ? found.orElse(null) : value;
        if (level == null) {
            return Optional.empty();
        }
        for (Object beside : Stream.of(one, other).flatMap(Optional::stream).toList()) {
            level = Things.numbered(beside, level);
        }
        return level;
    }

    private static boolean areApart(@Nullable Object was, @Nullable Object mine, @Nullable Object theirs) {
        if (Objects.equals(was, mine) || Objects.equals(was, theirs) || Objects.equals(mine, theirs)) {
            return false;
        }
        if (was instanceof Record && isAlike(was, mine, theirs)) {
            return Stream.of(was.getClass().getRecordComponents())
                    .anyMatch(part -> areApart(value(part, was), value(part, mine), value(part, theirs)));
        }
        if (was instanceof List<?> a && mine instanceof List<?> b && theirs instanceof List<?> c) {
            return a.size() != b.size()
                    || a.size() != c.size()
                    || IntStream.range(0, a.size()).anyMatch(i -> areApart(a.get(i), b.get(i), c.get(i)));
        }
        if (was instanceof Map<?, ?> a && mine instanceof Map<?, ?> b && theirs instanceof Map<?, ?> c) {
            Set<Object> keys = new HashSet<>(a.keySet());
            keys.addAll(b.keySet());
            keys.addAll(c.keySet());
            return keys.stream().anyMatch(key -> areApart(a.get(key), b.get(key), c.get(key)));
        }
        return true;
    }

    private static boolean isAlike(Object was, @Nullable Object mine, @Nullable Object theirs) {
        return mine != null
                && theirs != null
                && was.getClass() == mine.getClass()
                && was.getClass() == theirs.getClass();
    }

    private static @Nullable Object value(RecordComponent part, @Nullable Object of) {
        try {
            return part.getAccessor().invoke(of);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("a part of a plan cannot be read: " + part, e);
        }
    }
}
