package embrack.core.offer;

import embrack.core.gear.Ear;
import embrack.core.gear.Kind;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
import embrack.core.show.Folder;
import embrack.core.show.Reader;
import embrack.core.show.Role;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Who usually reads the folder of a show: the director, whoever has ears of their own or plays live, whoever programs
 * and carries, and whoever works what the rig has. A board is at the feet of the player whose name it bears, else at
 * those of the director.
 */
public final class UsualReaders {

    /** Words of a name that say what hangs in the ear, not whose it is. */
    private static final Set<String> NOT_A_NAME = Set.of("ears", "in-ears", "wedge", "ear", "monitor", "mix");

    private final Plan plan;
    private final Rig rig;

    private UsualReaders(Plan plan) {
        this.plan = plan;
        this.rig = plan.rig();
    }

    /** The readers that a folder names, or the usual ones where it names nobody. */
    public static List<Reader> or(Plan plan, Folder folder) {
        return folder.readers().isEmpty() ? new UsualReaders(plan).all() : folder.readers();
    }

    private List<Reader> all() {
        SortedSet<DeviceId> boards = rig.devices().stream()
                .map(Device::id)
                .filter(board -> !plan.switches().of(board).isEmpty())
                .collect(Collectors.toCollection(TreeSet::new));
        List<Reader> players = new ArrayList<>();
        for (Reader player : players()) {
            SortedSet<DeviceId> own = boards.stream()
                    .filter(board -> areAlike(rig.name(board), player.name()))
                    .collect(Collectors.toCollection(TreeSet::new));
            boards.removeAll(own);
            players.add(player.withBoards(own));
        }
        List<Reader> readers = new ArrayList<>();
        readers.add(Reader.of(new TapeLabel("Director"), Role.DIRECTOR).withBoards(boards));
        readers.addAll(players);
        readers.add(Reader.of(new TapeLabel("Programming"), Role.PROGRAMMER));
        SoundPaths paths = new SoundPaths(rig);
        if (paths.listeners().stream().anyMatch(listener -> listener.ear() == Ear.HOUSE)) {
            readers.add(Reader.of(new TapeLabel("Front of house"), Role.HOUSE));
        }
        if (paths.listeners().stream().anyMatch(UsualReaders::isOnStage)) {
            readers.add(Reader.of(new TapeLabel("Monitors"), Role.MONITORS));
        }
        if (!plan.lights().fixtures().isEmpty() || has(Kind.LIGHT_DESK)) {
            readers.add(Reader.of(new TapeLabel("Lights"), Role.LIGHTS));
        }
        if (has(Kind.PICTURES)) {
            readers.add(Reader.of(new TapeLabel("Words and pictures"), Role.WORDS));
        }
        readers.add(Reader.of(new TapeLabel("Van"), Role.CARRIER));
        return readers.stream().limit(Folder.MAX_READERS).toList();
    }

    /** Those who have something in their ears, then those who are said to play live. */
    private List<Reader> players() {
        List<Reader> players = new ArrayList<>();
        new SoundPaths(rig)
                .listeners().stream()
                        .filter(UsualReaders::isOnStage)
                        .forEach(listener -> listener.device()
                                .ifPresent(device -> add(players, whose(device), Optional.of(device))));
        Stream.concat(
                        plan.book().tonight().stream().flatMap(show -> show.present().stream()),
                        plan.book().songs().stream()
                                .flatMap(song -> song.stems().stream())
                                .flatMap(stem -> stem.player().stream()))
                .filter(part -> players.stream().noneMatch(player -> areAlike(part, player.name())))
                .distinct()
                .toList()
                .forEach(part -> add(players, part, Optional.empty()));
        return players;
    }

    private static void add(List<Reader> players, TapeLabel name, Optional<DeviceId> ears) {
        if (players.stream().noneMatch(player -> player.name().sameAs(name))) {
            players.add(Reader.of(name, Role.PLAYER).withEars(ears));
        }
    }

    private static boolean isOnStage(Listener listener) {
        return listener.ear() == Ear.IN_EARS || listener.ear() == Ear.WEDGE;
    }

    /** Whose ears they are: "Fiddle" of "Fiddle ears"; the whole name where nothing else stands in it. */
    private TapeLabel whose(DeviceId ears) {
        String name = Arrays.stream(rig.name(ears).text().split(" "))
                .filter(word -> !NOT_A_NAME.contains(word.toLowerCase(Locale.ROOT)))
                .collect(Collectors.joining(" "));
        return name.isEmpty() ? rig.name(ears) : new TapeLabel(name);
    }

    /** Whether two names share a word, singular or plural. */
    private static boolean areAlike(TapeLabel one, TapeLabel other) {
        Set<String> words = words(one);
        return words(other).stream().anyMatch(words::contains);
    }

    private static Set<String> words(TapeLabel name) {
        return Arrays.stream(name.text().toLowerCase(Locale.ROOT).split(" "))
                .filter(word -> !word.equals("board"))
                .map(word -> word.endsWith("s") ? word.substring(0, word.length() - 1) : word)
                .collect(Collectors.toSet());
    }

    private boolean has(Kind kind) {
        return rig.devices().stream().anyMatch(device -> rig.model(device.id()).kind() == kind);
    }
}
