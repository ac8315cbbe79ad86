package embrack.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.Fault;
import embrack.core.check.rule.Told;
import embrack.core.word.Language;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * All that is said of each faulty rig, as people read it: what is the case, why, what to do, and what each button says.
 * What is said now lies in {@code target/every-fault.txt}; where it is better, it is copied beside this class.
 */
class EveryFaultInWordsTests {

    @Test
    void isSaidAsItWasRead() throws IOException {
        List<String> said = Stream.concat(RuleTests.faults(), ShowRuleTests.faults())
                .map(EveryFaultInWordsTests::said)
                .toList();
        Files.writeString(Path.of("target/every-fault.txt"), String.join("\n", said));
        try (InputStream read = getClass().getResourceAsStream("every-fault.txt")) {
            assertThat(said)
                    .containsExactlyElementsOf(
                            List.of(new String(read.readAllBytes(), StandardCharsets.UTF_8).split("(?<=\n)\n")));
        }
    }

    private static String said(Fault fault) {
        Report report = Report.of(fault.faulty());
        Healing healing = report.healing();
        List<String> lines = new ArrayList<>(List.of(fault.name()));
        report.findings().forEach(finding -> {
            List<Told> mending = healing.of(finding).stream()
                    .map(healed -> healed.told(fault.faulty(), Language.ENGLISH))
                    .toList();
            Told told = mending.isEmpty() ? Told.of(finding, fault.faulty()) : mending.getFirst();
            lines.add("  %s %s: %s".formatted(finding.severity(), finding.code(), told.where()));
            Stream.of(told.what(), told.why(), told.fix()).forEach(line -> lines.add("    " + line));
            mending.forEach(mend -> lines.add("    [" + mend.button().orElseThrow() + "]"));
        });
        return String.join("\n", lines) + "\n";
    }
}
