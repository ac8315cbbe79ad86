package embrack.core.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import embrack.core.Sketch;
import embrack.core.SoundFaults;
import embrack.core.gear.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.TreeMap;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

/** What is worked out in one pass is what comes of following every way by itself. */
class SoundPathsPropertyTests {

    /** Three boxes behind each other, two lines between them, ways that cross, delay, weaken and turn round. */
    @Property(tries = 150)
    void allWaysAddUp(@ForAll Random random) {
        Sketch sketch =
                Sketch.of("Random").box("Source", Kind.SOUND_SOURCE, """
                port A: XLR out
                makes instrument at A
                """, "").box("Ears", "recorder-2");
        String from = "source.a";
        for (int n = 1; n <= 3; n++) {
            sketch.box(
                    "Box " + n,
                    Kind.SOUND_BOX,
                    """
                    port In 1..2: XLR in
                    port Out 1..2: XLR out
                    port Mid: bus both ways
                    """ + way(random, "In 1", "Mid") + way(random, "In 1", "Out 1") + way(random, "Mid", "Out 2")
                            + way(random, "In 2", "Out 1"),
                    "");
            sketch.link(from + " > box-" + n + ".in-1");
            if (n > 1) {
                sketch.link("box-" + (n - 1) + ".out-2 > box-" + n + ".in-2");
            }
            from = "box-" + n + ".out-1";
        }
        sketch.link("box-3.out-1 > ears.in-1", "box-3.out-2 > ears.in-2");
        SoundPaths paths = new SoundPaths(sketch.rig());
        Arrival arrival = paths.heard(Stand.OPEN)
                .arrival(paths.sources().getFirst(), paths.listeners().getFirst());
        double loudest = paths.listeners().getFirst().ends().stream()
                .mapToDouble(end -> loudness(paths, end))
                .max()
                .orElseThrow();
        assertThat(arrival.gain().factor()).isCloseTo(loudest, within(1e-9));
    }

    private static String way(Random random, String from, String to) {
        return "sound %s to %s: %d dB; %d ms late%s\n"
                .formatted(
                        from,
                        to,
                        -random.nextInt(4) * 3,
                        random.nextInt(3),
                        random.nextInt(3) == 0 ? "; inverted" : "");
    }

    private static double loudness(SoundPaths paths, SoundPoint end) {
        TreeMap<Long, Double> arrivals = new TreeMap<>();
        follow(paths, paths.sources().getFirst().sides().getFirst(), end, 0, 1, arrivals);
        return Math.sqrt(arrivals.values().stream().mapToDouble(f -> f * f).sum());
    }

    private static void follow(
            SoundPaths paths, SoundPoint at, SoundPoint end, long micros, double factor, TreeMap<Long, Double> found) {
        if (at.equals(end)) {
            found.merge(micros, factor, Double::sum);
        }
        for (Strand strand : paths.strands()) {
            if (strand.from().equals(at)) {
                follow(paths, strand.to(), end, micros + strand.micros(), factor * Passing.open(strand), found);
            }
        }
    }

    /** Without the mixer nobody hears anything; each loss is one that hearing the rig without that lead shows. */
    @Test
    void whatIsLostIsWhatTheRestDoesNotHear() {
        SoundPaths paths = new SoundPaths(SoundFaults.mill().rig());
        List<SoundLoss> losses = SoundLoss.of(paths);
        assertThat(losses.getFirst().box())
                .hasValueSatisfying(box -> assertThat(box.text()).isEqualTo("mixer"));
        List<String> click = new ArrayList<>();
        losses.stream()
                .filter(loss -> loss.lost().keySet().stream()
                        .anyMatch(source -> source.key().equals("tablet.click")))
                .flatMap(loss -> loss.link().stream())
                .forEach(link -> click.add(paths.rig().words(link)));
        assertThat(click)
                .containsExactlyInAnyOrder(
                        "from Tablet Headphones left to Split Plug left",
                        "from Split Left to DI In 1",
                        "from DI Out 1 to Mixer Input 1",
                        "from Mixer Aux 1 to Drum ears In");
    }
}
