package embrack.core.proof;

import embrack.core.compile.CompiledSwitch;
import embrack.core.switches.Moment;
import embrack.core.world.Engine;
import embrack.core.world.Journey;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** What a switch sends, and where it goes, moment by moment, each worked out once. */
public final class Sent {

    private final CompiledSwitch compiled;
    private final Engine engine;
    private final Map<Moment, Journey> journeys = new ConcurrentHashMap<>();

    Sent(CompiledSwitch compiled, Engine engine) {
        this.compiled = compiled;
        this.engine = engine;
    }

    public CompiledSwitch compiled() {
        return compiled;
    }

    /** Where what is sent at a moment goes and when, from the moment itself. */
    public Journey journey(Moment moment) {
        return journeys.computeIfAbsent(moment, m -> engine.journey(compiled, m, 0));
    }
}
