package embrack.core.check.songs;

import embrack.core.check.rule.Rule;
import java.util.List;

/** All rules about songs. */
public final class SongRules {

    public static final List<Rule> ALL = List.of(
            new NoPlayer(),
            new NotSent(),
            new CueNotAsMeant(),
            new ComesLate(),
            new WaitsInQueue(),
            new WrongWayRound(),
            new AfterJump(),
            new DependsOnBefore(),
            new SentTwice(),
            new SameInstant(),
            new FootAgainstCue(),
            new LeftBehind(),
            new CueStandsStill(),
            new LeftByTempo(),
            new TimeOffTempo(),
            new NoSongThere(),
            new SamePlace(),
            new CutAway(),
            new OffTheBeat(),
            new NoLeadIn(),
            new Stretched(),
            new LockedVamp(),
            new PlayedThrough());

    private SongRules() {}
}
