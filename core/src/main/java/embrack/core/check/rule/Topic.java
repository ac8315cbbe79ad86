package embrack.core.check.rule;

import java.util.Locale;

/** What rules are about, by which pages choose findings. */
public enum Topic {
    CONTROLS,
    GEAR,
    LIGHTS,
    ORDER,
    PLACE,
    POWER,
    RIG,
    SONGS,
    SOUND,
    SWITCHES,
    WIRING;

    /** The topic in codes: "switches". */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Where its words lie. */
    String room() {
        return "core/check/" + key();
    }
}
