package embrack.app.store;

import embrack.core.plan.Plan;

/**
 * What came of an edit.
 *
 * @param revision the revision that holds it; the one before, when it changed nothing
 * @param plan the plan of that revision, in which what was made is found
 */
public record Edited(int revision, Plan plan) {}
