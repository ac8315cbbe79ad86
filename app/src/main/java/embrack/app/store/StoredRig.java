package embrack.app.store;

import embrack.core.plan.Plan;
import java.util.Optional;

/**
 * The newest revision of a rig.
 *
 * @param revision counted from 1
 * @param undo what undo would take back, in words; empty when there is nothing to
 * @param redo what redo would do again, in words; empty when there is nothing to
 */
public record StoredRig(RigId id, int revision, Plan plan, Optional<String> undo, Optional<String> redo) {}
