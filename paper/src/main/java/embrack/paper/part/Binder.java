package embrack.paper.part;

import embrack.core.rig.DeviceId;
import embrack.core.show.Leaf;
import embrack.core.show.Reader;
import embrack.core.show.Role;
import embrack.paper.page.Part;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Gathers the parts of a folder: each once, whoever gets it, in the order of the leaves. What was made once is kept;
 * safe for several at a time.
 */
public final class Binder {

    private final Contents contents;
    private final Map<Leaf, List<Part>> made = new EnumMap<>(Leaf.class);
    private final Map<Reader, Part> players = new HashMap<>();
    private final Map<DeviceId, Part> cards = new HashMap<>();

    public Binder(Contents contents) {
        this.contents = contents;
    }

    /** What it is made of. */
    public Contents contents() {
        return contents;
    }

    /** All that anybody gets; parts without anything in them are left out. */
    public synchronized List<Part> all() {
        return of(contents.readers());
    }

    /** All that some readers get. */
    public synchronized List<Part> of(List<Reader> readers) {
        Set<Leaf> leaves = EnumSet.noneOf(Leaf.class);
        readers.forEach(reader -> leaves.addAll(reader.leaves()));
        return leaves.stream()
                .flatMap(leaf ->
                        parts(
                                leaf,
                                readers.stream()
                                        .filter(reader -> reader.leaves().contains(leaf))
                                        .toList())
                                .stream())
                .filter(Binder::hasAnything)
                .toList();
    }

    /** One leaf, as all who might get it would; every board has its card. */
    public synchronized List<Part> of(Leaf leaf) {
        return (leaf == Leaf.CARDS
                        ? contents.plan().boards().stream()
                                .filter(board ->
                                        !contents.plan().switches().of(board).isEmpty())
                                .map(this::card)
                        : parts(leaf, contents.readers()).stream())
                .filter(Binder::hasAnything)
                .toList();
    }

    /**
     * Parts with a first page before them, which says what is not proven and what lies in the folder.
     *
     * @param changed how many lines changed, by the id of the part
     * @param since what they are compared with: "revision 51"; empty for nothing
     */
    public synchronized List<Part> covered(List<Part> parts, Map<String, Integer> changed, String since) {
        SequencedMap<Part, List<Reader>> who = new LinkedHashMap<>();
        Map<Reader, Set<String>> gets = new LinkedHashMap<>();
        contents.readers().forEach(reader -> gets.put(reader, ids(reader)));
        parts.forEach(part -> who.put(
                part,
                gets.entrySet().stream()
                        .filter(entry -> entry.getValue().contains(part.id()))
                        .map(Map.Entry::getKey)
                        .toList()));
        List<Part> all = new ArrayList<>();
        all.add(new CoverLeaf(contents).part(who, changed, since));
        all.addAll(parts);
        return all;
    }

    /**
     * What only screens show beside some parts: song by song all that happens, since on paper each reader has their
     * own; and timed messages to be pasted, for whoever gets their table.
     */
    public synchronized List<Part> onScreen(List<Part> parts) {
        boolean isTimed = parts.stream().anyMatch(part -> part.id().equals(TimedLeaf.ID));
        return Stream.concat(
                        Stream.of(new PromptLeaf(contents).part()),
                        Optional.of(new PastedLeaf(contents))
                                .filter(leaf -> isTimed)
                                .flatMap(PastedLeaf::part)
                                .stream())
                .toList();
    }

    private Set<String> ids(Reader reader) {
        return of(List.of(reader)).stream().map(Part::id).collect(Collectors.toSet());
    }

    private static boolean hasAnything(Part part) {
        return part.blocks().stream().anyMatch(block -> !block.isEmpty());
    }

    private List<Part> parts(Leaf leaf, List<Reader> readers) {
        return switch (leaf) {
            case PLAYER ->
                readers.stream()
                        .filter(reader -> reader.leaves().contains(Leaf.PLAYER))
                        .map(reader ->
                                players.computeIfAbsent(reader, player -> new PlayerLeaf(contents, player).part()))
                        .toList();
            case CARDS -> boards(readers).stream().map(this::card).toList();
            default -> made.computeIfAbsent(leaf, this::same);
        };
    }

    private Part card(DeviceId board) {
        return cards.computeIfAbsent(board, id -> new CardLeaf(contents, id).part());
    }

    /** What is the same for everybody who gets it. */
    private List<Part> same(Leaf leaf) {
        return switch (leaf) {
            case PROGRAM -> List.of(new ProgramLeaf(contents).program());
            case TIMED -> List.of(new TimedLeaf(contents).part());
            case TRY -> List.of(new ProgramLeaf(contents).tried());
            case LIGHTS -> List.of(CueLeaf.lights(contents));
            case WORDS -> List.of(CueLeaf.words(contents));
            case SOUND -> List.of(new SoundLeaf(contents).sound());
            case CONSOLE -> List.of(new SoundLeaf(contents).console());
            case DOORS -> List.of(new NightLeaf(contents).doors());
            case JOINS -> List.of(new NightLeaf(contents).joins());
            case FAILS -> List.of(new FailsLeaf(contents).part(), new FailsLeaf(contents).back());
            case CABLES -> List.of(new CablesLeaf(contents).cables(), new CablesLeaf(contents).packing());
            case PICTURE -> new PictureLeaf(contents).parts();
            case LABELS -> List.of(new CablesLeaf(contents).labels(contents.labels()));
            case ORDER -> List.of(new OrderLeaf(contents).part());
            case PLAYER, CARDS -> List.of();
        };
    }

    /** The boards of these readers; of readers who are all of them, every board with a planned switch. */
    private List<DeviceId> boards(List<Reader> readers) {
        Set<DeviceId> own = new TreeSet<>();
        readers.forEach(reader -> own.addAll(reader.boards()));
        boolean isForAll = readers.stream().anyMatch(reader -> reader.role() == Role.DIRECTOR);
        return contents.plan().boards().stream()
                .filter(board -> !contents.plan().switches().of(board).isEmpty())
                .filter(board -> own.contains(board) || isForAll && isNobodys(board))
                .toList();
    }

    private boolean isNobodys(DeviceId board) {
        return contents.readers().stream().noneMatch(reader -> reader.boards().contains(board));
    }
}
