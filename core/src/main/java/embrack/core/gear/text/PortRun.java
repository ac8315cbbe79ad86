package embrack.core.gear.text;

import embrack.core.gear.Connector;
import embrack.core.gear.Direction;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Signal;
import embrack.core.name.TapeLabel;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/** One port, or a run of ports of one kind: "Output 1..8" is eight of them. */
record PortRun(String id, TapeLabel name) {

    private static final Pattern RUN = Pattern.compile("(.*) (\\d{1,2})\\.\\.(\\d{1,2})");

    /** The ports, in order. */
    List<Port> ports(Connector connector, Direction direction, int gives, boolean forOne, Signal signal) {
        Matcher run = RUN.matcher(name.text());
        if (!run.matches()) {
            return List.of(new Port(new PortId(id), name, connector, direction, gives, forOne, signal));
        }
        int first = Integer.parseInt(run.group(2));
        int last = Integer.parseInt(run.group(3));
        if (first > last) {
            throw new IllegalArgumentException(
                    "%d..%d runs backwards; a run goes from low to high".formatted(first, last));
        }
        return IntStream.rangeClosed(first, last)
                .mapToObj(i -> new TapeLabel(run.group(1) + " " + i))
                .map(label -> new Port(
                        new PortId(Pieces.defaultId(label)), label, connector, direction, gives, forOne, signal))
                .toList();
    }
}
