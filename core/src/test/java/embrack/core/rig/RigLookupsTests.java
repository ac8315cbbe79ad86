package embrack.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import embrack.core.Evening;
import embrack.core.RandomRigs;
import embrack.core.RigEdits;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** What a rig finds by its maps is what a look through its lists finds, after any edits. */
class RigLookupsTests {

    @Property(tries = 60)
    void everyLookupIsALookThroughTheLists(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(max = 12) int boxes) {
        Plan plan = boxes < 3 ? Evening.plan() : RandomRigs.of(seed, boxes);
        var random = new Random(seed);
        for (int i = 0; i < 6; i++) {
            Rig rig = plan.rig();
            isWhole(rig);
            for (Device device : rig.devices()) {
                looksThrough(rig, device);
            }
            Rig again = new Rig(rig.name(), rig.models(), rig.devices(), shuffled(rig.links(), random), rig.pairs());
            assertThat(again).isEqualTo(rig).hasSameHashCodeAs(rig);
            assertThat(again.links()).as("sorted, however they came").isEqualTo(rig.links());
            plan = RigEdits.one(plan, random);
        }
    }

    /** Ids, names and places are there once; what refers to something refers to what is there. */
    private static void isWhole(Rig rig) {
        Set<String> names = new HashSet<>();
        Set<Socket> single = new HashSet<>();
        for (Device device : rig.devices()) {
            assertThat(rig.find(device.id())).contains(device);
            assertThat(names.add(device.name().text().toLowerCase(Locale.ROOT)))
                    .as(device.name().text())
                    .isTrue();
            assertThat(rig.models()).contains(rig.model(device.id()));
            device.spot()
                    .host()
                    .ifPresent(
                            host -> assertThat(rig.device(host).spot().host()).isEmpty());
        }
        for (Model model : rig.models()) {
            assertThat(rig.devices())
                    .as("no model without a box")
                    .anyMatch(d -> d.model().equals(model.id()));
        }
        for (Link link : rig.links()) {
            assertThat(List.of(rig.port(link.from()), rig.port(link.to()))).doesNotContainNull();
            assertThat(rig.kind(link)).isNotNull();
            assertThat(rig.words(link)).contains(rig.name(link.from().device()).text());
            if (rig.linksIn(link.from()).size() == 1) {
                single.add(link.from());
            }
        }
        assertThat(single)
                .allMatch(socket -> rig.links().stream()
                                .filter(link ->
                                        link.from().equals(socket) || link.to().equals(socket))
                                .count()
                        == 1);
    }

    private static void looksThrough(Rig rig, Device device) {
        DeviceId id = device.id();
        assertThat(rig.linksIn(id))
                .containsExactlyElementsOf(rig.links().stream()
                        .filter(link -> link.from().device().equals(id)
                                || link.to().device().equals(id))
                        .toList());
        List<Link> bySocket = new ArrayList<>();
        for (Socket socket : rig.sockets(id)) {
            List<Link> in = rig.linksIn(socket);
            assertThat(in)
                    .containsExactlyElementsOf(rig.links().stream()
                            .filter(link ->
                                    link.from().equals(socket) || link.to().equals(socket))
                            .toList());
            in.forEach(link -> assertThat(rig.link(link.from(), link.to())).contains(link));
            bySocket.addAll(in);
        }
        assertThat(new HashSet<>(bySocket)).isEqualTo(new HashSet<>(rig.linksIn(id)));
        DeviceId box = device.spot().host().orElse(id);
        assertThat(rig.box(id)).isEqualTo(box);
        assertThat(rig.area(id)).isEqualTo(rig.device(box).spot().area());
        assertThat(rig.appsIn(id))
                .containsExactlyElementsOf(rig.devices().stream()
                        .filter(other -> other.spot().host().equals(Optional.of(id)))
                        .toList());
        device.settings()
                .forEach(
                        (setting, value) -> assertThat(rig.setting(id, setting)).contains(value));
        Rig without = rig.withoutDevice(id);
        assertThat(without.find(id)).isEmpty();
        assertThat(without.links()).noneMatch(link -> link.isIn(id)).isSubsetOf(rig.links());
        assertThat(without.devices())
                .extracting(Device::id)
                .doesNotContain(id)
                .hasSize(rig.devices().size() - 1);
        assertThat(without.pairs()).noneMatch(pair -> pair.has(id));
        assertThat(rig.withLinks(rig.links())).isEqualTo(rig);
        assertThat(rig.withoutLinks(link -> false)).isEqualTo(rig);
        assertThat(rig.withoutLinks(link -> true).links()).isEmpty();
    }

    private static List<Link> shuffled(List<Link> links, Random random) {
        List<Link> shuffled = new ArrayList<>(links);
        Collections.shuffle(shuffled, random);
        return shuffled;
    }

    /** A name that is taken gets a number behind it, and a long one is cut for it; ids follow names. */
    @Test
    void newBoxesAreToldApart() {
        Model mixer = Library.find(new ModelId("stage-mixer-12")).orElseThrow();
        Rig rig = Rig.empty(new TapeLabel("Names"));
        List<String> names = new ArrayList<>();
        String longest = "L".repeat(TapeLabel.MAX_LENGTH);
        for (String wanted : List.of("Mixer", "Mixer", "MIXER", "Mixer 2", longest, longest, "\u0161\u0165")) {
            Device made = rig.newDevice(new TapeLabel(wanted), mixer);
            assertThat(rig.find(made.id())).isEmpty();
            rig = rig.withDevice(made, mixer);
            names.add(made.name().text());
        }
        assertThat(names)
                .containsExactly(
                        "Mixer",
                        "Mixer 2",
                        "MIXER 3",
                        "Mixer 2 2",
                        longest,
                        longest.substring(2) + " 2",
                        "\u0161\u0165");
        assertThat(rig.devices().stream().map(Device::id).distinct()).hasSize(names.size());
        assertThat(rig.models()).containsExactly(mixer);
    }

    /** Whatever is not there is refused by its name. */
    @Test
    void whatIsNotThereIsNamed() {
        Rig rig = Evening.plan().rig();
        DeviceId none = new DeviceId("nowhere");
        assertThatIllegalArgumentException().isThrownBy(() -> rig.device(none)).withMessageContaining("\"nowhere\"");
        assertThat(rig.find(none)).isEmpty();
        assertThat(rig.linksIn(none)).isEmpty();
        Link wrong = Stream.of(rig.links().getFirst())
                .map(link -> new Link(link.from(), new Socket(none, link.to().port()), link.length(), link.measured()))
                .findFirst()
                .orElseThrow();
        assertThatIllegalArgumentException().isThrownBy(() -> rig.withLink(wrong));
        Pair self = new Pair(new DeviceId("vocal-mixer"), new DeviceId("guitar-sounds"));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> rig.withPairs(List.of(self)))
                .withMessageContaining("are not the same hardware");
    }
}
