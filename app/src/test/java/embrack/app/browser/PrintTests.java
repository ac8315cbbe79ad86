package embrack.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.ColorScheme;
import com.microsoft.playwright.options.Media;
import com.microsoft.playwright.options.ReducedMotion;
import embrack.app.AppTest;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What comes out of a printer; read with PDFBox. */
@AppTest
class PrintTests {

    @LocalServerPort
    private int port;

    @ParameterizedTest
    @ValueSource(
            strings = {
                "preflight",
                "sheets",
                "card",
                "songs/lanterns-on-the-sill",
                "cues",
                "order",
                "wiring",
                "wiring/lists"
            })
    void paperIsTheSameFromEitherGround(String path) {
        byte[] dark = onPaper("/rigs/1/" + path, ColorScheme.DARK);
        assertThat(Arrays.equals(dark, onPaper("/rigs/1/" + path, ColorScheme.LIGHT)))
                .as("the same picture of " + path)
                .isTrue();
    }

    private byte[] onPaper(String path, ColorScheme ground) {
        try (Stagehand hand = new Stagehand(port, 1000, 1400, ground)) {
            hand.page.navigate(path);
            hand.untilTried();
            hand.page.emulateMedia(
                    new Page.EmulateMediaOptions().setMedia(Media.PRINT).setReducedMotion(ReducedMotion.REDUCE));
            // On paper more findings are in sight, and what mends them is tried as they come to be.
            hand.untilTried();
            hand.untilAtWork();
            hand.page.evaluate("scrollTo(0, 0)");
            hand.untilDrawn();
            return hand.page.screenshot();
        }
    }

    /** Of a song drawn near, each page has the names of its columns; a section that fits on one is not torn apart. */
    @Test
    void aLongPromptPageBreaksAtSections() throws IOException {
        try (Stagehand hand = new Stagehand(port, 1280, 800, ColorScheme.DARK)) {
            hand.page.navigate("/rigs/1/songs/lanterns-on-the-sill?zoom=3");
            try (PDDocument pdf = Loader.loadPDF(hand.page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true)))) {
                List<String> pages = pages(pdf);
                assertThat(pages).hasSizeGreaterThan(1);
                assertThat(pages.subList(0, pages.size() - 1))
                        .allSatisfy(text -> assertThat(text).contains("Guitar sounds", "Lantern desk", "Pictures"));
                assertThat(String.join("", pages)).containsOnlyOnce("Verse 2").containsOnlyOnce("Ropes along the quay");
                assertThat(pages)
                        .filteredOn(text -> text.contains("Last refrain"))
                        .allSatisfy(text -> assertThat(text).contains("slowing"));
            }
        }
    }

    @Test
    void whatIsWideLiesAcross() throws IOException {
        try (Stagehand hand = new Stagehand(port)) {
            hand.page.navigate("/rigs/1/wiring");
            try (PDDocument pdf = Loader.loadPDF(hand.page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true)))) {
                assertThat(pdf.getPages())
                        .anyMatch(page -> page.getMediaBox().getWidth()
                                > page.getMediaBox().getHeight());
            }
        }
    }

    private static List<String> pages(PDDocument pdf) throws IOException {
        List<String> pages = new ArrayList<>();
        for (int page = 1; page <= pdf.getNumberOfPages(); page++) {
            var stripper = new PDFTextStripper();
            stripper.setStartPage(page);
            stripper.setEndPage(page);
            pages.add(stripper.getText(pdf));
        }
        return pages;
    }
}
