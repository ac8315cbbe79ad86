package embrack.core.gear.text;

import embrack.core.chart.Aspect;
import embrack.core.chart.PartId;
import embrack.core.gear.Ear;
import embrack.core.gear.Passage;
import embrack.core.gear.Passage.Send;
import embrack.core.gear.Port;
import embrack.core.gear.PortId;
import embrack.core.gear.Sound;
import embrack.core.gear.SoundEnd;
import embrack.core.gear.SoundRun;
import embrack.core.gear.SoundRun.GateRun;
import embrack.core.name.Slug;
import embrack.core.text.Cursor;
import embrack.core.text.Fault;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Lines about sound: {@code sound Input 1..16 to each Ear 1..6: muted by Input 1..16; own level, off}, both ways;
 * {@code makes microphone at Out}; {@code heard at In by house}.
 */
final class SoundLine {

    private static final Pattern RUN = Pattern.compile("(.*\\D)(\\d{1,2})\\.\\.(\\d{1,2})");
    private static final Pattern CHANNEL = Pattern.compile("(.+)/(left|right|\\d{1,2})");
    private static final String EACH = "each ";
    private static final String EXAMPLE = "sound Input 1..16 to each Ear 1..6: muted by Input 1..16; own level, off";

    /** Which words stand before the parts that let sound pass, and how these have to stand. */
    private static final Map<String, List<Aspect>> GATES = gates();

    private final List<Port> ports;

    /**
     * Lines of one box.
     *
     * @param ports those that stand above
     */
    SoundLine(List<Port> ports) {
        this.ports = ports;
    }

    private static Map<String, List<Aspect>> gates() {
        Map<String, List<Aspect>> gates = new LinkedHashMap<>();
        gates.put("by", List.of(Aspect.MUTED, Aspect.LEVEL));
        gates.put("muted by", List.of(Aspect.MUTED));
        gates.put("level by", List.of(Aspect.LEVEL));
        gates.put("while chosen", List.of(Aspect.CHOSEN));
        gates.put("while on", List.of(Aspect.SWITCHED));
        return gates;
    }

    /** Reads ways behind "sound". */
    SoundRun run(Cursor cursor) {
        int colon = cursor.find(':');
        Cursor ends = colon < 0 ? cursor.until(Integer.MAX_VALUE) : cursor.until(colon);
        int column = ends.column();
        String[] sides = ends.rest().split(" to ", 2);
        if (sides.length < 2) {
            throw new Fault(column, Math.max(1, ends.rest().length()), "From where to where? " + EXAMPLE);
        }
        boolean each = sides[1].startsWith(EACH);
        List<SoundEnd> from = ends(sides[0], column);
        List<SoundEnd> to = ends(each ? sides[1].substring(EACH.length()) : sides[1], column + sides[0].length() + 4);
        ends.step(ends.rest().length());
        Passage passage = Passage.PLAIN;
        List<GateRun> gates = new ArrayList<>();
        while (!cursor.isAtEnd()) {
            passage = attribute(cursor, passage, gates);
            if (!cursor.isAtEnd() && !cursor.accept(";")) {
                throw cursor.fault("A semicolon stands between what is said of a way: " + EXAMPLE);
            }
        }
        Passage whole = passage;
        return Pieces.fit(column, () -> new SoundRun(from, to, each, whole, gates));
    }

    private static Passage attribute(Cursor cursor, Passage passage, List<GateRun> gates) {
        int column = cursor.column();
        if (cursor.accept("inverted")) {
            return passage.thatInverts();
        } else if (cursor.accept("isolated")) {
            return passage.thatIsolates();
        } else if (cursor.accept("own level")) {
            boolean off = cursor.accept(",");
            if (off && !cursor.accept("off")) {
                throw cursor.fault("Behind the comma may stand \"off\": shut in a new box.");
            }
            return passage.with(off ? Send.SHUT : Send.OPEN);
        }
        boolean more = cursor.accept("+");
        if (more || cursor.peek().matches("-?\\d{1,4}(\\.\\d)?")) {
            if (!cursor.peek().matches("-?\\d{1,4}(\\.\\d)?")) {
                throw cursor.fault("A number is needed behind the plus, such as +6 dB.");
            }
            double number = Double.parseDouble(cursor.token());
            if (cursor.accept("db")) {
                return Pieces.fit(column, () -> passage.withDecibels(number));
            } else if (cursor.accept("ms late")) {
                return Pieces.fit(column, () -> passage.thatIsLate((int) Math.round(number * 10)));
            }
            throw cursor.fault("Write such as -20 dB or 5 ms late.");
        }
        String words = GATES.keySet().stream()
                .sorted((a, b) -> b.length() - a.length())
                .filter(cursor::accept)
                .findFirst()
                .orElseThrow(() -> cursor.fault("Of a way may be said: by, muted by, level by, while chosen, while on"
                        + " and a part of the chart; own level; -20 dB; 5 ms late; inverted; isolated."));
        int semicolon = cursor.find(';');
        String parts = (semicolon < 0
                        ? cursor.rest()
                        : cursor.rest().substring(0, cursor.rest().indexOf(';')))
                .strip();
        cursor.step(parts.length());
        List<PartId> ids = Pieces.fit(
                column,
                () -> names(parts).stream()
                        .map(name -> new PartId(Slug.of(name)))
                        .toList());
        Stream.of(GATES.get(words)).flatMap(List::stream).forEach(aspect -> gates.add(new GateRun(ids, aspect)));
        return passage;
    }

    /** Reads what begins in the box, behind "makes". */
    Map.Entry<PortId, Sound> source(Cursor cursor) {
        Sound sound = Pieces.oneOf(
                cursor,
                Sound.values(),
                Sound::words,
                "What does it make? "
                        + String.join(
                                ", ",
                                Stream.of(Sound.values()).map(Sound::words).toList()) + ".");
        if (!cursor.accept("at")) {
            throw cursor.fault("At which socket? makes microphone at Out");
        }
        return Map.entry(port(cursor), sound);
    }

    /** Reads who hears, behind "heard at". */
    Map.Entry<PortId, Ear> ear(Cursor cursor) {
        int by = cursor.rest().indexOf(" by ");
        if (by < 0) {
            throw cursor.fault("Who hears it? heard at In by house");
        }
        int column = cursor.column();
        String name = cursor.rest().substring(0, by).strip();
        cursor.step(by);
        cursor.accept("by");
        Ear ear = Pieces.oneOf(
                cursor,
                Ear.values(),
                Ear::words,
                "Who hears it? "
                        + String.join(
                                ", ", Stream.of(Ear.values()).map(Ear::words).toList()) + ".");
        return Map.entry(port(name, column).id(), ear);
    }

    private PortId port(Cursor cursor) {
        int column = cursor.column();
        String name = cursor.rest();
        cursor.step(name.length());
        return port(name, column).id();
    }

    private Port port(String name, int column) {
        return ports.stream()
                .filter(p -> p.name().text().equalsIgnoreCase(name.strip())
                        || p.id().text().equals(name.strip()))
                .findFirst()
                .orElseThrow(() -> new Fault(
                        column, Math.max(1, name.length()), "No port above is called \"%s\".".formatted(name.strip())));
    }

    private List<SoundEnd> ends(String words, int column) {
        return names(words).stream()
                .map(name -> {
                    Matcher channel = CHANNEL.matcher(name);
                    if (!channel.matches()) {
                        return new SoundEnd(port(name, column).id(), 1);
                    }
                    int number =
                            switch (channel.group(2)) {
                                case "left" -> 1;
                                case "right" -> 2;
                                default -> Integer.parseInt(channel.group(2));
                            };
                    PortId port = port(channel.group(1), column).id();
                    return Pieces.fit(column, () -> new SoundEnd(port, number));
                })
                .toList();
    }

    /** Names with commas between, runs written out: "Input 1..3" is three. */
    private static List<String> names(String words) {
        return Stream.of(words.split(","))
                .map(String::strip)
                .flatMap(name -> {
                    Matcher run = RUN.matcher(name);
                    return run.matches()
                            ? IntStream.rangeClosed(Integer.parseInt(run.group(2)), Integer.parseInt(run.group(3)))
                                    .mapToObj(number -> run.group(1) + number)
                            : Stream.of(name);
                })
                .toList();
    }

    /** Writes ways. */
    static String write(SoundRun run) {
        List<String> said = new ArrayList<>();
        said.addAll(gates(run.gates()));
        Passage passage = run.passage();
        if (passage.send() != Send.FIXED) {
            said.add(passage.send() == Send.OPEN ? "own level" : "own level, off");
        }
        if (passage.decibels() != 0) {
            said.add(number(passage.decibels()) + " dB");
        }
        if (passage.tenthsLate() != 0) {
            said.add(number(passage.tenthsLate() / 10.0) + " ms late");
        }
        if (passage.inverted()) {
            said.add("inverted");
        }
        if (passage.isolated()) {
            said.add("isolated");
        }
        return "sound %s to %s%s%s"
                .formatted(
                        runs(run.from().stream().map(SoundEnd::key).toList()),
                        run.each() ? EACH : "",
                        runs(run.to().stream().map(SoundEnd::key).toList()),
                        said.isEmpty() ? "" : ": " + String.join("; ", said));
    }

    private static List<String> gates(List<GateRun> gates) {
        List<String> words = new ArrayList<>();
        for (int i = 0; i < gates.size(); i++) {
            GateRun gate = gates.get(i);
            String parts = runs(gate.parts().stream().map(PartId::text).toList());
            boolean both = i + 1 < gates.size()
                    && gate.aspect() == Aspect.MUTED
                    && gates.get(i + 1).equals(new GateRun(gate.parts(), Aspect.LEVEL));
            i += both ? 1 : 0;
            List<Aspect> aspects = both ? List.of(Aspect.MUTED, Aspect.LEVEL) : List.of(gate.aspect());
            GATES.forEach((said, meant) -> {
                if (meant.equals(aspects)) {
                    words.add(said + " " + parts);
                }
            });
        }
        return words;
    }

    /** Names in as few words as can be: those that only count up as a run. */
    private static String runs(List<String> names) {
        List<String> written = new ArrayList<>();
        for (int i = 0; i < names.size(); ) {
            int end = i + 1;
            Matcher first = Pattern.compile("(.*\\D)([1-9]\\d?)").matcher(names.get(i));
            if (first.matches()) {
                int number = Integer.parseInt(first.group(2));
                while (end < names.size() && names.get(end).equals(first.group(1) + (number + end - i))) {
                    end++;
                }
            }
            written.add(end - i < 2 ? names.get(i) : names.get(i) + ".." + number(names.get(end - 1)));
            i = end;
        }
        return String.join(", ", written);
    }

    private static String number(String name) {
        return name.replaceFirst(".*\\D", "");
    }

    private static String number(double value) {
        return value == Math.rint(value) ? String.valueOf((int) value) : String.format(Locale.ROOT, "%.1f", value);
    }
}
