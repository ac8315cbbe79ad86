package embrack.paper.print;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Line;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import embrack.paper.type.Paper;
import embrack.paper.type.Setting;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Whatever is laid onto pages is all there, once, in its order, and has room. */
class PagingTests {

    private static final Part.Form[] FORMS = {
        Part.Form.WHOLE, Part.Form.HALVES, Part.Form.THIRDS, Part.Form.LARGE, Part.Form.TALL
    };

    @Property(tries = 150)
    void nothingIsLostAndNothingIsTwice(
            @ForAll @IntRange(max = 1_000_000) int seed, @ForAll @IntRange(min = 1, max = 8) int parts) {
        var random = new Random(seed);
        Paper paper = Paper.values()[random.nextInt(Paper.values().length)];
        List<Part> folder = new ArrayList<>();
        for (int i = 0; i < parts; i++) {
            folder.add(part(i, random));
        }
        List<PrintedPage> pages = Paging.of(folder, paper);
        List<Band> bands = pages.stream().flatMap(page -> page.bands().stream()).toList();
        assertThat(bands.stream().map(Band::part).distinct()).containsExactlyElementsOf(folder);
        for (Part part : folder) {
            List<Band> own =
                    bands.stream().filter(band -> band.part().equals(part)).toList();
            assertThat(own.stream().flatMap(PagingTests::texts))
                    .containsExactlyElementsOf(texts(part.blocks()).toList());
            for (int i = 0; i < own.size(); i++) {
                assertThat(own.get(i).number()).isEqualTo(i + 1);
                assertThat(own.get(i).of()).isEqualTo(own.size());
                assertThat(own.get(i).columns())
                        .hasSizeLessThanOrEqualTo(part.form().columns());
                assertThat(own.get(i).columns().stream().flatMap(List::stream))
                        .as("a heading stands over something")
                        .noneMatch(Block::isEmpty);
            }
        }
        for (PrintedPage page : pages) {
            Setting setting = Setting.of(page.bands().getFirst().part().form(), paper);
            assertThat(page.bands().stream().mapToDouble(Band::high).sum()
                            + (page.bands().size() - 1) * (setting.head() + setting.above()))
                    .isLessThanOrEqualTo(setting.depth() + 1e-6);
            assertThat(page.bands().stream().skip(1))
                    .allMatch(band -> band.part().form().sharesPages());
        }
    }

    /** A part goes on under another one only where both lie on paper in the same way, and all its pages follow. */
    @Test
    void aShortPartGoesUnderTheOneBeforeIt() {
        Part first = lines("first", Part.Form.HALVES, 10);
        Part second = lines("second", Part.Form.HALVES, 10);
        Part large = lines("large", Part.Form.LARGE, 3);
        Part last = lines("last", Part.Form.WHOLE, 500);
        List<PrintedPage> pages = Paging.of(List.of(first, second, large, last), Paper.A4);
        assertThat(pages.getFirst().bands()).extracting(Band::part).containsExactly(first, second);
        assertThat(pages.get(1).bands()).extracting(Band::part).containsExactly(large);
        assertThat(pages.subList(2, pages.size()))
                .hasSizeGreaterThan(2)
                .allMatch(page -> page.bands().size() == 1 && page.form().equals("whole"));
        assertThat(pages.getLast().bands().getFirst().title())
                .isEqualTo("Part last (%1$d of %1$d)".formatted(pages.size() - 2));
    }

    /** What is cut at the foot of a column says that it goes on. */
    @Test
    void whatIsCutGoesOnUnderItsHeading() {
        Part part = lines("long", Part.Form.HALVES, 400);
        List<List<Block>> columns = Paging.of(List.of(part), Paper.LETTER).stream()
                .flatMap(page -> page.bands().stream())
                .flatMap(band -> band.columns().stream())
                .toList();
        assertThat(columns).hasSizeGreaterThan(3);
        assertThat(columns.getFirst().getFirst().aside()).isEmpty();
        assertThat(columns.stream().skip(1)).allSatisfy(column -> {
            assertThat(column.getFirst().heading()).isEqualTo("Lines");
            assertThat(column.getFirst().aside()).isEqualTo("continued");
        });
    }

    private static Part lines(String id, Part.Form form, int lines) {
        return new Part(
                id,
                "Part " + id,
                "",
                form,
                List.of(Block.of(
                        "Lines",
                        Stream.iterate(1, n -> n + 1)
                                .limit(lines)
                                .map(n -> Line.of("%s %d".formatted(id, n)))
                                .toList())));
    }

    private static Part part(int number, Random random) {
        List<Block> blocks = new ArrayList<>();
        for (int i = 0; i <= random.nextInt(6); i++) {
            blocks.add(block("%d.%d".formatted(number, i), random));
        }
        return new Part("part-" + number, "Part " + number, "", FORMS[random.nextInt(FORMS.length)], blocks);
    }

    private static Block block(String name, Random random) {
        int pieces = 1 + random.nextInt(60);
        List<String> words = Stream.iterate(1, n -> n + 1)
                .limit(pieces)
                .map(n -> "%s.%d %s"
                        .formatted(name, n, "words ".repeat(random.nextInt(25)))
                        .strip())
                .toList();
        String heading = random.nextBoolean() ? "Block " + name : "";
        return switch (random.nextInt(3)) {
            case 0 -> Block.of(heading, words.stream().map(Line::of).toList());
            case 1 ->
                Block.of(
                        heading,
                        new Body.Table(
                                List.of(Column.words("What", 3), Column.figures("No.", 1)),
                                words.stream().map(each -> Row.of(each, "12")).toList()));
            default -> Block.caution(words.subList(0, Math.min(3, words.size())));
        };
    }

    private static Stream<String> texts(Band band) {
        return band.columns().stream().flatMap(PagingTests::texts);
    }

    private static Stream<String> texts(List<Block> blocks) {
        return blocks.stream().flatMap(block -> block.body().texts().stream());
    }
}
