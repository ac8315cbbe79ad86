package embrack.core.effort;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What people do with a box in their hands and a clock running.
 *
 * @param hands plugs, power, programs that are started anew, in this order, before anything is typed
 * @param boxes what is typed and learned, box by box
 * @param secondsEach how long a line takes to type or teach, s
 */
public record ToDo(List<Deed> hands, List<Box> boxes, int secondsEach) {

    /** Pulling a plug, or pushing one in. Common practice, no source. */
    public static final int PLUG_SECONDS = 15;
    /** Giving power to a box, and waiting until it answers. Common practice, no source. */
    public static final int POWER_SECONDS = 30;
    /** Setting one knob or switch of a mix by a list. Common practice, no source. */
    public static final int KNOB_SECONDS = 5;
    /** Starting a program of a computer anew. Common practice, no source. */
    public static final int RESTART_SECONDS = 60;

    public ToDo {
        hands = List.copyOf(hands);
        boxes = List.copyOf(boxes);
    }

    /**
     * Something done by hand.
     *
     * @param seconds about how long it takes, s
     */
    public record Deed(String words, int seconds) {}

    /** What is typed into one box, or what it learns. */
    public record Box(String title, List<Line> lines) {
        public Box {
            lines = List.copyOf(lines);
        }

        /** The lines, those about one switch or setting together, in order. */
        public List<About> switches() {
            Map<String, List<Line>> by = new LinkedHashMap<>();
            lines.forEach(line ->
                    by.computeIfAbsent(line.subject(), s -> new ArrayList<>()).add(line));
            return by.values().stream()
                    .map(some -> new About(some.getFirst().heading(), some))
                    .toList();
        }
    }

    /** Lines about one switch or setting. */
    public record About(String heading, List<Line> lines) {}

    /**
     * A line to type or to teach.
     *
     * @param subject what it is about: lines of one switch have the same
     * @param was what stood there; empty where nothing did
     */
    public record Line(String subject, String heading, String words, String was) {}

    /** How many lines are typed or taught. */
    public int lines() {
        return boxes.stream().mapToInt(box -> box.lines().size()).sum();
    }

    /** All of it, s. */
    public int seconds() {
        return hands.stream().mapToInt(Deed::seconds).sum() + lines() * secondsEach;
    }

    public boolean isNothing() {
        return hands.isEmpty() && boxes.isEmpty();
    }

    /** The time in words: "6 min 40 s". */
    public String time() {
        return Work.words(seconds());
    }

    /** Whether it fits into so many minutes. */
    public boolean fitsInto(int minutes) {
        return seconds() <= minutes * 60;
    }
}
