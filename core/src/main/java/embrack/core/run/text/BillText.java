package embrack.core.run.text;

import embrack.core.rig.Rig;
import embrack.core.run.Act;
import embrack.core.run.BadNights.Bill;
import embrack.core.run.BadNights.Culprit;
import embrack.core.run.BadNights.OfBox;
import embrack.core.run.BadNights.OfLink;
import embrack.core.run.BadNights.OfPart;
import embrack.core.run.BadNights.OfPlan;
import embrack.core.run.BadNights.OfSwitch;
import embrack.core.run.Fault;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What bad nights came to: {@code 10 nights, 3 noticed, 31 faults}, then each culprit in a line, {@code 5000000 0
 * misstep quay-board.1.3}. Heard and seen, microseconds.
 */
public final class BillText {

    private static final Pattern HEAD = Pattern.compile("(\\d{1,9}) nights, (\\d{1,9}) noticed, (\\d{1,9}) faults");
    private static final Pattern LINE = Pattern.compile("(\\d{1,15}) (\\d{1,15}) (.+)");

    private BillText() {}

    /** A bill in words, which {@link #read} reads back. */
    public static String write(Bill bill) {
        var text = new StringBuilder(
                "%d nights, %d noticed, %d faults".formatted(bill.nights(), bill.noticed(), bill.faults()));
        bill.worst()
                .forEach(culprit -> text.append("\n%d %d %s"
                        .formatted(
                                bill.heardMicros().getOrDefault(culprit, 0L),
                                bill.seenMicros().getOrDefault(culprit, 0L),
                                name(culprit))));
        return text.toString();
    }

    private static String name(Culprit culprit) {
        return switch (culprit) {
            case OfLink link -> struck(new Fault.LinkOut(link.link(), 0));
            case OfBox box -> struck(new Fault.BoxOut(box.box(), 0));
            case OfSwitch at -> struck(new Fault.Misstep(at.at()));
            case OfPart part -> "part " + part.part();
            case OfPlan plan -> "plan";
        };
    }

    private static String struck(Fault fault) {
        return ActText.write(new Act.Struck(fault));
    }

    /** What {@link #write} wrote; empty where it is none, or speaks of what the rig does not have. */
    public static Optional<Bill> read(Rig rig, String text) {
        List<String> lines = text.lines().toList();
        Matcher head = HEAD.matcher(lines.isEmpty() ? "" : lines.getFirst());
        if (!head.matches()) {
            return Optional.empty();
        }
        Map<Culprit, Long> heard = new HashMap<>();
        Map<Culprit, Long> seen = new HashMap<>();
        for (String line : lines.subList(1, lines.size())) {
            Matcher one = LINE.matcher(line);
            Optional<Culprit> culprit = one.matches() ? culprit(rig, one.group(3)) : Optional.empty();
            if (culprit.isEmpty()) {
                return Optional.empty();
            }
            put(heard, culprit.get(), Long.parseLong(one.group(1)));
            put(seen, culprit.get(), Long.parseLong(one.group(2)));
        }
        return Optional.of(new Bill(
                heard,
                seen,
                Integer.parseInt(head.group(3)),
                Integer.parseInt(head.group(1)),
                Integer.parseInt(head.group(2))));
    }

    private static void put(Map<Culprit, Long> into, Culprit culprit, long micros) {
        if (micros > 0) {
            into.put(culprit, micros);
        }
    }

    private static Optional<Culprit> culprit(Rig rig, String name) {
        if (name.equals("plan")) {
            return Optional.of(new OfPlan());
        }
        if (name.matches("part \\d{1,6}")) {
            return Optional.of(new OfPart(Integer.parseInt(name.substring(5))));
        }
        return ActText.read(rig, name)
                .filter(Act.Struck.class::isInstance)
                .map(Act.Struck.class::cast)
                .flatMap(struck -> switch (struck.fault()) {
                    case Fault.LinkOut out -> Optional.of(new OfLink(out.link()));
                    case Fault.BoxOut out -> Optional.of(new OfBox(out.box()));
                    case Fault.Misstep step -> Optional.of(new OfSwitch(step.at()));
                    default -> Optional.empty();
                });
    }
}
