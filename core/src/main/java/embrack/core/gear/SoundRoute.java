package embrack.core.gear;

/** From where sound comes into a box to where it goes out of it. */
public record SoundRoute(SoundEnd from, SoundEnd to) implements Comparable<SoundRoute> {

    /** In forms and files: {@code input-1.ear-2}. */
    public String key() {
        return from.key() + "." + to.key();
    }

    @Override
    public int compareTo(SoundRoute other) {
        int begins = from.compareTo(other.from);
        return begins != 0 ? begins : to.compareTo(other.to);
    }
}
