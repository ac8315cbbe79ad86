package embrack.files.gdtf;

import embrack.core.colour.Chromaticity;
import embrack.core.colour.Colour;
import embrack.core.colour.Emitter;
import embrack.core.light.Body;
import embrack.core.light.FixedColour;
import embrack.core.light.FixtureType;
import embrack.core.light.FixtureTypeId;
import embrack.core.light.Flicker;
import embrack.core.light.Mode;
import embrack.core.light.Shape;
import embrack.core.light.Slot;
import embrack.core.light.Stretch;
import embrack.core.light.Use;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.w3c.dom.Element;

/** Reads one {@code FixtureType} of a description. */
final class FixtureTypeReader {

    private static final Set<String> KNOWN = Set.of(
            "AttributeDefinitions", "Wheels", "PhysicalDescriptions", "Models", "Geometries", "DMXModes", "Revisions");

    private static final double MOST_FLASHES = 50;

    private final Element type;
    private final FixtureTypeId id;
    private final Set<String> unknown = new LinkedHashSet<>();
    private final Set<String> remarks = new LinkedHashSet<>();
    private final Map<Use, Emitter> emitters = new EnumMap<>(Use.class);
    private List<FixedColour> colours = List.of();
    private List<Flicker> flickers = List.of();

    FixtureTypeReader(Element type, FixtureTypeId id) {
        this.type = type;
        this.id = id;
    }

    GdtfReading read() {
        List<Mode> modes = new ArrayList<>();
        Xml.children(type, "DMXModes")
                .flatMap(all -> Xml.children(all, "DMXMode"))
                .forEach(mode -> mode(mode)
                        .filter(made ->
                                modes.stream().noneMatch(other -> other.name().sameAs(made.name())))
                        .ifPresent(modes::add));
        if (colours.isEmpty()) {
            modes.replaceAll(FixtureTypeReader::withoutColours);
        }
        lampsWithoutSlots(modes);
        String left = Xml.children(type)
                .map(Element::getTagName)
                .filter(name -> !KNOWN.contains(name))
                .distinct()
                .collect(Collectors.joining(", "));
        if (!left.isEmpty()) {
            remarks.add("Nothing here is done with %s.".formatted(left));
        }
        if (!unknown.isEmpty()) {
            remarks.add(
                    "Slots that nothing here does anything with, unused: %s.".formatted(String.join(", ", unknown)));
        }
        return new GdtfReading(
                new FixtureType(
                        id,
                        GdtfReading.label(type.getAttribute("Name"), "Fixture"),
                        shape(modes),
                        emitters,
                        modes,
                        colours,
                        flickers,
                        body()),
                List.copyOf(remarks));
    }

    /** What gives light without a slot of its own: what the file calls so, else white for all that is dimmed. */
    private void lampsWithoutSlots(List<Mode> modes) {
        Stream.of(Use.values())
                .filter(Use::isEmitter)
                .forEach(use -> emitter(use.words()).ifPresent(own -> emitters.putIfAbsent(use, own)));
        boolean isOurs =
                Stream.of(Shape.values()).anyMatch(shape -> shape.words().equals(said()));
        if (emitters.isEmpty() && !isOurs && modes.stream().anyMatch(mode -> mode.has(Use.DIMMER))) {
            emitters.put(Use.WHITE, Use.WHITE.usual().orElseThrow());
        }
    }

    private String said() {
        return type.getAttribute("Description");
    }

    private static Mode withoutColours(Mode mode) {
        return new Mode(
                mode.name(),
                mode.slots().stream()
                        .map(slot -> slot.use() == Use.COLOURS ? new Slot(Use.UNUSED, slot.cell()) : slot)
                        .toList());
    }

    private Optional<Mode> mode(Element mode) {
        SortedMap<Integer, Slot> slots = new TreeMap<>();
        Map<String, Integer> cells = new HashMap<>();
        Map<String, List<Integer>> copies = copies();
        Xml.children(mode, "DMXChannels")
                .flatMap(all -> Xml.children(all, "DMXChannel"))
                .forEach(channel -> channel(channel, copies, cells, slots));
        if (slots.isEmpty()) {
            return Optional.empty();
        }
        int last = slots.lastKey();
        if (last > Mode.MAX_SLOTS) {
            remarks.add("%s takes %d slots, more than a universe has: left out."
                    .formatted(mode.getAttribute("Name"), last));
            return Optional.empty();
        }
        List<Slot> all = new ArrayList<>();
        for (int i = 1; i <= last; i++) {
            all.add(slots.getOrDefault(i, new Slot(Use.UNUSED)));
        }
        return Optional.of(new Mode(GdtfReading.label(mode.getAttribute("Name"), last + " slots"), all));
    }

    /** How often a geometry hangs in the fixture, each time so many slots further on. */
    private Map<String, List<Integer>> copies() {
        Map<String, List<Integer>> copies = new LinkedHashMap<>();
        Xml.below(type, "GeometryReference").forEach(reference -> {
            int offset = Xml.children(reference, "Break")
                    .findFirst()
                    .flatMap(each ->
                            Xml.number(each, "DMXOffset").stream().boxed().findFirst())
                    .map(Double::intValue)
                    .orElse(1);
            copies.computeIfAbsent(reference.getAttribute("Geometry"), name -> new ArrayList<>())
                    .add(Math.max(0, offset - 1));
        });
        return copies;
    }

    private void channel(
            Element channel,
            Map<String, List<Integer>> copies,
            Map<String, Integer> cells,
            SortedMap<Integer, Slot> slots) {
        List<Integer> offsets = Stream.of(channel.getAttribute("Offset").split(","))
                .map(String::strip)
                .filter(offset -> offset.matches("\\d{1,3}"))
                .map(Integer::valueOf)
                .filter(offset -> offset > 0)
                .toList();
        String at = channel.getAttribute("DMXBreak").strip();
        if (!at.isEmpty() && !at.equals("1")) {
            remarks.add("Slots at a second address are left out.");
            return;
        }
        Optional<Element> logical = Xml.children(channel, "LogicalChannel").findFirst();
        if (offsets.isEmpty() || logical.isEmpty()) {
            return;
        }
        Use use = use(logical.get());
        functions(use, logical.get());
        String geometry = channel.getAttribute("Geometry");
        List<Integer> bases = copies.getOrDefault(geometry, List.of(0));
        for (int copy = 0; copy < bases.size(); copy++) {
            int cell = bases.size() > 1 ? copy + 1 : cell(geometry, cells);
            for (int i = 0; i < offsets.size(); i++) {
                Use each = i == 0 ? use : i == 1 ? Attributes.fine(use).orElse(Use.UNUSED) : Use.UNUSED;
                slots.put(bases.get(copy) + offsets.get(i), new Slot(each, cell));
            }
        }
    }

    /** Geometries that are called so are the cells of one that is written here. */
    private static int cell(String geometry, Map<String, Integer> cells) {
        return geometry.matches(".* cell \\d+") ? cells.computeIfAbsent(geometry, name -> cells.size() + 1) : 0;
    }

    private Use use(Element logical) {
        String attribute = logical.getAttribute("Attribute");
        Optional<Use> use = Attributes.use(attribute);
        if (use.isEmpty()) {
            unknown.add(attribute);
        }
        return use.orElse(Use.UNUSED);
    }

    private void functions(Use use, Element logical) {
        List<Element> functions = Xml.children(logical, "ChannelFunction").toList();
        if (use.isEmitter()) {
            emitters.computeIfAbsent(
                    use,
                    other -> functions.stream()
                            .flatMap(function -> emitter(function.getAttribute("Emitter")).stream())
                            .findFirst()
                            .orElseGet(() -> use.usual().orElseThrow()));
        } else if (use == Use.STROBE && flickers.isEmpty()) {
            flickers = flickers(functions);
        } else if (use == Use.COLOURS && colours.isEmpty()) {
            colours = colours(functions);
        }
    }

    private Optional<Emitter> emitter(String name) {
        return Xml.below(type, "Emitter")
                .filter(emitter ->
                        !name.isEmpty() && emitter.getAttribute("Name").equals(name))
                .findFirst()
                .flatMap(emitter -> xyy(emitter.getAttribute("Color")))
                .filter(xyy -> xyy[2] > 0)
                .flatMap(xyy -> made(() -> new Emitter(new Chromaticity(xyy[0], xyy[1]), Math.min(1, xyy[2] / 100))));
    }

    private List<Flicker> flickers(List<Element> functions) {
        List<Flicker> made = new ArrayList<>();
        for (int i = 0; i < functions.size(); i++) {
            Element function = functions.get(i);
            Stretch values = stretch(functions, i);
            double slow = Math.clamp(Xml.number(function, "PhysicalFrom").orElse(1), 0, MOST_FLASHES);
            double fast = Math.clamp(Xml.number(function, "PhysicalTo").orElse(slow), 0, MOST_FLASHES);
            made.add(
                    Attributes.flashes(function.getAttribute("Attribute"))
                            ? new Flicker(values, slow, fast)
                            : new Flicker(values, 0, 0));
        }
        return made;
    }

    private List<FixedColour> colours(List<Element> functions) {
        List<FixedColour> made = new ArrayList<>();
        for (Element function : functions) {
            List<Element> sets = Xml.children(function, "ChannelSet").toList();
            for (int i = 0; i < sets.size(); i++) {
                Stretch values = stretch(sets, i);
                if (!sets.get(i).getAttribute("Name").isBlank()) {
                    made.add(new FixedColour(values, colour(sets.get(i), function.getAttribute("Wheel"))));
                }
            }
        }
        return made;
    }

    /** From where one begins up to where the next does. */
    private static Stretch stretch(List<Element> all, int i) {
        int from = Xml.value(all.get(i), "DMXFrom").orElse(0);
        int to = i + 1 < all.size() ? Xml.value(all.get(i + 1), "DMXFrom").orElse(from) - 1 : Slot.FULL;
        return new Stretch(from, Math.max(from, to));
    }

    /** The colour that a name says, else the one of the wheel that has a name here and lies nearest; none for white. */
    private Optional<Colour> colour(Element set, String wheel) {
        String name = set.getAttribute("Name");
        if (name.equalsIgnoreCase("none") || name.equalsIgnoreCase("open")) {
            return Optional.empty();
        }
        return made(() -> Colour.parse(name))
                .or(() -> Xml.below(type, "Wheel")
                        .filter(each -> each.getAttribute("Name").equals(wheel))
                        .findFirst()
                        .flatMap(each -> Xml.children(each, "Slot")
                                .skip(Math.max(
                                        0,
                                        (long) Xml.number(set, "WheelSlotIndex").orElse(1) - 1))
                                .findFirst())
                        .flatMap(slot -> xyy(slot.getAttribute("Color")))
                        .map(FixtureTypeReader::nearest));
    }

    private static Colour nearest(double[] xyy) {
        return Colour.all().stream()
                .min(Comparator.comparingDouble(colour -> Math.hypot(
                        colour.chromaticity().x() - xyy[0],
                        colour.chromaticity().y() - xyy[1])))
                .orElseThrow();
    }

    private static Optional<double[]> xyy(String text) {
        try {
            double[] numbers = Arrays.stream(text.split(","))
                    .mapToDouble(each -> Double.parseDouble(each.strip()))
                    .toArray();
            return numbers.length == 3 ? Optional.of(numbers) : Optional.empty();
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }

    private Shape shape(List<Mode> modes) {
        return Stream.of(Shape.values())
                .filter(shape -> shape.words().equals(said()))
                .findFirst()
                .orElseGet(() -> guessed(modes));
    }

    private Shape guessed(List<Mode> modes) {
        boolean moves = modes.stream().anyMatch(mode -> mode.has(Use.PAN));
        boolean isHazer = emitters.isEmpty() && modes.stream().anyMatch(mode -> mode.has(Use.HAZE));
        return isHazer
                ? Shape.HAZER
                : moves
                        ? emitters.size() > 1 ? Shape.WASH : Shape.SPOT
                        : modes.stream().anyMatch(mode -> mode.cells() > 1) ? Shape.BAR : Shape.PAR;
    }

    private Body body() {
        double kilograms = Xml.below(type, "Weight")
                .findFirst()
                .map(weight -> Xml.number(weight, "Value").orElse(0))
                .orElse(0.0);
        double watts = Xml.below(type, "PowerConsumption")
                .mapToDouble(power -> Xml.number(power, "Value").orElse(0))
                .max()
                .orElseGet(() -> Xml.below(type, "WiringObject")
                        .mapToDouble(
                                wire -> Xml.number(wire, "ElectricalPayLoad").orElse(0))
                        .sum());
        int degrees = Xml.below(type, "Beam")
                .findFirst()
                .map(beam -> (int) Math.round(Xml.number(beam, "BeamAngle").orElse(Body.UNKNOWN.beamDegrees())))
                .orElse(Body.UNKNOWN.beamDegrees());
        return new Body(
                (int) Math.clamp(watts, 0, 20_000), 0, Math.clamp(kilograms, 0, 500), Math.clamp(degrees, 1, 180));
    }

    /** What a maker of values makes of it, nothing where it refuses. */
    private static <T> Optional<T> made(Supplier<T> maker) {
        try {
            return Optional.of(maker.get());
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
