package embrack.core.sheet;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What of the sheets is done. A line that was ticked and now says something else has to be done anew; what was ticked
 * and is on no sheet any more has to be taken out of its box.
 *
 * @param ticks what was ticked, by the key of the line
 * @param gone what was ticked and is on no sheet any more
 */
public record Progress(List<Sheet> sheets, Map<String, Tick> ticks, List<Tick> gone) {

    /**
     * A tick as it was made.
     *
     * @param words what the line said then
     * @param when as it is shown
     */
    public record Tick(String key, String words, String who, String when) {}

    /** How a line stands. */
    public enum State {
        OPEN,
        CHANGED,
        DONE
    }

    public Progress {
        sheets = List.copyOf(sheets);
        ticks = Map.copyOf(ticks);
        gone = List.copyOf(gone);
    }

    /** Progress on sheets, by the ticks that were made. */
    public static Progress of(List<Sheet> sheets, List<Tick> ticks) {
        Map<String, Tick> byKey = new LinkedHashMap<>();
        ticks.forEach(tick -> byKey.put(tick.key(), tick));
        Set<String> keys = new HashSet<>();
        sheets.forEach(sheet -> sheet.lines().forEach(line -> keys.add(line.key())));
        return new Progress(
                sheets,
                byKey,
                byKey.values().stream()
                        .filter(tick -> !keys.contains(tick.key()))
                        .toList());
    }

    public State state(Section.Line line) {
        return tick(line)
                .map(tick -> tick.words().equals(line.words()) ? State.DONE : State.CHANGED)
                .orElse(State.OPEN);
    }

    /** The tick that a line has, perhaps for other words. */
    public Optional<Tick> tick(Section.Line line) {
        return Optional.ofNullable(ticks.get(line.key()));
    }

    /** The sheets with what is left to do, without those that have nothing. */
    public List<Sheet> left() {
        return sheets.stream()
                .map(sheet -> sheet.only(line -> state(line) != State.DONE))
                .filter(sheet -> !sheet.sections().isEmpty())
                .toList();
    }

    /** How many lines there are, and how many of them are done. */
    public String words() {
        List<Section.Line> lines = new ArrayList<>();
        sheets.forEach(sheet -> sheet.lines().forEach(lines::add));
        long done = lines.stream().filter(line -> state(line) == State.DONE).count();
        return "%d of %d done".formatted(done, lines.size());
    }

    /** Ticks for all lines of sheets: boxes that are programmed as these say. */
    public static List<Tick> allOf(List<Sheet> sheets) {
        return sheets.stream()
                .flatMap(Sheet::lines)
                .map(line -> new Tick(line.key(), line.words(), "", ""))
                .toList();
    }
}
