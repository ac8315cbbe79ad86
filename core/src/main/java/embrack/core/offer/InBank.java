package embrack.core.offer;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.ChartRow;
import embrack.core.chart.Trigger;
import embrack.core.midi.MessageType;
import embrack.core.midi.ProgramTable;
import embrack.core.rig.Rig;
import embrack.core.switches.Step;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** A patch as people call it: "bank 3 patch 2", on boxes with banks of patches, by both ways to count banks. */
record InBank(String bank, String patch) {

    private static final Pattern WORDS = Pattern.compile(".*\\bbank\\s+(\\w{1,3}),?\\s+patch\\s+(\\w{1,3})\\s*");

    /** What a search asks for; empty when it asks for no patch of a bank. */
    static Optional<InBank> of(String search) {
        Matcher matcher = WORDS.matcher(search.toLowerCase(Locale.ROOT));
        return matcher.matches() ? Optional.of(new InBank(matcher.group(1), matcher.group(2))) : Optional.empty();
    }

    /** What selects it, as each box counts first, then as the banks may have been meant. */
    List<Step> in(Rig rig) {
        return Stream.of(false, true)
                .flatMap(mistaken -> rig.devices().stream().flatMap(device -> {
                    Chart chart = rig.chart(device.id());
                    return chart.conventions().table().stream()
                            .flatMap(table -> mistaken ? table.mistakenFor().stream() : Stream.of(table))
                            .flatMap(table -> table.program(bank, patch).stream())
                            .flatMap(program -> selects(chart, program))
                            .map(action -> new Step(device.id(), action));
                }))
                .toList();
    }

    /** By which way of counting a step is what was asked for: " (bank 3, patch 2, banks from 0 as on this box)". */
    static String words(Rig rig, Step step, String search) {
        Chart chart = rig.chart(step.device());
        ProgramTable table = chart.conventions().table().orElseThrow();
        InBank asked = of(search).orElseThrow();
        boolean own = table.program(asked.bank, asked.patch)
                .filter(program -> selects(chart, program).anyMatch(step.action()::equals))
                .isPresent();
        ProgramTable counted = own ? table : table.mistakenFor().orElse(table);
        return " (bank %s, patch %s, %s%s)"
                .formatted(asked.bank, asked.patch, counted.convention(), own ? ", as this box counts" : "");
    }

    private static Stream<Action> selects(Chart chart, int program) {
        return chart.rows().stream()
                .filter(row -> row.triggers().size() == 1
                        && row.last() instanceof Trigger.Voice voice
                        && voice.type() == MessageType.PROGRAM_CHANGE
                        && voice.number() == program)
                .map(ChartRow::actions)
                .flatMap(List::stream);
    }
}
