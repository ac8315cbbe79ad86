package embrack.files.gdtf;

import embrack.core.light.FixtureType;
import embrack.core.light.FixtureTypeId;
import embrack.core.name.TapeLabel;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilder;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Element;
import org.xml.sax.SAXException;
import org.xml.sax.helpers.DefaultHandler;

/**
 * A file of the General Device Type Format, read for its modes, slots, emitters, fixed colours, strobe, weight and
 * beam.
 *
 * @param type what it describes
 * @param remarks what of it means nothing here and was left out, a sentence each
 */
public record GdtfReading(FixtureType type, List<String> remarks) {

    /** The most that an archive may have, bytes. */
    public static final int MAX_BYTES = 16 << 20;

    /** The most that a description takes when it is unpacked, bytes. */
    private static final int MAX_DESCRIPTION = 4_000_000;

    /** The most files in an archive that are looked at. */
    private static final int MAX_ENTRIES = 2_000;

    private static final String MAX_DEPTH = "64";
    private static final String MAX_ATTRIBUTES = "64";

    public GdtfReading {
        remarks = List.copyOf(remarks);
    }

    /**
     * Reads a file.
     *
     * @throws IllegalArgumentException with a sentence for the person when it is none, or says nothing of a fixture
     */
    public static GdtfReading of(byte[] file, FixtureTypeId id) {
        Element root = root(description(file));
        Element type = Xml.children(root, "FixtureType")
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("This file describes no fixture."));
        return new FixtureTypeReader(type, id).read();
    }

    private static byte[] description(byte[] file) {
        try (var zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            int entries = 0;
            for (Optional<ZipEntry> entry = next(zip); entry.isPresent(); entry = next(zip)) {
                if (++entries > MAX_ENTRIES) {
                    throw new IllegalArgumentException(
                            "This archive holds more than %d files; no fixture does.".formatted(MAX_ENTRIES));
                }
                if (entry.get().getName().equals(GdtfWriter.DESCRIPTION)) {
                    byte[] bytes = zip.readNBytes(MAX_DESCRIPTION + 1);
                    if (bytes.length > MAX_DESCRIPTION) {
                        throw new IllegalArgumentException("Its description takes more than 4 MB.");
                    }
                    return bytes;
                }
            }
        } catch (IOException e) {
            throw new IllegalArgumentException("This archive is damaged: %s.".formatted(e.getMessage()), e);
        }
        throw new IllegalArgumentException(
                "This is no GDTF file: an archive with a %s in it.".formatted(GdtfWriter.DESCRIPTION));
    }

    private static Optional<ZipEntry> next(ZipInputStream zip) throws IOException {
        return Optional.ofNullable(zip.getNextEntry());
    }

    /** Without entities, without anything from elsewhere, and not deeper than a fixture is. */
    private static Element root(byte[] description) {
        try {
            DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
            factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
            factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
            factory.setAttribute(XMLConstants.ACCESS_EXTERNAL_DTD, "");
            factory.setAttribute(XMLConstants.ACCESS_EXTERNAL_SCHEMA, "");
            factory.setAttribute("jdk.xml.maxElementDepth", MAX_DEPTH);
            factory.setAttribute("jdk.xml.elementAttributeLimit", MAX_ATTRIBUTES);
            factory.setXIncludeAware(false);
            factory.setExpandEntityReferences(false);
            DocumentBuilder builder = factory.newDocumentBuilder();
            builder.setErrorHandler(new DefaultHandler());
            return builder.parse(new ByteArrayInputStream(description)).getDocumentElement();
        } catch (SAXException | IOException e) {
            throw new IllegalArgumentException(
                    "Its %s cannot be read: %s".formatted(GdtfWriter.DESCRIPTION, e.getMessage()), e);
        } catch (ParserConfigurationException e) {
            throw new IllegalStateException(e);
        }
    }

    /** What a label makes of a name: cut where it is too long, without what ends a name in a text of a fixture. */
    static TapeLabel label(String name, String otherwise) {
        String plain =
                name.replaceAll("[:#\\p{Cntrl}]", " ").replaceAll(" +", " ").strip();
        String stripped = plain.isEmpty() ? otherwise : plain;
        return new TapeLabel(stripped.substring(0, Math.min(stripped.length(), TapeLabel.MAX_LENGTH))
                .strip());
    }
}
