package embrack.files.songs;

import embrack.core.gear.CueLine;
import embrack.core.gear.CueLine.Said;
import embrack.core.midi.Message;
import embrack.core.music.Clock;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.show.Anchor;
import embrack.core.show.Cue;
import embrack.core.show.Song;
import embrack.files.json.UnreadableFile;
import embrack.files.json.UnreadableFile.Problem;
import embrack.files.midi.Explainer;
import embrack.files.midi.Instant;
import embrack.files.midi.SongEvents;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** The cues of a song in the own text of its player, one message a line, to be pasted there and taken from there. */
public final class PlayerText {

    private static final int MOST_PROBLEMS = 50;

    private PlayerText() {}

    /**
     * What a player is given.
     *
     * @param lines one for each message, by time
     * @param remarks what stands in no line, in sentences
     */
    public record Written(List<String> lines, List<String> remarks) {

        /** All lines as they are pasted. */
        public String text() {
            return lines.stream().map(line -> line + "\n").collect(Collectors.joining());
        }
    }

    /**
     * What was pasted.
     *
     * @param cues all cues of the song, those that are there already with their number
     * @param remarks what was left out, and what was moved by how much, in sentences
     */
    public record Pasted(List<Cue> cues, List<String> remarks) {}

    /** How the player of a song writes timed messages; empty where it does not. */
    public static Optional<CueLine> lineOf(Plan plan, Song song) {
        return plan.player(song).flatMap(player -> plan.rig().model(player).cueLine());
    }

    /** All timed messages of a song. */
    public static Written write(Plan plan, Song song, CueLine line) {
        List<Said> events = events(plan, song).values().stream()
                .flatMap(List::stream)
                .sorted(Comparator.comparingLong(Said::micros))
                .toList();
        List<String> lines = events.stream()
                .flatMap(said -> line.write(said.micros(), said.message()).stream())
                .toList();
        List<String> remarks = new ArrayList<>();
        int others = events.size() - lines.size();
        if (others > 0) {
            remarks.add("%s no place in its lines.".formatted(counted(others, "message", "has", "have")));
        }
        long automatic = song.cues().stream()
                .filter(cue -> cue.at() instanceof Anchor.Automatic)
                .count();
        if (automatic > 0) {
            remarks.add("%s at no time: on load, play, stop or loop is set in the player by itself."
                    .formatted(counted((int) automatic, "cue", "is", "are")));
        }
        return new Written(lines, remarks);
    }

    private static String counted(int number, String noun, String one, String more) {
        return Words.count(number, noun) + " " + (number == 1 ? one : more);
    }

    /** What each cue sends by itself, to the millisecond; what is early stands where it is sent. */
    private static SortedMap<Integer, List<Said>> events(Plan plan, Song song) {
        SortedMap<Integer, List<Said>> events = new TreeMap<>();
        SongEvents.of(plan, song)
                .forEach(event -> events.computeIfAbsent(event.cue(), cue -> new ArrayList<>())
                        .add(new Said(rounded(song.form().tempoMap().micros(event.tick())), event.message())));
        return events;
    }

    private static long rounded(long micros) {
        return Math.round(micros / 1_000.0) * 1_000;
    }

    /**
     * The cues that were pasted from a player. A cue whose messages are all there at their times is the same; messages
     * of a cue that stand together at another time have moved it; all others become new cues by the charts of what the
     * player reaches. Note-offs are left out.
     *
     * @param grid ticks to which cues are moved that came or were moved; 0 leaves them where they are
     * @throws UnreadableFile with every line that is none
     */
    public static Pasted read(String text, CueLine line, Plan plan, Song song, int grid) {
        return new Reader(plan, song, grid).read(said(text, line));
    }

    private static List<Said> said(String text, CueLine line) {
        List<Said> all = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        List<String> lines = text.lines().toList();
        if (lines.size() > Song.MAX_DEEDS) {
            throw new UnreadableFile(
                    List.of(new Problem("the text", "has more than %,d lines".formatted(Song.MAX_DEEDS))));
        }
        for (int i = 0; i < lines.size() && problems.size() < MOST_PROBLEMS; i++) {
            if (!lines.get(i).isBlank()) {
                try {
                    all.add(line.read(lines.get(i)));
                } catch (IllegalArgumentException e) {
                    problems.add(new Problem("line " + (i + 1), String.valueOf(e.getMessage())));
                }
            }
        }
        if (!problems.isEmpty()) {
            throw new UnreadableFile(problems);
        }
        return all;
    }

    private static final class Reader {

        private final Plan plan;
        private final Song song;
        private final int grid;
        private final List<String> remarks = new ArrayList<>();
        private final Map<Said, Integer> free = new HashMap<>();

        Reader(Plan plan, Song song, int grid) {
            this.plan = plan;
            this.song = song;
            this.grid = grid;
        }

        Pasted read(List<Said> all) {
            List<Said> pasted =
                    all.stream().filter(said -> !said.message().isRelease()).toList();
            if (pasted.size() < all.size()) {
                remarks.add("%s left out.".formatted(counted(all.size() - pasted.size(), "note-off", "was", "were")));
            }
            pasted.forEach(said -> free.merge(said, 1, Integer::sum));
            SortedMap<Integer, List<Said>> events = events(plan, song);
            events.values().forEach(own -> own.removeIf(said -> said.message().isRelease()));
            List<Cue> cues = new ArrayList<>();
            Map<Integer, List<Message>> missing = new LinkedHashMap<>();
            for (Cue cue : song.cues()) {
                List<Said> own = events.getOrDefault(cue.number(), List.of());
                if (own.isEmpty() || claims(own)) {
                    cues.add(cue);
                } else {
                    missing.put(cue.number(), own.stream().map(Said::message).toList());
                }
            }
            cues.addAll(others(byTime(pasted), missing));
            return new Pasted(cues, remarks);
        }

        /** Whether all of these are there and nobody's yet; they are taken then. */
        private boolean claims(List<Said> own) {
            Map<Said, Integer> needed = new HashMap<>();
            own.forEach(said -> needed.merge(said, 1, Integer::sum));
            boolean there = needed.entrySet().stream().allMatch(e -> free.getOrDefault(e.getKey(), 0) >= e.getValue());
            if (there) {
                needed.forEach((said, count) -> free.merge(said, -count, Integer::sum));
            }
            return there;
        }

        /** What is nobody's, by the time at which it stands. */
        private SortedMap<Long, List<Message>> byTime(List<Said> pasted) {
            SortedMap<Long, List<Message>> byTime = new TreeMap<>();
            for (Said said : pasted) {
                if (free.getOrDefault(said, 0) > 0) {
                    free.merge(said, -1, Integer::sum);
                    byTime.computeIfAbsent(said.micros(), at -> new ArrayList<>())
                            .add(said.message());
                }
            }
            return byTime;
        }

        private List<Cue> others(SortedMap<Long, List<Message>> byTime, Map<Integer, List<Message>> missing) {
            Explainer explainer = new Explainer(plan, plan.player(song));
            List<Cue> cues = new ArrayList<>();
            int[] next = {song.nextNumber()};
            byTime.forEach((micros, messages) -> {
                Anchor at = anchor(micros);
                Optional<Integer> moved = missing.entrySet().stream()
                        .filter(e -> e.getValue().equals(messages))
                        .map(Map.Entry::getKey)
                        .findFirst();
                if (moved.isPresent()) {
                    missing.remove(moved.get());
                    cues.add(song.cue(moved.get()).orElseThrow().withAnchor(at));
                } else {
                    Instant instant = new Instant(0);
                    messages.forEach(message -> explainer.add(instant, message));
                    cues.add(new Cue(next[0]++, at, instant.steps()).withRaw(instant.raw()));
                }
            });
            return cues;
        }

        private Anchor anchor(long micros) {
            Anchor at = Anchor.near(song.form(), micros, grid);
            long shift = at.micros(song.form()).orElse(micros) - micros;
            if (Math.abs(shift) >= 1_000) {
                remarks.add("%s is put at %s, %s."
                        .formatted(Clock.text(micros), at.text(song.form().tempoMap()), Clock.shift(shift)));
            }
            return at;
        }
    }
}
