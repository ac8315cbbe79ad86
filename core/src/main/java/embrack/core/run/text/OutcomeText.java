package embrack.core.run.text;

import embrack.core.rig.Rig;
import embrack.core.run.Act;
import embrack.core.run.Outcome;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What comes of things that go wrong, one in a line: {@code 13000000 0 13100000 silent lasting; press quay-board.1.3}.
 * Heard, seen and wrong, microseconds; what helps after it.
 */
public final class OutcomeText {

    private static final Pattern LINE = Pattern.compile("(\\d{1,15}) (\\d{1,15}) (\\d{1,15})( silent)?( lasting)?");

    private OutcomeText() {}

    /** Outcomes in words, which {@link #read} reads back. */
    public static String write(List<Outcome> outcomes) {
        return outcomes.stream().map(OutcomeText::line).collect(Collectors.joining("\n"));
    }

    private static String line(Outcome one) {
        var line = new StringBuilder("%d %d %d".formatted(one.heardMicros(), one.seenMicros(), one.wrongMicros()));
        line.append(one.isSilent() ? " silent" : "").append(one.isLasting() ? " lasting" : "");
        one.helps().forEach(act -> line.append("; ").append(ActText.write(act)));
        return line.toString();
    }

    /** What {@link #write} wrote; empty where it is none, or speaks of what the rig does not have. */
    public static Optional<List<Outcome>> read(Rig rig, String text) {
        List<Outcome> all = new ArrayList<>();
        for (String line : text.lines().toList()) {
            String[] parts = line.split("; ");
            Matcher figures = LINE.matcher(parts[0]);
            List<Act> helps = new ArrayList<>();
            for (int i = 1; i < parts.length; i++) {
                ActText.read(rig, parts[i]).ifPresent(helps::add);
            }
            if (!figures.matches() || helps.size() < parts.length - 1) {
                return Optional.empty();
            }
            all.add(new Outcome(
                    Long.parseLong(figures.group(1)),
                    Long.parseLong(figures.group(2)),
                    Long.parseLong(figures.group(3)),
                    figures.group(4) != null,
                    figures.group(5) != null,
                    helps));
        }
        return Optional.of(List.copyOf(all));
    }
}
