package embrack.files.midi;

import embrack.core.compile.CompiledStep;
import embrack.core.compile.Compiler;
import embrack.core.midi.Message;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Book;
import embrack.core.show.Song;
import embrack.core.sim.BookProver;
import embrack.core.sim.CueProof;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What the player of a song sends by itself at a place of the music. */
public final class SongEvents {

    private SongEvents() {}

    /**
     * A message that is sent.
     *
     * @param cue the number of the cue that it belongs to
     * @param device what it is meant for; empty for a message that no chart explains
     * @param tick when, {@link embrack.core.music.Position#TICKS_PER_QUARTER} to the quarter, from bar 1
     */
    public record Timed(int cue, Optional<DeviceId> device, long tick, Message message) {}

    /** All of them, cue by cue; nothing where nothing plays the song. */
    public static List<Timed> of(Plan plan, Song song) {
        Optional<DeviceId> player = plan.player(song);
        if (player.isEmpty()) {
            return List.of();
        }
        Plan alone = plan.withBook(new Book(List.of(song), plan.book().always(), List.of()));
        Compiler compiler = new Compiler(alone);
        List<Timed> events = new ArrayList<>();
        new BookProver(alone.rig())
                .prove(alone)
                .song(song.id())
                .orElseThrow()
                .cues()
                .forEach(cue ->
                        cue.sentMicros().ifPresent(sent -> add(events, song, cue, sent, compiler, player.get())));
        return events;
    }

    private static void add(
            List<Timed> events, Song song, CueProof cue, long sent, Compiler compiler, DeviceId player) {
        long at = cue.leadMicros() == 0
                ? cue.cue().at().tick(song.form()).orElseThrow()
                : song.form().tempoMap().tickAt(sent);
        long waited = 0;
        for (CompiledStep step : cue.steps()) {
            waited += step.step().waitMillis() * 1_000L;
            long then = waited == 0 ? at : song.form().tempoMap().tickAt(sent + waited);
            for (Message message : compiler.compile(player, step.step()).messages()) {
                events.add(new Timed(cue.cue().number(), Optional.of(step.step().device()), then, message));
            }
        }
        for (Message message : cue.cue().raw()) {
            events.add(new Timed(cue.cue().number(), Optional.empty(), at, message));
        }
    }
}
