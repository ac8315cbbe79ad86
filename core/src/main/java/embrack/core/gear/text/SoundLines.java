package embrack.core.gear.text;

import embrack.core.gear.Ear;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.gear.SoundInside;
import embrack.core.gear.SoundRun;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/** What a box does with sound, as lines of its text, both ways. */
public final class SoundLines {

    private final SoundLine line;
    private final List<SoundRun> runs = new ArrayList<>();
    private final SortedMap<PortId, Sound> sources = new TreeMap<>();
    private final SortedMap<PortId, Ear> ears = new TreeMap<>();

    /**
     * Lines of one box.
     *
     * @param ports its sockets; they may grow until a line names them
     */
    SoundLines(List<Port> ports) {
        this.line = new SoundLine(ports);
    }

    /**
     * Reads lines that stand alone.
     *
     * @throws IllegalArgumentException with a sentence, at the first that is none
     */
    public static SoundInside read(List<Port> ports, List<String> lines) {
        var reader = new SoundLines(ports);
        for (String each : lines) {
            Cursor cursor = Cursor.of(each);
            try {
                if (!reader.accepts(cursor) || !cursor.isAtEnd()) {
                    throw new IllegalArgumentException(
                            "\"%s\" says nothing of sound; lines begin with sound, makes or heard at".formatted(each));
                }
            } catch (Fault fault) {
                throw new IllegalArgumentException(fault.getMessage(), fault);
            }
        }
        return reader.inside();
    }

    /** The lines that give the same again. */
    public static List<String> write(SoundInside inside) {
        List<String> lines = new ArrayList<>();
        inside.runs().forEach(run -> lines.add(SoundLine.write(run)));
        inside.sources().forEach((port, made) -> lines.add("makes %s at %s".formatted(made.words(), port)));
        inside.ears().forEach((port, ear) -> lines.add("heard at %s by %s".formatted(port, ear.words())));
        return lines;
    }

    /** Reads a line, if it is one about sound. */
    boolean accepts(Cursor cursor) {
        if (cursor.accept("sound")) {
            runs.add(line.run(cursor));
        } else if (cursor.accept("makes")) {
            Map.Entry<PortId, Sound> made = line.source(cursor);
            sources.put(made.getKey(), made.getValue());
        } else if (cursor.accept("heard at")) {
            Map.Entry<PortId, Ear> heard = line.ear(cursor);
            ears.put(heard.getKey(), heard.getValue());
        } else {
            return false;
        }
        return true;
    }

    SoundInside inside() {
        return new SoundInside(runs, sources, ears);
    }
}
