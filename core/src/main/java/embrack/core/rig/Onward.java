package embrack.core.rig;

import embrack.core.gear.Port;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How people go on who have plugged the first lead of a loom: output 2 to input 2 as output 1 went to input 1, until a
 * socket is taken, does not fit or is not there.
 */
public final class Onward {

    private static final Pattern NUMBERED = Pattern.compile("(.*?)(\\d{1,3})");

    private Onward() {}

    /** The leads that follow one, each as long as it, in order; none where its sockets bear no numbers. */
    public static List<Link> after(Rig rig, Link link) {
        List<Link> leads = new ArrayList<>();
        if (rig.kind(link) != LinkKind.SOUND && rig.kind(link) != LinkKind.SOUND_INSIDE) {
            return leads;
        }
        Rig now = rig;
        Optional<Link> next = next(now, link);
        while (next.isPresent()) {
            leads.add(next.get());
            now = now.withLink(next.get());
            next = next(now, next.get());
        }
        return leads;
    }

    private static Optional<Link> next(Rig rig, Link link) {
        return next(rig, link.from())
                .flatMap(from -> next(rig, link.to()).map(to -> new Link(from, to).withLength(link.length())))
                .filter(lead -> Linking.refusal(rig, lead.from(), lead.to()).isEmpty());
    }

    /** The socket of the same name with the next number, if nothing is in it. */
    private static Optional<Socket> next(Rig rig, Socket socket) {
        Port port = rig.port(socket);
        Matcher name = NUMBERED.matcher(port.name().text());
        if (!name.matches()) {
            return Optional.empty();
        }
        String wanted = name.group(1) + (Integer.parseInt(name.group(2)) + 1);
        return rig.model(socket.device()).ports().stream()
                .filter(other -> other.name().text().equals(wanted) && other.connector() == port.connector())
                .map(other -> new Socket(socket.device(), other.id()))
                .filter(other -> rig.linksIn(other).isEmpty())
                .findFirst();
    }
}
