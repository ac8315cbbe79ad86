package embrack.files.plan;

import embrack.core.music.Clock;
import embrack.core.music.Position;
import embrack.core.music.TempoMap;
import embrack.core.show.Anchor;
import embrack.core.show.Form;
import embrack.files.json.Fields;
import tools.jackson.databind.node.ObjectNode;

/**
 * What a cue is tied to, as files have it: {@code bar} and {@code beat}, the beat as text ("3 1/2") and left out for
 * the first; {@code at} for the clock, a section and what the player does. Files before version 7 have that for all.
 */
public final class CuePlace {

    private static final String FIRST = "1";

    private CuePlace() {}

    /** Writes it into a cue of a song with that music. */
    public static void write(ObjectNode f, Anchor at, TempoMap tempoMap) {
        switch (at) {
            case Anchor.OnBar bar -> {
                Position place = tempoMap.position(tempoMap.tick(bar.at()));
                f.put("bar", place.bar());
                if (!tempoMap.beat(place).equals(FIRST)) {
                    f.put("beat", tempoMap.beat(place));
                }
            }
            case Anchor.OnClock clock -> f.put("at", Clock.exact(clock.micros()));
            default -> f.put("at", at.text(tempoMap));
        }
    }

    static Anchor read(Fields f, Form form) {
        if (!f.holds("bar")) {
            return f.text("at", text -> Anchor.parse(text, form));
        }
        int bar = f.integer("bar");
        return f.holds("beat")
                ? f.text("beat", beat -> new Anchor.OnBar(form.tempoMap().parse(bar + " " + beat)))
                : f.fit("bar", () -> new Anchor.OnBar(form.tempoMap().parse(String.valueOf(bar))));
    }
}
