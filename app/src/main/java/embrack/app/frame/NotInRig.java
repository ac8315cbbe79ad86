package embrack.app.frame;

import embrack.app.store.RigId;

/** An address of something that the rig does not have: it was taken out, or never was there. */
public final class NotInRig extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient RigId rig;
    private final String room;

    private NotInRig(String thing, RigId rig, String room) {
        super("There is no such " + thing, null, false, false);
        this.rig = rig;
        this.room = room;
    }

    /**
     * Where to go instead when what was sent there was refused; else there is no such thing.
     *
     * @param thing what it should be: "song"
     * @param room where those are that are there, below the address of the rig: "/songs"
     * @throws NotInRig when nothing was sent
     */
    public static String instead(String thing, RigId rig, String room, Echo echo) {
        if (echo == Echo.NONE) {
            throw new NotInRig(thing, rig, room);
        }
        return "redirect:/rigs/%s%s".formatted(rig, room);
    }

    /** The address of the room in which to look for it. */
    String room() {
        return "/rigs/%s%s".formatted(rig, room);
    }
}
