package embrack.app.preflight;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import embrack.app.store.StoredRig;
import embrack.core.sheet.SwitchCard;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.logging.Level;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/**
 * Makes PDF files of sheets and cards, with templates of their own and nothing from outside; tagged for those who do
 * not see them.
 */
@Component
class SheetPdf {

    private final ITemplateEngine templates;

    SheetPdf(ITemplateEngine templates) {
        this.templates = templates;
        XRLog.listRegisteredLoggers().forEach(logger -> XRLog.setLevel(logger, Level.WARNING));
    }

    byte[] sheets(StoredRig rig, SheetPage page, Paper paper) {
        return render(
                "preflight/sheets-pdf",
                Map.of(
                        "page",
                        page,
                        "rigName",
                        rig.plan().rig().name().text(),
                        "revision",
                        rig.revision(),
                        "paper",
                        paper));
    }

    byte[] cards(StoredRig rig, List<SwitchCard> cards, Paper paper) {
        return render(
                "preflight/card-pdf",
                Map.of(
                        "cards",
                        cards,
                        "rigName",
                        rig.plan().rig().name().text(),
                        "revision",
                        rig.revision(),
                        "paper",
                        paper));
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
                () -> Objects.requireNonNull(SheetPdf.class.getResourceAsStream("/embrack/app/print/" + file + ".ttf")),
                family,
                weight,
                BaseRendererBuilder.FontStyle.NORMAL,
                true);
    }
}
