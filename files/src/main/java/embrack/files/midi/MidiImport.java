package embrack.files.midi;

import embrack.core.chart.MessageMemory;
import embrack.core.gear.Purpose;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.music.Metre;
import embrack.core.music.MetreChange;
import embrack.core.music.Position;
import embrack.core.music.Tempo;
import embrack.core.music.TempoChange;
import embrack.core.music.TempoMap;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Section;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.core.show.text.SongReading;
import embrack.core.switches.Step;
import embrack.core.way.Ways;
import embrack.files.midi.MidiFile.Meta;
import embrack.files.midi.MidiFile.Sent;
import embrack.files.midi.MidiFile.Track;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * A song read from a Standard MIDI File: tempos, metres and sections, and what its messages do in a rig, by the charts
 * of its devices.
 *
 * @param song to be added to the book
 * @param remarks what was left out or could not be read, in sentences
 */
public record MidiImport(Song song, List<String> remarks) {

    /** Microseconds of a quarter where a file says no tempo. Source: Standard MIDI Files 1.0. */
    private static final int USUAL_TEMPO = 500_000;

    private static final int MAX_MARKERS = 250;

    /** The largest file that is read, in bytes. */
    public static final int MAX_BYTES = MidiFile.MAX_BYTES;

    public MidiImport {
        remarks = List.copyOf(remarks);
    }

    /**
     * Reads a file for a rig.
     *
     * @param name what the song is called if the file does not say
     * @param keepReleases whether note-offs are kept, as messages; they are left out otherwise
     * @throws IllegalArgumentException with a sentence for a person when nothing of it can be read
     */
    public static MidiImport read(byte[] bytes, String name, Plan plan, boolean keepReleases) {
        return new Importer(MidiFile.read(bytes), plan, keepReleases).read(name);
    }

    private static final class Importer {

        private final MidiFile file;
        private final Plan plan;
        private final boolean keepReleases;
        private final List<String> remarks = new ArrayList<>();
        private final List<DeviceId> hearers;
        private final Map<DeviceId, MessageMemory> heard = new HashMap<>();
        private final List<DeviceId> remembering;
        private final Map<Message, List<Step>> plain = new HashMap<>();
        private int released;
        private int unexplained;

        Importer(MidiFile file, Plan plan, boolean keepReleases) {
            this.file = file;
            this.plan = plan;
            this.keepReleases = keepReleases;
            this.hearers = plan.players().stream()
                    .findFirst()
                    .map(player -> List.copyOf(new TreeSet<>(new Ways(plan.rig()).reach(player))))
                    .orElse(List.of());
            this.remembering = hearers.stream().filter(this::remembers).toList();
        }

        MidiImport read(String name) {
            file.broken()
                    .ifPresent(broken ->
                            remarks.add("The file is broken. " + broken + " What stands before it was read."));
            TempoMap tempoMap = tempoMap();
            Form form = form(tempoMap);
            List<Cue> cues = cues(tempoMap);
            if (file.tooLong() > 0) {
                remarks.add("%s too long and left out."
                        .formatted(Words.count(file.tooLong(), "system exclusive message")
                                + (file.tooLong() == 1 ? " was" : " were")));
            }
            if (released > 0) {
                remarks.add("%s left out."
                        .formatted(Words.count(released, "note-off") + (released == 1 ? " was" : " were")));
            }
            if (unexplained > 0) {
                remarks.add("%s by no chart of the rig; kept as %s."
                        .formatted(
                                unexplained == 1 ? "1 message is explained" : unexplained + " messages are explained",
                                unexplained == 1 ? "it is" : "they are"));
            }
            if (cues.size() > Song.MAX_CUES) {
                remarks.add("The file has more than %d cues; the first were read.".formatted(Song.MAX_CUES));
                cues = cues.subList(0, Song.MAX_CUES);
            }
            cues = withinASong(cues);
            TapeLabel title = title(name);
            int place = Math.min(
                    999,
                    plan.book().songs().stream().mapToInt(Song::place).max().orElse(0) + 1);
            return new MidiImport(
                    Song.blank(new SongId("imported"), title, place)
                            .withForm(form)
                            .withCues(cues),
                    remarks);
        }

        private List<Cue> withinASong(List<Cue> cues) {
            int deeds = 0;
            for (int i = 0; i < cues.size(); i++) {
                deeds += cues.get(i).deeds();
                if (deeds > Song.MAX_DEEDS) {
                    remarks.add("The file has more than %,d steps and messages; the first %d cues were read."
                            .formatted(Song.MAX_DEEDS, i));
                    return cues.subList(0, i);
                }
            }
            return cues;
        }

        private TapeLabel title(String name) {
            Optional<String> said =
                    file.tracks().stream().findFirst().map(Track::name).filter(text -> !text.isBlank());
            return label(said.orElse(name), "Imported song");
        }

        private static TapeLabel label(String text, String otherwise) {
            String tidy = text.replaceAll("[<>\\p{Cntrl}]", " ").strip();
            return tidy.isEmpty()
                    ? new TapeLabel(otherwise)
                    : TapeLabel.parse(tidy.substring(0, Math.min(tidy.length(), TapeLabel.MAX_LENGTH)));
        }

        private long tick(long tick) {
            return Math.round(tick * (double) Position.TICKS_PER_QUARTER / file.ticksPerQuarter());
        }

        private SortedMap<Long, Meta> metas(int type) {
            SortedMap<Long, Meta> byTick = new TreeMap<>();
            file.tracks()
                    .forEach(track -> track.metas().stream()
                            .filter(meta -> meta.type() == type)
                            .forEach(meta -> byTick.putIfAbsent(tick(meta.tick()), meta)));
            return byTick;
        }

        /** As many of the changes as a score can have. */
        private <T> Stream<T> changes(Collection<T> all, String what) {
            if (all.size() >= TempoMap.MAX_CHANGES) {
                remarks.add("The file has %d changes of %s; the first %d were read."
                        .formatted(all.size(), what, TempoMap.MAX_CHANGES - 1));
            }
            return all.stream().limit(TempoMap.MAX_CHANGES - 1L);
        }

        private TempoMap tempoMap() {
            List<MetreChange> metres = new ArrayList<>();
            for (Map.Entry<Long, Meta> e :
                    changes(metas(MidiFile.METRE).entrySet(), "metre").toList()) {
                byte[] data = e.getValue().data();
                TempoMap so = new TempoMap(metres, List.of());
                Position at = so.position(e.getKey());
                try {
                    metres.add(new MetreChange(
                            at.tick() == 0 ? at.bar() : at.bar() + 1, new Metre(data[0], 1 << data[1])));
                } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException x) {
                    remarks.add("A metre in bar %d is none that Embrack knows.".formatted(at.bar()));
                }
                if (at.tick() != 0) {
                    remarks.add("A metre changes inside bar %d; it was put at the next.".formatted(at.bar()));
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
                    remarks.add("The tempo in bar %d is none from 10 to 400."
                            .formatted(bars.position(tick).bar()));
                }
            });
            return new TempoMap(metres, tempos);
        }

        private Form form(TempoMap tempoMap) {
            long last = 0;
            for (Track track : file.tracks()) {
                last = Math.max(
                        last,
                        track.messages().stream().mapToLong(Sent::tick).max().orElse(0));
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
                                            tempoMap.metre(tempoMap.position(tick)
                                                            .bar())
                                                    .ticksPerBar()))
                                    .bar(),
                            meta.text()));
            starts.keySet().removeIf(bar -> bar > bars);
            starts.putIfAbsent(1, "Start");
            if (starts.size() > MAX_MARKERS) {
                remarks.add("The file has %d markers; the first %d were made sections."
                        .formatted(starts.size(), MAX_MARKERS));
                starts.keySet()
                        .retainAll(starts.keySet().stream().limit(MAX_MARKERS).toList());
            }
            List<Section> sections = new ArrayList<>();
            Set<String> names = new HashSet<>();
            for (Map.Entry<Integer, String> start : starts.entrySet()) {
                Integer next = starts.higherKey(start.getKey());
                int length = (next == null ? bars + 1 : next) - start.getKey();
                for (int rest = length; rest > 0; rest -= Section.MAX_BARS) {
                    sections.add(new Section(
                            unique(sectionName(start.getValue()), names), Math.min(rest, Section.MAX_BARS)));
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

        /** What happens at one tick. */
        private static final class Instant {
            private final long tick;
            private final List<Step> steps = new ArrayList<>(1);
            private final List<Message> raw = new ArrayList<>(0);

            Instant(long tick) {
                this.tick = tick;
            }

            void add(Instant later) {
                steps.addAll(later.steps);
                raw.addAll(later.raw);
            }
        }

        private List<Cue> cues(TempoMap tempoMap) {
            List<Cue> cues = new ArrayList<>();
            Instant last = new Instant(-1);
            for (Instant next : instants()) {
                if (next.tick == last.tick) {
                    last.add(next);
                } else {
                    addCues(cues, last, tempoMap);
                    last = next;
                }
            }
            addCues(cues, last, tempoMap);
            return cues;
        }

        /** Track by track, then by tick; tracks are in order by themselves, so that sorting them costs little. */
        private List<Instant> instants() {
            List<Instant> all = new ArrayList<>();
            for (Track track : file.tracks()) {
                Optional<DeviceId> named = hearers.stream()
                        .filter(device -> plan.rig()
                                .name(device)
                                .text()
                                .equalsIgnoreCase(track.name().strip()))
                        .findFirst();
                heard.clear();
                Instant last = new Instant(-1);
                for (Sent sent : track.messages()) {
                    long tick = tick(sent.tick());
                    if (tick != last.tick) {
                        last = new Instant(tick);
                        all.add(last);
                    }
                    add(last, sent.message(), named);
                }
            }
            all.sort(Comparator.comparingLong(instant -> instant.tick));
            return all;
        }

        private void addCues(List<Cue> cues, Instant instant, TempoMap tempoMap) {
            unexplained += instant.raw.size();
            for (int from = 0;
                    cues.size() <= Song.MAX_CUES && from < Math.max(instant.steps.size(), instant.raw.size());
                    from += Cue.MAX_STEPS / 2) {
                cues.add(new Cue(
                        cues.size() + 1,
                        Optional.empty(),
                        new Anchor.OnBar(tempoMap.position(instant.tick)),
                        part(instant.steps, from),
                        part(instant.raw, from),
                        Optional.empty(),
                        false,
                        false));
            }
        }

        private static <T> List<T> part(List<T> all, int from) {
            return from >= all.size() ? List.of() : all.subList(from, Math.min(all.size(), from + Cue.MAX_STEPS / 2));
        }

        private void add(Instant instant, Message message, Optional<DeviceId> named) {
            boolean release = message instanceof Message.NoteOff
                    || message instanceof Message.NoteOn note && note.velocity() == 0;
            if (release && !keepReleases) {
                released++;
                return;
            }
            List<Step> does = does(message, named);
            for (Step step : does) {
                instant.steps.add(step);
                if (!remembering.isEmpty() && remembers(step.device())) {
                    plan.rig()
                            .chart(step.device())
                            .messagesFor(step.action(), channel(step.device()))
                            .ifPresent(all -> all.subList(0, all.size() - 1).forEach(instant.raw::remove));
                }
            }
            remembering.forEach(device -> heard.put(
                    device,
                    plan.rig().chart(device).remember(heard.getOrDefault(device, MessageMemory.NOTHING), message)));
            if (does.isEmpty()) {
                instant.raw.add(message);
            }
        }

        private List<Step> does(Message message, Optional<DeviceId> named) {
            List<Step> asked = named.map(device -> steps(device, message)).orElse(List.of());
            if (!asked.isEmpty()) {
                return asked;
            }
            List<Step> always = plain.computeIfAbsent(
                    message,
                    m -> hearers.stream()
                            .filter(device -> !remembers(device))
                            .flatMap(device -> steps(device, m).stream())
                            .toList());
            return remembering.isEmpty()
                    ? always
                    : Stream.concat(
                                    always.stream(),
                                    remembering.stream().flatMap(device -> steps(device, message).stream()))
                            .toList();
        }

        private boolean remembers(DeviceId device) {
            return plan.rig().chart(device).remembers();
        }

        /** What a device would do, by its chart and by what it has heard. */
        private List<Step> steps(DeviceId device, Message message) {
            boolean onItsChannel = !(message instanceof Message.Voice voice)
                    || plan.rig()
                            .setting(device, Purpose.RECEIVE_CHANNEL)
                            .map(Channel::new)
                            .filter(set -> !set.equals(voice.channel()))
                            .isEmpty();
            return plan
                    .rig()
                    .chart(device)
                    .reactionsTo(message, heard.getOrDefault(device, MessageMemory.NOTHING), onItsChannel)
                    .stream()
                    .map(action -> new Step(device, action))
                    .toList();
        }

        private Channel channel(DeviceId device) {
            return plan.rig()
                    .setting(device, Purpose.RECEIVE_CHANNEL)
                    .map(Channel::new)
                    .orElse(new Channel(Channel.FIRST));
        }
    }
}
