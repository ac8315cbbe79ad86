package embrack.app.store.work;

import embrack.app.store.RigId;

/**
 * Long work on a rig.
 *
 * @param sort which work, see {@link Labour#sort}
 * @param revision of the plan that it is about
 * @param wish what exactly is to be done, as whoever does it reads it
 * @param parts in how many parts it is done, each for itself
 * @param isEnded whether somebody ended it before it was done, or it failed
 * @param hasFailed whether it was ended by a fault of ours
 */
public record Job(
        long id, RigId rig, String sort, int revision, String wish, int parts, boolean isEnded, boolean hasFailed) {}
