package embrack.core;

import embrack.core.chart.Chart;
import embrack.core.gear.Implementation;
import embrack.core.gear.Model;
import embrack.core.gear.Quirks;
import embrack.core.gear.library.Library;

/** The rack mixer as it should not be. */
public final class Mixers {

    private static final String OBEYED = """
            mute Input 1..16: cc 40..55 over 63
            mute Return 1..4: cc 56..59 over 63
            mute Bus 1..3: cc 60..62 over 63
            mute Main: cc 63 over 63
            open Input 1..16: cc 40..55 under 64
            open Return 1..4: cc 56..59 under 64
            open Bus 1..3: cc 60..62 under 64
            open Main: cc 63 under 64
            """;

    private Mixers() {}

    /** The chart was copied with the values for mute and open swapped. */
    public static Model swappedChart() {
        return with(
                OBEYED.replace("over 63", "= 0x").replace("under 64", "= 127").replace("0x", "0"), OBEYED);
    }

    /** The box takes any value as a toggle. */
    public static Model toggling() {
        return with(
                OBEYED,
                OBEYED.lines()
                        .limit(4)
                        .map(line -> line.replace("mute ", "toggle mute ").replace("over 63", ""))
                        .reduce("", (a, b) -> a + b + "\n"));
    }

    /** The box answers to none of the chart's numbers but the first sixteen. */
    public static Model deafBeyondInputs() {
        return with(OBEYED, "mute Input 1..16: cc 40..55 over 63\nopen Input 1..16: cc 40..55 under 64");
    }

    /** Described by its chart alone, one value for each. */
    public static Model chartOnly() {
        return with(OBEYED.replace("over 63", "= 127").replace("under 64", "= 0"), "");
    }

    /** A mixer whose chart cannot open anything. */
    public static Model muteOnly() {
        return with(OBEYED.lines().limit(4).reduce("", (a, b) -> a + b + "\n"), "");
    }

    private static Model with(String chart, String reality) {
        return Library.RACK_MIXER.withImplementation(
                new Implementation(Chart.of(chart), Chart.of(reality), Quirks.NONE));
    }
}
