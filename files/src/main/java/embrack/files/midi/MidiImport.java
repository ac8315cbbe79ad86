package embrack.files.midi;

import embrack.core.midi.Message;
import embrack.core.music.TempoMap;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.DeviceId;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.core.show.SongId;
import embrack.files.json.UnreadableFile;
import embrack.files.midi.MidiFile.Meta;
import embrack.files.midi.MidiFile.Sent;
import embrack.files.midi.MidiFile.Track;
import embrack.files.midi.SongEvents.Timed;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * A song read from a Standard MIDI File: tempos, metres and sections, and what its messages do in a rig, by the charts
 * of its devices.
 *
 * @param song to be added to the book
 * @param remarks what was left out or could not be read, in sentences
 */
public record MidiImport(Song song, List<String> remarks) {

    private static final SongId IMPORTED = new SongId("imported");
    private static final int MAX_PLACE = 999;

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
        private final FileScore score;
        private final Claims claims;
        private final Explainer explainer;
        private int nextNumber = 1;
        private int released;
        private int unexplained;

        Importer(MidiFile file, Plan plan, boolean keepReleases) {
            this.file = file;
            this.plan = plan;
            this.keepReleases = keepReleases;
            this.score = new FileScore(file, remarks);
            this.claims = new Claims(file);
            this.explainer = new Explainer(plan, plan.players().stream().findFirst());
        }

        MidiImport read(String name) {
            file.broken()
                    .ifPresent(broken ->
                            remarks.add("The file is broken. " + broken + " What stands before it was read."));
            Song song = own().map(this::stillThere).orElseGet(() -> blank(name));
            List<Cue> cues = cues(song);
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
            if (file.tracks().stream().allMatch(track -> track.messages().isEmpty())
                    && OwnText.in(file).isEmpty()) {
                remarks.add("There is no message in the file: the song has no cues.");
            }
            remarkLeftOut(song);
            return new MidiImport(song.withCues(withinASong(cues)), remarks);
        }

        private Song blank(String name) {
            TempoMap tempoMap = score.tempoMap();
            return Song.blank(IMPORTED, title(name), place()).withForm(score.form(tempoMap));
        }

        private int place() {
            return Math.min(
                    MAX_PLACE,
                    plan.book().songs().stream().mapToInt(Song::place).max().orElse(0) + 1);
        }

        /** The song that Embrack wrote into the file as a text, if the music of the file is still its own. */
        private Optional<Song> own() {
            Optional<String> text = OwnText.in(file);
            if (text.isEmpty() || file.broken().isPresent()) {
                return Optional.empty();
            }
            try {
                Song song = OwnText.read(text.get(), plan.rig()).moved(IMPORTED, place());
                if (score.isMusicOf(song)) {
                    return Optional.of(song);
                }
                remarks.add("Tempo, metre or sections are not as Embrack wrote them any more; all was read from the "
                        + "events of the file, and what is no event there is left out.");
            } catch (UnreadableFile e) {
                remarks.add(("The file has its song as a text too, which does not fit this rig (%s). All was read from "
                                + "the events of the file, and what is no event there is left out.")
                        .formatted(e.problems().getFirst()));
            }
            return Optional.empty();
        }

        /** The song with those of its cues whose events are in the file, which are claimed by it. */
        private Song stillThere(Song song) {
            Map<Integer, List<Timed>> events =
                    SongEvents.of(plan, song).stream().collect(Collectors.groupingBy(Timed::cue));
            List<Cue> there = song.cues().stream()
                    .filter(cue -> claims.claim(events.getOrDefault(cue.number(), List.of())))
                    .toList();
            int others = song.cues().size() - there.size();
            if (others > 0) {
                remarks.add(
                        "%s other events in the file than when Embrack wrote it; what they do now was read from them."
                                .formatted(others == 1 ? "1 cue has" : others + " cues have"));
            }
            return song.withCues(there);
        }

        /** What stands in the file beside notes and music, and is kept nowhere. */
        private void remarkLeftOut(Song song) {
            Set<String> known = new Conductor(song, file.ticksPerQuarter())
                    .words(plan).stream().map(Meta::text).collect(Collectors.toSet());
            Map<String, Long> left = file.tracks().stream()
                    .flatMap(track -> track.metas().stream())
                    .filter(meta -> MidiFile.LEFT_OUT.containsKey(meta.type()))
                    .filter(meta -> !OwnText.isOne(meta) && !known.contains(meta.text()))
                    .collect(Collectors.groupingBy(
                            meta -> MidiFile.LEFT_OUT.get(meta.type()), TreeMap::new, Collectors.counting()));
            if (!left.isEmpty()) {
                remarks.add("Left out: %s."
                        .formatted(Words.list(left.entrySet().stream()
                                .map(e -> Words.count(Math.toIntExact(e.getValue()), e.getKey()))
                                .toList())));
            }
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
            return FileScore.label(said.orElse(name), "Imported song");
        }

        /** The cues of the song, and behind them those that its other events make. */
        private List<Cue> cues(Song song) {
            TempoMap tempoMap = song.form().tempoMap();
            List<Cue> cues = new ArrayList<>(song.cues());
            nextNumber = song.nextNumber();
            Instant last = new Instant(-1);
            for (Instant next : instants()) {
                if (next.tick() == last.tick()) {
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
                Optional<DeviceId> named = explainer.hearers().stream()
                        .filter(device -> plan.rig()
                                .name(device)
                                .text()
                                .equalsIgnoreCase(track.name().strip()))
                        .findFirst();
                boolean isOfNoChart = track.name().equals(SongMidi.UNEXPLAINED);
                explainer.begin();
                Instant last = new Instant(-1);
                for (Sent sent : track.messages()) {
                    boolean isKnown = claims.take(sent);
                    if (isKnown) {
                        explainer.remember(sent.message());
                        continue;
                    }
                    long tick = score.tick(sent.tick());
                    if (tick != last.tick()) {
                        last = new Instant(tick);
                        all.add(last);
                    }
                    add(last, sent.message(), named, isOfNoChart);
                }
            }
            all.sort(Comparator.comparingLong(Instant::tick));
            return all;
        }

        private void addCues(List<Cue> cues, Instant instant, TempoMap tempoMap) {
            unexplained += instant.raw().size();
            for (int from = 0;
                    cues.size() <= Song.MAX_CUES
                            && from
                                    < Math.max(
                                            instant.steps().size(),
                                            instant.raw().size());
                    from += Cue.MAX_STEPS / 2) {
                cues.add(new Cue(
                        nextNumber++,
                        Optional.empty(),
                        new Anchor.OnBar(tempoMap.position(instant.tick())),
                        part(instant.steps(), from),
                        part(instant.raw(), from),
                        Optional.empty(),
                        false,
                        false));
            }
        }

        private static <T> List<T> part(List<T> all, int from) {
            return from >= all.size() ? List.of() : all.subList(from, Math.min(all.size(), from + Cue.MAX_STEPS / 2));
        }

        private void add(Instant instant, Message message, Optional<DeviceId> named, boolean isOfNoChart) {
            boolean release = message instanceof Message.NoteOff
                    || message instanceof Message.NoteOn note && note.velocity() == 0;
            if (release && !keepReleases) {
                released++;
                return;
            }
            explainer.add(instant, message, named, isOfNoChart);
        }
    }
}
