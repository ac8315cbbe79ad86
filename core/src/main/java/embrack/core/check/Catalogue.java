package embrack.core.check;

import embrack.core.check.controls.ControlRules;
import embrack.core.check.gear.GearRules;
import embrack.core.check.lights.LightRules;
import embrack.core.check.order.OrderRules;
import embrack.core.check.place.PlaceRules;
import embrack.core.check.power.PowerRules;
import embrack.core.check.rig.RigRules;
import embrack.core.check.rule.Rule;
import embrack.core.check.songs.SongRules;
import embrack.core.check.sound.SoundRules;
import embrack.core.check.switches.SwitchRules;
import embrack.core.check.wiring.WiringRules;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** All rules, by code. */
public final class Catalogue {

    private static final List<Rule> RULES = Stream.of(
                    ControlRules.ALL,
                    GearRules.ALL,
                    LightRules.ALL,
                    OrderRules.ALL,
                    PlaceRules.ALL,
                    PowerRules.ALL,
                    RigRules.ALL,
                    SongRules.ALL,
                    SoundRules.ALL,
                    SwitchRules.ALL,
                    WiringRules.ALL)
            .flatMap(List::stream)
            .sorted(Comparator.comparing(Rule::info))
            .toList();

    private Catalogue() {}

    public static List<Rule> rules() {
        return RULES;
    }
}
