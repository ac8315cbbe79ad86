package embrack.app.run;

import embrack.core.music.Position;
import embrack.core.music.TempoMap;
import embrack.core.plan.Plan;
import embrack.core.run.Run;
import embrack.core.show.Cue;
import embrack.core.show.Form;
import embrack.core.show.Song;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * The song that plays as a strip of paper: each bar as high as any other, moved under a line by the page.
 *
 * @param bars when each bar begins, microseconds from bar 1, with the end of the last
 * @param beats how many beats each bar has
 * @param countIn how many bars at its beginning are counted aloud, if somebody wants to hear that
 * @param sections blocks
 * @param pins what comes
 */
record StripView(
        String title,
        String bars,
        String beats,
        int height,
        int countIn,
        List<BarLine> lines,
        List<Block> sections,
        List<Pin> pins) {

    /** How high a bar is, in units of the drawing. */
    private static final int BAR = 52;

    private static final int PIN_ROOM = 8;

    /** As many bars are counted at most. Common practice, no source. */
    private static final int COUNTED = 2;

    /** A bar. */
    record BarLine(int y, int number) {}

    /** A section; {@code first} its first bar. */
    record Block(int y, int height, String name, String guide, int first, boolean isOdd, boolean isVamp) {}

    /** Something that comes: from the player, or from a foot. */
    record Pin(int x, int y, int width, String words, boolean isFoot) {}

    static Optional<StripView> of(Run run) {
        return run.song().map(song -> of(run.night().plan(), song));
    }

    private static StripView of(Plan plan, Song song) {
        Form form = song.form();
        TempoMap tempos = form.tempoMap();
        List<Block> blocks = IntStream.range(0, form.sections().size())
                .mapToObj(i -> new Block(
                        (form.firstBar(i) - 1) * BAR,
                        form.sections().get(i).bars() * BAR,
                        form.sections().get(i).name().text(),
                        form.sections().get(i).guide(),
                        form.firstBar(i),
                        i % 2 == 1,
                        form.sections().get(i).vamp()))
                .toList();
        return new StripView(
                song.title().text(),
                IntStream.rangeClosed(1, form.bars() + 1)
                        .mapToObj(bar -> String.valueOf(tempos.micros(Position.bar(bar))))
                        .collect(Collectors.joining(" ")),
                IntStream.rangeClosed(1, form.bars())
                        .mapToObj(bar -> String.valueOf(tempos.metre(bar).beats()))
                        .collect(Collectors.joining(" ")),
                form.bars() * BAR,
                Math.min(COUNTED, form.lastBar(0)),
                IntStream.rangeClosed(1, form.bars())
                        .mapToObj(bar -> new BarLine((bar - 1) * BAR, bar))
                        .toList(),
                blocks,
                pins(plan, song));
    }

    private static List<Pin> pins(Plan plan, Song song) {
        TempoMap tempos = song.form().tempoMap();
        List<Pin> pins = new ArrayList<>();
        Map<Integer, Integer> right = new HashMap<>();
        for (Cue cue : song.cues()) {
            Optional<Long> micros = cue.at().micros(song.form());
            if (micros.isEmpty()) {
                continue;
            }
            Position at = tempos.position(tempos.tickAt(micros.get()));
            long from = tempos.micros(Position.bar(at.bar()));
            long to = tempos.micros(Position.bar(at.bar() + 1));
            int y = (int) Math.round(((at.bar() - 1) + (micros.get() - from) / (double) Math.max(1, to - from)) * BAR);
            List<String> words = cue.foot().isPresent()
                    ? List.of(RunPage.name(plan, cue.foot().get()))
                    : cue.steps().stream().map(plan::brief).toList();
            int lane = Math.floorDiv(y + BAR / 4, BAR / 2);
            for (String word : words) {
                int x = right.getOrDefault(lane, 0);
                int width = 20 + 8 * word.length();
                pins.add(new Pin(x, y, width, word, cue.foot().isPresent()));
                right.put(lane, x + width + PIN_ROOM);
            }
        }
        return pins;
    }
}
