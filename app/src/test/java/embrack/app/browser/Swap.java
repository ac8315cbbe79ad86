package embrack.app.browser;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A place in a template that fetches a part of a page by itself, as its hx- attributes say, and what finds it in a
 * browser.
 */
record Swap(String template, String selector, Map<String, String> attributes) {

    private static final Path TEMPLATES = Path.of("src/main/resources/templates");
    private static final Pattern TAG = Pattern.compile("<([a-z]+)\\s((?:[^\">]|\"[^\"]*\")*)>");
    private static final Pattern ATTRIBUTE = Pattern.compile("([a-z:-]+)(?:=\"([^\"]*)\")?");
    private static final Pattern ASKS = Pattern.compile("hx-(?:get|post)=([^,]*(?:\\([^)]*\\))?)");
    private static final Pattern LITERAL = Pattern.compile("'(/[a-z/-]+)'|\\}(/[a-z/-]+)|^(/[a-z/-]+)$");

    private static final Pattern NAME = Pattern.compile("^\\$\\{(\\w+)\\b(.*)$");

    /** All of them; two that nothing tells apart are one. */
    static List<Swap> all() throws IOException {
        Map<String, Swap> swaps = new LinkedHashMap<>();
        try (Stream<Path> templates = Files.walk(TEMPLATES)) {
            templates
                    .filter(path -> path.toString().endsWith(".html"))
                    .sorted()
                    .flatMap(Swap::in)
                    .forEach(swap -> swaps.putIfAbsent(swap.selector(), swap));
        }
        return List.copyOf(swaps.values());
    }

    private static Stream<Swap> in(Path template) {
        List<Swap> found = new ArrayList<>();
        try {
            String text = Files.readString(template);
            Matcher tag = TAG.matcher(text);
            while (tag.find()) {
                Map<String, String> attributes = attributes(tag.group(2));
                asked(attributes, text.substring(0, tag.end())).ifPresent(path -> {
                    String name = TEMPLATES.relativize(template).toString();
                    found.add(new Swap(name, selector(tag.group(1), attributes, path), attributes));
                });
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return found.stream();
    }

    private static Map<String, String> attributes(String text) {
        Map<String, String> attributes = new LinkedHashMap<>();
        Matcher each = ATTRIBUTE.matcher(text);
        while (each.find()) {
            attributes.put(each.group(1), Optional.ofNullable(each.group(2)).orElse(""));
        }
        return attributes;
    }

    /** What it asks the server for, as far as it is a fixed text; not there if it asks for nothing. */
    private static Optional<String> asked(Map<String, String> attributes, String before) {
        String plain = attributes.getOrDefault("hx-get", attributes.getOrDefault("hx-post", ""));
        Matcher computed = ASKS.matcher(attributes.getOrDefault("th:attr", ""));
        if (plain.isEmpty() && !computed.find()) {
            return Optional.empty();
        }
        String asks = plain.isEmpty() ? computed.group(1) : plain;
        Matcher named = NAME.matcher(asks);
        if (named.find()) {
            Matcher given =
                    Pattern.compile("\\b%s=([^,\"]*)".formatted(named.group(1))).matcher(before);
            asks = given.results().map(each -> each.group(1)).reduce("", (a, b) -> b) + named.group(2);
        }
        return Optional.of(LITERAL.matcher(asks)
                .results()
                .map(part -> Stream.of(1, 2, 3)
                        .map(part::group)
                        .filter(Objects::nonNull)
                        .findFirst()
                        .orElseThrow())
                .reduce("", (a, b) -> b));
    }

    private static String selector(String tag, Map<String, String> attributes, String path) {
        String verb = (attributes.getOrDefault("th:attr", "") + attributes).contains("hx-post=") ? "hx-post" : "hx-get";
        return tag
                + (path.isEmpty() ? "[%s]".formatted(verb) : "[%s*='%s']".formatted(verb, path))
                + Stream.of("class", "name", "id", "hx-trigger", "hx-target", "hx-select")
                        .filter(name -> !attributes.getOrDefault(name, "").isEmpty())
                        .map(name -> formatted(name, attributes.get(name)))
                        .collect(Collectors.joining());
    }

    private static String formatted(String name, String value) {
        return name.equals("class") ? "." + value.strip().replaceAll("\\s+", ".") : "[%s='%s']".formatted(name, value);
    }
}
