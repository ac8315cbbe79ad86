package embrack.paper;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.imageio.ImageIO;

/** A PDF as a reader sees it that is not ours: poppler, from Debian's package poppler-utils. */
public final class Poppler {

    private static final Pattern PAGE = Pattern.compile("<page width=\"([\\d.]+)\" height=\"([\\d.]+)\">");
    private static final Pattern WORD = Pattern.compile(
            "<word xMin=\"(-?[\\d.]+)\" yMin=\"(-?[\\d.]+)\" xMax=\"(-?[\\d.]+)\" yMax=\"(-?[\\d.]+)\">([^<]*)</word>");

    /** Points of an inch that are drawn as one dot to measure how far down a page is printed. */
    private static final int DOTS = 36;

    private final Path file;

    private Poppler(Path file) {
        this.file = file;
    }

    public static Poppler of(byte[] pdf) throws IOException {
        Path file = Files.createTempFile(Path.of("target"), "read", ".pdf");
        Files.write(file, pdf);
        return new Poppler(file);
    }

    /** A word and where it stands, points from the upper left corner. */
    public record Word(double left, double top, double right, double bottom, String text) {

        /** Whether two words lie on each other: not their boxes, which are higher, but their letters. */
        public boolean covers(Word other) {
            double across = Math.min(right, other.right) - Math.max(left, other.left);
            double down = Math.min(baseline(), other.baseline()) - Math.max(capital(), other.capital());
            return across > 1 && down > 0.5;
        }

        private double capital() {
            return top + 0.22 * (bottom - top);
        }

        private double baseline() {
            return bottom - 0.26 * (bottom - top);
        }
    }

    /** A page: its size and words. */
    public record Page(double width, double height, List<Word> words) {
        public String text() {
            return String.join(" ", words.stream().map(Word::text).toList());
        }
    }

    public List<Page> pages() throws IOException {
        List<Page> pages = new ArrayList<>();
        for (String line : run("pdftotext", "-bbox", file.toString(), "-").split("\n")) {
            Matcher page = PAGE.matcher(line);
            Matcher word = WORD.matcher(line);
            if (page.find()) {
                pages.add(new Page(number(page, 1), number(page, 2), new ArrayList<>()));
            } else if (word.find()) {
                pages.getLast()
                        .words()
                        .add(new Word(
                                number(word, 1),
                                number(word, 2),
                                number(word, 3),
                                number(word, 4),
                                word.group(5)
                                        .replace("&amp;", "&")
                                        .replace("&lt;", "<")
                                        .replace("&gt;", ">")
                                        .replace("&quot;", "\"")
                                        .replace("&#39;", "'")
                                        .replace("&apos;", "'")));
            }
        }
        return pages;
    }

    private static double number(Matcher matcher, int group) {
        return Double.parseDouble(matcher.group(group));
    }

    public String info() throws IOException {
        return run("pdfinfo", file.toString());
    }

    public String fonts() throws IOException {
        return run("pdffonts", file.toString());
    }

    /**
     * How far down each page is printed, as a part of its height, its foot left out: measured from the page as drawn.
     *
     * @param foot how high the foot is, points
     */
    public List<Double> depths(double foot) throws IOException {
        Path folder = Files.createTempDirectory(Path.of("target"), "drawn");
        run("pdftoppm", "-r", String.valueOf(DOTS), "-gray", "-png", file.toString(), folder + "/p");
        try (Stream<Path> pages = Files.list(folder)) {
            return pages.sorted().map(page -> depth(page, foot)).toList();
        }
    }

    private static double depth(Path drawn, double foot) {
        try {
            var image = ImageIO.read(drawn.toFile());
            int last = image.getHeight() - (int) Math.ceil(foot * DOTS / 72) - 1;
            for (int y = last; y > 0; y--) {
                for (int x = 0; x < image.getWidth(); x++) {
                    if ((image.getRGB(x, y) & 0xff) < 200) {
                        return (double) y / image.getHeight();
                    }
                }
            }
            return 0;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String run(String... command) throws IOException {
        Process process;
        try {
            process = new ProcessBuilder(command)
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
        } catch (IOException e) {
            throw new IOException(
                    "The tests ask %s, from the Debian package poppler-utils; ./embrack test installs it."
                            .formatted(command[0]),
                    e);
        }
        try (var in = process.getInputStream()) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
