package embrack.paper.print;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import embrack.core.sheet.SwitchCard;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.logging.Level;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;
import org.thymeleaf.spring6.SpringTemplateEngine;
import org.thymeleaf.templatemode.TemplateMode;
import org.thymeleaf.templateresolver.ClassLoaderTemplateResolver;

/**
 * Makes PDF files of sheets and cards, with templates of their own and nothing from outside; tagged for those who do
 * not see them.
 */
public final class SheetPdf {

    private static final String ROOM = "embrack/paper/";

    private final ITemplateEngine templates = engine();

    public SheetPdf() {
        XRLog.listRegisteredLoggers().forEach(logger -> XRLog.setLevel(logger, Level.WARNING));
    }

    private static ITemplateEngine engine() {
        var resolver = new ClassLoaderTemplateResolver(SheetPdf.class.getClassLoader());
        resolver.setPrefix(ROOM + "templates/");
        resolver.setSuffix(".html");
        resolver.setTemplateMode(TemplateMode.HTML);
        resolver.setCharacterEncoding("UTF-8");
        var engine = new SpringTemplateEngine();
        engine.setTemplateResolver(resolver);
        return engine;
    }

    /** The sheets of a rig. */
    public byte[] sheets(List<SheetView> sheets, String rigName, long revision, Paper paper) {
        return render("sheets-pdf", Map.of("sheets", sheets, "rigName", rigName, "revision", revision, "paper", paper));
    }

    /** The switch cards of a rig. */
    public byte[] cards(List<SwitchCard> cards, String rigName, long revision, Paper paper) {
        return render("card-pdf", Map.of("cards", cards, "rigName", rigName, "revision", revision, "paper", paper));
    }

    private byte[] render(String template, Map<String, Object> values) {
        String html = templates.process(template, new Context(Locale.ENGLISH, values));
        var out = new ByteArrayOutputStream();
        var builder = new PdfRendererBuilder();
        builder.withHtmlContent(html, "about:blank");
        font(builder, "atkinson-hyperlegible-next-400", "Next", 400);
        font(builder, "atkinson-hyperlegible-next-700", "Next", 700);
        font(builder, "atkinson-hyperlegible-mono-400", "Mono", 400);
        builder.usePdfUaAccessibility(true);
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static void font(PdfRendererBuilder builder, String file, String family, int weight) {
        builder.useFont(
                () -> Objects.requireNonNull(SheetPdf.class.getResourceAsStream("/" + ROOM + "fonts/" + file + ".ttf")),
                family,
                weight,
                BaseRendererBuilder.FontStyle.NORMAL,
                true);
    }
}
