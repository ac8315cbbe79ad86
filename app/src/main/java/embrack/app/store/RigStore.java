package embrack.app.store;

import embrack.core.gear.ModelId;
import embrack.core.plan.Edit;
import embrack.core.plan.Plan;
import embrack.core.plan.Refused;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Rigs and their history. Every change is an edit of the newest revision, made while the rig is locked. */
@Service
public class RigStore {

    /** Who edits, until crews can sign in. */
    static final String AUTHOR = "this machine";

    private final RigMapper mapper;
    private final ApplicationEventPublisher events;

    RigStore(RigMapper mapper, ApplicationEventPublisher events) {
        this.mapper = mapper;
        this.events = events;
    }

    /** All rigs that are not deleted, last changed first. */
    @Transactional(readOnly = true)
    public List<RigEntry> list() {
        return mapper.list().stream().map(r -> new RigEntry(new RigId(r.id()), r.name(), r.devices(), r.changed())).toList();
    }

    /** Whether any rig was ever made here, deleted or not. */
    @Transactional(readOnly = true)
    public boolean isUnused() {
        return mapper.countEver() == 0;
    }

    /**
     * Keeps a new rig.
     *
     * @param summary where it comes from, in words
     */
    @Transactional
    public RigId create(Plan plan, String summary) {
        long id = mapper.create();
        mapper.add(id, AUTHOR, Revision.first(plan, summary));
        return new RigId(id);
    }

    /**
     * The newest revision.
     *
     * @throws NoSuchRig when there is none
     */
    @Transactional(readOnly = true)
    public StoredRig load(RigId id) {
        Revision newest = mapper.newest(id.number()).orElseThrow(() -> new NoSuchRig(id));
        Optional<String> redo = optional(newest.redoTo()).flatMap(n -> mapper.summary(id.number(), n));
        return new StoredRig(id, newest.n(), newest.doc(),
                optional(newest.undoTo()).map(n -> newest.summary()), redo);
    }

    /**
     * Makes an edit; one that changes nothing leaves no trace.
     *
     * @throws Refused when it cannot be made
     * @throws NoSuchRig when there is no such rig
     */
    @Transactional
    public void edit(RigId id, Edit edit) {
        append(id, newest -> {
            Plan changed = edit.apply(newest.doc());
            return changed.equals(newest.doc()) ? Optional.empty()
                    : Optional.of(newest.edited(changed, edit.summary(newest.doc())));
        });
    }

    /** Takes the last edit back, if there is one. */
    @Transactional
    public void undo(RigId id) {
        append(id, newest -> optional(newest.undoTo()).flatMap(n -> mapper.revision(id.number(), n)).map(newest::undone));
    }

    /** Makes the last undone edit again, if there is one. */
    @Transactional
    public void redo(RigId id) {
        append(id, newest -> optional(newest.redoTo()).flatMap(n -> mapper.revision(id.number(), n)).map(newest::redone));
    }

    /** Deletes a rig; its history is kept, so that it can be brought back. */
    @Transactional
    public void delete(RigId id) {
        if (mapper.delete(id.number()) == 0) {
            throw new NoSuchRig(id);
        }
    }

    /** Brings a deleted rig back. */
    @Transactional
    public void restore(RigId id) {
        mapper.restore(id.number());
    }

    /** The rigs that use a model, with their newest plans. */
    @Transactional(readOnly = true)
    public List<StoredRig> using(ModelId model) {
        return mapper.using("[{\"id\": \"%s\"}]".formatted(model)).stream().map(id -> load(new RigId(id))).toList();
    }

    private void append(RigId id, Function<Revision, Optional<Revision>> next) {
        mapper.lock(id.number()).orElseThrow(() -> new NoSuchRig(id));
        Revision newest = mapper.newest(id.number()).orElseThrow(() -> new NoSuchRig(id));
        next.apply(newest).ifPresent(revision -> {
            mapper.add(id.number(), AUTHOR, revision);
            events.publishEvent(new RigChanged(id, revision.n()));
        });
    }

    private static Optional<Integer> optional(@Nullable Integer n) {
        return Optional.ofNullable(n);
    }
}
