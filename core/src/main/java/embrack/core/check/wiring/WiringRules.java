package embrack.core.check.wiring;

import embrack.core.check.rule.Rule;
import java.util.List;

/** The rules of this package. */
public final class WiringRules {

    public static final List<Rule> ALL = List.of(
            new ArrivesTwice(),
            new Crossed(),
            new GoesRound(),
            new HearsNeighbour(),
            new HomelessApp(),
            new InputOff(),
            new NotReady(),
            new OutputOff(),
            new PairDiffers(),
            new PairStays(),
            new StartsTooEarly(),
            new TooLong(),
            new TwoClocks());

    private WiringRules() {}
}
