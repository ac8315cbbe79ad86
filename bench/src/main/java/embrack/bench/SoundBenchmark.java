package embrack.bench;

import embrack.core.chart.Action;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.library.Library;
import embrack.core.live.Soundscape;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import embrack.core.show.Anchor;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.show.Entry;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.text.SongReading;
import embrack.core.sound.Heard;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Stand;
import embrack.core.switches.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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
 * Who hears what in a rig of 200 sound links: nine mixers of 16 microphones each, all into one, four ears at each; 60
 * songs that mute another strip each. The baseline hears the same rig once.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class SoundBenchmark {

    private static final int MIXERS = 9;
    private static final int INPUTS = 16;
    private static final int EARS = 4;
    private static final int SONGS = 60;
    private static final int LINKS = 200;

    private final Plan plan = plan();

    /** From the rig to the table of every song. */
    @Benchmark
    public Map<SongId, Heard> everySong() {
        return new Soundscape(plan, new SoundPaths(plan.rig())).bySong();
    }

    /** The rig once, with everything open. */
    @Benchmark
    public Heard once() {
        return new SoundPaths(plan.rig()).heard(Stand.OPEN);
    }

    private static Plan plan() {
        Plan plan = box(box(Plan.empty(new TapeLabel("Hall")), "Main", "rack-mixer-24"), "House", "house-speakers");
        plan = lead(plan, "main", "main-left", "house", "in-left");
        plan = lead(plan, "main", "main-right", "house", "in-right");
        for (int mixer = 1; mixer <= MIXERS; mixer++) {
            String name = "mixer-" + mixer;
            plan = box(plan, "Mixer " + mixer, "rack-mixer-24");
            for (int input = 1; input <= INPUTS; input++) {
                plan = box(plan, "Mic %d %d".formatted(mixer, input), "stage-microphone");
                plan = lead(plan, "mic-%d-%d".formatted(mixer, input), "out", name, "input-" + input);
            }
            for (int ear = 1; ear <= EARS; ear++) {
                plan = box(plan, "Ears %d %d".formatted(mixer, ear), "in-ears-wired");
                plan = lead(plan, name, "ear-" + ear, "ears-%d-%d".formatted(mixer, ear), "in");
            }
            plan = lead(plan, name, "main-left", "main", "input-" + mixer);
            if (plan.rig().links().size() < LINKS && mixer <= INPUTS - MIXERS) {
                plan = lead(plan, name, "main-right", "main", "input-" + (MIXERS + mixer));
            }
        }
        for (int ear = 1; plan.rig().links().size() < LINKS; ear++) {
            plan = box(plan, "Main ears " + ear, "in-ears-wired");
            plan = lead(plan, "main", "ear-" + ear, "main-ears-" + ear, "in");
        }
        return plan.withBook(book());
    }

    private static Book book() {
        List<Song> songs = new ArrayList<>();
        Show show = Show.empty(new ShowId("show"), new TapeLabel("Show"));
        for (int i = 1; i <= SONGS; i++) {
            Song song = Song.blank(new SongId("song-" + i), new TapeLabel("Song " + i), 1)
                    .withForm(SongReading.of("tempo 120\nVerse: 16 bars").form().orElseThrow())
                    .withCues(List.of(new Cue(1, new Anchor.OnClock(0), List.of(mute(i)))));
            songs.add(song);
            show = show.withMore(Entry.of(i, song));
        }
        return new Book(songs, List.of(), List.of(show));
    }

    private static Step mute(int song) {
        DeviceId mixer = new DeviceId("mixer-" + (1 + song % MIXERS));
        return new Step(mixer, new Action(Verb.MUTE, new PartId("input-" + (1 + song % INPUTS))));
    }

    private static Plan box(Plan plan, String name, String model) {
        return with(
                plan,
                new GearEdit.AddDevice(name, Library.find(new ModelId(model)).orElseThrow()));
    }

    private static Plan lead(Plan plan, String from, String out, String to, String in) {
        return with(
                plan,
                new WiringEdit.Connect(
                        new Socket(new DeviceId(from), new PortId(out)), new Socket(new DeviceId(to), new PortId(in))));
    }

    private static Plan with(Plan plan, Edit edit) {
        return edit.apply(plan);
    }
}
