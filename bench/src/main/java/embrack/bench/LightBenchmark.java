package embrack.bench;

import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.edit.DeskEdit;
import embrack.core.edit.Edit;
import embrack.core.edit.FixtureEdit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.LookEdit;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.Frame;
import embrack.core.light.Frames;
import embrack.core.light.Look;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.text.SongReading;
import embrack.core.stage.Onstage;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.openjdk.jmh.infra.Blackhole;

/**
 * A song of four minutes with 400 light cues as frames, 44 a second, 128 pars of 4 slots: 512 slots. The baseline
 * copies as many frames of 512 bytes and does nothing else.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class LightBenchmark {

    private static final int CUES = 400;
    private static final int PARS = 128;
    private static final int LOOKS = 12;
    private static final int A_SECOND = 44;
    private static final long SONG_MICROS = 240_000_000;
    private static final DeviceId DESK = new DeviceId("desk");

    private final Plan plan = plan();
    private final Song song = song();
    private final Frames warm = new Frames(plan.lights());
    private final Onstage onstage = Onstage.of(plan, song);
    private final Look look = plan.lights().looks().getFirst();
    private final byte[] packet = new byte[638];

    /** From the cues to every frame of the song, looks worked out on the way. */
    @Benchmark
    public void songOf400Cues(Blackhole hole) {
        Frames frames = new Frames(plan.lights());
        Onstage seen = Onstage.of(plan, song);
        frames(seen, frames, hole);
    }

    /** The same once its looks are known. */
    @Benchmark
    public void songWithItsLooksKnown(Blackhole hole) {
        frames(onstage, warm, hole);
    }

    private void frames(Onstage seen, Frames frames, Blackhole hole) {
        long frame = SONG_MICROS / 1_000_000 * A_SECOND;
        for (long i = 0; i < frame; i++) {
            seen.frame(frames, i * 1_000_000 / A_SECOND, 1).copyInto(packet, 126);
            hole.consume(packet);
        }
    }

    /** As many frames, copied and nothing else. */
    @Benchmark
    public void baselineCopies(Blackhole hole) {
        Frame one = warm.of(look, 1);
        for (long i = 0; i < SONG_MICROS / 1_000_000 * A_SECOND; i++) {
            one.copyInto(packet, 126);
            hole.consume(packet);
        }
    }

    /** One look worked out from its words to 512 slots. */
    @Benchmark
    public Frame lookWorkedOut() {
        return new Frames(plan.lights()).of(look, 1);
    }

    private static Plan plan() {
        Plan plan = with(
                Plan.empty(new TapeLabel("Lights")),
                new GearEdit.AddDevice(
                        "Desk", Library.find(new ModelId("small-scene-desk")).orElseThrow()));
        plan = with(
                plan, new FixtureEdit.AddFixtures(new FixtureTypeId("par-four-colours"), String.valueOf(PARS), "Pars"));
        for (int i = 1; i <= LOOKS; i++) {
            plan = with(plan, new LookEdit.AddLook("Look " + i, "pars: amber and blue %d %%".formatted(i * 8)));
        }
        return with(plan, new DeskEdit.StoreLooks(DESK));
    }

    private static Plan with(Plan plan, Edit edit) {
        return edit.apply(plan);
    }

    private static Song song() {
        List<Cue> cues = new ArrayList<>();
        for (int i = 0; i < CUES; i++) {
            Step step = new Step(DESK, new Action(Verb.RECALL, new PartId("scene-" + (1 + i % LOOKS))));
            cues.add(new Cue(i + 1, new Anchor.OnClock(i * SONG_MICROS / CUES), List.of(step)));
        }
        return Song.blank(new SongId("song"), new TapeLabel("Song"), 1)
                .withForm(SongReading.of("tempo 120\nVerse: 120 bars").form().orElseThrow())
                .withCues(cues);
    }
}
