package embrack.core.sheet;

import embrack.core.rig.Length;
import embrack.core.rig.Link;
import embrack.core.rig.LinkKind;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import java.util.ArrayList;
import java.util.List;

/** All that has to be plugged, cable by cable, with what is written on its two ends. */
public record CableList(List<Row> rows) {

    public CableList {
        rows = List.copyOf(rows);
    }

    /**
     * A cable.
     *
     * @param number counted from 1 in the order of the list
     * @param kind "5-pin", "USB", "network" or "power"; of sound its plugs
     * @param length "3 m", or empty when it was not measured
     * @param fromLabel the text at its beginning, which names the own port first
     * @param toLabel the text at its end
     * @param adapter what has to be between plug and socket, or empty
     */
    public record Row(
            int number,
            String kind,
            String length,
            String from,
            String to,
            String fromLabel,
            String toLabel,
            String adapter) {}

    /** The cables of a rig, in the order of its links. */
    public static CableList of(Rig rig) {
        List<Row> rows = new ArrayList<>();
        for (Link link : rig.links()) {
            if (isCarried(rig, link)) {
                int number = rows.size() + 1;
                String from = rig.words(link.from());
                String to = rig.words(link.to());
                rows.add(new Row(
                        number,
                        Linking.cable(rig, link),
                        link.length().map(Length::words).orElse(""),
                        from,
                        to,
                        "%d  %s > %s".formatted(number, from, to),
                        "%d  %s < %s".formatted(number, to, from),
                        Linking.adapter(rig, link).orElse("")));
            }
        }
        return new CableList(rows);
    }

    /** Whether a link is a cable that goes into a case. */
    static boolean isCarried(Rig rig, Link link) {
        LinkKind kind = rig.kind(link);
        return kind.isCable() && !Linking.isSession(rig, link);
    }
}
