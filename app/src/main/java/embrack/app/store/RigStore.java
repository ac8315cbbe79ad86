package embrack.app.store;

import embrack.app.store.crew.AccountId;
import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.DoorsMoved;
import embrack.core.edit.Edit;
import embrack.core.edit.PastEdit;
import embrack.core.edit.Refused;
import embrack.core.gear.ModelId;
import embrack.core.name.Words;
import embrack.core.past.Collision;
import embrack.core.past.Thing;
import embrack.core.plan.Plan;
import embrack.core.word.Language;
import embrack.core.word.Wording;
import embrack.files.songs.OrderFiles;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Rigs and their history. Every change is an intent applied to the newest revision. Edits of one rig follow one
 * another; what takes time (applying, writing, reading back) is done before the database is asked to hold anything, and
 * a row is only added if the revision that it follows is still the newest.
 */
@Service
public class RigStore {

    private static final Logger LOG = LoggerFactory.getLogger(RigStore.class);

    /** Changes are listed in English, whoever made them, so that the list is one. */
    private static final Wording SUMMARY = Wording.without(Language.ENGLISH);

    /** As often as an edit is made anew because another server was faster. */
    private static final int MOST_TRIES = 20;

    /** As many rigs has one crew. */
    private static final int MOST_OF_A_CREW = 2_000;

    private static final int LONGEST_NAME = 80;
    private static final int MOST_TOLD = 3;
    private static final int MOST_LOOKED_AT = 200;
    private static final int MOST_OFFERED = 5;

    private final RigMapper mapper;
    private final Archive archive;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;
    private final Map<RigId, ReentrantLock> turns = new ConcurrentHashMap<>();

    RigStore(RigMapper mapper, Archive archive, TransactionTemplate transaction, ApplicationEventPublisher events) {
        this.mapper = mapper;
        this.archive = archive;
        this.transaction = transaction;
        this.events = events;
    }

    /** A row that is ready to be added. */
    private record Draft(RigId rig, Revision row, Plan plan, byte[] text, Archive.Body body, Optional<String> once) {}

    /** Another server added a row in between. */
    private static final class Overtaken extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Overtaken(RigId rig) {
            super("rig %s was changed by another server".formatted(rig), null, false, false);
        }
    }

    /** All rigs that are not deleted, last changed first. */
    public List<RigEntry> list() {
        return entries(mapper.list());
    }

    /** The rigs that somebody sees, last changed first. */
    public List<RigEntry> visibleTo(AccountId account) {
        return entries(mapper.visibleTo(account.number()));
    }

    private static List<RigEntry> entries(List<RigMapper.Listed> rows) {
        return rows.stream()
                .map(r -> new RigEntry(new RigId(r.id()), new CrewId(r.crew()), r.name(), r.boxes(), r.changed()))
                .toList();
    }

    /** The rigs of a crew, last changed first. */
    public List<RigEntry> ofCrew(CrewId crew) {
        return entries(mapper.ofCrew(crew.number()));
    }

    /** Whose a rig is, also when it is deleted; empty when there never was such a rig. */
    public Optional<CrewId> crew(RigId id) {
        return mapper.crew(id.number()).map(CrewId::new);
    }

    /**
     * Whose a rig is.
     *
     * @throws NoSuchRig when there never was such a rig
     */
    public CrewId ownerOf(RigId id) {
        return crew(id).orElseThrow(() -> new NoSuchRig(id));
    }

    /** Whether a guest of its crew sees a rig. */
    public boolean isShared(RigId id, AccountId guest) {
        return mapper.isShared(id.number(), guest.number());
    }

    /**
     * Says which rigs of a crew a guest sees; others of the crew they see no more.
     *
     * @param rigs those of another crew are passed over
     */
    public void share(CrewId crew, AccountId guest, Collection<RigId> rigs) {
        transaction.executeWithoutResult(status -> ofCrew(crew).forEach(rig -> {
            if (rigs.contains(rig.id())) {
                mapper.share(rig.id().number(), guest.number());
            } else {
                mapper.unshare(rig.id().number(), guest.number());
            }
        }));
        events.publishEvent(new DoorsMoved());
    }

    /** Whether any rig was ever made here, deleted or not. */
    public boolean isUnused() {
        return mapper.countEver() == 0;
    }

    /** Keeps a new rig of the first crew, made by nobody in particular. */
    public RigId create(Plan plan, String summary) {
        return create(CrewId.FIRST, Hand.ANY, plan, summary);
    }

    /**
     * Keeps a new rig.
     *
     * @param crew whose it is
     * @param summary where it comes from, in words
     * @throws Refused when the plan would not be read back as it is, or the crew has as many as it may
     */
    public RigId create(CrewId crew, Hand hand, Plan plan, String summary) {
        if (mapper.countOf(crew.number()) >= MOST_OF_A_CREW) {
            throw new Refused("name", Because.of("no.rigs").with("most", MOST_OF_A_CREW));
        }
        byte[] text = written(plan);
        Revision first = Revision.first(hand.author(), summary);
        Archive.Body body = Archive.whole(first.n(), text);
        RigId made = transaction.execute(status -> {
            RigId id = new RigId(mapper.create(crew.number(), plan.rig().name().text()));
            add(new Draft(id, first, plan, text, body, Optional.empty()));
            return id;
        });
        archive.remember(Objects.requireNonNull(made), body, plan, text);
        return made;
    }

    /**
     * The newest revision.
     *
     * @throws NoSuchRig when there is none
     * @throws UnreadableRevision when it cannot be read
     */
    public StoredRig load(RigId id) {
        Revision newest = newest(id);
        Optional<String> redo = optional(newest.redoTo())
                .flatMap(n -> mapper.revision(id.number(), n))
                .map(Revision::summary);
        return new StoredRig(
                id,
                newest.n(),
                archive.plan(id, newest.n()),
                optional(newest.undoTo()).map(n -> newest.summary()),
                redo);
    }

    /** The plan that a hand saw; the newest when it is not known what it saw. */
    public Plan seenBy(RigId id, Hand hand) {
        int newest = newest(id).n();
        return archive.plan(id, hand.seen().filter(n -> n >= 1 && n <= newest).orElse(newest));
    }

    /** The plan of an earlier revision; the newest for one that there is not. */
    public Plan at(RigId id, int revision) {
        int newest = newest(id).n();
        return archive.plan(id, revision >= 1 && revision <= newest ? revision : newest);
    }

    /** A rig as it was at a revision, with nothing to undo or redo; as it is for one that there is not. */
    public StoredRig loadAt(RigId id, int revision) {
        return new StoredRig(id, revision, at(id, revision), Optional.empty(), Optional.empty());
    }

    /** Whether there is such a rig. */
    public boolean isThere(RigId id) {
        return mapper.newest(id.number()).isPresent();
    }

    /** The number of the newest revision. */
    public int newestRevision(RigId id) {
        return newest(id).n();
    }

    /**
     * Which edition of a rig its newest revision is; its number on this machine and when it was made tell it from those
     * of other machines.
     *
     * @throws NoSuchRig when there is no such rig
     */
    public OrderFiles.Edition edition(RigId id) {
        int revision = newestRevision(id);
        RigMapper.Times times = mapper.times(id.number(), revision);
        return new OrderFiles.Edition(
                "rig-%s-%s".formatted(id, Long.toString(times.made().toEpochSecond(), Character.MAX_RADIX)),
                revision,
                times.changed().toInstant());
    }

    /**
     * Makes an edit; one that changes nothing leaves no trace, one that was sent before is not made again.
     *
     * @throws Refused when it cannot be made; if the page was older than the rig, with what came since
     * @throws NoSuchRig when there is no such rig
     */
    public Edited edit(RigId id, Hand hand, Edit edit) {
        return Objects.requireNonNull(
                editAll(new TreeMap<>(Map.of(id, edit)), hand, () -> {}).get(id));
    }

    /**
     * Makes an edit of each of several rigs, all or none.
     *
     * @param alongside done in the same transaction
     */
    SortedMap<RigId, Edited> editAll(SortedMap<RigId, Edit> edits, Hand hand, Runnable alongside) {
        return inTurn(edits.keySet().stream().toList(), () -> {
            SortedMap<RigId, Edited> done = new TreeMap<>();
            List<Draft> drafts = new ArrayList<>();
            edits.forEach((id, edit) -> {
                Optional<Integer> sent = hand.once().flatMap(mark -> mapper.sent(id.number(), mark));
                Revision newest = newest(id);
                Optional<Draft> draft = sent.isPresent() ? Optional.empty() : draft(id, newest, hand, edit);
                int n = sent.orElse(draft.map(d -> d.row().n()).orElse(newest.n()));
                done.put(id, new Edited(n, draft.map(Draft::plan).orElseGet(() -> archive.plan(id, n))));
                draft.ifPresent(drafts::add);
            });
            write(drafts, alongside);
            return done;
        });
    }

    private Optional<Draft> draft(RigId id, Revision newest, Hand hand, Edit edit) {
        Plan before = archive.plan(id, newest.n());
        Plan after;
        try {
            after = edit.apply(before);
        } catch (Refused refused) {
            String since = since(id, hand, newest);
            throw since.isEmpty()
                    ? refused
                    : new Refused(
                            refused.field(),
                            Because.of("no.meanwhile")
                                    .with("why", refused.phrase())
                                    .with("since", since));
        }
        if (after.equals(before)) {
            return Optional.empty();
        }
        decided(id, hand, newest, edit, before);
        return Optional.of(draft(
                id,
                newest.edited(hand.author(), SUMMARY.say(edit.summary(before)), Intent.of(edit)),
                after,
                written(after),
                hand.once()));
    }

    /**
     * Nobody writes over what somebody else wrote in the same place without having seen it.
     *
     * @throws Refused when the hand saw an older revision, and another changed the same since then
     */
    private void decided(RigId id, Hand hand, Revision newest, Edit edit, Plan now) {
        int seen = hand.seen().orElse(newest.n());
        if (seen < 1 || seen >= newest.n() || !mapper.isByOthers(id.number(), seen, hand.author())) {
            return;
        }
        Plan then = archive.plan(id, seen);
        List<Thing> same;
        try {
            same = Collision.between(then, edit.apply(then), now);
        } catch (Refused refused) {
            return; // What it is about came since then, so that it was seen.
        }
        if (!same.isEmpty()) {
            throw new Refused("", Because.of("no.collision").with("since", since(id, hand, newest)));
        }
    }

    private Draft draft(RigId id, Revision row, Plan plan, byte[] text, Optional<String> once) {
        return new Draft(id, row, plan, text, archive.following(id, row.n() - 1, text), once);
    }

    /**
     * Takes the last edit back that the hand made, if there is one. If it is the last of all, the rig is as it was
     * before it; if others followed, what it changed is, as far as nothing later stands on it.
     *
     * @return what was taken back, in words; empty when there was nothing
     * @throws Refused when the hand saw an older revision, with what came since; or when something stands on it
     */
    public Optional<String> undo(RigId id, Hand hand) {
        Revision top = top(id, newest(id));
        return hand.isOwn(top.author()) && top.takesBack().isEmpty() ? undoLast(id, hand) : takeBack(id, hand);
    }

    /** The row whose edit is the last that was made and not undone, as of a row. */
    private Revision top(RigId id, Revision row) {
        Optional<Integer> restored = row.again("undo")
                .flatMap(n -> mapper.revision(id.number(), n))
                .flatMap(undone -> optional(undone.undoTo()))
                .or(() -> row.again("redo"));
        return restored.flatMap(n -> mapper.revision(id.number(), n))
                .map(earlier -> top(id, earlier))
                .orElse(row);
    }

    private Optional<String> takeBack(RigId id, Hand hand) {
        return inTurn(List.of(id), () -> {
            Revision newest = newest(id);
            if (hand.once().flatMap(mark -> mapper.sent(id.number(), mark)).isPresent()) {
                return Optional.of(newest.summary());
            }
            Optional<Revision> mine = lastOf(hand, id, newest);
            mine.ifPresent(row -> {
                Plan before = archive.plan(id, newest.n());
                Plan after = new PastEdit.TakeBack(
                                archive.plan(id, row.n() - 1), archive.plan(id, row.n()), row.summary())
                        .apply(before);
                write(
                        List.of(draft(id, newest.takenBack(hand.author(), row), after, written(after), hand.once())),
                        () -> {});
            });
            return mine.map(Revision::summary);
        });
    }

    /** The last edit of a hand that is neither undone nor taken back. */
    private Optional<Revision> lastOf(Hand hand, RigId id, Revision newest) {
        Set<Integer> takenBack = new HashSet<>();
        Optional<Revision> row = Optional.of(top(id, newest));
        for (int i = 0; i < MOST_LOOKED_AT && row.isPresent(); i++) {
            Revision edit = row.get();
            edit.takesBack().ifPresent(takenBack::add);
            boolean isMine = hand.isOwn(edit.author()) && edit.takesBack().isEmpty() && edit.n() > 1;
            if (isMine && !takenBack.contains(edit.n())) {
                return row;
            }
            row = optional(edit.undoTo())
                    .flatMap(n -> mapper.revision(id.number(), n))
                    .map(below -> top(id, below));
        }
        return Optional.empty();
    }

    private Optional<String> undoLast(RigId id, Hand hand) {
        return append(
                        id,
                        hand,
                        "undo",
                        "taken back",
                        newest -> optional(newest.undoTo())
                                .flatMap(n -> mapper.revision(id.number(), n))
                                .map(earlier -> again(id, hand, newest.undone(hand.author(), earlier), earlier.n())))
                .flatMap(row -> mapper.revision(id.number(), row.n() - 1))
                .map(Revision::summary);
    }

    /**
     * Makes the last undone edit again, if there is one and it is the hand's own.
     *
     * @return what was made again, in words; empty when there was nothing
     * @throws Refused when the hand saw an older revision, with what came since
     */
    public Optional<String> redo(RigId id, Hand hand) {
        boolean isOthers = optional(newest(id).redoTo())
                .flatMap(n -> mapper.revision(id.number(), n))
                .filter(row -> !hand.isOwn(top(id, row).author()))
                .isPresent();
        return isOthers ? Optional.empty() : redoLast(id, hand);
    }

    private Optional<String> redoLast(RigId id, Hand hand) {
        return append(
                        id,
                        hand,
                        "redo",
                        "made again",
                        newest -> optional(newest.redoTo())
                                .flatMap(n -> mapper.revision(id.number(), n))
                                .map(later -> again(id, hand, newest.redone(hand.author(), later), later.n())))
                .map(Revision::summary);
    }

    /** Makes an earlier revision the newest, whatever came since. */
    public void bringBack(RigId id, Hand hand, int n) {
        append(
                id,
                hand,
                "revision",
                "brought back",
                newest -> Optional.of(mapper.revision(id.number(), n)
                                .orElseThrow(() -> new Refused(
                                        "revision", Because.of("no.no-revision").with("n", n))))
                        .map(earlier -> again(id, hand, newest.broughtBack(hand.author(), earlier), n)));
    }

    private Draft again(RigId id, Hand hand, Revision row, int n) {
        return draft(id, row, archive.plan(id, n), archive.text(id, n), hand.once());
    }

    private Optional<Revision> append(
            RigId id, Hand hand, String field, String done, Function<Revision, Optional<Draft>> next) {
        return inTurn(List.of(id), () -> {
            Revision newest = newest(id);
            Optional<Revision> sent = hand.once()
                    .flatMap(mark -> mapper.sent(id.number(), mark))
                    .flatMap(n -> mapper.revision(id.number(), n));
            if (sent.isPresent()) {
                return sent;
            }
            String since = since(id, hand, newest);
            if (!since.isEmpty()) {
                throw new Refused(
                        field, Because.of("no.older-page").with("done", done).with("since", since));
            }
            Optional<Draft> draft = next.apply(newest);
            write(draft.stream().toList(), () -> {});
            return draft.map(Draft::row);
        });
    }

    /** What came after the revision that a hand saw, in words; empty when nothing did. */
    private String since(RigId id, Hand hand, Revision newest) {
        int seen = hand.seen().orElse(newest.n());
        if (seen >= newest.n()) {
            return "";
        }
        List<String> last = mapper.back(id.number(), newest.n(), MOST_TOLD).stream()
                .filter(row -> row.n() > seen)
                .map(row -> row.author().equals(hand.author())
                        ? told(id, row)
                        : "%s by %s".formatted(told(id, row), row.author()))
                .toList();
        int more = newest.n() - seen - last.size();
        return Words.list(
                more <= 0
                        ? last
                        : Stream.concat(last.stream(), Stream.of("%d more".formatted(more)))
                                .toList());
    }

    private String told(RigId id, Revision row) {
        String what = optional(row.redoTo())
                .flatMap(n -> mapper.revision(id.number(), n))
                .map(Revision::summary)
                .filter(s -> row.intent().startsWith("undo "))
                .orElse(row.summary());
        return row.intent().startsWith("undo ")
                ? "undo of \"%s\"".formatted(what)
                : row.intent().startsWith("redo ") ? "redo of \"%s\"".formatted(what) : "\"%s\"".formatted(what);
    }

    /**
     * A revision as the history lists it.
     *
     * @param name what somebody called it; empty for none
     */
    public record Past(int n, String author, OffsetDateTime at, String summary, String name) {}

    /** So many revisions up to one, the newest first. */
    public List<Past> history(RigId id, int from, int most) {
        return mapper.told(id.number(), from, most).stream().map(RigStore::past).toList();
    }

    /** Up to which revision somebody had looked at the history; from now on it is up to another. */
    public Optional<Integer> look(RigId id, AccountId account, int n) {
        Optional<Integer> before = mapper.looked(id.number(), account.number());
        mapper.look(id.number(), account.number(), n);
        return before;
    }

    /** The revisions that were given names, the newest first. */
    public List<Past> named(RigId id) {
        return mapper.named(id.number()).stream().map(RigStore::past).toList();
    }

    private static Past past(RigMapper.Told row) {
        return new Past(row.n(), row.author(), row.at(), row.summary(), Objects.requireNonNullElse(row.name(), ""));
    }

    /**
     * Gives a revision a name; an empty one takes it away.
     *
     * @throws Refused when there is no such revision, or the name is too long
     */
    public void name(RigId id, int n, String name, String by) {
        if (mapper.revision(id.number(), n).isEmpty()) {
            throw new Refused("revision", Because.of("no.no-revision").with("n", n));
        }
        String called = name.strip();
        if (called.length() > LONGEST_NAME) {
            throw new Refused("name", Because.of("no.revision-name").with("most", LONGEST_NAME));
        }
        if (called.isEmpty()) {
            mapper.unname(id.number(), n);
        } else {
            mapper.name(id.number(), n, called, by);
        }
    }

    /** Gives a revision a name, unless it has one. */
    public void nameUnnamed(RigId id, int n, String name, String by) {
        if (named(id).stream().noneMatch(past -> past.n() == n)) {
            name(id, n, name, by);
        }
    }

    /** An earlier revision that can be read. */
    public record Earlier(int n, String summary, @Nullable OffsetDateTime at) {}

    /** The last revisions of a rig that can be read, the newest first. */
    public List<Earlier> readable(RigId id) {
        return mapper.back(id.number(), newest(id).n(), MOST_LOOKED_AT).stream()
                .filter(row -> isReadable(id, row.n()))
                .limit(MOST_OFFERED)
                .map(row -> new Earlier(row.n(), row.summary(), row.at()))
                .toList();
    }

    private boolean isReadable(RigId id, int n) {
        try {
            archive.plan(id, n);
            return true;
        } catch (UnreadableRevision e) {
            return false;
        }
    }

    /** Deletes a rig; its history is kept, so that it can be brought back. */
    public void delete(RigId id) {
        if (mapper.delete(id.number()) == 0) {
            throw new NoSuchRig(id);
        }
        events.publishEvent(new RigDeleted(id));
    }

    /** Brings a deleted rig back. */
    public void restore(RigId id) {
        mapper.restore(id.number());
    }

    /** The rigs of a crew that use a model, with their newest plans; those that cannot be read are left out. */
    public List<StoredRig> using(CrewId crew, ModelId model) {
        return mapper.using(crew.number(), model.text()).stream()
                .map(RigId::new)
                .flatMap(id -> {
                    try {
                        return Stream.of(load(id));
                    } catch (UnreadableRevision | NoSuchRig e) {
                        LOG.warn("left out among the rigs that use {}: {}", model, e.getMessage());
                        return Stream.empty();
                    }
                })
                .toList();
    }

    /** Waits until nobody else here edits these rigs; rigs are sorted, so that two never wait for each other. */
    private <T> T inTurn(List<RigId> rigs, Supplier<T> deed) {
        if (rigs.isEmpty()) {
            return untilNotOvertaken(deed);
        }
        ReentrantLock turn = turns.computeIfAbsent(rigs.getFirst(), id -> new ReentrantLock(true));
        turn.lock();
        try {
            return inTurn(rigs.subList(1, rigs.size()), deed);
        } finally {
            turn.unlock();
        }
    }

    private static <T> T untilNotOvertaken(Supplier<T> deed) {
        for (int tries = 1; ; tries++) {
            try {
                return deed.get();
            } catch (Overtaken | DuplicateKeyException e) {
                if (tries == MOST_TRIES) {
                    throw e;
                }
            }
        }
    }

    private void write(List<Draft> drafts, Runnable alongside) {
        transaction.executeWithoutResult(status -> {
            drafts.forEach(this::add);
            alongside.run();
            drafts.forEach(draft ->
                    events.publishEvent(new RigChanged(draft.rig(), draft.row().n())));
        });
        drafts.forEach(draft -> archive.remember(draft.rig(), draft.body(), draft.plan(), draft.text()));
    }

    private void add(Draft draft) {
        var rig = draft.plan().rig();
        String[] models = rig.models().stream().map(model -> model.id().text()).toArray(String[]::new);
        if (mapper.advance(
                        draft.rig().number(),
                        new RigMapper.Newest(
                                draft.row().n(),
                                rig.name().text(),
                                rig.devices().size(),
                                models))
                == 0) {
            throw new Overtaken(draft.rig());
        }
        mapper.add(draft.rig().number(), draft.row(), draft.body(), draft.once().orElse(null));
    }

    private byte[] written(Plan plan) {
        try {
            return archive.written(plan);
        } catch (DoesNotReadBack e) {
            LOG.warn("a plan was not kept: {}", e.getMessage());
            throw new Refused(
                    "",
                    Because.of("no.not-read-again")
                            .with("why", String.valueOf(e.getMessage()).replaceAll("\\.$", "")));
        }
    }

    private Revision newest(RigId id) {
        return mapper.newest(id.number()).orElseThrow(() -> new NoSuchRig(id));
    }

    private static <T> Optional<T> optional(@Nullable T value) {
        return Optional.ofNullable(value);
    }
}
