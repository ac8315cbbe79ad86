package embrack.core.run.text;

import embrack.core.run.Drill;
import embrack.core.run.Footfall;
import embrack.core.run.Footfall.Why;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Presses that are trained, as they are kept: {@code foot-board.1.5 cue 3 2;...}: switch, why, part, cue. */
public final class DrillText {

    private DrillText() {}

    /** As many are read. */
    private static final int MOST = 20;

    public static String write(List<Drill.Target> targets) {
        return targets.stream().map(DrillText::write).collect(Collectors.joining(";"));
    }

    public static String write(Drill.Target target) {
        return "%s %s %d %d"
                .formatted(
                        target.at().key(), target.why().name().toLowerCase(Locale.ROOT), target.part(), target.cue());
    }

    /** A press that was scored. */
    public static String write(Footfall foot) {
        return write(new Drill.Target(foot.at(), foot.why(), foot.part(), foot.cue()));
    }

    /** What {@link #write} wrote, of those that can be read; empty where none can. */
    public static Optional<Drill> read(String text) {
        List<Drill.Target> targets = new ArrayList<>();
        for (String one : text.split(";")) {
            target(one).filter(target -> targets.size() < MOST).ifPresent(targets::add);
        }
        return targets.isEmpty() ? Optional.empty() : Optional.of(new Drill(targets, 0));
    }

    private static Optional<Drill.Target> target(String text) {
        String[] words = text.strip().split(" ");
        if (words.length != 4 || !words[2].matches("\\d{1,4}") || !words[3].matches("\\d{1,9}")) {
            return Optional.empty();
        }
        Optional<Why> why = Stream.of(Why.values())
                .filter(one -> one.name().toLowerCase(Locale.ROOT).equals(words[1]))
                .findFirst();
        return SwitchAt.parse(words[0])
                .flatMap(at ->
                        why.map(w -> new Drill.Target(at, w, Integer.parseInt(words[2]), Integer.parseInt(words[3]))));
    }
}
