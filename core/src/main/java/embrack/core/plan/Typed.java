package embrack.core.plan;

import embrack.core.gear.Setting;
import embrack.core.name.TapeLabel;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import java.util.function.Supplier;

/** Reads what a person typed into a field of an edit. */
final class Typed {

    private Typed() {
    }

    static TapeLabel label(String field, String typed) {
        return accepted(field, () -> TapeLabel.parse(typed));
    }

    static int number(String field, String typed) {
        try {
            return Integer.parseInt(typed.strip().replace('\u2212', '-'));
        } catch (NumberFormatException e) {
            throw new Refused(field, typed.isBlank() ? "Write a number; it is empty." : "Write a whole number in digits.");
        }
    }

    /** A value of a setting, by the word that the box shows for it or by its number. */
    static int choice(String field, Setting setting, String typed) {
        for (int i = 0; i < setting.choices().size(); i++) {
            if (setting.choices().get(i).text().equalsIgnoreCase(typed.strip())) {
                return setting.min() + i;
            }
        }
        return number(field, typed);
    }

    static Device device(String field, Plan plan, DeviceId id) {
        return plan.rig().find(id)
                .orElseThrow(() -> new Refused(field, "That box is no longer in the rig. Choose another."));
    }

    /** What the supplier gives; its refusal as one of this field. */
    static <T> T accepted(String field, Supplier<T> supplier) {
        try {
            return supplier.get();
        } catch (IllegalArgumentException e) {
            throw new Refused(field, String.valueOf(e.getMessage()));
        }
    }
}
