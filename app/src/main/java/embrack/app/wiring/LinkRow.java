package embrack.app.wiring;

import embrack.core.rig.Length;
import embrack.core.rig.Link;
import embrack.core.rig.Linking;
import embrack.core.rig.Rig;
import java.util.List;

/** A link in a list; {@code length} in metres without the unit, empty when it is not known. */
record LinkRow(
        String key,
        String from,
        String to,
        String kind,
        String kindKey,
        boolean isCable,
        String fromWords,
        String toWords,
        String length,
        String adapter) {

    static LinkRow of(Rig rig, Link link) {
        return new LinkRow(
                PortKey.of(link),
                PortKey.of(link.from()),
                PortKey.of(link.to()),
                rig.kind(link).words(),
                rig.kind(link).key(),
                rig.kind(link).isCable() && !Linking.isSession(rig, link),
                rig.words(link.from()),
                rig.words(link.to()),
                link.length().map(Length::words).map(w -> w.replace(" m", "")).orElse(""),
                Linking.adapter(rig, link).orElse(""));
    }

    static List<LinkRow> all(Rig rig, List<Link> links) {
        return links.stream().map(link -> of(rig, link)).toList();
    }
}
