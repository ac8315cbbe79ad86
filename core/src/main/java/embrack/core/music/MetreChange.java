package embrack.core.music;

/** From a bar on, counted from 1, another metre. */
public record MetreChange(int bar, Metre metre) {

    public MetreChange {
        if (bar < 1) {
            throw new IllegalArgumentException("Bars are counted from 1, was %d.".formatted(bar));
        }
    }
}
