package embrack.files.plan;

import embrack.core.gear.Model;
import embrack.core.plan.Plan;
import embrack.files.json.Fields;
import embrack.files.json.JsonFile;
import embrack.files.json.Known;
import embrack.files.json.UnreadableFile;

/**
 * Reads plan after plan, as {@link PlanFile} does, and faster: the models of hardware, most of what is to be read of a
 * plan, are alike in many plans and in all revisions of one. Many may read at the same time.
 */
public final class PlanReader {

    private final Known<Model> models;

    /**
     * Has read nothing yet.
     *
     * @param most as many models are kept, the last that were met
     */
    public PlanReader(int most) {
        models = new Known<>(most);
    }

    /**
     * Reads a plan.
     *
     * @throws UnreadableFile when it is not a plan of a version that is known, or anything in it is not as it should be
     */
    public Plan read(byte[] file) {
        return JsonFile.read(file, "a plan", this::plan);
    }

    /**
     * Reads a plan that Embrack wrote and kept itself; as {@link #read}, of any size.
     *
     * @throws UnreadableFile when it is not a plan of a version that is known
     */
    public Plan readKept(byte[] file) {
        return JsonFile.readKept(file, this::plan);
    }

    Plan plan(Fields fields) {
        return PlanLayout.FILE.read(fields, new RigSoFar(models));
    }
}
