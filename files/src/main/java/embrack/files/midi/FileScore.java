package embrack.files.midi;

import embrack.core.music.Metre;
import embrack.core.music.MetreChange;
import embrack.core.music.Position;
import embrack.core.music.Tempo;
import embrack.core.music.TempoChange;
import embrack.core.music.TempoMap;
import embrack.core.name.TapeLabel;
import embrack.core.show.Form;
import embrack.core.show.Section;
import embrack.core.show.Song;
import embrack.core.show.text.SongReading;
import embrack.files.midi.MidiFile.Meta;
import embrack.files.midi.MidiFile.Sent;
import embrack.files.midi.MidiFile.Track;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** How the song of a file goes: its tempos, metres and sections, as far as Embrack knows such. */
final class FileScore {

    /** Microseconds of a quarter where a file says no tempo. Source: Standard MIDI Files 1.0. */
    private static final int USUAL_TEMPO = 500_000;

    private static final long MICROS_PER_MINUTE = 60_000_000;

    private static final int MAX_MARKERS = 250;

    private static final Set<Integer> MUSIC = Set.of(MidiFile.TEMPO, MidiFile.METRE, MidiFile.MARKER);

    private final MidiFile file;
    private final List<String> remarks;

    /** Of a file; what is left out is remarked. */
    FileScore(MidiFile file, List<String> remarks) {
        this.file = file;
        this.remarks = remarks;
    }

    /** A tick of the core for one of the file. */
    long tick(long tick) {
        return Math.round(tick * (double) Position.TICKS_PER_QUARTER / file.ticksPerQuarter());
    }

    /** Whether tempos, metres and markers are those of a song. */
    boolean isMusicOf(Song song) {
        return said(new Conductor(song, file.ticksPerQuarter()).music().stream())
                .equals(said(file.tracks().stream().flatMap(track -> track.metas().stream())));
    }

    /** What is said of it; other programs leave keys and clicks out, or say a thing twice. */
    private static Set<String> said(Stream<Meta> metas) {
        return metas.filter(meta -> MUSIC.contains(meta.type()))
                .map(meta -> "%d %d %s"
                        .formatted(
                                meta.tick(),
                                meta.type(),
                                HexFormat.of()
                                        .formatHex(
                                                meta.type() == MidiFile.METRE
                                                        ? Arrays.copyOf(meta.data(), 2)
                                                        : meta.data())))
                .collect(Collectors.toSet());
    }

    /** As many of the changes as a score can have. */
    private <T> Stream<T> changes(Collection<T> all, String what) {
        if (all.size() >= TempoMap.MAX_CHANGES) {
            remarks.add("The file has %d changes of %s; the first %d were read."
                    .formatted(all.size(), what, TempoMap.MAX_CHANGES - 1));
        }
        return all.stream().limit(TempoMap.MAX_CHANGES - 1L);
    }

    TempoMap tempoMap() {
        List<MetreChange> metres = new ArrayList<>();
        for (Map.Entry<Long, Meta> e :
                changes(metas(MidiFile.METRE).entrySet(), "metre").toList()) {
            byte[] data = e.getValue().data();
            TempoMap so = new TempoMap(metres, List.of());
            Position at = so.position(e.getKey());
            int bar = at.tick() == 0 ? at.bar() : at.bar() + 1;
            try {
                metres.add(new MetreChange(bar, new Metre(data[0], 1 << data[1])));
                if (at.tick() != 0) {
                    remarks.add("The metre %d/%d comes inside bar %d; it holds from bar %d on."
                            .formatted(data[0], 1 << data[1], at.bar(), bar));
                }
            } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException x) {
                remarks.add("The metre %s in bar %d is none that Embrack knows; %s holds on there."
                        .formatted(
                                data.length < 2 ? "that cannot be read" : data[0] + "/" + (1L << (data[1] & 0x3F)),
                                at.bar(),
                                so.metre(at.bar())));
            }
        }
        TempoMap bars = new TempoMap(metres, List.of());
        List<TempoChange> tempos =
                new ArrayList<>(List.of(new TempoChange(Position.START, Tempo.ofMicrosPerQuarter(USUAL_TEMPO))));
        changes(metas(MidiFile.TEMPO).entrySet(), "tempo").forEach(e -> {
            long tick = e.getKey();
            byte[] data = e.getValue().data();
            int micros = data.length == 3 ? (data[0] & 0xFF) << 16 | (data[1] & 0xFF) << 8 | data[2] & 0xFF : 0;
            try {
                tempos.add(new TempoChange(bars.position(tick), Tempo.ofMicrosPerQuarter(micros)));
            } catch (IllegalArgumentException x) {
                remarks.add("The tempo %s in bar %d is none from 10 to 400; %s holds on there."
                        .formatted(
                                micros == 0
                                        ? "that cannot be read"
                                        : BigDecimal.valueOf(MICROS_PER_MINUTE)
                                                .divide(BigDecimal.valueOf(micros), 1, RoundingMode.HALF_UP)
                                                .toPlainString(),
                                bars.position(tick).bar(),
                                tempos.getLast().tempo()));
            }
        });
        return new TempoMap(metres, tempos);
    }

    Form form(TempoMap tempoMap) {
        long last = 0;
        for (Track track : file.tracks()) {
            last = Math.max(
                    last, track.messages().stream().mapToLong(Sent::tick).max().orElse(0));
            last = Math.max(
                    last, track.metas().stream().mapToLong(Meta::tick).max().orElse(0));
        }
        Position end = tempoMap.position(tick(last));
        int bars = Math.max(1, end.tick() == 0 ? end.bar() - 1 : end.bar());
        if (bars >= TempoMap.MAX_BAR) {
            throw new IllegalArgumentException(
                    ("The last event of the file comes in bar %,d, and a song has fewer than %,d bars. "
                                    + "Export the song alone, without what stands far behind it.")
                            .formatted(bars, TempoMap.MAX_BAR));
        }
        TreeMap<Integer, String> starts = new TreeMap<>();
        metas(MidiFile.MARKER)
                .forEach((tick, meta) -> starts.putIfAbsent(
                        tempoMap.position(tempoMap.snap(
                                        tempoMap.micros(tick),
                                        tempoMap.metre(tempoMap.position(tick).bar())
                                                .ticksPerBar()))
                                .bar(),
                        meta.text()));
        starts.keySet().removeIf(bar -> bar > bars);
        starts.putIfAbsent(1, "Start");
        if (starts.size() > MAX_MARKERS) {
            remarks.add(
                    "The file has %d markers; the first %d were made sections.".formatted(starts.size(), MAX_MARKERS));
            starts.keySet()
                    .retainAll(starts.keySet().stream().limit(MAX_MARKERS).toList());
        }
        List<Section> sections = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (Map.Entry<Integer, String> start : starts.entrySet()) {
            Integer next = starts.higherKey(start.getKey());
            int length = (next == null ? bars + 1 : next) - start.getKey();
            for (int rest = length; rest > 0; rest -= Section.MAX_BARS) {
                sections.add(
                        new Section(unique(sectionName(start.getValue()), names), Math.min(rest, Section.MAX_BARS)));
            }
        }
        return new Form(tempoMap, sections);
    }

    /**
     * A marker as the name of a section, as long as the text of the song can hold it: "tempo 90" there would be a
     * tempo.
     */
    private static TapeLabel sectionName(String marker) {
        TapeLabel name = label(marker, "Section");
        boolean isRead = SongReading.of(name + ": 1 bar")
                .form()
                .filter(form -> form.sections().getFirst().name().equals(name))
                .isPresent();
        return isRead
                ? name
                : label(
                        "Section "
                                + name.text()
                                        .replaceAll("[^\\p{L}\\p{N} ]+", " ")
                                        .replaceAll(" +", " "),
                        "Section");
    }

    private static TapeLabel unique(TapeLabel name, Set<String> names) {
        TapeLabel free = name;
        for (int n = 2; !names.add(free.text().toLowerCase(Locale.ROOT)); n++) {
            String tail = " " + n;
            free = new TapeLabel(name.text()
                            .substring(0, Math.min(name.text().length(), TapeLabel.MAX_LENGTH - tail.length()))
                    + tail);
        }
        return free;
    }

    private SortedMap<Long, Meta> metas(int type) {
        SortedMap<Long, Meta> byTick = new TreeMap<>();
        file.tracks()
                .forEach(track -> track.metas().stream()
                        .filter(meta -> meta.type() == type)
                        .forEach(meta -> byTick.putIfAbsent(tick(meta.tick()), meta)));
        return byTick;
    }

    static TapeLabel label(String text, String otherwise) {
        String tidy = text.replaceAll("[<>\\p{Cntrl}]", " ").strip();
        return tidy.isEmpty()
                ? new TapeLabel(otherwise)
                : TapeLabel.parse(tidy.substring(0, Math.min(tidy.length(), TapeLabel.MAX_LENGTH)));
    }
}
