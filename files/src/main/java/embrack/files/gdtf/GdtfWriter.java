package embrack.files.gdtf;

import embrack.core.colour.Chromaticity;
import embrack.core.light.FixedColour;
import embrack.core.light.FixtureType;
import embrack.core.light.Flicker;
import embrack.core.light.Mode;
import embrack.core.light.Slot;
import embrack.core.light.Use;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * Writes a type of fixture as a file of the General Device Type Format: modes, channels with their functions, emitters,
 * a wheel for fixed colours, weight and beam. Cells are written one by one, without geometries of their own.
 */
public final class GdtfWriter {

    /** The version of the format that is written. */
    static final String VERSION = "1.2";

    /** The one file in the archive that says what the fixture is. */
    static final String DESCRIPTION = "description.xml";

    private static final String BODY = "Body";
    private static final String WHEEL = "Colours";

    private final FixtureType type;
    private final XMLStreamWriter xml;

    private GdtfWriter(FixtureType type, XMLStreamWriter xml) {
        this.type = type;
        this.xml = xml;
    }

    /** The file; the same type always gives the same bytes. */
    public static byte[] write(FixtureType type) {
        var bytes = new ByteArrayOutputStream();
        try (var zip = new ZipOutputStream(bytes)) {
            ZipEntry entry = new ZipEntry(DESCRIPTION);
            entry.setTime(0);
            zip.putNextEntry(entry);
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(zip, "UTF-8");
            new GdtfWriter(type, xml).document();
            xml.flush();
            zip.closeEntry();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
        return bytes.toByteArray();
    }

    private void document() throws XMLStreamException {
        xml.writeStartDocument("UTF-8", "1.0");
        open("GDTF", "DataVersion", VERSION);
        String name = type.name().text();
        UUID id = UUID.nameUUIDFromBytes(("embrack/" + type.id()).getBytes(StandardCharsets.UTF_8));
        open(
                "FixtureType",
                "Name",
                name,
                "ShortName",
                name,
                "LongName",
                name,
                "Manufacturer",
                "",
                "Description",
                type.shape().words(),
                "FixtureTypeID",
                id.toString().toUpperCase(Locale.ROOT));
        attributes();
        wheels();
        physics();
        open("Geometries");
        open("Geometry", "Name", BODY);
        empty("Beam", "Name", "Beam", "BeamAngle", String.valueOf(type.body().beamDegrees()));
        close(2);
        open("DMXModes");
        for (Mode mode : type.modes()) {
            mode(mode);
        }
        close(3);
        xml.writeEndDocument();
    }

    private void attributes() throws XMLStreamException {
        open("AttributeDefinitions");
        open("FeatureGroups");
        open("FeatureGroup", "Name", "Control", "Pretty", "Control");
        empty("Feature", "Name", "Control");
        close(2);
        open("Attributes");
        List<Use> uses = type.modes().stream()
                .flatMap(mode -> mode.slots().stream().map(Slot::use))
                .distinct()
                .sorted(Comparator.naturalOrder())
                .toList();
        for (Use use : uses) {
            if (Attributes.of(use).isPresent()) {
                String name = Attributes.of(use).get();
                empty("Attribute", "Name", name, "Pretty", use.words(), "Feature", "Control.Control");
            }
        }
        if (uses.contains(Use.STROBE)) {
            empty("Attribute", "Name", "Shutter1Strobe", "Pretty", "strobe", "Feature", "Control.Control");
        }
        close(2);
    }

    private void wheels() throws XMLStreamException {
        open("Wheels");
        if (!type.colours().isEmpty()) {
            open("Wheel", "Name", WHEEL);
            for (FixedColour fixed : type.colours()) {
                Chromaticity at =
                        fixed.colour().map(colour -> colour.chromaticity()).orElse(new Chromaticity(0.3127, 0.3290));
                empty(
                        "Slot",
                        "Name",
                        fixed.words(),
                        "Color",
                        colour(at, at.brightest().y() * 100));
            }
            close(1);
        }
        close(1);
    }

    private void physics() throws XMLStreamException {
        open("PhysicalDescriptions");
        open("Emitters");
        for (var entry : type.emitters().entrySet()) {
            empty(
                    "Emitter",
                    "Name",
                    entry.getKey().words(),
                    "Color",
                    colour(entry.getValue().chromaticity(), entry.getValue().share() * 100));
        }
        close(1);
        open("Properties");
        empty("Weight", "Value", number(type.body().kilograms()));
        empty("PowerConsumption", "Value", String.valueOf(type.body().watts()));
        close(2);
    }

    private void mode(Mode mode) throws XMLStreamException {
        open("DMXMode", "Name", mode.name().text(), "Geometry", BODY);
        open("DMXChannels");
        for (Map.Entry<Integer, List<Integer>> channel : channels(mode).entrySet()) {
            channel(mode.slots().get(channel.getKey()), channel.getValue());
        }
        close(1);
        empty("Relations");
        empty("FTMacros");
        close(1);
    }

    /** The first slot of each channel, with all of its addresses: those of a lower byte belong to the one before. */
    private static Map<Integer, List<Integer>> channels(Mode mode) {
        Map<Integer, List<Integer>> channels = new LinkedHashMap<>();
        for (int i = 0; i < mode.slots().size(); i++) {
            Use use = mode.slots().get(i).use();
            int coarse = coarse(mode, use);
            if (coarse >= 0 && channels.containsKey(coarse)) {
                channels.get(coarse).add(i + 1);
            } else {
                channels.put(i, new ArrayList<>(List.of(i + 1)));
            }
        }
        return channels;
    }

    private static int coarse(Mode mode, Use fine) {
        for (int i = 0; i < mode.slots().size(); i++) {
            if (Attributes.fine(mode.slots().get(i).use()).filter(fine::equals).isPresent()) {
                return i;
            }
        }
        return -1;
    }

    private void channel(Slot slot, List<Integer> offsets) throws XMLStreamException {
        String attribute = Attributes.of(slot.use()).orElse("NoFeature");
        open(
                "DMXChannel",
                "DMXBreak",
                "1",
                "Offset",
                String.join(",", offsets.stream().map(String::valueOf).toList()),
                "Geometry",
                slot.cell() == 0 ? BODY : "%s cell %d".formatted(BODY, slot.cell()));
        open("LogicalChannel", "Attribute", attribute);
        if (slot.use() == Use.STROBE && !type.flickers().isEmpty()) {
            for (Flicker flicker : type.flickers()) {
                function(
                        flicker.isSteady() ? attribute : "Shutter1Strobe",
                        flicker.values().from(),
                        flicker.slowest(),
                        flicker.fastest());
                close(1);
            }
        } else {
            function(attribute, 0, 0, 1, emitter(slot.use()));
            if (slot.use() == Use.COLOURS) {
                colours();
            }
            close(1);
        }
        close(2);
    }

    /** A set for each, and one without a name for values between them that choose nothing. */
    private void colours() throws XMLStreamException {
        List<FixedColour> all = type.colours();
        for (int i = 0; i < all.size(); i++) {
            FixedColour fixed = all.get(i);
            empty(
                    "ChannelSet",
                    "Name",
                    fixed.words(),
                    "DMXFrom",
                    fixed.values().from() + "/1",
                    "WheelSlotIndex",
                    String.valueOf(i + 1));
            int next = i + 1 < all.size() ? all.get(i + 1).values().from() : Slot.FULL + 1;
            if (fixed.values().to() + 1 < next) {
                empty("ChannelSet", "Name", "", "DMXFrom", fixed.values().to() + 1 + "/1");
            }
        }
    }

    private String[] emitter(Use use) {
        return type.emitters().containsKey(use)
                ? new String[] {"Emitter", use.words()}
                : use == Use.COLOURS ? new String[] {"Wheel", WHEEL} : new String[0];
    }

    private void function(String attribute, int from, double physicalFrom, double physicalTo, String... more)
            throws XMLStreamException {
        List<String> all = new ArrayList<>(List.of(
                "Name",
                attribute,
                "Attribute",
                attribute,
                "DMXFrom",
                from + "/1",
                "Default",
                "0/1",
                "PhysicalFrom",
                number(physicalFrom),
                "PhysicalTo",
                number(physicalTo)));
        all.addAll(List.of(more));
        open("ChannelFunction", all.toArray(String[]::new));
    }

    private static String colour(Chromaticity at, double y) {
        return String.format(Locale.ROOT, "%.4f,%.4f,%.4f", at.x(), at.y(), y);
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.6f", value);
    }

    private void open(String element, String... attributes) throws XMLStreamException {
        xml.writeStartElement(element);
        write(attributes);
    }

    private void empty(String element, String... attributes) throws XMLStreamException {
        xml.writeEmptyElement(element);
        write(attributes);
    }

    private void write(String... attributes) throws XMLStreamException {
        for (int i = 0; i < attributes.length; i += 2) {
            xml.writeAttribute(attributes[i], attributes[i + 1]);
        }
    }

    private void close(int elements) throws XMLStreamException {
        for (int i = 0; i < elements; i++) {
            xml.writeEndElement();
        }
    }
}
