package embrack.files.midi;

import embrack.core.gear.Purpose;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.Wire;
import embrack.core.music.Position;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Song;
import embrack.core.way.Ways;
import embrack.files.midi.MidiFile.Meta;
import embrack.files.midi.SongEvents.Timed;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
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
 * Writes a song as a Standard MIDI File of type 1: a track with how it goes ({@link Conductor}), with what feet press
 * and what is sent on load, play, stop, continue or loop in words, and with the song as a whole ({@link OwnText}); then
 * one track for each device with its cues at exact ticks. Messages that no chart explains have a track of their own.
 */
public final class SongMidi {

    /** Ticks of a quarter that can be chosen. */
    public static final List<Integer> RESOLUTIONS = List.of(480, 960);

    /** The track of what no chart explains. */
    static final String UNEXPLAINED = "unexplained";

    private static final Comparator<Timed> BY_TICK = Comparator.comparingLong(Timed::tick);

    /** A sixteenth, in ticks of the core. */
    private static final long SHORT = Position.TICKS_PER_QUARTER / 4;

    private final Plan plan;
    private final Song song;
    private final int resolution;
    private final NoteOffs noteOffs;
    private final Set<Channel> takingOffs;
    private final Sequence sequence;

    private SongMidi(Plan plan, Song song, int resolution, NoteOffs noteOffs) throws InvalidMidiDataException {
        this.plan = plan;
        this.song = song;
        this.resolution = resolution;
        this.noteOffs = noteOffs;
        this.takingOffs = takingOffs(plan, song);
        this.sequence = new Sequence(Sequence.PPQ, resolution);
    }

    /** The bytes of a file, with note-offs where no box takes one for a note. */
    public static byte[] write(Plan plan, Song song, int resolution) {
        return write(plan, song, resolution, NoteOffs.AS_TAKEN);
    }

    /**
     * The bytes of a file.
     *
     * @param resolution ticks of a quarter, one of {@link #RESOLUTIONS}
     */
    public static byte[] write(Plan plan, Song song, int resolution, NoteOffs noteOffs) {
        if (!RESOLUTIONS.contains(resolution)) {
            throw new IllegalArgumentException("Choose 480 or 960 ticks to the quarter.");
        }
        try {
            var writer = new SongMidi(plan, song, resolution, noteOffs);
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

    /** The channels on which some box that hears the player takes a note-off for one more note. */
    private static Set<Channel> takingOffs(Plan plan, Song song) {
        Rig rig = plan.rig();
        return plan.player(song).stream()
                .flatMap(player -> new Ways(rig).reach(player).stream())
                .filter(device -> rig.model(device).implementation().quirks().actsOnNoteOff())
                .flatMap(device -> channels(rig, device))
                .collect(Collectors.toSet());
    }

    private static Stream<Channel> channels(Rig rig, DeviceId device) {
        Optional<Channel> own = rig.setting(device, Purpose.RECEIVE_CHANNEL).map(Channel::new);
        return own.isEmpty() || rig.model(device).implementation().quirks().hearsAllChannels()
                ? IntStream.rangeClosed(Channel.FIRST, Channel.LAST).mapToObj(Channel::new)
                : own.stream();
    }

    private void conductor() throws InvalidMidiDataException {
        Conductor conductor = new Conductor(song, resolution);
        Track track = track(song.title().text());
        for (Meta meta : conductor.music()) {
            add(track, meta);
        }
        for (Meta meta : conductor.words(plan)) {
            add(track, meta);
        }
        add(track, OwnText.of(song, conductor.end()));
        MidiEvent end = track.get(track.size() - 1);
        end.setTick(Math.max(end.getTick(), conductor.end()));
    }

    private void devices() throws InvalidMidiDataException {
        Map<Optional<DeviceId>, List<Timed>> byDevice = new LinkedHashMap<>();
        SongEvents.of(plan, song)
                .forEach(event -> byDevice.computeIfAbsent(event.device(), device -> new ArrayList<>())
                        .add(event));
        for (Map.Entry<Optional<DeviceId>, List<Timed>> e : byDevice.entrySet()) {
            Track track = track(
                    e.getKey().map(device -> plan.rig().name(device).text()).orElse(UNEXPLAINED));
            List<Timed> events = new ArrayList<>(e.getValue());
            events.sort(BY_TICK);
            // What ends a note goes before what begins another at the same tick.
            List<Timed> all = new ArrayList<>(offs(events));
            all.addAll(events);
            all.sort(BY_TICK);
            for (Timed event : all) {
                track.add(new MidiEvent(midi(event.message()), tick(event.tick())));
            }
        }
    }

    private record Note(Channel channel, int number) {}

    /** A note-off for each note of a track that has none yet. */
    private List<Timed> offs(List<Timed> events) {
        List<Timed> offs = new ArrayList<>();
        Map<Note, Timed> next = new HashMap<>();
        long here = Long.MAX_VALUE;
        long later = Long.MAX_VALUE;
        for (Timed event : events.reversed()) {
            if (event.message() instanceof Message.NoteOn || event.message() instanceof Message.NoteOff) {
                var voice = (Message.Voice) event.message();
                Timed after = next.put(new Note(voice.channel(), voice.data1()), event);
                if (event.message().isRelease()) {
                    continue;
                }
                if (event.tick() < here) {
                    later = here;
                    here = event.tick();
                }
                boolean isEnded = after != null && (after.message().isRelease() || after.tick() == event.tick());
                long end = Math.min(end(event.tick(), later), after == null ? Long.MAX_VALUE : after.tick());
                if (!isEnded && isToEnd(voice.channel()) && tick(end) > tick(event.tick())) {
                    offs.add(new Timed(
                            event.cue(), event.device(), end, new Message.NoteOff(voice.channel(), voice.data1(), 0)));
                }
            }
        }
        return offs;
    }

    private boolean isToEnd(Channel channel) {
        return switch (noteOffs) {
            case NONE -> false;
            case AS_TAKEN -> !takingOffs.contains(channel);
            case SHORT, UNTIL_NEXT -> true;
        };
    }

    /** Where a note ends, as long as it is not struck again before. */
    private long end(long tick, long later) {
        long end = song.form().tempoMap().tick(Position.bar(song.form().bars() + 1));
        if (noteOffs == NoteOffs.UNTIL_NEXT) {
            return later < Long.MAX_VALUE ? later : Math.max(tick + 1, end);
        }
        return end > tick ? Math.min(tick + SHORT, end) : tick + SHORT;
    }

    private long tick(long tick) {
        return Conductor.tick(tick, resolution);
    }

    private Track track(String name) throws InvalidMidiDataException {
        Track track = sequence.createTrack();
        add(track, new Meta(0, MidiFile.NAME, name.getBytes(StandardCharsets.UTF_8)));
        return track;
    }

    private static void add(Track track, Meta meta) throws InvalidMidiDataException {
        track.add(new MidiEvent(new MetaMessage(meta.type(), meta.data(), meta.data().length), meta.tick()));
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
