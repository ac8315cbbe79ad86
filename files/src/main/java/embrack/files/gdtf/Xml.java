package embrack.files.gdtf;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/** Elements and attributes of a parsed description. */
final class Xml {

    private Xml() {}

    /** The children of that name, in order. */
    static Stream<Element> children(Element parent, String name) {
        return children(parent).filter(child -> child.getTagName().equals(name));
    }

    static Stream<Element> children(Element parent) {
        return elements(parent.getChildNodes());
    }

    /** All of that name below, however deep. */
    static Stream<Element> below(Element parent, String name) {
        return elements(parent.getElementsByTagName(name));
    }

    private static Stream<Element> elements(NodeList nodes) {
        return IntStream.range(0, nodes.getLength())
                .mapToObj(nodes::item)
                .flatMap(node -> node instanceof Element element ? Stream.of(element) : Stream.empty());
    }

    static OptionalDouble number(Element element, String attribute) {
        try {
            double value = Double.parseDouble(element.getAttribute(attribute).strip());
            return Double.isFinite(value) ? OptionalDouble.of(value) : OptionalDouble.empty();
        } catch (NumberFormatException e) {
            return OptionalDouble.empty();
        }
    }

    /** A value such as "128/1" or "32768/2" as one of 0 to 255; empty for anything else. */
    static Optional<Integer> value(Element element, String attribute) {
        String[] pieces = element.getAttribute(attribute).split("/");
        try {
            long value = Long.parseLong(pieces[0].strip());
            int bytes =
                    pieces.length < 2 ? 1 : Integer.parseInt(pieces[1].strip().replaceAll("\\D", ""));
            return bytes < 1 || bytes > 4 || value < 0
                    ? Optional.empty()
                    : Optional.of((int) Math.min(255, value >> 8 * (bytes - 1)));
        } catch (NumberFormatException e) {
            return Optional.empty();
        }
    }
}
