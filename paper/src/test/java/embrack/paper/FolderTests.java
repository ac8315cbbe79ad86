package embrack.paper;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import embrack.core.Evening;
import embrack.core.Sketch;
import embrack.core.check.Report;
import embrack.core.edit.OrderEdit;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.sheet.CableList;
import embrack.core.sheet.Section;
import embrack.core.sheet.Sheet;
import embrack.core.sheet.TimedList;
import embrack.core.show.Leaf;
import embrack.core.word.Language;
import embrack.files.check.ReportJson;
import embrack.files.plan.PlanFile;
import embrack.paper.Poppler.Page;
import embrack.paper.Poppler.Word;
import embrack.paper.page.Body;
import embrack.paper.page.Bundle;
import embrack.paper.page.CardCell;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import embrack.paper.part.Binder;
import embrack.paper.part.Contents;
import embrack.paper.print.FolderPdf;
import embrack.paper.print.Ground;
import embrack.paper.type.LabelSize;
import embrack.paper.type.Paper;
import embrack.paper.type.Ruler;
import embrack.paper.type.Setting;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Folders as printed, read by poppler. */
class FolderTests {

    private static final double MM = 72 / 25.4;
    private static final double FOOT = 10.5 * MM;

    /** The demo's folder, beside what players get, on so many pages at most. */
    private static final int MOST_PAGES = 16;

    private static final Set<String> OWN = Set.of("player-", "card-");

    private static Report demo;

    private static Report demo() throws IOException {
        if (demo == null) {
            demo = Report.of(PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json"))));
        }
        return demo;
    }

    private static byte[] printed(Binder binder, List<Part> parts, Paper paper) {
        String rig = binder.contents().rig().name().text();
        return new FolderPdf()
                .of(new Bundle(rig, 57, "27 Nov", "", binder.covered(parts, Map.of(), "")), paper, Ground.LIGHT);
    }

    private static boolean isOwn(Part part) {
        return OWN.stream().anyMatch(part.id()::startsWith);
    }

    @ParameterizedTest
    @EnumSource(Paper.class)
    void theDemosFolderIsShortAndEveryPageOfItIsWhole(Paper paper) throws IOException {
        Binder binder = new Binder(Contents.of(demo(), paper));
        List<Part> parts = binder.all();
        assertThat(parts).hasSizeGreaterThan(20);
        Poppler pdf = Poppler.of(
                printed(binder, parts.stream().filter(part -> !isOwn(part)).toList(), paper));
        List<Page> pages = pdf.pages();
        assertThat(pages).hasSizeLessThanOrEqualTo(paper == Paper.A4 ? MOST_PAGES : MOST_PAGES + 1);
        looksWhole(pdf, pages);
        for (Part own : parts.stream().filter(FolderTests::isOwn).toList()) {
            Poppler one = Poppler.of(
                    new FolderPdf().of(new Bundle("Quay rig", 57, "27 Nov", "", List.of(own)), paper, Ground.DARK));
            assertThat(one.pages())
                    .as(own.id())
                    .hasSizeLessThanOrEqualTo(own.id().startsWith("card-") ? 3 : 2);
            looksWhole(one, one.pages());
        }
    }

    /** Nothing is cut or lies on anything else, pages are full but for the last of a part, and say what they are. */
    private static void looksWhole(Poppler pdf, List<Page> pages) throws IOException {
        assertThat(pdf.info()).contains("Tagged:          yes");
        assertThat(pdf.fonts().lines().skip(2)).isNotEmpty().allMatch(font -> font.contains(" yes yes yes "));
        for (int i = 0; i < pages.size(); i++) {
            Page page = pages.get(i);
            assertThat(page.text())
                    .contains("revision 57, 27 Nov")
                    .contains("page %d of %d".formatted(i + 1, pages.size()))
                    .as("a letter that no font has is printed so")
                    .doesNotContain("#");
            for (Word word : page.words()) {
                assertThat(word.left()).as("%s on page %d", word, i + 1).isGreaterThan(4 * MM);
                assertThat(word.right()).as("%s on page %d", word, i + 1).isLessThan(page.width() - 4 * MM);
                assertThat(word.bottom()).as("%s on page %d", word, i + 1).isLessThan(page.height() - 3 * MM);
                assertThat(word.bottom() - word.top())
                        .as("%s on page %d", word, i + 1)
                        .isGreaterThan(6.5);
            }
            assertThat(overlaps(page)).as("page %d", i + 1).isEmpty();
        }
        List<Double> depths = pdf.depths(FOOT);
        for (int i = 0; i + 1 < pages.size(); i++) {
            boolean endsAPart = !pages.get(i + 1).text().matches("(?s).*\\(([2-9]|\\d\\d) of \\d+\\).*");
            assertThat(depths.get(i))
                    .as("page %d: %s", i + 1, pages.get(i).text())
                    .isGreaterThan(endsAPart ? 0 : 1 / 3.0);
        }
    }

    private static List<String> overlaps(Page page) {
        List<String> overlaps = new ArrayList<>();
        for (int i = 0; i < page.words().size(); i++) {
            for (int j = i + 1; j < page.words().size(); j++) {
                if (page.words().get(i).covers(page.words().get(j))) {
                    overlaps.add(page.words().get(i) + " and " + page.words().get(j));
                }
            }
        }
        return overlaps;
    }

    @Test
    void everyMessageThatIsProgrammedIsPrintedOnce() throws IOException {
        Report report = demo();
        Binder binder = new Binder(Contents.of(report, Paper.A4));
        List<Row> rows =
                binder.of(Leaf.PROGRAM).stream().flatMap(FolderTests::rows).toList();
        List<Section.Program> programs = binder.contents().progress().sheets().stream()
                .filter(sheet -> sheet.job() == Sheet.Job.PROGRAM)
                .flatMap(Sheet::lines)
                .filter(Section.Program.class::isInstance)
                .map(Section.Program.class::cast)
                .toList();
        assertThat(programs).hasSizeGreaterThan(25);
        programs.forEach(program -> assertThat(rows.stream()
                        .filter(row -> List.of(row.key().split(" ")).contains(program.key())))
                .as(program.key())
                .singleElement()
                .satisfies(row -> assertThat(row.text())
                        .contains(program.message().line().replaceAll(" +", " "), program.does())));
        int timed =
                (int) binder.of(Leaf.TIMED).stream().flatMap(FolderTests::rows).count();
        int sent = report.plan().book().songs().stream()
                .mapToInt(song -> TimedList.of(report, song).rows().size())
                .sum();
        assertThat(timed).isEqualTo(sent).isGreaterThan(100);
        String paper = text(Poppler.of(printed(binder, binder.all(), Paper.A4)).pages());
        assertThat(Stream.of(Leaf.PROGRAM, Leaf.TIMED, Leaf.LIGHTS, Leaf.WORDS, Leaf.SOUND, Leaf.CONSOLE, Leaf.JOINS)
                        .flatMap(leaf -> binder.of(leaf).stream())
                        .flatMap(part -> part.blocks().stream())
                        .flatMap(block -> block.body().texts().stream())
                        .flatMap(words -> Stream.of(words.split(" \\| |\\s+")))
                        .distinct()
                        .filter(word -> !paper.contains(word)))
                .isEmpty();
    }

    /** What is printed is what the check command says is sent. */
    @Test
    void theNumbersAreThoseOfTheCheck() throws IOException {
        Report report = demo();
        String json = ReportJson.of(report, Language.ENGLISH);
        report.plan().book().songs().stream()
                .flatMap(song -> TimedList.of(report, song).rows().stream())
                .forEach(row -> assertThat(json).contains(row.shown().bytes()));
    }

    private static Stream<Row> rows(Part part) {
        return part.blocks().stream()
                .filter(block -> block.body() instanceof Body.Table)
                .flatMap(block -> ((Body.Table) block.body()).rows().stream());
    }

    private static String text(List<Page> pages) {
        return squeezed(pages.stream().map(Page::text).collect(Collectors.joining(" ")));
    }

    private static String squeezed(String text) {
        return text.replaceAll("\\s+", "");
    }

    /** Every cue of a desk stands on the sheet of whoever works it. */
    @Test
    void everyCueIsOnTheSheetOfItsReader() throws IOException {
        Binder binder = new Binder(Contents.of(demo(), Paper.A4));
        Map<Leaf, String> boxes = Map.of(Leaf.LIGHTS, "lantern-desk", Leaf.WORDS, "pictures");
        boxes.forEach((leaf, box) -> {
            long cues = demo.plan().book().songs().stream()
                    .flatMap(song -> song.cues().stream())
                    .filter(cue -> cue.steps().stream()
                            .anyMatch(step -> step.device().text().equals(box)))
                    .count();
            long pressed = demo.plan().book().songs().stream()
                    .flatMap(song -> song.cues().stream())
                    .filter(cue -> cue.foot()
                            .filter(at -> demo.plan().switches().at(at).steps().stream()
                                    .anyMatch(step -> step.device().text().equals(box)))
                            .isPresent())
                    .count();
            assertThat(binder.of(leaf).stream().flatMap(FolderTests::rows)).hasSize((int) (cues + pressed));
        });
    }

    /** 12 mm at 1.7 m are 0.4 degrees of sight; common practice, no source. */
    @Test
    void cardsAreReadFromTheFloor() throws IOException {
        assertThat(Math.toDegrees(Math.atan(12 / 1_700.0))).isBetween(0.4, 0.41);
        Binder binder = new Binder(Contents.of(demo(), Paper.A4));
        Set<String> switches = new HashSet<>();
        for (Part card : binder.of(Leaf.CARDS)) {
            card.blocks().forEach(block -> {
                Body.Switches page = (Body.Switches) block.body();
                assertThat(page.capMillimetres()).as(card.id()).isGreaterThanOrEqualTo(12);
                assertThat(page.rows().stream()
                                .mapToDouble(row -> row.millimetres())
                                .sum())
                        .isBetween(100.0, 190.0);
                page.rows().stream().flatMap(row -> row.cells().stream()).forEach(cell -> {
                    assertThat(cell.name()).hasSizeLessThanOrEqualTo(2);
                    cell.name()
                            .forEach(line -> assertThat(
                                            Ruler.BOLD.width(line, page.capMillimetres() / Ruler.BOLD.capital()))
                                    .as("%s in %s, in a cell as wide as all of the page", line, card.id())
                                    .isLessThan((297.0 - 2 * 9)
                                            / page.rows().stream()
                                                    .mapToInt(row -> row.cells().size())
                                                    .max()
                                                    .orElse(1)));
                    switches.add(cell.full());
                });
            });
        }
        assertThat(demo().plan().switches().assignments())
                .allSatisfy(assignment -> assertThat(switches)
                        .contains(assignment.label().map(TapeLabel::text).orElse("")));
        assertThat(binder.of(Leaf.CARDS).stream()
                        .flatMap(part -> part.blocks().stream())
                        .flatMap(block -> ((Body.Switches) block.body()).rows().stream())
                        .flatMap(row -> row.cells().stream())
                        .map(CardCell::tone))
                .contains("kill", "safe");
    }

    /** An empty rig, names that are long, accented or written from the right, many boxes. */
    static Stream<Plan> badCases() {
        Sketch wide = Sketch.of("W".repeat(TapeLabel.MAX_LENGTH));
        IntStream.range(0, 120).forEach(i -> wide.box("%03d %s".formatted(i, "W".repeat(36)), "rack-mixer-24"));
        Sketch far = Sketch.of("\u05DC\u05D9\u05DC \u05D4\u05E1\u05D9\u05E8\u05D5\u05EA")
                .box("\u05E8\u05E6\u05E4\u05D4", "ten-switch-treadle-board")
                .box("Sz\u0151l\u0151 Ch\u0142\u00F3d \u00C5ngstr\u00F6m", "rack-mixer-24")
                .box("\u0645\u0631\u0641\u0623", "sounds-switcher")
                .box("\u039B\u03B9\u03BC\u03AC\u03BD\u03B9", "sounds-switcher")
                .box("\u0413\u0430\u0432\u0430\u043D\u044C", "sounds-switcher");
        Sketch long60 = Evening.sketch();
        for (int i = 1; i <= 60; i++) {
            String song = "tide-%d-of-the-long-evening".formatted(i);
            long60.song("Tide %d of the long evening".formatted(i), Evening.LANTERNS)
                    .cues(song, "on load = lantern-desk recall:scene-%d".formatted(1 + i % 6))
                    .edit(new OrderEdit.AddSongTo(Evening.SHOW, song));
        }
        Sketch banks =
                Sketch.of("Ten banks").box("Board", "ten-switch-treadle-board").box("Mixer", "rack-mixer-24");
        banks.link("board.out > mixer.in");
        IntStream.rangeClosed(1, 10)
                .forEach(bank -> IntStream.rangeClosed(1, 10)
                        .forEach(at -> banks.step("board/%d %d: mixer mute:input-%d".formatted(bank, at, at))));
        return Stream.of(
                Plan.empty(new TapeLabel("Nothing yet")),
                wide.plan(),
                far.plan(),
                Evening.plan(),
                long60.plan(),
                banks.plan());
    }

    @ParameterizedTest
    @MethodSource("badCases")
    void whateverTheRigNothingIsCutAndNothingFails(Plan plan) throws IOException {
        Binder binder = new Binder(Contents.of(Report.of(plan), Paper.LETTER));
        List<Part> parts = new ArrayList<>(binder.all());
        parts.addAll(binder.of(Leaf.LABELS));
        Poppler pdf = Poppler.of(printed(binder, parts, Paper.LETTER));
        looksWhole(pdf, pdf.pages());
    }

    /** As many as a page of that size holds, with room for them measured by hand: 19 cm by 26.5 cm of A4. */
    @ParameterizedTest
    @CsvSource({"'', 5, 38", "50x25, 3, 50", "100 \u00D7 60 mm, 1, 100", "20*8, 9, 20"})
    void labelsAreAsLargeAsIsSaid(String words, int across, int width) throws IOException {
        Binder binder = new Binder(Contents.of(demo(), Paper.A4).with(LabelSize.of(words)));
        List<Part> parts = binder.of(Leaf.LABELS);
        Poppler pdf =
                Poppler.of(new FolderPdf().of(new Bundle("Quay rig", 57, "27 Nov", "", parts), Paper.A4, Ground.LIGHT));
        List<Double> starts = pdf.pages().getFirst().words().stream()
                .map(word -> Math.floor((word.left() / MM - 9) / width))
                .filter(column -> 0 <= column && column < across)
                .distinct()
                .toList();
        assertThat(starts).hasSize(across);
        pdf.pages().forEach(page -> assertThat(overlaps(page)).isEmpty());
        String printed = text(pdf.pages());
        assertThat(parts.stream().flatMap(part -> part.blocks().stream()))
                .allSatisfy(block -> block.body()
                        .texts()
                        .forEach(label -> assertThat(printed).contains(squeezed(label))));
        assertThat(CableList.of(demo().plan().rig()).rows())
                .as("where a label holds all, all is on it")
                .allMatch(row -> width < LabelSize.USUAL.width() || printed.contains(squeezed(row.fromLabel())));
    }

    @ParameterizedTest
    @CsvSource({"10x10, 20 to 100 mm wide", "38x7, 8 to 60 mm high", "wide, Say how wide", "38x, Say how wide"})
    void sizesOfLabelsThatCannotBeAreRefused(String words, String why) {
        assertThatThrownBy(() -> LabelSize.of(words))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(why);
    }

    @Test
    void aMachineWithDecimalCommasLaysTheSame() {
        Locale before = Locale.getDefault();
        String style = Setting.of(Part.Form.HALVES, Paper.A4).style("halves") + LabelSize.style();
        try {
            Locale.setDefault(Locale.GERMANY);
            assertThat(Setting.of(Part.Form.HALVES, Paper.A4).style("halves") + LabelSize.style())
                    .isEqualTo(style)
                    .contains("7.20pt");
        } finally {
            Locale.setDefault(before);
        }
    }

    @Test
    void lettersOfOtherScriptsArePrinted() throws IOException {
        Plan far = badCases().skip(2).findFirst().orElseThrow();
        Binder binder = new Binder(Contents.of(Report.of(far), Paper.A4));
        String text = text(Poppler.of(printed(binder, binder.all(), Paper.A4)).pages());
        assertThat(text).contains("Sz\u0151l\u0151", "Ch\u0142\u00F3d").doesNotContain("#");
        assertThat(text)
                .containsAnyOf("\u05E8\u05E6\u05E4\u05D4", "\u05D4\u05E4\u05E6\u05E8")
                .contains("\u039B\u03B9\u03BC\u03AC\u03BD\u03B9", "\u0413\u0430\u0432\u0430\u043D\u044C");
    }
}
