package embrack.core.chart;

import embrack.core.level.Scale;
import embrack.core.midi.Channel;
import embrack.core.midi.Message;
import embrack.core.midi.MessageType;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a box answers to: which message makes it do what. A chart is its text; rows, lessons and parts are what the text
 * says. Two charts are equal when their texts are.
 */
public final class Chart {

    /** A box that answers to nothing. */
    public static final Chart EMPTY = new Chart("", Conventions.UNSAID, List.of(), List.of(), Beside.NOTHING);

    private final String text;
    private final Conventions conventions;
    private final List<ChartRow> rows;
    private final List<Learnable> learnables;
    private final Beside beside;

    /** The chart before the box learned and its table was edited; empty when this is it. */
    private final Optional<Chart> delivered;

    private final Map<PartId, Part> parts = new LinkedHashMap<>();
    private final List<Part> partsInOrder;
    private final boolean remembers;
    private final Reduction reduction;
    private final Map<PartId, Set<Aspect>> aspects = new HashMap<>();
    private final Map<VerbAndPart, List<ChartRow>> byAction = new HashMap<>();
    private final Map<Integer, List<ChartRow>> byMessage = new HashMap<>();

    Chart(String text, Conventions conventions, List<ChartRow> rows, List<Learnable> learnables, Beside beside) {
        this(text, conventions, rows, learnables, beside, Optional.empty());
    }

    private Chart(
            String text,
            Conventions conventions,
            List<ChartRow> rows,
            List<Learnable> learnables,
            Beside beside,
            Optional<Chart> delivered) {
        this.text = text;
        this.conventions = conventions;
        this.rows = List.copyOf(rows);
        this.learnables = List.copyOf(learnables);
        this.beside = beside;
        this.delivered = delivered;
        delivered.ifPresent(chart -> parts.putAll(chart.parts));
        for (ChartRow row : rows) {
            add(row.part(), row.verb());
            byAction.computeIfAbsent(new VerbAndPart(row.verb(), row.part().id()), k -> new ArrayList<>(1))
                    .add(row);
            byMessage.computeIfAbsent(key(row.last()), k -> new ArrayList<>(2)).add(row);
        }
        learnables.forEach(learnable -> add(learnable.part(), learnable.verb()));
        partsInOrder = List.copyOf(parts.values());
        reduction = new Reduction(rows);
        remembers = rows.stream()
                .anyMatch(row -> row.triggers().size() > 1 || row.response().alternating());
    }

    private void add(Part part, Verb verb) {
        parts.putIfAbsent(part.id(), part);
        aspects.computeIfAbsent(part.id(), k -> EnumSet.noneOf(Aspect.class)).add(verb.aspect());
    }

    private record VerbAndPart(Verb verb, PartId part) {}

    /**
     * The chart that a text says.
     *
     * @throws IllegalArgumentException naming line and column of the first error
     */
    public static Chart of(String text) {
        ChartReading reading = ChartReading.of(text);
        return reading.chart()
                .orElseThrow(() ->
                        new IllegalArgumentException(reading.errors().getFirst().toString()));
    }

    /** The text, as it was typed. */
    public String text() {
        return text;
    }

    public Conventions conventions() {
        return conventions;
    }

    /** All rows, expanded, in the order of the text. */
    public List<ChartRow> rows() {
        return rows;
    }

    /** What the box learns instead of having a message for it. */
    public List<Learnable> learnables() {
        return learnables;
    }

    /** What makes the box safe, in order. */
    public List<Action> safe() {
        return beside.safe();
    }

    /** What it says beside its rows. */
    public Beside beside() {
        return beside;
    }

    /** What a part is to a show, where the chart says so. */
    public Optional<Meaning> meaning(PartId part) {
        return Optional.ofNullable(beside.meanings().get(part));
    }

    /** Whether a part is that to a show. */
    public boolean isMeant(PartId part, Meaning meaning) {
        return beside.meanings().get(part) == meaning;
    }

    /** Where a song stands in the player's list, from 1; empty for a part that is no song. */
    public OptionalInt placeOfSong(PartId part) {
        return placeOf(part, Meaning.SONG);
    }

    /** Which section of the song that plays a part is, from 1; empty for a part that is none. */
    public OptionalInt placeOfSection(PartId part) {
        return placeOf(part, Meaning.SECTION);
    }

    private OptionalInt placeOf(PartId part, Meaning meaning) {
        return isMeant(part, meaning) ? OptionalInt.of(beside.all(meaning).indexOf(part) + 1) : OptionalInt.empty();
    }

    /** What to mind before an action is tried with sound, light or people on stage, where it can hurt. */
    public Optional<String> caution(Action action) {
        return isMeant(action.part(), Meaning.BLACKOUT) && (action.verb() == Verb.ON || action.verb() == Verb.TOGGLE)
                ? Optional.of("In a blackout people fall over edges and ramps. Agree who may move when, and never black"
                        + " out emergency lighting.")
                : action.caution();
    }

    /**
     * What the box shows for an action where that is not its number: on a box with banks of patches "bank 1, patch 1",
     * of a note whose name the manual says "note C#3".
     */
    public Optional<String> shownAt(Action action) {
        return patchOf(action)
                .or(() -> conventions
                        .notes()
                        .flatMap(naming -> rowsFor(action).stream()
                                .map(ChartRow::last)
                                .filter(trigger ->
                                        trigger instanceof Trigger.Voice voice && voice.type() == MessageType.NOTE_ON)
                                .map(trigger -> "note %s, %s"
                                        .formatted(naming.name(((Trigger.Voice) trigger).number()), naming.words()))
                                .findFirst()));
    }

    /** A patch keeps its place in its bank, whatever program chooses it today. */
    private Optional<String> patchOf(Action action) {
        return conventions
                .table()
                .flatMap(table -> asDelivered().rowsFor(action).stream()
                        .map(ChartRow::last)
                        .filter(trigger ->
                                trigger instanceof Trigger.Voice voice && voice.type() == MessageType.PROGRAM_CHANGE)
                        .map(trigger -> table.words(((Trigger.Voice) trigger).number()))
                        .findFirst());
    }

    /** How the box shows the level of a part, where its chart says so. */
    public Optional<Scale> scale(PartId part) {
        return Optional.ofNullable(beside.scales().get(part));
    }

    /** What a part stands still without: of a chase, the part that makes chases run. */
    public Optional<PartId> need(PartId part) {
        return Optional.ofNullable(beside.needs().get(part));
    }

    /** All that stands still without something else, with what that is. */
    public Map<PartId, PartId> needs() {
        return beside.needs();
    }

    /**
     * The chart of a box that has learned: rows in the place of lessons. It keeps its text, which says nothing of that.
     *
     * @param learned what it has learned; what the chart has no lesson for is passed over
     */
    public Chart taught(Map<LearnableId, Learned> learned) {
        if (learned.isEmpty()) {
            return this;
        }
        List<ChartRow> more = new ArrayList<>(rows);
        List<Learnable> left = new ArrayList<>();
        learnables.forEach(learnable -> Optional.ofNullable(learned.get(learnable.id()))
                .ifPresentOrElse(message -> more.add(message.row(learnable)), () -> left.add(learnable)));
        return new Chart(text, conventions, more, left, beside, Optional.of(asDelivered()));
    }

    /** Whether what its programs choose is set at the box. */
    public boolean isTableEditable() {
        return !beside.editable().isEmpty();
    }

    /** What each program of the table that can be edited chooses, by the program as sent. */
    public SortedMap<Integer, PartId> table() {
        SortedMap<Integer, PartId> table = new TreeMap<>();
        rows.forEach(row -> programOf(row)
                .ifPresent(program -> table.putIfAbsent(program, row.part().id())));
        return table;
    }

    /** The program of a row that lies in the table that can be edited. */
    private OptionalInt programOf(ChartRow row) {
        return row.triggers().size() == 1
                        && row.verb().isExclusive()
                        && beside.editable().contains(row.part().id())
                        && row.last() instanceof Trigger.Voice voice
                        && voice.type() == MessageType.PROGRAM_CHANGE
                ? OptionalInt.of(voice.number())
                : OptionalInt.empty();
    }

    /**
     * The chart of a box whose table was edited. It keeps its text and its parts, those that no program chooses too.
     *
     * @param edits what programs choose instead, by the program as sent; any that is not in the table is passed over
     */
    public Chart edited(SortedMap<Integer, PartId> edits) {
        return edits.isEmpty()
                ? this
                : new Chart(
                        text,
                        conventions,
                        rows.stream().map(row -> edited(row, edits)).toList(),
                        learnables,
                        beside,
                        Optional.of(asDelivered()));
    }

    private Chart asDelivered() {
        return delivered.orElse(this);
    }

    private ChartRow edited(ChartRow row, SortedMap<Integer, PartId> edits) {
        OptionalInt program = programOf(row);
        return program.isEmpty()
                ? row
                : Optional.ofNullable(edits.get(program.getAsInt()))
                        .flatMap(this::part)
                        .map(part -> new ChartRow(row.verb(), part, row.triggers()))
                        .orElse(row);
    }

    /** What can be acted on, in the order of the text. */
    public List<Part> parts() {
        return partsInOrder;
    }

    public Optional<Part> part(PartId id) {
        return Optional.ofNullable(parts.get(id));
    }

    /** What can differ about a part; nothing for a part that is not here. */
    public Set<Aspect> aspects(PartId part) {
        return Collections.unmodifiableSet(aspects.getOrDefault(part, Set.of()));
    }

    /** Whether any row has more than one message. */
    public boolean remembers() {
        return remembers;
    }

    /** What a box that obeys this chart remembers when one more message has come. */
    public MessageMemory remember(MessageMemory heard, Message message) {
        return remembers ? reduction.remember(heard, message) : heard;
    }

    /** Whether the box answers to nothing. */
    public boolean isEmpty() {
        return rows.isEmpty() && learnables.isEmpty();
    }

    /** Everything that the rows can make the box do, a level by its two ends; then what it can learn to do. */
    public List<Action> actions() {
        return Stream.concat(
                        rows.stream().flatMap(row -> row.actions().stream()),
                        learnables.stream()
                                .filter(l -> !l.verb().takesAmount())
                                .map(l -> new Action(l.verb(), l.part().id())))
                .distinct()
                .toList();
    }

    /**
     * Everything that can be wanted of the box: its {@link #actions}, and before what only turns round the states that
     * it turns between. A state is meant, a toggle is sent.
     */
    public List<Action> wishes() {
        return actions().stream()
                .flatMap(action -> Stream.concat(
                        Stream.of(action.verb().settled(false), action.verb().settled(true))
                                .filter(state -> state != action.verb())
                                .map(state -> new Action(state, action.part()))
                                .filter(state -> isByToggle(state)
                                        && rowsFor(state).getFirst().verb() == action.verb()),
                        Stream.of(action)))
                .distinct()
                .toList();
    }

    /** Whether no message says a state as it is, and one turns it round. */
    public boolean isByToggle(Action state) {
        List<ChartRow> rows = rowsFor(state);
        return !rows.isEmpty()
                && rows.getFirst().verb() != state.verb()
                && lessonFor(state).isEmpty();
    }

    /**
     * The rows for an action, the one that is used first; several when the box knows several messages for it. Where
     * none says a state as it is, those that turn it round.
     */
    public List<ChartRow> rowsFor(Action action) {
        List<ChartRow> rows = byAction.getOrDefault(new VerbAndPart(action.verb(), action.part()), List.of());
        return rows.isEmpty()
                ? action.verb()
                        .alternating()
                        .filter(toggle -> toggle.aspect() == action.verb().aspect())
                        .map(toggle -> byAction.getOrDefault(new VerbAndPart(toggle, action.part()), rows))
                        .orElse(rows)
                : rows;
    }

    /** What the box learns an action as, if it learns it. */
    public Optional<Learnable> lessonFor(Action action) {
        return learnables.stream()
                .filter(l -> l.verb() == action.verb() && l.part().id().equals(action.part()))
                .findFirst();
    }

    /**
     * The messages that make the box do something.
     *
     * @param set the channel that the box is set to
     * @return in the order of sending; empty when the chart has none
     */
    public Optional<List<Message>> messagesFor(Action action, Channel set) {
        return rowsFor(action).stream()
                .flatMap(row -> row.messages(action, set).stream())
                .findFirst();
    }

    /** As {@link #messagesFor(Action, Channel)}, by the first row that can be sent, where there is one. */
    public Optional<List<Message>> messagesFor(Action action, Channel set, Set<MessageType> sends) {
        return rowsFor(action).stream()
                .filter(row -> isSendable(row, sends))
                .flatMap(row -> row.messages(action, set).stream())
                .findFirst()
                .or(() -> messagesFor(action, set));
    }

    /**
     * As {@link #messagesFor(Action, Channel, Set)}, for a switch that sends one message and no other: by the row of
     * that, where there is one.
     *
     * @param own whether the switch sends a message
     */
    public Optional<List<Message>> messagesFor(
            Action action, Channel set, Set<MessageType> sends, Predicate<Message> own) {
        return rowsFor(action).stream()
                .flatMap(row -> row.messages(action, set).stream())
                .filter(messages -> messages.size() == 1 && own.test(messages.getFirst()))
                .findFirst()
                .or(() -> messagesFor(action, set, sends));
    }

    /** Whether any row of what a lesson is about can be sent. */
    public boolean isSendable(LearnableId id, Set<MessageType> sends) {
        return byAction.getOrDefault(new VerbAndPart(id.verb(), id.part()), List.of()).stream()
                .anyMatch(row -> isSendable(row, sends));
    }

    private static boolean isSendable(ChartRow row, Set<MessageType> sends) {
        return row.triggers().stream().allMatch(trigger -> sends.contains(trigger.type()));
    }

    /** The level that a value of 0 to 127 sets, where one message sets the level of the part. */
    public Optional<Action> levelAt(PartId part, int value) {
        return byAction.getOrDefault(new VerbAndPart(Verb.LEVEL, part), List.of()).stream()
                .findFirst()
                .map(row ->
                        new Action(Verb.LEVEL, part, Optional.of(row.response().level(value))));
    }

    /**
     * What a box that obeys this chart does when a message arrives. Where rows of one and of several messages both fit,
     * the longest count: a program change behind a bank select is read by the bank.
     *
     * @param heard what came before
     * @param onItsChannel whether the message is on the channel that the box is set to, or on none
     */
    public List<Action> reactionsTo(Message message, MessageMemory heard, boolean onItsChannel) {
        List<ChartRow> candidates = byMessage.get(key(message));
        if (candidates == null) {
            return List.of();
        }
        List<ChartRow> fitting = new ArrayList<>();
        int longest = 0;
        for (ChartRow row : candidates) {
            if ((onItsChannel
                            || row.last() instanceof Trigger.Voice voice
                                    && voice.channel().isPresent())
                    && row.last().matches(message)
                    && heard.hold(row.before(), message)
                    && row.acts(message, heard)) {
                fitting.add(row);
                longest = Math.max(longest, row.triggers().size());
            }
        }
        int triggers = longest;
        return fitting.isEmpty()
                ? List.of()
                : fitting.stream()
                        .filter(row -> row.triggers().size() == triggers)
                        .map(row -> row.action(message))
                        .distinct()
                        .toList();
    }

    /**
     * What a box that obeys this chart may do when a message arrives: the actions of all rows that take it, whatever
     * came before.
     */
    public List<Action> possibleReactionsTo(Message message, boolean onItsChannel) {
        return rowsTaking(message, onItsChannel)
                .map(row -> row.action(message))
                .distinct()
                .toList();
    }

    /** What of what came before decides what a message means to a box that obeys this chart. */
    public Set<MessageMemory.Key> decidedBy(Message message, boolean onItsChannel) {
        return rowsTaking(message, onItsChannel)
                .flatMap(row -> Stream.concat(
                        MessageMemory.asked(row.before(), message),
                        row.response().alternating()
                                ? Stream.of(new MessageMemory.Turned(MessageMemory.OnChannel.of(message)))
                                : Stream.empty()))
                .collect(Collectors.toSet());
    }

    /** What a message may change of what a box that obeys this chart remembers. */
    public Set<MessageMemory.Key> changedBy(Message message) {
        return remembers ? reduction.changedBy(message) : Set.of();
    }

    private Stream<ChartRow> rowsTaking(Message message, boolean onItsChannel) {
        return byMessage.getOrDefault(key(message), List.of()).stream()
                .filter(row -> (onItsChannel
                                || row.last() instanceof Trigger.Voice voice
                                        && voice.channel().isPresent())
                        && row.last().matches(message)
                        && (row.response().alternating() || row.acts(message, MessageMemory.NOTHING)));
    }

    private static int key(Trigger trigger) {
        return switch (trigger) {
            case Trigger.Voice voice -> voice.type().ordinal() << 7 | voice.number();
            case Trigger.Whole whole -> key(whole.message());
        };
    }

    private static int key(Message message) {
        return message.type().hasChannel()
                ? message.type().ordinal() << 7 | message.data1()
                : message.hashCode() | 1 << 30;
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Chart that && text.equals(that.text);
    }

    @Override
    public int hashCode() {
        return Objects.hashCode(text);
    }

    @Override
    public String toString() {
        return "Chart of %d rows".formatted(rows.size());
    }
}
