package embrack.core.begin;

import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.gear.Ear;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.gear.library.Library;
import embrack.core.name.Slug;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Socket;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A way of working to begin an empty rig from.
 *
 * @param key what it is called in addresses
 * @param title who works what: "Four switches mute a mixer"
 * @param story in a sentence, what it is good for and what is to be known of it
 * @param joins who works whom
 * @param edits what makes the rig, in order; each can be made on what the ones before left of an empty rig
 */
public record Beginning(String key, String title, String story, List<Join> joins, List<Edit> edits) {

    /** A box that works another. */
    public record Join(DeviceId sender, DeviceId receiver) {}

    public Beginning {
        joins = List.copyOf(joins);
        edits = List.copyOf(edits);
    }

    /** All of it as one intent. */
    public Edit edit() {
        return new GearEdit.Begin(title, edits);
    }

    static Draft of(String title, String story) {
        return new Draft(title, story, new ArrayList<>(), new ArrayList<>());
    }

    /** A beginning while it is written down; boxes go by their names. */
    record Draft(String title, String story, List<Join> joins, List<Edit> edits) {

        Draft box(String name, String model) {
            Model shipped = Library.find(new ModelId(model)).orElseThrow(() -> new IllegalStateException(model));
            edits.add(new GearEdit.AddDevice(name, shipped));
            return this;
        }

        /** One works the other; whatever lies between is found. */
        Draft join(String sender, String receiver) {
            Join join = new Join(id(sender), id(receiver));
            joins.add(join);
            edits.add(new WiringEdit.JoinUp(join.sender, join.receiver));
            return this;
        }

        /** A cable between two ports, where it matters which. */
        Draft cable(String from, String out, String to, String in) {
            edits.add(new WiringEdit.Connect(socket(from, out), socket(to, in)));
            return this;
        }

        Draft runs(String app, String host) {
            edits.add(new WiringEdit.LiveIn(id(app), Optional.of(id(host))));
            return this;
        }

        Draft hears(String box, String output, Set<Sound> sounds, Set<Ear> ears) {
            edits.add(new WiringEdit.Hear(id(box), new PortId(output), sounds, ears));
            return this;
        }

        Draft standsIn(String second, String first) {
            edits.add(new WiringEdit.StandIn(id(first), Optional.of(id(second))));
            return this;
        }

        Beginning made() {
            return new Beginning(Slug.of(title), title, story, joins, edits);
        }

        private static DeviceId id(String name) {
            return new DeviceId(Slug.of(name));
        }

        private static Socket socket(String box, String port) {
            return new Socket(id(box), new PortId(port));
        }
    }
}
