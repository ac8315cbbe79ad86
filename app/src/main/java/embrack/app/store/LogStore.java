package embrack.app.store;

import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * What is kept of runs, drills, shows and line checks: in words as they were then, with what people noted and what is
 * to be done about it.
 */
@Service
public class LogStore {

    /** As many lines or presses go into one statement. */
    private static final int AT_ONCE = 500;

    /** As many lines of one entry are kept. */
    public static final int MOST_LINES = 20_000;

    /** As many entries a search shows. */
    private static final int MOST_ENTRIES = 500;

    private static final int MOST_FEET = 2_000;
    private static final int LONGEST_TITLE = 400;
    private static final int LONGEST_WHO = 200;

    private static final DateTimeFormatter SHOWN =
            DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH).withZone(ZoneId.systemDefault());

    private final LogMapper mapper;

    LogStore(LogMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * An entry.
     *
     * @param sort "run", "drill", "show" or "check"
     * @param run the run of it; empty for a line check
     * @param when "27 Nov 2026, 19:30"
     * @param wrongs how often something was wrong
     * @param presses how many somebody had to make; {@code rights} of them were right
     * @param todos how much is to be done about it still
     */
    public record Entry(
            long id,
            String sort,
            OptionalLong run,
            int revision,
            String who,
            String title,
            String when,
            Instant begun,
            Instant ended,
            int wrongs,
            int presses,
            int rights,
            int todos) {}

    /**
     * Something that happened.
     *
     * @param at microseconds of the show
     * @param sort what of: "wrong", "silent", "fault", "press", "missed", "mark", "note"
     * @param micros how long it was wrong
     */
    public record Line(long at, String sort, String part, String box, String words, long micros) {}

    /**
     * A press that somebody had to make.
     *
     * @param at when it was due, microseconds of the show
     * @param target which it is, as a drill writes it
     * @param millis how much late, negative when early
     * @param instead what was pressed while it waited; empty where nothing was
     * @param isBeside whether that was its neighbour
     * @param rank 1 for the hardest, 2 for the next; 0 for one that is not among them
     */
    public record Press(
            long at,
            String part,
            String target,
            String label,
            String sort,
            String grade,
            int millis,
            String instead,
            boolean isBeside,
            int rank) {}

    /**
     * What somebody wrote.
     *
     * @param at of which moment of the show, microseconds; empty for none
     * @param isTodo whether something is to be done about it
     * @param settled when it was done or let go; empty while it was not
     * @param reason why it was let go; empty where it was done
     */
    public record Note(
            long id,
            long entry,
            OptionalLong at,
            String part,
            String box,
            String words,
            String who,
            String told,
            boolean isTodo,
            Optional<String> settled,
            String settledBy,
            String reason) {

        public boolean isOpen() {
            return isTodo && settled.isEmpty();
        }
    }

    /** How often something failed, and when last. */
    public record Failed(String name, int times, long micros, String last) {}

    /** A press of somebody. */
    public record Foot(long entry, String when, String part, String label, String grade, int millis, boolean isWrong) {}

    /** Makes an entry of a run that begins. */
    @Transactional
    public void begun(RigId rig, long run, int revision, RunStore.Sort sort, String who, String title) {
        mapper.begin(rig.number(), sort.key(), run, revision, cut(who, LONGEST_WHO), cut(title, LONGEST_TITLE));
    }

    /** Writes what a run came to, in the place of what was written of it before. */
    @Transactional
    public void write(long run, String title, List<Line> lines, List<Press> presses) {
        mapper.ofRun(run).ifPresent(entry -> {
            mapper.went(entry, cut(title, LONGEST_TITLE));
            mapper.forgetPresses(entry);
            lines(entry, lines);
            for (int from = 0; from < presses.size(); from += AT_ONCE) {
                mapper.presses(
                        entry,
                        from,
                        presses.subList(from, Math.min(presses.size(), from + AT_ONCE)).stream()
                                .map(p -> new LogMapper.PressRow(
                                        p.at(),
                                        p.part(),
                                        p.target(),
                                        p.label(),
                                        p.sort(),
                                        p.grade(),
                                        p.millis(),
                                        p.instead(),
                                        p.isBeside(),
                                        p.rank()))
                                .toList());
            }
        });
    }

    /** Writes how a line check stands: into the entry of the one that goes on, or after an hour a new one. */
    @Transactional
    public void check(RigId rig, int revision, String who, String title, List<Line> lines) {
        long entry = mapper.lastCheck(rig.number(), revision)
                .orElseGet(() -> mapper.begin(
                        rig.number(), "check", null, revision, cut(who, LONGEST_WHO), cut(title, LONGEST_TITLE)));
        mapper.went(entry, cut(title, LONGEST_TITLE));
        lines(entry, lines);
    }

    private void lines(long entry, List<Line> lines) {
        mapper.forgetLines(entry);
        List<Line> most = lines.subList(0, Math.min(MOST_LINES, lines.size()));
        for (int from = 0; from < most.size(); from += AT_ONCE) {
            mapper.lines(
                    entry,
                    from,
                    most.subList(from, Math.min(most.size(), from + AT_ONCE)).stream()
                            .map(l -> new LogMapper.LineRow(l.at(), l.sort(), l.part(), l.box(), l.words(), l.micros()))
                            .toList());
        }
    }

    private static String cut(String text, int most) {
        return text.length() <= most ? text : text.substring(0, most);
    }

    /**
     * Entries, the newest first.
     *
     * @param sort of which sort; empty for all
     * @param words that stand anywhere in them; empty for all
     * @param about a part of the order or a box that they tell of; empty for all
     */
    @Transactional(readOnly = true)
    public List<Entry> find(RigId rig, String sort, String words, String about) {
        return mapper.find(rig.number(), sort, words.strip(), about, MOST_ENTRIES).stream()
                .map(LogStore::entry)
                .toList();
    }

    /** One; empty where the rig has none of that number. */
    @Transactional(readOnly = true)
    public Optional<Entry> entry(RigId rig, long entry) {
        return mapper.entry(rig.number(), entry).map(LogStore::entry);
    }

    private static Entry entry(LogMapper.EntryRow row) {
        return new Entry(
                row.id(),
                row.sort(),
                optional(row.run()),
                row.revision(),
                row.who(),
                row.title(),
                SHOWN.format(row.begun()),
                row.begun().toInstant(),
                row.ended().toInstant(),
                row.wrongs(),
                row.presses(),
                row.rights(),
                row.todos());
    }

    private static OptionalLong optional(@Nullable Long number) {
        return number == null ? OptionalLong.empty() : OptionalLong.of(number);
    }

    /** What happened in one, in order. */
    @Transactional(readOnly = true)
    public List<Line> lines(long entry) {
        return mapper.linesOf(entry).stream()
                .map(l -> new Line(l.at(), l.sort(), l.part(), l.box(), l.words(), l.micros()))
                .toList();
    }

    /** The presses of one, in order. */
    @Transactional(readOnly = true)
    public List<Press> presses(long entry) {
        return mapper.pressesOf(entry).stream()
                .map(p -> new Press(
                        p.at(),
                        p.part(),
                        p.target(),
                        p.label(),
                        p.sort(),
                        p.grade(),
                        p.millis(),
                        p.instead(),
                        p.beside(),
                        p.rank()))
                .toList();
    }

    /** What was written to one, the oldest first. */
    @Transactional(readOnly = true)
    public List<Note> notes(RigId rig, long entry) {
        return mapper.notesOf(rig.number(), entry).stream().map(LogStore::note).toList();
    }

    /** What is to be done still, the oldest first. */
    @Transactional(readOnly = true)
    public List<Note> open(RigId rig) {
        return mapper.open(rig.number()).stream().map(LogStore::note).toList();
    }

    private static Note note(LogMapper.NoteRow row) {
        return new Note(
                row.id(),
                row.entry(),
                optional(row.at()),
                row.part(),
                row.box(),
                row.words(),
                row.who(),
                SHOWN.format(row.told()),
                row.todo(),
                Optional.ofNullable(row.settled()).map(SHOWN::format),
                row.settledBy(),
                row.reason());
    }

    /** Writes something to an entry of a rig; whether that is there. */
    @Transactional
    public boolean note(
            RigId rig, long entry, OptionalLong at, String part, String box, String words, String who, boolean isTodo) {
        if (mapper.entry(rig.number(), entry).isEmpty()) {
            return false;
        }
        mapper.note(new LogMapper.NoteRow(
                0,
                entry,
                at.isPresent() ? at.getAsLong() : null,
                part,
                box,
                words,
                who,
                Instant.EPOCH.atOffset(ZoneOffset.UTC),
                isTodo,
                null,
                "",
                ""));
        return true;
    }

    /** Something is done, or let go for a reason; whether it was open. */
    @Transactional
    public boolean settle(RigId rig, long note, String who, String reason) {
        return mapper.settle(rig.number(), note, who, reason) > 0;
    }

    /** It is to be done again. */
    @Transactional
    public boolean reopen(RigId rig, long note) {
        return mapper.reopen(rig.number(), note) > 0;
    }

    /** What failed most within a year, by box or by part of the order: in shows and line checks, and what was noted. */
    @Transactional(readOnly = true)
    public List<Failed> failed(RigId rig, boolean byBox) {
        return mapper.failed(rig.number(), byBox).stream()
                .map(row -> new Failed(row.name(), row.times(), row.micros(), SHOWN.format(row.last())))
                .toList();
    }

    /** Whose feet were trained. */
    @Transactional(readOnly = true)
    public List<String> people(RigId rig) {
        return mapper.people(rig.number());
    }

    /** The presses of somebody, the newest drill first. */
    @Transactional(readOnly = true)
    public List<Foot> feet(RigId rig, String who) {
        return mapper.feet(rig.number(), who, MOST_FEET).stream()
                .map(row -> new Foot(
                        row.entry(),
                        SHOWN.format(row.begun()),
                        row.part(),
                        row.label(),
                        row.grade(),
                        row.millis(),
                        row.wrong()))
                .toList();
    }
}
