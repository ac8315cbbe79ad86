package embrack.files.midi;

import embrack.core.music.Key;
import embrack.core.music.Metre;
import embrack.core.music.MetreChange;
import embrack.core.music.Position;
import embrack.core.music.TempoChange;
import embrack.core.music.TempoMap;
import embrack.core.plan.Plan;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Song;
import embrack.files.midi.MidiFile.Meta;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * What the first track says of a song: how it goes, and in words what is no event.
 *
 * <p>Source: Standard MIDI Files 1.0 (RP-001), meta-events.
 */
final class Conductor {

    /** Tempos inside a glide are this far apart: a sixteenth. */
    private static final int GLIDE_STEP = Position.TICKS_PER_QUARTER / 4;

    private static final int LARGEST_TEMPO = 0xFFFFFF;

    private static final int CLOCKS_PER_WHOLE = 96;
    private static final int THIRTY_SECONDS_PER_QUARTER = 8;
    private static final int MOST_SHARPS = 7;

    private final Song song;
    private final Form form;
    private final TempoMap tempoMap;
    private final int resolution;

    /** Of a song, in a file of so many ticks to the quarter. */
    Conductor(Song song, int resolution) {
        this.song = song;
        this.form = song.form();
        this.tempoMap = form.tempoMap();
        this.resolution = resolution;
    }

    /** A tick of the file for one of the core. */
    static long tick(long tick, int resolution) {
        return Math.round(tick * (double) resolution / Position.TICKS_PER_QUARTER);
    }

    /** How the song goes: metres, key, tempos, a marker for each section. */
    List<Meta> music() {
        return Stream.of(metres(), key(), tempos(), sections())
                .flatMap(List::stream)
                .toList();
    }

    /** What people read beside it: what feet press, and what is sent when only the player knows that it is time. */
    List<Meta> words(Plan plan) {
        List<Meta> words = new ArrayList<>();
        for (Cue cue : song.cues()) {
            if (cue.at().micros(form).isEmpty()) {
                words.add(text(0, MidiFile.TEXT, "%s: %s".formatted(cue.at().text(tempoMap), deeds(plan, cue))));
            } else if (cue.foot().isPresent()) {
                words.add(text(
                        tempoMap.tickAt(cue.at().micros(form).get()),
                        MidiFile.CUE_POINT,
                        "foot: " + plan.words(cue.foot().get())));
            }
        }
        return words;
    }

    /** The tick behind its last bar. */
    long end() {
        return tick(tempoMap.tick(Position.bar(form.bars() + 1)), resolution);
    }

    private static String deeds(Plan plan, Cue cue) {
        return String.join(
                ", ",
                Stream.concat(
                                cue.foot().map(plan::words).stream(),
                                Stream.concat(
                                        cue.steps().stream().map(plan::words),
                                        cue.raw().stream().map(message -> message.hex())))
                        .toList());
    }

    private List<Meta> metres() {
        return tempoMap.metres().stream()
                .filter(change -> change.bar() <= form.bars())
                .map(this::metre)
                .toList();
    }

    private Meta metre(MetreChange change) {
        Metre metre = change.metre();
        return meta(
                tempoMap.tick(Position.bar(change.bar())),
                MidiFile.METRE,
                metre.beats(),
                Integer.numberOfTrailingZeros(metre.unit()),
                clocksPerClick(metre),
                THIRTY_SECONDS_PER_QUARTER);
    }

    /** Of 24 clocks a quarter: three units are a click where the bar has threes of an eighth or less, else one. */
    private static int clocksPerClick(Metre metre) {
        boolean inThrees = metre.unit() >= 8 && metre.beats() % 3 == 0;
        return CLOCKS_PER_WHOLE / metre.unit() * (inThrees ? 3 : 1);
    }

    private List<Meta> key() {
        return song.played().or(song::original).stream()
                .map(key -> meta(0, MidiFile.KEY, sharps(key), key.minor() ? 1 : 0))
                .toList();
    }

    /** How many sharps a key has, less than 0 for flats, -7 to 7: its place among the fifths, counted from C or Am. */
    static int sharps(Key key) {
        int fifths = "FCGDAEB".indexOf(key.letter()) - 1 + 7 * key.accidental() - (key.minor() ? 3 : 0);
        return fifths > MOST_SHARPS ? fifths - 12 : fifths < -MOST_SHARPS ? fifths + 12 : fifths;
    }

    private List<Meta> tempos() {
        List<Meta> tempos = new ArrayList<>();
        long end = tempoMap.tick(Position.bar(form.bars() + 1));
        for (int i = 0; i < tempoMap.tempos().size(); i++) {
            TempoChange change = tempoMap.tempos().get(i);
            long from = tempoMap.tick(change.at());
            long to = i + 1 < tempoMap.tempos().size()
                    ? tempoMap.tick(tempoMap.tempos().get(i + 1).at())
                    : from;
            if (change.glides() && to > from) {
                for (long at = from; at < to; at += GLIDE_STEP) {
                    tempos.add(gliding(at, Math.min(at + GLIDE_STEP, to)));
                }
            } else if (from < end) {
                tempos.add(tempo(from, change.tempo().microsPerQuarter()));
            }
        }
        return tempos;
    }

    /** The tempo at which the second of two ticks comes when it should. */
    private Meta gliding(long from, long to) {
        return tempo(
                from,
                (tempoMap.exactMicros(to) - tempoMap.exactMicros(from)) * Position.TICKS_PER_QUARTER / (to - from));
    }

    private Meta tempo(long tick, double microsPerQuarter) {
        int micros = Math.clamp(Math.round(microsPerQuarter), 1, LARGEST_TEMPO);
        return meta(tick, MidiFile.TEMPO, micros >> 16, micros >> 8, micros);
    }

    private List<Meta> sections() {
        List<Meta> sections = new ArrayList<>();
        for (int i = 0; i < form.sections().size(); i++) {
            sections.add(text(
                    tempoMap.tick(Position.bar(form.firstBar(i))),
                    MidiFile.MARKER,
                    form.sections().get(i).name().text()));
        }
        return sections;
    }

    private Meta text(long tick, int type, String text) {
        return new Meta(tick(tick, resolution), type, text.getBytes(StandardCharsets.UTF_8));
    }

    private Meta meta(long tick, int type, int... data) {
        byte[] bytes = new byte[data.length];
        for (int i = 0; i < data.length; i++) {
            bytes[i] = (byte) data[i];
        }
        return new Meta(tick(tick, resolution), type, bytes);
    }
}
