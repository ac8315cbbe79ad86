package embrack.app.frame;

import embrack.app.store.RigId;

/** Where to go after something that can be done from any page of a rig. */
public final class WayBack {

    private WayBack() {}

    /** A redirect to the page that asked, if it is one of the rig's, or else to the rig's first room. */
    public static String to(RigId id, String back) {
        String home = "/rigs/" + id + "/";
        boolean own =
                back.startsWith(home) && back.chars().noneMatch(c -> c < 0x21 || c == '\\') && !back.contains("..");
        return "redirect:" + (own ? back : home + "gear");
    }
}
