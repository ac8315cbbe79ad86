package embrack.core.check.switches;

import embrack.core.check.rule.Rule;
import java.util.List;

/** The rules of this package. */
public final class SwitchRules {

    public static final List<Rule> ALL = List.of(
            new AlsoMoves(),
            new CannotSend(),
            new ChannelMismatch(),
            new ChannelMoved(),
            new ComesRound(),
            new Late(),
            new NoChartLine(),
            new NoPath(),
            new NoSteps(),
            new NotAsMeant(),
            new ModeUndoes(),
            new DeadInput(),
            new StandsStill(),
            new HeldBack(),
            new NotOnThisBoard(),
            new BoardsFight(),
            new CountsFromItsOwn(),
            new ReservedNumber(),
            new KeptBack(),
            new NothingLearned(),
            new SendsItsOwn(),
            new TooManyMessages(),
            new TurnsRound(),
            new UndoesItself());

    private SwitchRules() {}
}
