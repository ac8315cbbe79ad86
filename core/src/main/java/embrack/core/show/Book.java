package embrack.core.show;

import embrack.core.gear.Kind;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.switches.Step;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * The prompt book: all songs, what is sent for every one of them, and the shows they are played in.
 *
 * @param songs in the order in which they were added
 * @param always automatic cues that every song sends beside its own
 * @param shows the newest last
 * @param lastAlways the highest number that a cue of every song ever had, also one that is gone
 */
public record Book(List<Song> songs, List<Cue> always, List<Show> shows, int lastAlways) {

    public static final Book EMPTY = new Book(List.of(), List.of(), List.of(), 0);

    /** As many songs as a book may have. */
    public static final int MAX_SONGS = 500;

    public Book {
        songs = List.copyOf(songs);
        always = List.copyOf(always);
        shows = List.copyOf(shows);
        lastAlways =
                Math.max(lastAlways, always.stream().mapToInt(Cue::number).max().orElse(0));
        Set<SongId> ids = new HashSet<>();
        for (Song song : songs) {
            if (!ids.add(song.id())) {
                throw new IllegalArgumentException("the song \"%s\" is there twice".formatted(song.id()));
            }
        }
        Set<ShowId> showIds = new HashSet<>();
        for (Show show : shows) {
            if (!showIds.add(show.id())) {
                throw new IllegalArgumentException("the show \"%s\" is there twice".formatted(show.id()));
            }
            show.order().stream()
                    .flatMap(entry -> entry.song().stream())
                    .filter(song -> !ids.contains(song))
                    .findFirst()
                    .ifPresent(song -> {
                        throw new IllegalArgumentException("there is no song \"%s\"".formatted(song));
                    });
        }
        if (songs.size() > MAX_SONGS) {
            throw new IllegalArgumentException("A book has at most %d songs.".formatted(MAX_SONGS));
        }
        for (Cue cue : always) {
            if (!(cue.at() instanceof Anchor.Automatic)) {
                throw new IllegalArgumentException(
                        "What every song sends comes on load, play, stop, continue or loop.");
            }
        }
    }

    /** A book in which no cue of every song has gone yet. */
    public Book(List<Song> songs, List<Cue> always, List<Show> shows) {
        this(songs, always, shows, 0);
    }

    public Optional<Song> find(SongId id) {
        return songs.stream().filter(song -> song.id().equals(id)).findFirst();
    }

    /**
     * The song of that id.
     *
     * @throws IllegalArgumentException when the book has none
     */
    public Song song(SongId id) {
        return find(id).orElseThrow(() -> new IllegalArgumentException("there is no song \"%s\"".formatted(id)));
    }

    /** A cue by its number: one of a song, or one that every song sends. */
    public Optional<Cue> cue(SongId song, int number, boolean every) {
        return every
                ? always.stream().filter(cue -> cue.number() == number).findFirst()
                : find(song).flatMap(found -> found.cue(number));
    }

    public Optional<Show> find(ShowId id) {
        return shows.stream().filter(show -> show.id().equals(id)).findFirst();
    }

    /** The show that is planned now: the newest. */
    public Optional<Show> tonight() {
        return shows.isEmpty() ? Optional.empty() : Optional.of(shows.getLast());
    }

    public boolean isEmpty() {
        return equals(EMPTY);
    }

    /** With a song in the place of the one of its id, or behind all others. */
    public Book with(Song song) {
        List<Song> changed = new ArrayList<>(songs);
        changed.replaceAll(s -> s.id().equals(song.id()) ? song : s);
        if (find(song.id()).isEmpty()) {
            changed.add(song);
        }
        return new Book(changed, always, shows, lastAlways);
    }

    /** With a show in the place of the one of its id, or behind all others. */
    public Book with(Show show) {
        List<Show> changed = new ArrayList<>(shows);
        changed.replaceAll(s -> s.id().equals(show.id()) ? show : s);
        if (find(show.id()).isEmpty()) {
            changed.add(show);
        }
        return new Book(songs, always, changed, lastAlways);
    }

    public Book withAlways(List<Cue> others) {
        return new Book(songs, others, shows, lastAlways);
    }

    /** Without a song, in all shows. */
    public Book without(SongId song) {
        return new Book(
                songs.stream().filter(s -> !s.id().equals(song)).toList(),
                always,
                shows.stream().map(show -> show.without(song)).toList(),
                lastAlways);
    }

    public Book without(ShowId show) {
        return new Book(
                songs, always, shows.stream().filter(s -> !s.id().equals(show)).toList(), lastAlways);
    }

    /**
     * With every press in songs and shows where {@code now} says that it is now; empty takes it out, and the cue that
     * was nothing else.
     */
    public Book pressedAt(Function<SwitchAt, Optional<SwitchAt>> now) {
        return new Book(
                songs.stream()
                        .map(song -> song.withCues(pressedAt(song.cues(), now)))
                        .toList(),
                pressedAt(always, now),
                shows.stream().map(show -> show.pressedAt(now)).toList(),
                lastAlways);
    }

    /** With the steps of every cue as {@code now} has them. */
    public Book withSteps(UnaryOperator<List<Step>> now) {
        return new Book(
                songs.stream()
                        .map(song -> song.withCues(withSteps(song.cues(), now)))
                        .toList(),
                withSteps(always, now),
                shows,
                lastAlways);
    }

    private static List<Cue> withSteps(List<Cue> cues, UnaryOperator<List<Step>> now) {
        return cues.stream().map(cue -> cue.withSteps(now.apply(cue.steps()))).toList();
    }

    private static List<Cue> pressedAt(List<Cue> cues, Function<SwitchAt, Optional<SwitchAt>> now) {
        return cues.stream()
                .map(cue -> cue.foot().isEmpty() ? cue : cue.withFoot(cue.foot().flatMap(now)))
                .filter(cue -> !cue.isEmpty())
                .toList();
    }

    /** Without a device: no steps on it, no press of its switches. */
    public Book without(DeviceId device) {
        return new Book(
                songs.stream()
                        .map(song -> song.uses(device) ? song.without(device) : song)
                        .toList(),
                always.stream()
                        .map(cue -> cue.without(device))
                        .filter(cue -> !cue.isEmpty())
                        .toList(),
                shows.stream().map(show -> show.without(device)).toList(),
                lastAlways);
    }

    /** Devices of a rig that can play songs and send cues, in its order. */
    public static List<DeviceId> players(Rig rig) {
        return rig.devices().stream()
                .map(Device::id)
                .filter(id -> rig.model(id).kind() == Kind.TRACK_PLAYER)
                .toList();
    }

    /** What each player sends, cue by cue; the cues of every song by every player that has a song. */
    public Map<DeviceId, List<Cue>> sentBy(Rig rig) {
        Map<DeviceId, List<Cue>> sent = new LinkedHashMap<>();
        Optional<DeviceId> first = players(rig).stream().findFirst();
        songs.forEach(song -> song.player()
                .or(() -> first)
                .ifPresent(player -> sent.computeIfAbsent(player, p -> new ArrayList<>(always))
                        .addAll(song.cues())));
        return sent;
    }

    /** All cues of all songs, those of every song first. */
    public List<Cue> cues() {
        List<Cue> all = new ArrayList<>(always);
        songs.forEach(song -> all.addAll(song.cues()));
        return all;
    }
}
