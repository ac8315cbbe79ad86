package embrack.core.effort;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;

/**
 * Writing settings into a box that keeps them in each memory.
 *
 * @param slots settings of inputs in one memory
 * @param memories how many memories the show uses
 * @param taken how many of them hold something already that is to stay: a template would overwrite it
 */
public record Writing(int slots, int memories, int taken) {

    /** What is set of one input: on, source, mode, target, low, high. */
    public static final int SETTINGS_EACH = 6;

    public Writing {
        if (slots < 0 || memories < 0 || taken < 0 || taken > memories) {
            throw new IllegalArgumentException("slots and memories are 0 or more, taken ones among the memories");
        }
    }

    /** Memories that are all empty. */
    public Writing(int slots, int memories) {
        this(slots, memories, 0);
    }

    /** What a device of a rig needs: one slot for each message that it has been given. */
    public static Writing of(Rig rig, DeviceId device) {
        return new Writing(
                rig.device(device).learned().size(), rig.memoriesInShow(device).size(), (int)
                        rig.memoriesInShow(device).stream()
                                .filter(rig.device(device).memories().taken()::contains)
                                .count());
    }

    /** Slots to set when a template is filled first: each once, and in each memory that it must not overwrite. */
    public int slotsByTemplate() {
        return (memories > taken || memories == 0 ? slots : 0) + slots * taken;
    }

    /** Slots to set memory by memory. */
    public int slotsByMemory() {
        return slots * memories;
    }

    /** Settings to make with a template. */
    public int settingsByTemplate() {
        return SETTINGS_EACH * slotsByTemplate();
    }

    /** Settings to make memory by memory. */
    public int settingsByMemory() {
        return SETTINGS_EACH * slotsByMemory();
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
