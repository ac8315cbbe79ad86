package embrack.core.edit;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.chart.LearnableId;
import embrack.core.chart.PartId;
import embrack.core.gear.ControlType;
import embrack.core.gear.Ear;
import embrack.core.gear.PortId;
import embrack.core.gear.Purpose;
import embrack.core.gear.Route;
import embrack.core.gear.Sound;
import embrack.core.gear.SwitchMode;
import embrack.core.level.Curve;
import embrack.core.level.Law;
import embrack.core.level.Takeover;
import embrack.core.light.FixtureId;
import embrack.core.light.FixtureTypeId;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import embrack.core.music.NoteLength;
import embrack.core.plan.Plan;
import embrack.core.rig.Area;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.rig.Traffic;
import embrack.core.show.Item;
import embrack.core.show.Role;
import embrack.core.show.ShowId;
import embrack.core.show.SongId;
import embrack.core.show.When;
import embrack.core.switches.ControlAt;
import embrack.core.switches.Duty;
import embrack.core.switches.Moment;
import embrack.core.switches.Practice;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import embrack.core.switches.Target;
import embrack.core.way.Delay;
import embrack.core.word.Language;
import embrack.core.word.Patterns;
import embrack.core.word.Wording;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What the list of changes says of each edit, and that every pattern is said with what it asks for. */
class EditWordsTests {

    private static final Plan PLAN = Evening.plan();
    private static final DeviceId BOARD = new DeviceId("foot-board");
    private static final DeviceId DESK = new DeviceId("lantern-desk");
    private static final SongId EBB = new SongId("ebb");
    private static final ShowId SHOW = PLAN.book().shows().getLast().id();
    private static final SwitchAt ONE = Sketch.at("foot-board 1");
    private static final SwitchAt TWO = Sketch.at("foot-board 2");
    private static final Step SCENE = Sketch.stepOf("lantern-desk recall:scene-3");
    private static final ControlAt PEDAL = new ControlAt(BOARD, ControlType.TREADLE, 1, 1);
    private static final Socket OUT = new Socket(BOARD, new PortId("out"));
    private static final Socket IN = new Socket(DESK, new PortId("in"));

    static Stream<Arguments> summaries() {
        PartId level = new PartId("input-2");
        LearnableId record = LearnableId.parse("record:track-1");
        return Stream.of(
                said(new GearEdit.RenameRig(" Small rig "), "Rename the rig to Small rig"),
                said(new GearEdit.AddDevice("Piano", PLAN.rig().model(DESK)), "Add Piano"),
                said(new GearEdit.RenameDevice(DESK, "Lamps"), "Rename Lantern desk to Lamps"),
                said(
                        new GearEdit.SwapHardware(DESK, PLAN.rig().model(DESK)),
                        "Have a Small scene desk do the job of Lantern desk"),
                said(
                        new GearEdit.ChangeSetting(DESK, Purpose.RECEIVE_CHANNEL.id(), "7"),
                        "Set MIDI receive channel of Lantern desk to 7"),
                said(new GearEdit.LabelPart(DESK, new PartId("scene-1"), "Dusk"), "Call Scene 1 of Lantern desk Dusk"),
                said(
                        new GearEdit.LabelPart(DESK, new PartId("scene-1"), " "),
                        "Take the tape off Scene 1 of Lantern desk"),
                said(
                        new GearEdit.CorrectChart(PLAN.rig().device(DESK).model()),
                        "Correct the chart of Small scene desk"),
                said(new GearEdit.DescribeAnew(DESK, PLAN.rig().model(DESK)), "Describe Small scene desk anew"),
                said(new GearEdit.ReplaceModel(PLAN.rig().model(DESK)), "Describe Small scene desk anew"),
                said(new WiringEdit.Stand(DESK, Area.BOOTH), "Put Lantern desk: " + Area.BOOTH.words()),
                said(new WiringEdit.LiveIn(new DeviceId("player"), Optional.empty()), "Take Player off its computer"),
                said(
                        new WiringEdit.LiveIn(new DeviceId("player"), Optional.of(new DeviceId("computer"))),
                        "Run Player on Computer"),
                said(
                        new WiringEdit.Filter(
                                new DeviceId("merger"),
                                new Route(new PortId("in-1"), new PortId("out")),
                                true,
                                EnumSet.noneOf(Traffic.class),
                                "",
                                ""),
                        "Change what Merger passes on"),
                said(
                        new WiringEdit.StandIn(DESK, Optional.of(new DeviceId("old-desk"))),
                        "Have Old desk stand in for Lantern desk"),
                said(new SwitchEdit.NameSwitch(ONE, "Go"), "Call Foot board, bank A, switch 1 Go"),
                said(new SwitchEdit.NameSwitch(ONE, ""), "Take the tape off Foot board, bank A, switch 1"),
                said(
                        new SwitchEdit.ShortenName(ONE, ""),
                        "Show the tape on the display for Foot board, bank A, switch 1"),
                said(new SwitchEdit.ShortenName(ONE, "GO"), "Show GO on the display for Foot board, bank A, switch 1"),
                said(
                        new SwitchEdit.GiveDuty(ONE, Optional.of(Duty.KILL)),
                        "Foot board, bank A, switch 1: " + Duty.KILL.words()),
                said(new SwitchEdit.GiveDuty(ONE, Optional.empty()), "Foot board, bank A, switch 1: no special job"),
                said(
                        new SwitchEdit.ChooseMode(ONE, Optional.of(SwitchMode.ONE_SHOT)),
                        "Have Foot board, bank A, switch 1 send the same at every press"),
                said(
                        new SwitchEdit.ChooseMode(ONE, Optional.empty()),
                        "Have Foot board, bank A, switch 1 send what fits"),
                said(
                        new SwitchEdit.AddStep(ONE, SCENE),
                        "Foot board, bank A, switch 1: add Lantern desk: recall Scene 3"),
                said(
                        new SwitchEdit.AddFound(ONE, Moment.PRESS, " scene 3 "),
                        "Foot board, bank A, switch 1: add all of \"scene 3\""),
                said(
                        new SwitchEdit.RemoveStep(ONE, Moment.PRESS, 0, SCENE),
                        "Foot board, bank A, switch 1: remove Lantern desk: recall Scene 3"),
                said(
                        new SwitchEdit.DoInstead(ONE, Moment.PRESS, List.of(SCENE)),
                        "Foot board, bank A, switch 1: Lantern desk: recall Scene 3 instead"),
                said(
                        new SwitchEdit.RaiseStep(ONE, Moment.PRESS, 0, SCENE),
                        "Foot board, bank A, switch 1: Lantern desk: recall Scene 3 earlier"),
                said(
                        new SwitchEdit.WaitBefore(ONE, Moment.PRESS, 0, SCENE, "5"),
                        "Foot board, bank A, switch 1: wait before Lantern desk: recall Scene 3"),
                said(
                        new SwitchEdit.SpreadSteps(ONE, Moment.PRESS, 0, TWO),
                        "Share Foot board, bank A, switch 1 out to Foot board, bank A, switch 2"),
                said(new SwitchEdit.ClearSwitch(ONE), "Clear Foot board, bank A, switch 1"),
                said(
                        new DutyEdit(ONE, Duty.SAFE, "Safe", List.of()),
                        "Make Foot board, bank A, switch 1 the one for: make safe"),
                said(
                        new FloorEdit.CopySwitches(List.of(ONE, TWO), Sketch.at("foot-board 3")),
                        "Copy Foot board, bank A, switches 1 and 2 to Foot board, bank A, switch 3"),
                said(
                        new FloorEdit.MoveSwitches(List.of(ONE), TWO),
                        "Move Foot board, bank A, switch 1 to Foot board, bank A, switch 2"),
                said(new FloorEdit.SwapSwitches(ONE, TWO), "Exchange Foot board, bank A, switches 1 and 2"),
                said(new FloorEdit.ClearSwitches(List.of(ONE, TWO)), "Clear Foot board, bank A, switches 1 and 2"),
                said(new FloorEdit.CopyBank(BOARD, 1, 2), "Make bank B of Foot board like bank A"),
                said(new FloorEdit.TakeOver(BOARD, DESK), "Have Lantern desk do what Foot board does"),
                said(
                        new FloorEdit.OtherBoard(BOARD, PLAN.rig().model(BOARD)),
                        "Have a Ten-switch board with expression pedal do the job of Foot board"),
                said(new ControlEdit.NameControl(PEDAL, "Swell"), "Call Foot board, bank A, expression pedal 1 Swell"),
                said(
                        new ControlEdit.NameControl(PEDAL, ""),
                        "Take the tape off Foot board, bank A, expression pedal 1"),
                said(
                        new ControlEdit.AddTarget(PEDAL, new Target(new DeviceId("vocal-mixer"), level)),
                        "Foot board, bank A, expression pedal 1: move Vocal mixer: level of Input 2"),
                said(
                        new ControlEdit.RemoveTarget(PEDAL, new DeviceId("vocal-mixer"), level),
                        "Foot board, bank A, expression pedal 1: move one level less"),
                said(
                        new ControlEdit.Shape(
                                PEDAL,
                                new DeviceId("vocal-mixer"),
                                level,
                                "0",
                                "127",
                                Curve.LINEAR,
                                Law.PERCENT,
                                "",
                                ""),
                        "Foot board, bank A, expression pedal 1: shape the level of Input 2"),
                said(
                        new ControlEdit.ChooseTakeover(PEDAL, Takeover.CATCH),
                        "Foot board, bank A, expression pedal 1: when both meet when it stands elsewhere"),
                said(new ControlEdit.ClearControl(PEDAL), "Clear Foot board, bank A, expression pedal 1"),
                said(
                        new RowEdit.FillPressed(BOARD, Optional.empty(), 1, false, "", " scenes 1-8 "),
                        "Fill a row of Foot board: scenes 1-8"),
                said(
                        new RowEdit.FillMoved(BOARD, ControlType.TREADLE, 1, false, "", "main"),
                        "Fill a row of Foot board: main"),
                said(new NumberEdit.ChooseNumbers(), "Choose the numbers that are missing"),
                said(new NumberEdit.Renumber(), "Renumber the whole rig"),
                said(new NumberEdit.PinNumber(DESK, record, MessageType.NOTE_ON, "", ""), "Free the number of", true),
                said(new NumberEdit.PinNumber(DESK, record, MessageType.NOTE_ON, "", "5"), "Pin the number of", true),
                said(new NumberEdit.Respond(DESK, record, true, "0", "127"), "Set what ", true),
                said(new NumberEdit.TakeChannels(), "Give every receiver its own channel"),
                said(new NumberEdit.UseMemories(DESK, "", ""), "Use all memories of Lantern desk"),
                said(new NumberEdit.UseMemories(DESK, "1..12", ""), "Use memories 1..12 of Lantern desk"),
                said(new NumberEdit.Choose(Practice.GO, 1), "Go: one switch for each song or key"),
                said(new SongEdit.AddSong(" Tide ", ""), "Add the song Tide"),
                said(new SongEdit.ImportSong(PLAN.book().song(EBB)), "Read the song Ebb from a file"),
                said(new SongEdit.CopySong(PLAN.book().song(EBB), PLAN.rig()), "Copy the song Ebb from another rig"),
                said(new SongEdit.RemoveSong(EBB), "Remove the song Ebb"),
                said(new SongEdit.TellForm(EBB, ""), "Say how Ebb goes"),
                said(new SongEdit.NewTempo(EBB, " 90 ", false), "Play Ebb at 90"),
                said(new SongEdit.SendAlways(When.LOAD, " scene 1 "), "Every song sends scene 1 on load"),
                said(new SongEdit.SendNoMore(1), "Songs no longer send ", true),
                said(new CueEdit.AddCue(EBB, " 5 3 ", List.of(SCENE), Optional.empty()), "Add a cue to Ebb at 5 3"),
                said(
                        new CueEdit.SetTime(EBB, DESK, level, NoteLength.DOTTED_EIGHTH),
                        "Ebb: Lantern desk on load as long as a dotted eighth"),
                said(new CueEdit.AddCues(EBB, List.of()), "Add 0 cues to Ebb"),
                said(new CueEdit.PlaceCue(EBB, 1, "7"), "Move a cue of Ebb to 7"),
                said(new CueEdit.MoveCues(EBB, List.of(1), 960, 0), "Move 1 cue of Ebb"),
                said(new CueEdit.DragCues(EBB, List.of(1, 2), 1, 0, 0), "Drag 2 cues of Ebb"),
                said(new CueEdit.CopyToAlike(EBB, List.of(1)), "Copy 1 cue of Ebb to all sections alike"),
                said(new CueEdit.RemoveCues(EBB, List.of(1, 2)), "Remove 2 cues of Ebb"),
                said(new CueEdit.NameCue(EBB, 1, "x"), "Name a cue of Ebb"),
                said(new CueEdit.SendEarly(EBB, 1, true), "Send a cue of Ebb early"),
                said(new CueEdit.SendEarly(EBB, 1, false), "Send a cue of Ebb on its beat"),
                said(new CueEdit.LeaveOff(EBB, 1, true), "A cue of Ebb leaves it off"),
                said(new CueEdit.LeaveOff(EBB, 1, false), "A cue of Ebb leaves it on"),
                said(new CueEdit.AddToCue(EBB, 1, List.of(SCENE)), "A cue of Ebb does more"),
                said(new CueEdit.TakeFromCue(EBB, 1, 0, SCENE), "A cue of Ebb does less"),
                said(new CueEdit.WaitInCue(EBB, 1, 0, SCENE, "5"), "A cue of Ebb waits"),
                said(new OrderEdit.AddShow(" Late show "), "Add the show Late show"),
                said(new OrderEdit.TakeAsLong(SHOW, 2, 90_000_000), "Lanterns takes 1:30"),
                said(new OrderEdit.CopyShow(SHOW, "Second night", ""), "Copy a show as Second night"),
                said(new OrderEdit.RemoveShow(new ShowId("gone")), "Remove the show ", true),
                said(new OrderEdit.DescribeShow(SHOW, "Night", "", "", ""), "Describe the show Night"),
                said(new OrderEdit.AddSongTo(SHOW, "ebb"), "Put Ebb into the order"),
                said(new OrderEdit.AddPart(SHOW, Item.TALK, " ", ""), "Put " + Item.TALK.words() + " into the order"),
                said(new OrderEdit.AddPart(SHOW, Item.TALK, "Tale", ""), "Put Tale into the order"),
                said(new OrderEdit.SetRoster(SHOW, List.of()), "Say who plays tonight"),
                said(
                        new FolderEdit.Read(SHOW, "", " Fiddle ", Role.PLAYER, List.of(), List.of(), ""),
                        "Give Fiddle a part of the folder"),
                said(
                        new FolderEdit.Read(SHOW, "Fiddle", "Viola", Role.PLAYER, List.of(), List.of(), ""),
                        "Change what Viola gets of the folder"),
                said(new FolderEdit.ReadNoMore(SHOW, "Fiddle"), "Give Fiddle nothing of the folder"),
                said(new FolderEdit.ReadAsUsual(SHOW), "Give everybody of the folder what is usual"),
                said(new FolderEdit.Call(SHOW, ""), "Say who is called when something fails"),
                said(new OrderEdit.TurnStem(SHOW, EBB, "Harp", true), "Turn Harp of Ebb round"),
                said(new OrderEdit.TurnStem(SHOW, EBB, "Harp", false), "Turn Harp of Ebb back"),
                said(new FixtureEdit.AddFixtures(new FixtureTypeId("lantern"), " 6 ", ""), "Hang 6 \u00d7 Lantern"),
                said(new FixtureEdit.DescribeFixture(" Old lamp ", ""), "Describe the fixture Old lamp"),
                said(new FixtureEdit.RemoveFixture(new FixtureId("gone")), "Take  down"),
                said(
                        new FixtureEdit.HireInstead(new FixtureTypeId("lantern"), new FixtureTypeId("battery-par")),
                        "Have Battery par instead of Lantern"),
                said(new FixtureEdit.AddressAll(), "Give all fixtures addresses"),
                said(new LookEdit.AddLook(" Harbour", ""), "Add the look Harbour"),
                said(new DeskEdit.ArrangeLooks(DESK), "Arrange the looks of Lantern desk in its banks"),
                said(new FixtureEdit.LightWhom(new FixtureId("gone"), "", false), "Say whom  lights"),
                said(new ChaseEdit.AddChase(" Squall", "", ""), "Add the chase Squall"),
                said(new DeskEdit.StoreLooks(DESK), "Store all looks in Lantern desk"),
                said(new WiringEdit.Connect(OUT, IN), "Link from Foot board MIDI OUT to Lantern desk MIDI IN"),
                said(
                        new WiringEdit.Disconnect(OUT, IN),
                        "Pull the link from Foot board MIDI OUT to Lantern desk MIDI IN"),
                said(
                        new WiringEdit.Measure(OUT, IN, "3"),
                        "Measure the cable from Foot board MIDI OUT to Lantern desk MIDI IN"),
                said(
                        new GearEdit.AnswersTo(IN.device(), " on Smoke ", new Message.NoteOn(new Channel(3), 61, 127)),
                        "Lantern desk answers: on Smoke"),
                said(
                        new WiringEdit.ForgetTime(OUT, IN),
                        "Work out again how long messages take from Foot board MIDI OUT to Lantern desk MIDI IN"),
                said(
                        new WiringEdit.TakeTime(OUT.device(), IN.device(), Delay.always(9)),
                        "Take over how long Foot board to Lantern desk was measured to take"),
                said(
                        new WiringEdit.Hear(
                                new DeviceId("computer"),
                                new PortId("usb-1"),
                                Set.of(Sound.CLICK),
                                Set.of(Ear.IN_EARS)),
                        "Computer USB 1: ",
                        true));
    }

    private static Arguments said(Edit edit, String words) {
        return Arguments.of(edit, words, false);
    }

    private static Arguments said(Edit edit, String beginning, boolean more) {
        return Arguments.of(edit, beginning, more);
    }

    @ParameterizedTest
    @MethodSource("summaries")
    void theListOfChangesSaysWhatAnEditDoes(Edit edit, String words, boolean more) {
        String said = Wording.without(Language.ENGLISH).say(edit.summary(PLAN));
        assertThat(more ? said.substring(0, words.length()) : said).isEqualTo(words);
        assertThat(said).hasSizeGreaterThanOrEqualTo(words.length());
    }

    /** Each phrase, as it stands in the sources, has its pattern, which asks for no more than the phrase has. */
    @Test
    void everyPhraseHasItsPatternAndAllThatItAsksFor() throws IOException {
        Pattern phrase = Pattern.compile("Say\\.of\\(\"([a-z.-]+)\"\\)([^;]*?)(?=Say\\.of|;)");
        Pattern fact = Pattern.compile("\\.with\\(\\s*\"([a-z-]+)\"");
        Set<String> used = new HashSet<>(Set.of("text"));
        try (Stream<Path> files = Files.list(Path.of("src/main/java/embrack/core/edit"))) {
            for (Path file : files.toList()) {
                Matcher found = phrase.matcher(Files.readString(file));
                while (found.find()) {
                    used.add(found.group(1));
                    Set<String> facts = new HashSet<>();
                    fact.matcher(found.group(2)).results().forEach(f -> facts.add(f.group(1)));
                    assertThat(facts)
                            .as("%s in %s", found.group(1), file)
                            .containsAll(Patterns.arguments(Language.ENGLISH
                                    .text("core/edit", found.group(1))
                                    .orElseThrow(() -> new AssertionError("no pattern " + found.group(1)))));
                }
            }
        }
        assertThat(used).hasSizeGreaterThan(100);
        assertThat(Language.ENGLISH.keys("core/edit")).isSubsetOf(used);
    }
}
