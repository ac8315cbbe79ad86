package embrack.files.lists;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.LightFaults;
import embrack.core.Sketch;
import embrack.core.WiringFaults;
import java.io.IOException;
import java.io.StringReader;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;

class ListCsvTests {

    /** A name with a comma and a quote has to come back whole. */
    private static final Sketch RIG = WiringFaults.clean()
            .box("Desk, \"old\"", "scene-desk")
            .set("desk-old", "receive-channel", "4")
            .link("vocal-mixer.thru > desk-old.in");

    @Test
    void cablesPackingAndLabelsAreReadByAnotherReader() throws IOException {
        List<CSVRecord> cables = records(ListCsv.cables(RIG.rig()));
        assertThat(cables)
                .extracting(r -> r.get("number") + " " + r.get("kind") + " " + r.get("from") + " > " + r.get("to"))
                .containsExactly(
                        "1 5-pin Merger OUT > Vocal mixer MIDI IN",
                        "2 5-pin Vocal mixer MIDI THRU > Desk, \"old\" MIDI IN",
                        "3 5-pin Voice board MIDI OUT > Merger IN 1");
        assertThat(records(ListCsv.labels(RIG.rig())))
                .hasSize(6)
                .extracting(r -> r.get("end"))
                .startsWith("from", "to", "from");
        assertThat(records(ListCsv.packing(RIG.plan())))
                .extracting(r -> r.get("case"))
                .contains("Floor", "Spares");
        assertThat(ListCsv.cables(RIG.rig())).contains("\r\n").isEqualTo(ListCsv.cables(RIG.rig()));
    }

    @Test
    void thePatchHasASlotRangeAFixture() throws IOException {
        List<CSVRecord> patch = records(ListCsv.patch(LightFaults.lit().plan().lights()));
        assertThat(patch)
                .extracting(r -> "%s %s.%s-%s %s"
                        .formatted(
                                r.get("fixture"), r.get("universe"), r.get("from"), r.get("to"), r.get("switches on")))
                .containsExactly(
                        "Par 1 1.1-7 1", "Par 2 1.8-14 4", "Par 3 1.15-21 1, 2, 3 and 4", "Par 4 1.22-28 2, 3 and 5");
    }

    @Test
    void singlePointsComeWorstFirst() throws IOException {
        List<CSVRecord> points = records(ListCsv.singlePoints(RIG.plan()));
        assertThat(points)
                .extracting(r -> Integer.valueOf(r.get("switches lost")))
                .isSortedAccordingTo((a, b) -> b - a)
                .contains(2);
        assertThat(points.getFirst().get("which")).isEqualTo("Voice board, bank A, switches 1 and 2");
    }

    @Test
    void anEmptyRigGivesHeadingsOnly() {
        assertThat(ListCsv.cables(Sketch.of("Nothing").rig()))
                .isEqualTo("number,kind,length,from,to,label at from,label at to,adapter\r\n");
        assertThat(ListCsv.singlePoints(Sketch.of("Nothing").plan())).isEqualTo("fails,switches lost,which\r\n");
    }

    private static List<CSVRecord> records(String csv) throws IOException {
        try (var parser = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(csv))) {
            return parser.getRecords();
        }
    }
}
