package embrack.core.light.text;

import embrack.core.colour.Colour;
import embrack.core.colour.Emitter;
import embrack.core.light.Body;
import embrack.core.light.FixedColour;
import embrack.core.light.FixtureType;
import embrack.core.light.Flicker;
import embrack.core.light.Mode;
import embrack.core.light.Slot;
import embrack.core.light.Use;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** Writes a type of fixture in the language that {@link FixtureReading} reads. */
public final class FixtureText {

    private FixtureText() {}

    /** The lines of a type, without its name. */
    public static String of(FixtureType type) {
        List<String> lines = new ArrayList<>();
        lines.add("shape: " + type.shape().words());
        List<String> usual = new ArrayList<>();
        type.emitters().forEach((use, emitter) -> {
            if (Objects.equals(use.usual().orElse(null), emitter)) {
                usual.add(use.words());
            }
        });
        if (!usual.isEmpty()) {
            lines.add("emits: " + String.join(", ", usual));
        }
        for (Map.Entry<Use, Emitter> own : type.emitters().entrySet()) {
            if (!usual.contains(own.getKey().words())) {
                Emitter emitter = own.getValue();
                lines.add("emits %s: x %s y %s, light %s"
                        .formatted(
                                own.getKey().words(),
                                LookText.number(emitter.chromaticity().x()),
                                LookText.number(emitter.chromaticity().y()),
                                LookText.number(emitter.share())));
            }
        }
        type.modes().forEach(mode -> lines.add("mode %s: %s".formatted(mode.name(), slots(mode))));
        if (!type.colours().isEmpty()) {
            lines.add("colours: "
                    + type.colours().stream().map(FixtureText::words).collect(Collectors.joining(", ")));
        }
        if (!type.flickers().isEmpty()) {
            lines.add("strobe: "
                    + type.flickers().stream().map(FixtureText::words).collect(Collectors.joining(", ")));
        }
        body(lines, type.body());
        return String.join("\n", lines) + "\n";
    }

    private static void body(List<String> lines, Body body) {
        if (body.watts() > 0) {
            lines.add("power: %d W%s"
                    .formatted(
                            body.watts(),
                            body.inrushAmperes() > 0
                                    ? ", inrush " + LookText.number(body.inrushAmperes()) + " A"
                                    : ""));
        }
        if (body.kilograms() > 0) {
            lines.add("weight: " + LookText.number(body.kilograms()) + " kg");
        }
        if (body.beamDegrees() != Body.UNKNOWN.beamDegrees()) {
            lines.add("beam: %d degrees".formatted(body.beamDegrees()));
        }
    }

    /** The slots in as few words as can be: cells that follow one another alike are counted. */
    private static String slots(Mode mode) {
        List<String> pieces = new ArrayList<>();
        List<Slot> slots = mode.slots();
        for (int i = 0; i < slots.size(); ) {
            int cells = cells(slots, i);
            if (cells == 0) {
                pieces.add(slots.get(i).use().words());
                i++;
            } else {
                int each = each(slots, i);
                pieces.add("%d x (%s)"
                        .formatted(
                                cells,
                                slots.subList(i, i + each).stream()
                                        .map(slot -> slot.use().words())
                                        .collect(Collectors.joining(", "))));
                i += cells * each;
            }
        }
        return String.join(", ", pieces);
    }

    /** How many slots from here are about the first cell. */
    private static int each(List<Slot> slots, int from) {
        int each = 0;
        while (from + each < slots.size() && slots.get(from + each).cell() == 1) {
            each++;
        }
        return each;
    }

    /** How many cells begin here with the first, all alike; 0 where none does. */
    private static int cells(List<Slot> slots, int from) {
        int each = each(slots, from);
        int cells = 0;
        while (each > 0 && isCell(slots, from, each, cells)) {
            cells++;
        }
        return cells;
    }

    private static boolean isCell(List<Slot> slots, int from, int each, int cell) {
        int start = from + cell * each;
        return start + each <= slots.size()
                && IntStream.range(0, each)
                        .allMatch(k -> slots.get(start + k).cell() == cell + 1
                                && slots.get(start + k).use()
                                        == slots.get(from + k).use());
    }

    private static String words(FixedColour fixed) {
        return fixed.values() + " " + fixed.colour().map(Colour::words).orElse("none");
    }

    private static String words(Flicker flicker) {
        return flicker.isSteady()
                ? flicker.values() + " steady"
                : "%s %s to %s a second"
                        .formatted(
                                flicker.values(),
                                LookText.number(flicker.slowest()),
                                LookText.number(flicker.fastest()));
    }
}
