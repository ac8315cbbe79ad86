package embrack.core.chart;

import embrack.core.midi.MachineControl;
import embrack.core.midi.NoteNaming;
import embrack.core.midi.ProgramCounting;
import embrack.core.midi.RealTime;
import embrack.core.midi.ShowControl;
import embrack.core.midi.SystemExclusive;
import embrack.core.midi.SystemMessage;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Writes rows as the text of a chart, in as few lines as can be: rows that stand one behind the other and step together
 * become one line. Reading the text gives the same rows again.
 */
public final class ChartWriter {

    private static final Pattern PLAIN = Pattern.compile("\\p{L}[\\p{L}\\p{N} &'/()*]*?(?: ?\\d{1,4})?");
    private static final Pattern CONFUSING =
            Pattern.compile("(?i)(mute|play|all|out|up|down)\\b.*|.*\\d\\s+to\\s+\\d.*");
    private static final Pattern NUMBERED = Pattern.compile("(.*?)(0|[1-9]\\d{0,3})");

    private final ProgramCounting programs;

    private ChartWriter(ProgramCounting programs) {
        this.programs = programs;
    }

    /** The text of these rows and lessons. */
    public static String write(
            Conventions conventions, List<ChartRow> rows, List<Learnable> learnables, Beside beside) {
        List<String> lines = new ArrayList<>();
        boolean usesPrograms = rows.stream()
                .flatMap(row -> row.triggers().stream())
                .anyMatch(p -> p instanceof Trigger.Voice v
                        && v.values().equals(Trigger.NO_VALUE)
                        && v.type().dataBytes() == 1);
        if (usesPrograms || conventions.programs().isPresent()) {
            lines.add("programs from " + conventions.shownPrograms().first());
        }
        conventions.notes().map(NoteNaming::words).ifPresent(lines::add);
        conventions
                .table()
                .ifPresent(table -> lines.add("banks of " + table.patchesPerBank()
                        + table.first().map(first -> ", first " + first).orElse("")));
        var writer = new ChartWriter(conventions.shownPrograms());
        for (int i = 0; i < rows.size(); ) {
            int end = runEnd(rows, i);
            lines.add(writer.line(rows.subList(i, end)));
            i = end;
        }
        learnables.forEach(learnable -> lines.add(learnable(learnable)));
        Chart known = new Chart("", conventions, rows, learnables, Beside.NOTHING);
        beside.needs()
                .forEach((part, needed) -> lines.add("needs %s: %s"
                        .formatted(
                                name(known.part(needed).orElseThrow()),
                                name(known.part(part).orElseThrow()))));
        for (Meaning meaning : Meaning.values()) {
            lines.addAll(meanings(
                    meaning,
                    beside.all(meaning).stream()
                            .flatMap(id -> known.part(id).stream())
                            .toList()));
        }
        beside.scales().values().stream()
                .distinct()
                .forEach(scale -> runs(beside.scales().entrySet().stream()
                                .filter(entry -> entry.getValue().equals(scale))
                                .flatMap(entry -> known.part(entry.getKey()).stream())
                                .toList())
                        .forEach(run -> lines.add("shows %s: %s".formatted(run, scale.text()))));
        if (!beside.editable().isEmpty()) {
            runs(beside.editable().stream()
                            .flatMap(part -> known.part(part).stream())
                            .toList())
                    .forEach(run -> lines.add("table can be edited: " + run));
        }
        lines.addAll(standing(known, beside.standing()));
        if (!beside.safe().isEmpty()) {
            lines.add("safe: " + actions(known, beside.safe()));
        }
        return String.join("\n", lines);
    }

    private static String actions(Chart known, List<Action> actions) {
        return actions.stream()
                .map(action -> action.verb().phrase() + " "
                        + known.part(action.part()).map(ChartWriter::name).orElseThrow()
                        + action.amount().map(a -> " at " + a).orElse(""))
                .collect(Collectors.joining("; "));
    }

    private static List<String> standing(Chart known, Standing standing) {
        List<String> lines = new ArrayList<>();
        standing.alone().forEach(group -> lines.add("one at a time: " + names(known, group)));
        if (!standing.atStart().isEmpty()) {
            lines.add("at start: " + actions(known, standing.atStart()));
        }
        known.parts().stream()
                .map(Part::id)
                .filter(standing.kept()::contains)
                .forEach(part -> lines.add("kept at power-off: " + names(known, List.of(part))));
        known.parts().stream()
                .map(Part::id)
                .filter(standing.byHand()::contains)
                .forEach(part -> lines.add("also by hand: " + names(known, List.of(part))));
        known.parts().stream()
                .map(Part::id)
                .filter(standing.within()::containsValue)
                .forEach(chosen -> lines.add("only in %s: %s"
                        .formatted(
                                names(known, List.of(chosen)),
                                names(
                                        known,
                                        known.parts().stream()
                                                .map(Part::id)
                                                .filter(part -> chosen.equals(
                                                        standing.within().get(part)))
                                                .toList()))));
        standing.loading()
                .ifPresent(loading -> lines.add("loads memory: " + names(known, loading.memories())
                        + (loading.deafMillis() == 0 ? "" : "; deaf for %d ms".formatted(loading.deafMillis()))));
        return lines;
    }

    private static String names(Chart known, List<PartId> parts) {
        return String.join(
                "; ",
                runs(parts.stream().map(part -> known.part(part).orElseThrow()).toList()));
    }

    /** The lines that say what parts are to a show, those that step together in one. */
    public static List<String> meanings(Meaning meaning, List<Part> parts) {
        return runs(parts).stream()
                .map(run -> "means %s: %s".formatted(meaning.words(), run))
                .toList();
    }

    /** The names of parts, those that step together as one. */
    private static List<String> runs(List<Part> parts) {
        List<String> runs = new ArrayList<>();
        for (int i = 0; i < parts.size(); ) {
            Optional<Stepping> stepping = Stepping.of(parts.get(i));
            int end = i + 1;
            while (stepping.isPresent()
                    && end < parts.size()
                    && parts.get(end).family().equals(parts.get(i).family())
                    && parts.get(end).name().text().equals(stepping.get().at(end - i))) {
                end++;
            }
            runs.add(name(parts.get(i))
                    + (end == i + 1 ? "" : ".." + (stepping.orElseThrow().number() + end - i - 1)));
            i = end;
        }
        return runs;
    }

    /** Where the run of rows that step together ends, exclusive. */
    private static int runEnd(List<ChartRow> rows, int from) {
        Optional<Stepping> stepping = Stepping.of(rows.get(from).part());
        int end = from + 1;
        while (end < rows.size()
                && stepping.isPresent()
                && follows(rows.get(from), rows.get(end), end - from, stepping.get())) {
            end++;
        }
        return end;
    }

    private static boolean follows(ChartRow first, ChartRow row, int step, Stepping stepping) {
        return row.verb() == first.verb()
                && row.triggers().size() == first.triggers().size()
                && row.part().family().equals(first.part().family())
                && row.part().name().text().equals(stepping.at(step))
                && IntStream.range(0, row.triggers().size() - 1)
                        .allMatch(i ->
                                row.triggers().get(i).equals(first.triggers().get(i)))
                && first.last() instanceof Trigger.Voice voice
                && voice.number() + step <= 127
                && row.last().equals(voice.withNumber(voice.number() + step));
    }

    /** A name that ends in a number, such as the first of a run. */
    private record Stepping(String stem, int number) {

        static Optional<Stepping> of(Part part) {
            var matcher = NUMBERED.matcher(part.name().text());
            return matcher.matches()
                            && part.family().equals(matcher.group(1).strip())
                            && isPlain(part.name().text())
                            && matcher.group(1).endsWith(" ")
                    ? Optional.of(new Stepping(matcher.group(1), Integer.parseInt(matcher.group(2))))
                    : Optional.empty();
        }

        String at(int step) {
            return stem + (number + step);
        }
    }

    private String line(List<ChartRow> run) {
        ChartRow first = run.getFirst();
        String target = run.size() == 1
                ? name(first.part())
                : "%s..%d"
                        .formatted(
                                first.part().name(),
                                Stepping.of(first.part()).orElseThrow().number() + run.size() - 1);
        String messages = IntStream.range(0, first.triggers().size())
                .mapToObj(i -> message(
                        first.triggers().get(i), i == first.triggers().size() - 1 ? run.size() : 1, first.verb()))
                .collect(Collectors.joining(" + "));
        return "%s %s: %s".formatted(first.verb().phrase(), target, messages);
    }

    private String message(Trigger trigger, int count, Verb verb) {
        return switch (trigger) {
            case Trigger.Voice voice -> voice(voice, count, verb);
            case Trigger.Whole whole -> whole(whole.message());
        };
    }

    private String voice(Trigger.Voice voice, int count, Verb verb) {
        boolean program = voice.type().dataBytes() == 1;
        int shown = program ? programs.shown(voice.number()) : voice.number();
        String numbers = count == 1 ? String.valueOf(shown) : "%d..%d".formatted(shown, shown + count - 1);
        String type = voice.type().shortName().toLowerCase(Locale.ROOT);
        return Stream.of(
                        type + " " + numbers,
                        ChartWords.values(voice),
                        voice.channel().map(c -> "on channel " + c.number()).orElse(""))
                .filter(s -> !s.isEmpty())
                .collect(Collectors.joining(" "));
    }

    private static String whole(SystemMessage message) {
        return switch (message) {
            case RealTime realTime -> realTime.type().shortName();
            case SystemMessage.SongSelect song -> "song " + song.song();
            case SystemExclusive exclusive -> exclusive(exclusive);
            default ->
                throw new IllegalArgumentException(
                        "a chart cannot hold " + message.type().plural());
        };
    }

    private static String exclusive(SystemExclusive message) {
        if (message.at(1) == MachineControl.ALL_DEVICES) {
            Optional<String> command = MachineControl.in(message)
                    .filter(MachineControl.Plain.class::isInstance)
                    .map(c -> "mmc "
                            + ((MachineControl.Plain) c)
                                    .name()
                                    .toLowerCase(Locale.ROOT)
                                    .replace('_', ' '))
                    .or(() -> ShowControl.in(message).flatMap(ChartWriter::show));
            if (command.isPresent()) {
                return command.get();
            }
        }
        return "sysex " + message.hex();
    }

    private static Optional<String> show(ShowControl c) {
        boolean writable = c.format() != ShowControl.Format.ALL
                && Stream.of(c.cue(), c.list()).flatMap(Optional::stream).allMatch(n -> n.matches("0|[1-9]\\d{0,3}"));
        return writable
                ? Optional.of("msc %s %s%s%s"
                        .formatted(
                                c.format().name().toLowerCase(Locale.ROOT),
                                c.command().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                                c.cue().map(n -> " " + n).orElse(""),
                                c.list().map(n -> " list " + n).orElse("")))
                : Optional.empty();
    }

    private static String learnable(Learnable learnable) {
        return "%s %s: learns %s%s"
                .formatted(
                        learnable.verb().phrase(),
                        name(learnable.part()),
                        learnable.types().stream()
                                .map(t -> t.shortName().toLowerCase(Locale.ROOT))
                                .collect(Collectors.joining(", ")),
                        learnable.refusesZero() ? ", not value 0" : "");
    }

    /** A name so that it is read as the same part of the same family. */
    private static String name(Part part) {
        String text = part.name().text();
        String family = part.family();
        if (Part.of(part.name()).equals(part)) {
            return isPlain(text) ? text : '"' + text + '"';
        }
        if (text.startsWith(family + " ")) {
            return "%s {%s}".formatted(listed(family), listed(text.substring(family.length() + 1)));
        }
        return text.endsWith(" " + family)
                ? "{%s} %s".formatted(listed(text.substring(0, text.length() - family.length() - 1)), listed(family))
                : '"' + text + '"';
    }

    private static String listed(String item) {
        return isPlain(item) ? item : '"' + item + '"';
    }

    private static boolean isPlain(String text) {
        return PLAIN.matcher(text).matches() && !CONFUSING.matcher(text).matches();
    }
}
