package embrack.paper.print;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/** The templates that are printed. */
final class Templates {

    private static final String ROOM = "embrack/paper/";

    private final SpringTemplateEngine engine = new SpringTemplateEngine();

    Templates() {
        var resolver = new ClassLoaderTemplateResolver(Templates.class.getClassLoader());
        resolver.setPrefix(ROOM + "templates/");
        resolver.setSuffix(".html");
        resolver.setTemplateMode(TemplateMode.HTML);
        resolver.setCharacterEncoding("UTF-8");
        engine.setTemplateResolver(resolver);
        engine.setEnableSpringELCompiler(true);
    }

    /** A template with values in it. */
    String fill(String template, Map<String, Object> values) {
        return engine.process(template, new Context(Locale.ENGLISH, values));
    }

    /** A file beside the templates. */
    static String text(String name) {
        return new String(bytes(name), StandardCharsets.UTF_8);
    }

    static byte[] bytes(String name) {
        try (InputStream in = Objects.requireNonNull(Templates.class.getResourceAsStream("/" + ROOM + name))) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
