package embrack.core.effort;

/**
 * What has to be linked anew when the controller of an instrument host dies.
 *
 * @param controls knobs or faders that are used
 * @param patches sounds that they work on
 */
public record Links(int controls, int patches) {

    public Links {
        if (controls < 0 || patches < 0) {
            throw new IllegalArgumentException("controls and patches are 0 or more");
        }
    }

    /** Every control to every sound. */
    public int straight() {
        return controls * patches;
    }

    /** Every control once, to a layer of on-screen controls that all sounds share. */
    public int throughLayer() {
        return controls;
    }
}
