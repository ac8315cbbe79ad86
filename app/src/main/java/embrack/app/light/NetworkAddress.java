package embrack.app.light;

import embrack.core.edit.Refused;
import embrack.files.acn.DataPacket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.UnknownHostException;
import java.util.regex.Pattern;

/** Where light may be sent: an address in figures, inside the building. */
final class NetworkAddress {

    private static final Pattern FIGURES = Pattern.compile("\\d{1,3}(\\.\\d{1,3}){3}");
    private static final String ASK = "Write the address that the node shows, in figures: 10.0.0.20,"
            + " or 239.255.0.1 for all that hear universe 1.";

    private NetworkAddress() {}

    /** Reads what was typed; no name is looked up, and nothing beyond the building is taken. */
    static InetSocketAddress of(String typed) {
        if (!FIGURES.matcher(typed.strip()).matches()) {
            throw Refused.text("to", ASK);
        }
        InetAddress address = address(typed.strip());
        boolean isNear = address.isLoopbackAddress()
                || address.isSiteLocalAddress()
                || address.isLinkLocalAddress()
                || address.isMCSiteLocal()
                || address.getHostAddress().startsWith("239.255.");
        if (!isNear) {
            throw Refused.text(
                    "to",
                    "%s lies outside the building. Light goes to private addresses only. %s".formatted(typed, ASK));
        }
        return new InetSocketAddress(address, DataPacket.PORT);
    }

    private static InetAddress address(String figures) {
        try {
            return InetAddress.getByName(figures);
        } catch (UnknownHostException e) {
            throw Refused.text("to", ASK);
        }
    }
}
