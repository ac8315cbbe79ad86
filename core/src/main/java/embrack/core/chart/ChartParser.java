package embrack.core.chart;

import embrack.core.chart.ChartReading.LinedRow;
import embrack.core.level.Scale;
import embrack.core.midi.MessageType;
import embrack.core.midi.NoteNaming;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.ProgramTable;
import embrack.core.name.Words;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import embrack.core.text.Problem;
import embrack.core.text.Prose;
import embrack.core.text.Span;
import embrack.core.text.Spelling;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.SequencedMap;
import java.util.SequencedSet;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;

/** Reads the text of a chart line by line. The language is described in docs/formats.md. */
final class ChartParser {

    private static final List<String> TYPES = List.of("note", "cc", "pc");

    private final String text;
    private final List<LinedRow> rows = new ArrayList<>();
    private final List<Learnable> learnables = new ArrayList<>();
    private final List<Action> safe = new ArrayList<>();
    private final Map<PartId, PartId> needs = new LinkedHashMap<>();
    private final SequencedMap<PartId, Meaning> meanings = new LinkedHashMap<>();
    private final SequencedMap<PartId, Scale> scales = new LinkedHashMap<>();
    private final SequencedSet<PartId> editable = new LinkedHashSet<>();
    private final StandingReader standing = new StandingReader(this::known, this::isKnown);
    private final List<Problem> problems = new ArrayList<>();
    private final Map<PartId, Part> parts = new HashMap<>();
    private Conventions conventions = Conventions.UNSAID;
    private Optional<Verb> lastVerb = Optional.empty();
    private int line;

    ChartParser(String text) {
        this.text = text;
    }

    ChartReading read() {
        if (text.length() > ChartReading.MAX_LENGTH) {
            problems.add(new Problem(
                    Problem.Level.ERROR,
                    1,
                    1,
                    1,
                    "This text has %d characters; a chart has at most %d."
                            .formatted(text.length(), ChartReading.MAX_LENGTH)));
        } else {
            text.lines().forEach(this::readLine);
        }
        Beside beside = new Beside(safe, needs, meanings, scales, editable, standing.standing());
        Optional<Chart> chart = problems.isEmpty()
                ? Optional.of(new Chart(
                        text, conventions, rows.stream().map(LinedRow::row).toList(), learnables, beside))
                : Optional.empty();
        problems.addAll(new ChartJudge(conventions, rows, learnables, beside).problems());
        return new ChartReading(text, conventions, rows, learnables, beside, chart, problems);
    }

    private void readLine(String content) {
        line++;
        Cursor cursor = Cursor.of(content);
        try {
            Prose.requireLine(content);
            if (!cursor.isAtEnd()) {
                readLine(cursor);
            }
        } catch (Fault fault) {
            problems.add(fault.inLine(line));
        }
    }

    private void readLine(Cursor cursor) {
        if (cursor.accept("programs from")) {
            int first = choice(cursor, "This says \"programs from 0\" or \"programs from 1\".", "0", "1");
            conventions = new Conventions(
                    Optional.of(ProgramCounting.values()[first]), conventions.notes(), conventions.table());
        } else if (cursor.accept("middle c is")) {
            int octave = choice(
                    cursor,
                    "This says \"middle C is C3\", \"middle C is C4\" or \"middle C is C5\".",
                    "c3",
                    "c4",
                    "c5");
            conventions = new Conventions(
                    conventions.programs(), Optional.of(NoteNaming.values()[octave]), conventions.table());
        } else if (cursor.accept("banks of")) {
            conventions = new Conventions(conventions.programs(), conventions.notes(), Optional.of(table(cursor)));
        } else if (cursor.accept("safe")) {
            readSafe(cursor);
        } else if (cursor.accept("needs")) {
            readNeed(cursor);
        } else if (cursor.accept("means")) {
            readMeaning(cursor);
        } else if (cursor.accept("shows")) {
            readScale(cursor);
        } else if (cursor.accept("table can be edited")) {
            readEditable(cursor);
        } else if (!standing.accepts(cursor)) {
            boolean except = cursor.accept("except");
            readRule(cursor, except);
        }
    }

    private static ProgramTable table(Cursor cursor) {
        String number = cursor.peek();
        if (!number.matches("\\d{1,3}") || Integer.parseInt(number) < 1 || Integer.parseInt(number) > 128) {
            throw cursor.fault("This says how many patches a bank has, 1 to 128: banks of 8");
        }
        cursor.token();
        if (cursor.isAtEnd()) {
            return new ProgramTable(Integer.parseInt(number));
        }
        if (!cursor.accept(",") || !cursor.accept("first")) {
            throw cursor.fault("Behind it may stand what the box calls the first patch: banks of 8, first 1-1");
        }
        Fault notCalledSo = cursor.fault("A bank and a patch, each 0, 1 or A: 1-1, A1, 01, 0-A.");
        String first = cursor.rest().toUpperCase(Locale.ROOT);
        cursor.step(cursor.rest().length());
        try {
            return new ProgramTable(Integer.parseInt(number), Optional.of(first));
        } catch (IllegalArgumentException e) {
            throw notCalledSo;
        }
    }

    private static int choice(Cursor cursor, String words, String... choices) {
        for (int i = 0; i < choices.length; i++) {
            if (cursor.accept(choices[i]) && cursor.isAtEnd()) {
                return i;
            }
        }
        throw cursor.fault(words);
    }

    private void readRule(Cursor cursor, boolean except) {
        int colon = cursor.find(':');
        Optional<Verb> said = verb(cursor);
        if (said.isEmpty() && !(except && lastVerb.isPresent())) {
            throw cursor.fault(unknownVerb(cursor.peek()));
        }
        if (colon < 0) {
            throw new Fault(
                    cursor.column(),
                    Math.max(1, cursor.rest().length()),
                    "A colon is missing between what is done and the message: mute Input 1..16: cc 40..55 = 127");
        }
        Verb verb = said.orElseGet(lastVerb::orElseThrow);
        Span<Part> names = NameReader.read(cursor.until(colon));
        names.each().forEach(part -> requireOneName(part, names));
        if (except) {
            forget(verb, names);
        }
        if (!(except && cursor.accept("nothing"))) {
            readAnswer(cursor, verb, names, except);
        }
        if (!cursor.isAtEnd()) {
            throw new Fault(
                    cursor.column(),
                    cursor.rest().length(),
                    "\"%s\" is not understood here. Two messages have + between them; a remark begins with #."
                            .formatted(cursor.rest()));
        }
        lastVerb = Optional.of(verb);
    }

    private void readAnswer(Cursor cursor, Verb verb, Span<Part> names, boolean except) {
        if (cursor.accept("learns")) {
            readLesson(cursor, verb, names);
            return;
        }
        List<Span<Trigger>> messages = new MessageReader(cursor, conventions, verb.takesAmount()).messages();
        cursor.accept(",");
        int column = cursor.column();
        Verb meant = cursor.accept("alternating")
                ? verb.alternating()
                        .orElseThrow(() -> new Fault(
                                column,
                                "alternating".length(),
                                "\"%s\" cannot alternate; mute, on, run and play can.".formatted(verb.phrase())))
                : verb;
        if (messages.size() > MessageMemory.MOST) {
            throw messages.get(MessageMemory.MOST)
                    .fault("One action takes at most %d messages.".formatted(MessageMemory.MOST));
        }
        requireSameLength(names, messages);
        requireRoom(names);
        for (int i = 0; i < names.size(); i++) {
            int place = i;
            List<Trigger> triggers =
                    messages.stream().map(message -> message.at(place)).toList();
            if (meant.takesAmount()
                    && !(triggers.getLast() instanceof Trigger.Voice voice
                            && voice.type() != MessageType.PROGRAM_CHANGE)) {
                throw messages.getLast().fault("A level travels as the value of a cc or a note.");
            }
            rows.add(new LinedRow(line, new ChartRow(meant, names.at(i), triggers)));
        }
    }

    private void readLesson(Cursor cursor, Verb verb, Span<Part> names) {
        SortedSet<MessageType> types = new TreeSet<>();
        boolean refusesZero = false;
        do {
            int type = -1;
            for (int i = 0; i < TYPES.size(); i++) {
                type = cursor.accept(TYPES.get(i)) ? i : type;
            }
            if (type >= 0) {
                types.add(List.of(MessageType.NOTE_ON, MessageType.CONTROL_CHANGE, MessageType.PROGRAM_CHANGE)
                        .get(type));
            } else if (!types.isEmpty() && cursor.accept("not value 0")) {
                refusesZero = true;
            } else {
                throw cursor.fault("What it learns from is missing: note, cc, pc; at the end perhaps \"not value 0\".");
            }
        } while (cursor.accept(","));
        requireRoom(names);
        for (Part part : names.each()) {
            learnables.add(new Learnable(verb, part, types, refusesZero));
        }
    }

    private void readSafe(Cursor cursor) {
        if (!cursor.accept(":")) {
            throw cursor.fault("A colon is missing: safe: stop all Tracks; open Main");
        }
        int column = cursor.column();
        List<Action> actions = ActionReader.list(cursor, this::isKnown);
        for (Action action : actions) {
            if (action.verb().turnsRound()) {
                throw new Fault(
                        column,
                        action.verb().phrase().length(),
                        "\"%s\" makes nothing safe: it undoes what is safe already. Name a state: stop, off, open."
                                .formatted(action.verb().phrase()));
            }
        }
        safe.addAll(actions);
    }

    /** The parts that are named at a cursor, all of which lines above are about. */
    private List<Part> known(Cursor cursor) {
        Span<Part> names = NameReader.read(cursor);
        requireKnown(names, names);
        return names.each();
    }

    /**
     * {@code needs Auto run: Chase 1..6}: what stands right of the colon stands still without what stands left of it.
     */
    private void readNeed(Cursor cursor) {
        int colon = cursor.find(':');
        if (colon < 0) {
            throw cursor.fault("A colon is missing: needs Auto run: Chase 1..6");
        }
        Span<Part> needed = NameReader.read(cursor.until(colon));
        if (needed.size() != 1) {
            throw needed.fault("One part is needed by others; these are %d.".formatted(needed.size()));
        }
        Span<Part> dependent = NameReader.read(cursor);
        requireKnown(needed, dependent);
        requireKnown(dependent, dependent);
        dependent.each().forEach(part -> needs.put(part.id(), needed.at(0).id()));
    }

    /** {@code means blackout: Blackout}: what parts are to a show. */
    private void readMeaning(Cursor cursor) {
        Meaning meaning = Stream.of(Meaning.values())
                .filter(each -> cursor.accept(each.words()))
                .findFirst()
                .orElseThrow(() -> cursor.fault("What are they to a show? One of: %s."
                        .formatted(Words.list(
                                Stream.of(Meaning.values()).map(Meaning::words).toList()))));
        if (!cursor.accept(":")) {
            throw cursor.fault("A colon is missing: means blackout: Blackout");
        }
        Span<Part> names = NameReader.read(cursor);
        requireKnown(names, names);
        for (Part part : names.each()) {
            Meaning other = meanings.putIfAbsent(part.id(), meaning);
            if (other != null) {
                throw names.fault("%s means \"%s\" already.".formatted(part.name(), other.words()));
            }
        }
    }

    private void readScale(Cursor cursor) {
        int colon = cursor.find(':');
        if (colon < 0) {
            throw cursor.fault("A colon is missing: shows Main: -inf to +6 dB");
        }
        Span<Part> names = NameReader.read(cursor.until(colon));
        requireKnown(names, names);
        Fault noScale = cursor.fault("How does the box show it? 0 to 200, 0 to 100 %, -inf to +6 dB.");
        Scale scale;
        try {
            scale = Scale.parse(cursor.rest());
        } catch (IllegalArgumentException e) {
            throw noScale;
        }
        cursor.step(cursor.rest().length());
        for (Part part : names.each()) {
            if (scales.putIfAbsent(part.id(), scale) != null) {
                throw names.fault("A line above says already how %s is shown.".formatted(part.name()));
            }
        }
    }

    /** {@code table can be edited: Patch 1..128}: what each of its programs chooses is set at the box. */
    private void readEditable(Cursor cursor) {
        if (!cursor.accept(":")) {
            throw cursor.fault("A colon is missing: table can be edited: Patch 1..128");
        }
        Span<Part> names = NameReader.read(cursor);
        requireKnown(names, names);
        for (Part part : names.each()) {
            if (rows.stream()
                    .noneMatch(r -> r.row().part().id().equals(part.id())
                            && r.row().verb().isExclusive())) {
                throw names.fault("No line above chooses %s: select %1$s: pc 1".formatted(part.name()));
            }
            editable.add(part.id());
        }
    }

    /** Refuses, at that place, names of which no line above tells. */
    private void requireKnown(Span<Part> names, Span<Part> place) {
        names.each().stream()
                .filter(part -> !parts.containsKey(part.id()))
                .findFirst()
                .ifPresent(part -> {
                    throw place.fault("No line above is about %s.".formatted(part.name()));
                });
    }

    private boolean isKnown(Verb verb, PartId part) {
        return rows.stream()
                        .anyMatch(r ->
                                r.row().verb() == verb && r.row().part().id().equals(part))
                || learnables.stream()
                        .anyMatch(l -> l.verb() == verb && l.part().id().equals(part));
    }

    private void forget(Verb verb, Span<Part> names) {
        for (Part part : names.each()) {
            if (!rows.removeIf(
                    r -> r.row().verb() == verb && r.row().part().id().equals(part.id()))) {
                throw names.fault("No line above has \"%s %s\", so there is nothing to except."
                        .formatted(verb.phrase(), part.name()));
            }
        }
    }

    private void requireOneName(Part part, Span<Part> names) {
        Part known = parts.putIfAbsent(part.id(), part);
        if (known != null && !known.name().equals(part.name())) {
            throw names.fault("%s and %s could not be told apart. Write one name for one part."
                    .formatted(known.name(), part.name()));
        }
    }

    private void requireRoom(Span<Part> names) {
        if (rows.size() + learnables.size() + names.size() > ChartReading.MAX_ROWS) {
            throw names.fault("This is more than the %d rows that a chart can have.".formatted(ChartReading.MAX_ROWS));
        }
    }

    private static void requireSameLength(Span<Part> names, List<Span<Trigger>> messages) {
        for (Span<Trigger> message : messages) {
            if (message.size() != 1 && message.size() != names.size()) {
                throw message.fault("%s, but %s: \"%s\" and \"%s\" must be of the same length."
                        .formatted(
                                Words.count(names.size(), "part"),
                                Words.count(message.size(), "number"),
                                names.written(),
                                message.written()));
            }
        }
        if (names.size() > 1 && messages.stream().allMatch(message -> message.size() == 1)) {
            throw messages.getFirst()
                    .fault("%d parts share one message. Give each its own number, such as %s..%s."
                            .formatted(names.size(), messages.getFirst().written(), "\u2026"));
        }
    }

    private static Optional<Verb> verb(Cursor cursor) {
        for (Verb verb : Verb.LONGEST_FIRST) {
            if (cursor.accept(verb.phrase())) {
                return Optional.of(verb);
            }
        }
        return Optional.empty();
    }

    static String unknownVerb(String word) {
        Optional<Verb> near = Verb.LONGEST_FIRST.stream()
                .filter(verb -> Spelling.isNear(word, verb.phrase()))
                .findFirst();
        return near.map(verb -> "\"%s\" is no verb of a chart. Did you mean \"%s\"?".formatted(word, verb.phrase()))
                .orElseGet(() -> "\"%s\" is no verb of a chart. A line begins with one of: %s."
                        .formatted(
                                word,
                                String.join(
                                        ", ",
                                        Arrays.stream(Verb.values())
                                                .map(Verb::phrase)
                                                .toList())));
    }
}
