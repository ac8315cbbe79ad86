package embrack.files.midi;

import embrack.core.compile.CompiledStep;
import embrack.core.compile.Compiler;
import embrack.core.midi.Message;
import embrack.core.midi.Wire;
import embrack.core.music.Metre;
import embrack.core.music.MetreChange;
import embrack.core.music.Position;
import embrack.core.music.TempoChange;
import embrack.core.music.TempoMap;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Song;
import embrack.core.sim.BookProver;
import embrack.core.sim.CueProof;
import embrack.core.sim.SongProof;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiMessage;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.SysexMessage;
import javax.sound.midi.Track;

/**
 * Writes a song as a Standard MIDI File of type 1: a track with tempo, metre, a marker for each section and what feet
 * press; then one track for each device with its cues at exact ticks. A glide becomes a tempo every sixteenth note,
 * each such that the next sixteenth comes when it should. What is sent on load, play, stop or loop has no tick; it is
 * written down as a text at the start. Messages that no chart explains have a track of their own.
 */
public final class SongMidi {

    /** Ticks of a quarter that can be chosen. */
    public static final List<Integer> RESOLUTIONS = List.of(480, 960);

    /** Tempos inside a glide are this far apart: a sixteenth. */
    private static final int GLIDE_STEP = Position.TICKS_PER_QUARTER / 4;

    private static final int LARGEST_TEMPO = 0xFFFFFF;

    private final Plan plan;
    private final Song song;
    private final int resolution;
    private final Sequence sequence;

    private SongMidi(Plan plan, Song song, int resolution) throws InvalidMidiDataException {
        this.plan = plan;
        this.song = song;
        this.resolution = resolution;
        this.sequence = new Sequence(Sequence.PPQ, resolution);
    }

    /**
     * The bytes of a file.
     *
     * @param resolution ticks of a quarter, one of {@link #RESOLUTIONS}
     */
    public static byte[] write(Plan plan, Song song, int resolution) {
        if (!RESOLUTIONS.contains(resolution)) {
            throw new IllegalArgumentException("Choose 480 or 960 ticks to the quarter.");
        }
        try {
            var writer = new SongMidi(plan, song, resolution);
            writer.conductor();
            writer.devices();
            var out = new ByteArrayOutputStream();
            MidiSystem.write(writer.sequence, 1, out);
            return out.toByteArray();
        } catch (InvalidMidiDataException e) {
            throw new IllegalStateException(e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void conductor() throws InvalidMidiDataException {
        Track track = sequence.createTrack();
        meta(track, 0, MidiFile.NAME, song.title().text());
        Form form = song.form();
        TempoMap tempoMap = form.tempoMap();
        for (MetreChange change : tempoMap.metres()) {
            if (change.bar() <= form.bars()) {
                Metre metre = change.metre();
                byte[] data = {(byte) metre.beats(), (byte) Integer.numberOfTrailingZeros(metre.unit()), 24, 8};
                track.add(new MidiEvent(
                        new MetaMessage(MidiFile.METRE, data, data.length),
                        tick(tempoMap.tick(Position.bar(change.bar())))));
            }
        }
        long end = tempoMap.tick(Position.bar(form.bars() + 1));
        for (int i = 0; i < tempoMap.tempos().size(); i++) {
            TempoChange change = tempoMap.tempos().get(i);
            long from = tempoMap.tick(change.at());
            long to = i + 1 < tempoMap.tempos().size()
                    ? tempoMap.tick(tempoMap.tempos().get(i + 1).at())
                    : from;
            if (change.glides() && to > from) {
                for (long at = from; at < to; at += GLIDE_STEP) {
                    tempo(track, at, Math.min(at + GLIDE_STEP, to), tempoMap);
                }
            } else if (from < end) {
                tempo(
                        track,
                        from,
                        from + Position.TICKS_PER_QUARTER,
                        change.tempo().microsPerQuarter());
            }
        }
        for (int i = 0; i < form.sections().size(); i++) {
            meta(
                    track,
                    tick(tempoMap.tick(Position.bar(form.firstBar(i)))),
                    MidiFile.MARKER,
                    form.sections().get(i).name().text());
        }
        for (Cue cue : song.cues()) {
            if (cue.foot().isPresent() && cue.at().micros(form).isPresent()) {
                meta(
                        track,
                        tick(tempoMap.tickAt(cue.at().micros(form).get())),
                        MidiFile.CUE_POINT,
                        "foot: " + plan.words(cue.foot().get()));
            } else if (cue.at().micros(form).isEmpty()) {
                meta(
                        track,
                        0,
                        MidiFile.TEXT,
                        "%s: %s"
                                .formatted(
                                        cue.at().text(tempoMap),
                                        String.join(
                                                ", ",
                                                cue.steps().stream()
                                                        .map(plan::words)
                                                        .toList())));
            }
        }
        lengthen(track, tick(end));
    }

    private void tempo(Track track, long from, long to, TempoMap tempoMap) throws InvalidMidiDataException {
        tempo(
                track,
                from,
                to,
                (tempoMap.exactMicros(to) - tempoMap.exactMicros(from)) * Position.TICKS_PER_QUARTER / (to - from));
    }

    private void tempo(Track track, long from, long to, double microsPerQuarter) throws InvalidMidiDataException {
        int micros = Math.clamp(Math.round(microsPerQuarter), 1, LARGEST_TEMPO);
        byte[] data = {(byte) (micros >> 16), (byte) (micros >> 8), (byte) micros};
        track.add(new MidiEvent(new MetaMessage(MidiFile.TEMPO, data, data.length), tick(from)));
    }

    private void devices() throws InvalidMidiDataException {
        DeviceId player = plan.player(song).orElse(null);
        if (player == null) {
            return;
        }
        Map<DeviceId, Track> tracks = new LinkedHashMap<>();
        Track unexplained = null;
        Compiler compiler = new Compiler(plan);
        SongProof proof = new BookProver(plan.rig()).prove(plan).song(song.id()).orElseThrow();
        for (CueProof cue : proof.cues()) {
            if (cue.sentMicros().isEmpty()) {
                continue;
            }
            long at = cue.leadMicros() == 0
                    ? cue.cue().at().tick(song.form()).orElseThrow()
                    : song.form().tempoMap().tickAt(cue.sentMicros().get());
            long waited = 0;
            for (CompiledStep step : cue.steps()) {
                waited += step.step().waitMillis() * 1_000L;
                long then = waited == 0
                        ? at
                        : song.form().tempoMap().tickAt(cue.sentMicros().get() + waited);
                for (Message message : compiler.compile(player, step.step()).messages()) {
                    Track track = tracks.get(step.step().device());
                    if (track == null) {
                        track = sequence.createTrack();
                        meta(
                                track,
                                0,
                                MidiFile.NAME,
                                plan.rig().name(step.step().device()).text());
                        tracks.put(step.step().device(), track);
                    }
                    track.add(new MidiEvent(midi(message), tick(then)));
                }
            }
            for (Message message : cue.cue().raw()) {
                if (unexplained == null) {
                    unexplained = sequence.createTrack();
                    meta(unexplained, 0, MidiFile.NAME, "unexplained");
                }
                unexplained.add(new MidiEvent(midi(message), tick(at)));
            }
        }
    }

    private long tick(long tick) {
        return Math.round(tick * (double) resolution / Position.TICKS_PER_QUARTER);
    }

    private static void meta(Track track, long tick, int type, String text) throws InvalidMidiDataException {
        byte[] data = text.getBytes(StandardCharsets.UTF_8);
        track.add(new MidiEvent(new MetaMessage(type, data, data.length), tick));
    }

    /** Has a track last until a tick. */
    private static void lengthen(Track track, long tick) {
        MidiEvent end = track.get(track.size() - 1);
        end.setTick(Math.max(end.getTick(), tick));
    }

    private static MidiMessage midi(Message message) throws InvalidMidiDataException {
        byte[] bytes = Wire.stream(List.of(message), Wire.RunningStatus.NOT_USED);
        if ((bytes[0] & 0xFF) == 0xF0) {
            return new SysexMessage(bytes, bytes.length);
        }
        int data1 = bytes.length > 1 ? bytes[1] : 0;
        int data2 = bytes.length > 2 ? bytes[2] : 0;
        return new ShortMessage(bytes[0] & 0xFF, data1, data2);
    }
}
