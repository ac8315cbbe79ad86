package embrack.app.switches;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.AppTest;
import embrack.app.store.Hand;
import embrack.app.store.Reports;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.check.Report;
import embrack.core.edit.SwitchEdit;
import embrack.core.level.Takeover;
import embrack.core.rig.DeviceId;
import embrack.core.sim.Proof;
import embrack.core.switches.SwitchAt;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What the pages of the switches room and the printed sheets answer. */
@AppTest
class SwitchPagesTests {

    @LocalServerPort
    private int port;

    @Autowired
    private RigStore rigs;

    @Autowired
    private Reports reports;

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/switches/quay-board/1/treadle/2",
                "/switches/quay-board/99/1",
                "/switches/gone/1/knob/1",
                "/switches/vocal-mixer/1/1"
            })
    void aLinkToWhatIsOnNoBoxLeadsToTheFirstThatIs(String path) throws IOException, InterruptedException {
        assertThat(get("/rigs/1" + path).statusCode()).isEqualTo(404);
        HttpResponse<byte[]> answer = get("/rigs/1" + path, "HX-Request", "true");
        assertThat(answer.statusCode()).isEqualTo(302);
        assertThat(answer.headers().firstValue("Location").orElseThrow()).endsWith("/rigs/1/switches");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/switches/swap?box=gone&with=gone",
                "/switches/swap?box=quay-board&with=gone",
                "/switches/swap?box=quay-board&with=rack-mixer-24",
                "/switches/swap?box=quay-board&with=box:gone",
                "/switches/quay-board/1/treadle/1?fader=-5&value=900",
                "/switches/quay-board/1/1?on=sideways",
                "/sheets?paper=papyrus",
                "/switches/keys/1/knob/8"
            })
    void oddQuestionsAreAnsweredCalmly(String path) throws IOException, InterruptedException {
        assertThat(get("/rigs/1" + path).statusCode()).as(path).isLessThan(400);
    }

    @Test
    void whatCannotTakeOverIsRefusedBesideWhatCan() throws IOException, InterruptedException {
        String page =
                new String(get("/rigs/1/switches/swap?box=quay-board&with=gone").body(), StandardCharsets.UTF_8);
        assertThat(page).contains("could take over, best first").contains("Side board, of this rig");
    }

    /** Paper sizes: ISO 216 A4 is 210 by 297 mm; Letter is 8.5 by 11 inches (ANSI A). Read with PDFBox. */
    @ParameterizedTest
    @CsvSource({
        "program, a4, 595, 842, Set it so that it sends the same at every press.",
        "cables, letter, 612, 792, Cables",
        "cards, a4, 842, 595, Voice dry",
        "cards, letter, 792, 612, kill"
    })
    void sheetsAndCardsAreFilesToPrint(String what, String paper, int width, int height, String words)
            throws IOException, InterruptedException {
        HttpResponse<byte[]> answer = get("/rigs/1/folder.pdf?leaf=%s&paper=%s".formatted(what, paper));
        assertThat(answer.headers().firstValue("Content-Type")).contains("application/pdf");
        try (PDDocument document = Loader.loadPDF(answer.body())) {
            assertThat(Math.round(document.getPage(0).getMediaBox().getWidth())).isEqualTo(width);
            assertThat(Math.round(document.getPage(0).getMediaBox().getHeight()))
                    .isEqualTo(height);
            assertThat(document.getDocumentInformation().getTitle()).contains("Quay rig, revision ");
            assertThat(document.getDocumentCatalog().getLanguage()).isEqualTo("en");
            assertThat(document.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
            assertThat(document.getDocumentCatalog().getStructureTreeRoot().getKids())
                    .isNotEmpty();
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(text)
                    .contains("Quay rig, revision ")
                    .contains("page 1 of ")
                    .doesNotContain("#");
            assertThat(text).contains(words.equals("kill") ? "Stop all" : words);
        }
    }

    @Test
    void afterAnEditOnlyWhatItTouchedIsProvenAnew() {
        RigId id = rigs.create(rigs.load(new RigId(1)).plan(), "Copy");
        Report before = reports.of(rigs.load(id));
        assertThat(reports.of(rigs.load(id))).isSameAs(before);
        SwitchAt at = new SwitchAt(new DeviceId("quay-board"), 1, 1);
        rigs.edit(id, Hand.ANY, new SwitchEdit.ClearSwitch(at));
        Report after = reports.of(rigs.load(id));
        assertThat(after.proofs()).hasSize(before.proofs().size() - 1);
        assertThat(after.proofs())
                .as("what the edit decides about is proven anew, and no more")
                .filteredOn(proof -> before.proofs().stream().anyMatch(known -> known == proof))
                .hasSizeGreaterThan(after.proofs().size() / 2);
        assertThat(after.proofs())
                .extracting(Proof::verdict)
                .isEqualTo(Report.of(rigs.load(id).plan()).proofs().stream()
                        .map(Proof::verdict)
                        .toList());
        assertThat(after.findings()).isEqualTo(Report.of(rigs.load(id).plan()).findings());
    }

    @Test
    void theCurveOfAFaderThatStandsElsewhereStartsThereAndEndsAtBothEnds() {
        var start = new Takeover.Position(0.5, 1);
        assertThat(LevelCurve.of(Takeover.SCALED, start, 0).path())
                .startsWith("M50.0 0.0 L")
                .endsWith(" L0.0 100.0");
        assertThat(LevelCurve.of(Takeover.JUMP, start, 0).path()).startsWith("M50.0 0.0 L50.0 50.0");
        assertThat(LevelCurve.of(Takeover.CATCH, start, 1).path()).endsWith(" L100.0 0.0");
    }

    private HttpResponse<byte[]> get(String path) throws IOException, InterruptedException {
        return get(path, "Accept", "*/*");
    }

    private HttpResponse<byte[]> get(String path, String header, String value)
            throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                                .header("Accept", "text/html")
                                .header(header, value)
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
    }
}
