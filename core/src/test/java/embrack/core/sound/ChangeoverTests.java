package embrack.core.sound;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Sketch;
import embrack.core.SoundFaults;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Link;
import embrack.core.rig.Onward;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class ChangeoverTests {

    /** A box that passes on one of two players: who is heard, and what is lost with the first. */
    @Test
    void theSecondIsHeardInPlaceOfTheFirst() {
        SoundPaths paths = new SoundPaths(SoundFaults.two().plan().rig());
        Pair pair = paths.rig().pairs().getFirst();
        Listener ears = paths.listener("drum-ears.in-ears").orElseThrow();
        assertThat(List.of(
                        words(paths, paths.heard(Changeover.first(paths, pair, Stand.OPEN)), ears),
                        words(paths, paths.heard(Changeover.second(paths, pair, Stand.OPEN)), ears),
                        words(paths, paths.heard(Stand.OPEN), ears)))
                .containsExactly(List.of("0.0 dB", "silent"), List.of("silent", "0.0 dB"), List.of("0.0 dB", "0.0 dB"));
        assertThat(lost(SoundFaults.two())).doesNotContain("one", "player-a", "pair > one", "player-b", "other");
        assertThat(lost(SoundFaults.two())).contains("pair", "pair > mixer");
        assertThat(lost(SoundFaults.two().set("pair", "fail-over", "by hand")))
                .as("by hand it is lost until somebody changes over")
                .contains("one", "pair > one", "pair")
                .doesNotContain("other", "pair > other");
    }

    private static List<String> words(SoundPaths paths, Heard heard, Listener listener) {
        return Stream.of("player-a.click", "player-b.click")
                .map(key -> paths.source(key).orElseThrow())
                .map(source -> heard.arrival(source, listener).gain().words())
                .toList();
    }

    /** What takes the click, as "box" or "from > to". */
    private static List<String> lost(Sketch sketch) {
        return SoundLoss.of(new SoundPaths(sketch.plan().rig())).stream()
                .filter(loss -> loss.lost().keySet().stream()
                        .anyMatch(source -> source.device().equals(new DeviceId("player-a"))))
                .map(loss -> loss.link()
                        .map(link -> link.from().device() + " > " + link.to().device())
                        .or(() -> loss.box().map(DeviceId::text))
                        .orElseThrow())
                .toList();
    }

    /** Leads go on from the first until a socket is taken, is not there or has no number. */
    @Test
    void aLoomGoesOnAsItBegan() {
        Sketch sketch = Sketch.of("Loom")
                .box("Interface", "sound-interface-8-by-8")
                .box("Loom", "loom-12")
                .link("interface.output-2 > loom.in-5");
        Rig rig = sketch.plan().rig();
        assertThat(onward(rig, "interface.output-2"))
                .containsExactly(
                        "output-3 > in-6",
                        "output-4 > in-7",
                        "output-5 > in-8",
                        "output-6 > in-9",
                        "output-7 > in-10",
                        "output-8 > in-11");
        assertThat(onward(sketch.link("interface.output-1 > loom.in-7").plan().rig(), "interface.output-2"))
                .containsExactly("output-3 > in-6");
        assertThat(onward(SoundFaults.mill().plan().rig(), "mixer.main-left")).isEmpty();
    }

    private static List<String> onward(Rig rig, String from) {
        Optional<Link> first = rig.linksIn(Sketch.socket(from)).stream().findFirst();
        return Onward.after(rig, first.orElseThrow()).stream()
                .map(link -> link.from().port() + " > " + link.to().port())
                .toList();
    }
}
