package embrack.core.rig;

/**
 * Two devices that do one job, the second ready to go on when the first fails.
 *
 * @param first the one that steps are about
 * @param second the one that stands in
 */
public record Pair(DeviceId first, DeviceId second) implements Comparable<Pair> {

    public Pair {
        if (first.equals(second)) {
            throw new IllegalArgumentException("A device cannot stand in for itself.");
        }
    }

    public boolean has(DeviceId device) {
        return first.equals(device) || second.equals(device);
    }

    @Override
    public int compareTo(Pair other) {
        int byFirst = first.compareTo(other.first);
        return byFirst != 0 ? byFirst : second.compareTo(other.second);
    }
}
