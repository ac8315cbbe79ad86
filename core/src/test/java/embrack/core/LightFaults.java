package embrack.core;

import embrack.core.chart.Chart;
import embrack.core.chart.PartId;
import embrack.core.check.rule.Severity;
import embrack.core.edit.ChaseEdit;
import embrack.core.edit.DeskEdit;
import embrack.core.edit.FixtureEdit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.LookEdit;
import embrack.core.gear.Kind;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.gear.text.BoxReading;
import embrack.core.light.Chase;
import embrack.core.light.ChaseId;
import embrack.core.light.FixtureId;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.LookId;
import embrack.core.light.Scenes;
import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import embrack.core.switches.Moment;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** Evenings whose lights are planned wrongly in one thing, and the same evenings mended. All invented. */
public final class LightFaults {

    private static final DeviceId DESK = new DeviceId("lantern-desk");
    private static final String WARM = "all: warm 40 %";

    private LightFaults() {}

    /** Four pars in a mode with a strobe slot, and a look in each scene that the evening recalls. */
    public static Sketch lit() {
        Sketch lit = hang(Evening.sketch(), "small-par-three-colours", "4", "Pars");
        for (int par = 1; par <= 4; par++) {
            lit.edit(new FixtureEdit.ChangeFixture(
                    new FixtureId("par-" + par), "Par " + par, "Pars", "7 slots", String.valueOf(7 * par - 6)));
        }
        for (int scene = 1; scene <= 6; scene++) {
            lit.edit(new LookEdit.AddLook("Look " + scene, WARM));
        }
        return lit.edit(new DeskEdit.StoreLooks(DESK));
    }

    /** The same with a chase in which the picture flashes five times a second. */
    public static Sketch squalls() {
        return squall(look(lit(), 3, "all: dark"), "0.1");
    }

    private static Sketch hang(Sketch sketch, String type, String count, String group) {
        return sketch.edit(new FixtureEdit.AddFixtures(new FixtureTypeId(type), count, group));
    }

    private static Sketch look(Sketch sketch, int number, String text) {
        return sketch.edit(new LookEdit.ChangeLook(new LookId("look-" + number), "Look " + number, text));
    }

    private static Sketch squall(Sketch sketch, String pace) {
        return sketch.edit(new ChaseEdit.AddChase("Squall", "Look 2, Look 3", pace))
                .edit(new ChaseEdit.ChangeChase(
                        new ChaseId("squall"),
                        "Squall",
                        "Look 2, Look 3",
                        pace,
                        Optional.of(new Chase.At(DESK, new PartId("chase-2")))));
    }

    private static Sketch held(Sketch sketch, int scene, Optional<LookId> look) {
        return sketch.edit(
                new DeskEdit.HoldLook(DESK, new Scenes.Place(Optional.empty(), new PartId("scene-" + scene)), look));
    }

    /** A desk whose scenes are counted anew in each of its banks, with a look of its own in the second. */
    public static Sketch banked(Sketch sketch) {
        return sketch.edit(new GearEdit.SwapHardware(
                        DESK,
                        BoxReading.of("""
                                        port MIDI IN: 5-pin in
                                        port DMX OUT: DMX out
                                        setting MIDI receive channel: 1..16, factory 1
                                        power: a supply of its own, 300 mA
                                        """)
                                .box()
                                .orElseThrow()
                                .model(
                                        new ModelId("bank-desk"),
                                        new TapeLabel("Bank desk"),
                                        Kind.LIGHT_DESK,
                                        Chart.of("""
                                                on Scene 1..8: note 6..13
                                                recall Bank 1..4: note 14..17
                                                on Blackout: cc 1 over 63
                                                off Blackout: cc 1 under 64
                                                one at a time: Scene 1..8
                                                means blackout: Blackout
                                                """),
                                        Chart.EMPTY)))
                .edit(new DeskEdit.HoldLook(
                        DESK,
                        new Scenes.Place(Optional.of(new PartId("bank-2")), new PartId("scene-5")),
                        Optional.of(new LookId("look-6"))));
    }

    private static Sketch address(Sketch sketch, int par, String address) {
        return sketch.edit(
                new FixtureEdit.ChangeFixture(new FixtureId("par-" + par), "Par " + par, "Pars", "7 slots", address));
    }

    /** The same two actions by turns, so many times, on the places of a bar that go with it. */
    private static Sketch turns(Sketch sketch, String one, String other, List<String> places) {
        for (int i = 0; i < places.size(); i++) {
            sketch.cues("slow-boats", places.get(i) + " = lantern-desk " + (i % 2 == 0 ? one : other));
        }
        return sketch;
    }

    private static List<String> places(String... fractions) {
        List<String> places = new ArrayList<>();
        for (int bar = 9; bar <= 10; bar++) {
            for (int beat = 1; beat <= 7; beat++) {
                for (String fraction : fractions) {
                    places.add("%d %d%s".formatted(bar, beat, fraction));
                }
            }
        }
        return places;
    }

    private static Fault fault(
            String name,
            String code,
            Severity severity,
            String where,
            String what,
            UnaryOperator<Sketch> faulty,
            UnaryOperator<Sketch> mended) {
        return new Fault(
                name,
                code,
                severity,
                where,
                what,
                faulty.apply(lit()).plan(),
                mended.apply(lit()).plan());
    }

    public static List<Fault> all() {
        List<Fault> all = new ArrayList<>(hung());
        all.addAll(flashing());
        all.addAll(inBanks());
        all.addAll(onPages());
        return all;
    }

    private static List<Fault> hung() {
        return List.of(
                fault(
                        "one-slot-shared",
                        "lights.shared-slots",
                        Severity.LOOK,
                        "Par 1, Par 2",
                        "Both read slot 7.",
                        s -> address(s, 2, "7"),
                        s -> address(s, 2, "2.7")),
                fault(
                        "alike-at-one-address",
                        "lights.shared-slots",
                        Severity.NOTE,
                        "Par 3, Par 4",
                        "Both have the same address.",
                        s -> address(s, 4, "15"),
                        s -> address(s, 4, "100")),
                fault(
                        "no-address",
                        "lights.no-address",
                        Severity.LOOK,
                        "Par 2",
                        "Par 2 has no address.",
                        s -> address(s, 2, ""),
                        s -> address(s, 2, "300")),
                fault(
                        "taken-down-and-still-in-a-look",
                        "lights.nobody-meant",
                        Severity.LOOK,
                        "Look 4",
                        "Look 4 speaks of Par 4, and nothing that hangs is called so.",
                        s -> look(s, 4, "Par 4: blue 50 %").edit(new FixtureEdit.RemoveFixture(new FixtureId("par-4"))),
                        s -> look(s, 4, "pars: blue 50 %").edit(new FixtureEdit.RemoveFixture(new FixtureId("par-4")))),
                fault(
                        "a-switch-recalls-nothing",
                        "lights.empty-scene",
                        Severity.LOOK,
                        "Lantern desk",
                        "Scene 5 of Lantern desk is recalled, and no look was stored in it.",
                        s -> held(s, 5, Optional.empty()),
                        s -> held(s, 5, Optional.of(new LookId("look-1")))),
                fault(
                        "a-cue-recalls-nothing",
                        "lights.empty-scene",
                        Severity.LOOK,
                        "Lantern desk",
                        "Scene 9 of Lantern desk is recalled, and no look was stored in it.",
                        s -> s.cues("ebb", "9|1 = lantern-desk recall:scene-9"),
                        s -> s.cues("ebb", "9|1 = lantern-desk recall:scene-6")),
                fault(
                        "a-chase-of-nothing",
                        "lights.empty-scene",
                        Severity.LOOK,
                        "Lantern desk",
                        "Chase 2 of Lantern desk is run, and nobody said which looks follow one another there.",
                        s -> s.step("foot-board 9: lantern-desk run:chase-2"),
                        s -> squall(s.step("foot-board 9: lantern-desk run:chase-2"), "0.5")),
                fault(
                        "dark-at-once-behind-the-tale",
                        "lights.dark-while-walking",
                        Severity.LOOK,
                        "Ebb",
                        "Ebb begins in the dark at once behind Tale.",
                        s -> s.cues("ebb", "on load = lantern-desk on:blackout", "5|1 = lantern-desk off:blackout"),
                        s -> s.cues("ebb", "3|1 = lantern-desk on:blackout", "5|1 = lantern-desk off:blackout")),
                fault(
                        "a-look-of-nothing-behind-the-tale",
                        "lights.dark-while-walking",
                        Severity.LOOK,
                        "Ebb",
                        "Ebb begins in the dark at once behind Tale.",
                        s -> held(look(s, 2, "all: dark"), 7, Optional.of(new LookId("look-2")))
                                .cues("ebb", "on play = lantern-desk recall:scene-7"),
                        s -> held(look(s, 2, "Par 1: warm 20 %"), 7, Optional.of(new LookId("look-2")))
                                .cues("ebb", "on play = lantern-desk recall:scene-7")),
                fault(
                        "a-lantern-that-should-be-red",
                        "lights.cannot-show",
                        Severity.NOTE,
                        "Look 2",
                        "Lantern 1 shows another colour than Look 2 asks for.",
                        s -> look(hang(s, "lantern", "1", "Lanterns"), 2, "lanterns: red 60 %"),
                        s -> look(hang(s, "lantern", "1", "Lanterns"), 2, "lanterns: warm 60 %")),
                fault(
                        "a-mode-without-a-strobe",
                        "lights.cannot-show",
                        Severity.NOTE,
                        "Look 3",
                        "Lantern 1 cannot flash as it is set.",
                        s -> look(hang(s, "lantern", "1", "Lanterns"), 3, "lanterns: 60 %, flashes 2 a second"),
                        s -> look(hang(s, "lantern", "1", "Lanterns"), 3, "Par 1: 60 %, flashes 2 a second")));
    }

    /** A desk with twelve fixture buttons of 32 slots instead: the third fixture starts at 65. */
    public static Sketch paged(Sketch sketch) {
        return sketch.edit(new GearEdit.SwapHardware(
                DESK, Library.find(new ModelId("twelve-fixture-desk")).orElseThrow()));
    }

    private static List<Fault> onPages() {
        return List.of(
                fault(
                        "more-than-a-line-drives",
                        "lights.long-line",
                        Severity.LOOK,
                        "universe 1",
                        "33 fixtures hang on one line; a line drives 32 (EIA-485, ANSI E1.11).",
                        s -> hang(s, "lantern", "29", "Lanterns"),
                        s -> hang(s, "lantern", "28", "Lanterns")),
                fault(
                        "between-two-buttons",
                        "lights.beside-pages",
                        Severity.LOOK,
                        "Par 2, Par 3, Par 4",
                        "The desk has 12 fixture buttons of 32 slots: 1, 33 up to 353; Par 2, Par 3, Par 4 begin "
                                + "elsewhere.",
                        LightFaults::paged,
                        s -> paged(s).edit(new FixtureEdit.AddressAll())));
    }

    private static List<Fault> inBanks() {
        String other = "foot-board 9: lantern-desk recall:bank-2";
        return List.of(
                fault(
                        "a-scene-of-the-bank-before",
                        "lights.other-bank",
                        Severity.STOPS,
                        "Foot board, bank A, switch 4",
                        "Press Foot board, bank A, switch 9, then press Foot board, bank A, switch 4: Bank 1 is not "
                                + "chosen, and Scene 5 of Lantern desk shows what another bank holds there.",
                        s -> banked(s).step(other, "foot-board 9: lantern-desk on:scene-5"),
                        s -> choosing(banked(s)).step(other, "foot-board 9: lantern-desk on:scene-5")),
                fault(
                        "a-scene-that-the-bank-lacks",
                        "lights.empty-scene",
                        Severity.LOOK,
                        "Lantern desk",
                        "Scene 6 of Lantern desk is recalled in Bank 2, and no look was stored in it there.",
                        s -> choosing(banked(s)).step(other, "foot-board 9: lantern-desk on:scene-6"),
                        s -> choosing(banked(s)).step(other, "foot-board 9: lantern-desk on:scene-5")));
    }

    private static Sketch choosing(Sketch banked) {
        return banked.edit(new DeskEdit.ChooseBank(
                Sketch.at("foot-board 4"),
                Moment.PRESS,
                Sketch.stepOf("lantern-desk on:scene-5"),
                Sketch.stepOf("lantern-desk recall:bank-1")));
    }

    /** Sixteenths at 140 last 107 ms: 9.3 changes a second, 4.7 flashes; eighths half of that. Arithmetic. */
    private static List<Fault> flashing() {
        return List.of(
                fault(
                        "a-look-that-flashes-nine-times",
                        "lights.too-many-flashes",
                        Severity.LOOK,
                        "Look 2",
                        "A quarter of the lamps or more flash 9.0 times a second.",
                        s -> look(s, 2, "Par 1: white 100 %, flashes 9 a second"),
                        s -> look(s, 2, "Par 1: white 100 %, flashes 3 a second")),
                fault(
                        "a-chase-ten-times-a-second",
                        "lights.too-many-flashes",
                        Severity.LOOK,
                        "Squall",
                        "While it runs, the picture flashes 5.0 times a second.",
                        s -> look(s, 3, "all: dark").edit(new ChaseEdit.AddChase("Squall", "Look 2, Look 3", "0.1")),
                        s -> look(s, 3, "all: dark").edit(new ChaseEdit.AddChase("Squall", "Look 2, Look 3", "0.5"))),
                fault(
                        "a-chase-without-a-beat",
                        "lights.no-beat",
                        Severity.LOOK,
                        "Lantern desk",
                        "Squall goes with the beat, and Lantern desk follows no clock.",
                        s -> squall(s, "1 beat"),
                        s -> squall(s, "0.5 s")),
                fault(
                        "a-chase-that-hears-the-room",
                        "lights.by-sound",
                        Severity.NOTE,
                        "Lantern desk",
                        "Squall goes by sound.",
                        s -> squall(s, "by sound"),
                        s -> squall(s, "0.5 s tapped")),
                fault(
                        "blackout-on-sixteenths",
                        "lights.too-many-flashes",
                        Severity.LOOK,
                        "Slow boats",
                        "The picture flashes 4.7 times a second from 0:12 to 0:15.",
                        s -> turns(s, "on:blackout", "off:blackout", places("", " 1/2")),
                        s -> turns(s, "on:blackout", "off:blackout", places(""))),
                fault(
                        "light-and-dark-looks-on-sixteenths",
                        "lights.too-many-flashes",
                        Severity.LOOK,
                        "Slow boats",
                        "The picture flashes 4.7 times a second from 0:12 to 0:15.",
                        s -> turns(
                                look(look(s, 2, "all: white 100 %"), 3, "all: dark"),
                                "recall:scene-2",
                                "recall:scene-3",
                                places("", " 1/2")),
                        s -> turns(
                                look(look(s, 2, "all: white 100 %"), 3, "all: white 95 %"),
                                "recall:scene-2",
                                "recall:scene-3",
                                places("", " 1/2"))));
    }
}
