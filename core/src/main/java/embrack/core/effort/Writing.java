package embrack.core.effort;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;

/**
 * Writing settings into a box that keeps them in each memory.
 *
 * @param slots settings of inputs in one memory
 * @param memories how many memories the show uses
 */
public record Writing(int slots, int memories) {

    public Writing {
        if (slots < 0 || memories < 0) {
            throw new IllegalArgumentException("slots and memories are 0 or more");
        }
    }

    /** What a device of a rig needs: one slot for each message that it has been given. */
    public static Writing of(Rig rig, DeviceId device) {
        return new Writing(rig.device(device).learned().size(), rig.memoriesUsed(device));
    }

    /** Slots to set when a template is filled first: each once. */
    public int slotsByTemplate() {
        return slots;
    }

    /** Slots to set memory by memory. */
    public int slotsByMemory() {
        return slots * memories;
    }

    /** Writes, either way: one for each memory. */
    public int writes() {
        return memories;
    }

    public Work byTemplate() {
        return Work.of(slotsByTemplate() + writes());
    }

    public Work byMemory() {
        return Work.of(slotsByMemory() + writes());
    }
}
