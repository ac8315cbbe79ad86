package embrack.paper.part;

import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.plan.Plan;
import embrack.core.show.Calls;
import embrack.core.show.Entry;
import embrack.core.show.Running;
import embrack.core.show.Show;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Column;
import embrack.paper.page.Part;
import embrack.paper.page.Row;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The evening on one page: the order by the clock, and what each switch does when. */
final class OrderLeaf {

    private final Contents contents;
    private final Plan plan;

    OrderLeaf(Contents contents) {
        this.contents = contents;
        this.plan = contents.plan();
    }

    Part part() {
        List<Block> blocks = new ArrayList<>();
        contents.running().ifPresent(running -> blocks.add(order(running)));
        blocks.add(Block.of("What each switch does, and when", switches()));
        return new Part(
                "order",
                contents.show().map(show -> show.name().text()).orElse("Order"),
                facts(),
                Part.Form.WHOLE,
                blocks);
    }

    private String facts() {
        return contents.show()
                .map(show -> Stream.of(
                                show.day().map(Object::toString).orElse(""),
                                show.start().map(start -> "begins " + start).orElse(""),
                                show.slotMicros() == 0 ? "" : "slot " + Clock.brief(show.slotMicros()),
                                Running.of(plan.book(), show).words())
                        .filter(text -> !text.isEmpty())
                        .collect(Collectors.joining(", ")))
                .orElse("no show is planned");
    }

    private Block order(Running running) {
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < running.parts().size(); i++) {
            boolean isLast = i + 1 == running.parts().size();
            rows.add(row(running.show(), running.parts().get(i), isLast));
        }
        return Block.of(
                "",
                new Body.Table(
                        List.of(
                                Column.words("Clock", 8),
                                Column.words("Part", 18),
                                Column.words("Key", 5),
                                Column.words("Tempo", 13),
                                Column.words("Length", 6),
                                Column.words("Begun by", 24),
                                Column.words("Goes over", 15),
                                Column.words("Ends", 11)),
                        rows));
    }

    private Row row(Show show, Running.Part part, boolean isLast) {
        Entry entry = part.entry();
        Calls calls = entry.calls();
        String over = entry.transition().way().words()
                + (entry.transition().micros() > 0
                        ? " " + Clock.brief(entry.transition().micros())
                        : "");
        return Row.of(
                        show.start()
                                .map(start -> start.after(part.startMicros()))
                                .orElseGet(() -> Clock.brief(part.startMicros())),
                        entry.name(),
                        part.key()
                                .map(Key::toString)
                                .orElse(part.pad().map(pad -> "pad " + pad).orElse("")),
                        entry.song()
                                .map(plan.book()::song)
                                .map(song -> song.form().words())
                                .orElse(entry.item().words()),
                        part.lengthMicros() == 0 ? "" : Clock.brief(part.lengthMicros()),
                        Stream.of(
                                        calls.arm().map(at -> "arm: " + pressed(at)),
                                        calls.go().map(this::pressed))
                                .flatMap(Optional::stream)
                                .collect(Collectors.joining("; ")),
                        isLast ? "" : over,
                        calls.ending() == Calls.Ending.ITSELF
                                ? ""
                                : calls.end()
                                        .map(this::pressed)
                                        .orElse(calls.ending().words()))
                .strong(entry.song().isPresent());
    }

    private String pressed(SwitchAt at) {
        return plan.words(at)
                + plan.switches()
                        .at(at)
                        .label()
                        .map(label -> " (" + label + ")")
                        .orElse("");
    }

    private Body.Table switches() {
        List<Row> rows = plan.switches().assignments().stream()
                .filter(assignment -> !assignment.steps().isEmpty())
                .map(this::row)
                .toList();
        return new Body.Table(
                List.of(
                        Column.words("Switch", 22),
                        Column.words("Tape", 12),
                        Column.words("Does", 42),
                        Column.words("Pressed in", 24)),
                rows);
    }

    private Row row(Assignment assignment) {
        return Row.of(
                plan.words(assignment.at()),
                assignment.label().map(Object::toString).orElse(""),
                Deeds.of(plan, assignment),
                pressedIn(assignment.at()));
    }

    /** The parts in which a switch is pressed, each with how often. */
    private String pressedIn(SwitchAt at) {
        var times = new TreeMap<Integer, String>();
        List<Entry> order = contents.show().map(Show::order).orElse(List.of());
        for (int i = 0; i < order.size(); i++) {
            Entry entry = order.get(i);
            long calls = entry.calls().presses().stream().filter(at::equals).count();
            long cues = entry.song().map(plan.book()::song).stream()
                    .flatMap(song -> song.cues().stream())
                    .filter(cue -> cue.foot().filter(at::equals).isPresent())
                    .count();
            if (calls + cues > 0) {
                times.put(i, entry.name() + (calls + cues > 1 ? " " + (calls + cues) + "×" : ""));
            }
        }
        return String.join(", ", times.values());
    }
}
