package embrack.core.effort;

import embrack.core.plan.Plan;
import embrack.core.switches.Practice;
import java.util.List;

/**
 * What an answer to a question costs in a plan.
 *
 * @param switches that it takes
 * @param presses for one change, or for one song
 * @param messages for one change
 * @param links to make
 * @param risk what can go wrong
 */
public record Price(String answer, int switches, int presses, int messages, int links, String risk) {

    /** The prices of the answers to a question, the default first. */
    public static List<Price> of(Plan plan, Practice practice) {
        return switch (practice) {
            case MUTES, GO, NUMBERS, FADERS, LINKS, CHANNELS, MEMORIES -> new GearPrices(plan).of(practice);
            default -> new EveningPrices(plan).of(practice);
        };
    }
}
