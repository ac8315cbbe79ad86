package embrack.bench;

import embrack.core.check.Report;
import embrack.core.edit.CueEdit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Purpose;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.SongId;
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

/**
 * All times, proofs, findings and the run with its jumps of a show of 60 songs, 5 040 cues, 40 devices. The baseline is
 * a quarter of the show: four would be a cost that grows with the cues alone. After an edit of a cue, a name, a channel
 * or a cable, what it does not touch is not proven again; the baseline of that is the whole report.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 5, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class ShowBenchmark {

    private final Plan show = ShowRig.of(60);
    private final Plan quarter = ShowRig.of(15);
    private final Report report = Report.of(show);
    private int moved;

    @Benchmark
    public Report wholeShow() {
        return Report.of(show);
    }

    @Benchmark
    public Report baselineQuarterOfTheShow() {
        return Report.of(quarter);
    }

    @Benchmark
    public Report afterABoxWasRenamed() {
        return Report.after(report, new GearEdit.RenameDevice(new DeviceId("mixer-1"), "Vocals").apply(show));
    }

    @Benchmark
    public Report afterAChannelWasSet() {
        return Report.after(
                report,
                new GearEdit.ChangeSetting(new DeviceId("mixer-3"), Purpose.RECEIVE_CHANNEL.id(), "16").apply(show));
    }

    @Benchmark
    public Report afterACableWasPulled() {
        return Report.after(
                report,
                new WiringEdit.Disconnect(ShowRig.socket("mixer-7.thru"), ShowRig.socket("sounds-7.in")).apply(show));
    }

    @Benchmark
    public Report afterOneCueMoved() {
        moved = moved % 40 + 1;
        return Report.after(report, new CueEdit.MoveCues(new SongId("song-30"), List.of(20), moved, 0).apply(show));
    }
}
