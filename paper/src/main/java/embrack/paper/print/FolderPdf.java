package embrack.paper.print;

import com.openhtmltopdf.bidi.support.ICUBidiReorderer;
import com.openhtmltopdf.bidi.support.ICUBidiSplitter;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.util.XRLog;
import embrack.paper.page.Bundle;
import embrack.paper.page.Part;
import embrack.paper.type.Fonts;
import embrack.paper.type.LabelSize;
import embrack.paper.type.Paper;
import embrack.paper.type.Ruler;
import embrack.paper.type.Setting;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.logging.Level;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Makes PDF files of folders, with templates of their own and nothing from outside; tagged for those who do not see
 * them, with bookmarks.
 */
public final class FolderPdf {

    private final Templates templates = new Templates();

    public FolderPdf() {
        XRLog.listRegisteredLoggers().forEach(logger -> XRLog.setLevel(logger, Level.WARNING));
    }

    /** A file; without pages of which to say nothing, also of a folder without parts. */
    public byte[] of(Bundle bundle, Paper paper, Ground ground) {
        List<PrintedPage> pages = Paging.of(bundle.parts(), paper);
        pages = Paging.of(numbered(bundle.parts(), pages), paper);
        String html = templates.fill(
                "printed",
                Map.of(
                        "title",
                        bundle.parts().size() == 1
                                ? "%s, %s".formatted(bundle.parts().getFirst().title(), bundle.foot())
                                : "Folder of " + bundle.foot(),
                        "pages",
                        pages,
                        "style",
                        style(bundle, paper, ground),
                        "screen",
                        false,
                        "capital",
                        Ruler.BOLD.capital()));
        var out = new ByteArrayOutputStream();
        var builder = new PdfRendererBuilder();
        builder.withHtmlContent(html, "about:blank");
        builder.useUriResolver((base, uri) -> uri.startsWith("#") ? uri : null); // nothing is fetched from anywhere
        font(builder, Fonts.PLAIN, "Next", 400);
        font(builder, Fonts.BOLD, "Next", 700);
        font(builder, Fonts.FIGURES, "Mono", 400);
        font(builder, Fonts.MUSIC, "Music", 400);
        Fonts.MORE.forEach((family, file) -> {
            font(builder, file + "-400", family, 400);
            font(builder, file + "-700", family, 700);
        });
        builder.useUnicodeLineBreaker(new AtBlanks());
        builder.useUnicodeBidiSplitter(new ICUBidiSplitter.ICUBidiSplitterFactory());
        builder.useUnicodeBidiReorderer(new ICUBidiReorderer());
        builder.usePdfUaAccessibility(true);
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** The parts with the pages on which they begin, where a row leads to one. */
    private static List<Part> numbered(List<Part> parts, List<PrintedPage> pages) {
        Map<String, String> first = new HashMap<>();
        for (int i = 0; i < pages.size(); i++) {
            for (Band band : pages.get(i).bands()) {
                first.putIfAbsent(band.part().id(), String.valueOf(i + 1));
            }
        }
        return parts.stream()
                .map(part -> part.id().equals(Part.COVER)
                        ? part.eachRow(row -> row.onPage(id -> first.getOrDefault(id, "")))
                        : part)
                .toList();
    }

    private static String style(Bundle bundle, Paper paper, Ground ground) {
        String sizes = Stream.of(Part.Form.values())
                .map(form -> {
                    Setting setting = Setting.of(form, paper);
                    return setting.style(form.key())
                            + String.format(
                                    Locale.ROOT,
                                    ".on-%1$s{page:%1$s}@page %1$s{size:%2$.2fpt %3$.2fpt}%n",
                                    form.key(),
                                    setting.width(),
                                    setting.height());
                })
                .collect(Collectors.joining());
        return Templates.text("style/printed.css")
                        .replace("FOOT", bundle.foot().replace("\\", "\\\\").replace("\"", "\\\""))
                        .replace("GROUND_LINE", ground.ink())
                        .replace("GROUND_PAPER", ground.paper())
                + String.format(Locale.ROOT, "@page{size:%.2fpt %.2fpt}%n", paper.width(), paper.height())
                + LabelSize.style()
                + sizes;
    }

    private static void font(PdfRendererBuilder builder, String file, String family, int weight) {
        builder.useFont(
                () -> Objects.requireNonNull(FolderPdf.class.getResourceAsStream(Fonts.path(file))),
                family,
                weight,
                BaseRendererBuilder.FontStyle.NORMAL,
                true);
    }
}
