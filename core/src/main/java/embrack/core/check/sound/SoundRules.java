package embrack.core.check.sound;

import embrack.core.check.rule.Rule;
import java.util.List;

/** The rules of this package. */
public final class SoundRules {

    public static final List<Rule> ALL = List.of(
            new HeardInTheHouse(),
            new NoInEars(),
            new NotForThem(),
            new WithoutWanted(),
            new OneSideLost(),
            new Cancels(),
            new ComesRound(),
            new PhantomHarms(),
            new NoPhantom(),
            new WrongLevel(),
            new LongUnbalanced(),
            new TwoMains(),
            new MeetsLate(),
            new LateToEars(),
            new Unheard(),
            new TooManyChannels(),
            new SilentStart(),
            new LostAtFailover());

    private SoundRules() {}
}
