package embrack.app.wiring;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Length;
import embrack.core.rig.Link;
import embrack.core.rig.Rig;
import embrack.core.sound.Arrival;
import embrack.core.sound.Heard;
import embrack.core.sound.Listener;
import embrack.core.sound.SoundPaths;
import embrack.core.sound.Source;
import embrack.core.sound.Strand;
import embrack.core.way.Delay;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Who hears what, as a table.
 *
 * @param ears who hears, one a column
 * @param rows what sounds, one a row
 */
record HearTable(List<Ear> ears, List<Row> rows) {

    /** Who hears. */
    record Ear(String name, String kind) {}

    /** What sounds, and what each of the ears gets of it. */
    record Row(String name, List<Cell> cells) {}

    /**
     * What somebody gets of something.
     *
     * @param key both of them, as an address has it
     * @param words its level, "silent" where nothing passes now, a dash where nothing leads there
     * @param tone "never" for what must not be heard there, "silent", "none" or ""
     */
    record Cell(String key, String words, String tone, String title) {}

    /**
     * One way that is looked at.
     *
     * @param steps the boxes on it, with what each does
     * @param late when it arrives: "2.7 ms"; empty for at once
     */
    record Way(String title, String level, String late, String away, List<String> steps, List<String> warnings) {}

    /**
     * The table as everything stands.
     *
     * @param open what is heard with everything open, to tell what is shut from what leads nowhere
     */
    static HearTable of(SoundPaths paths, Heard heard, Heard open) {
        Rig rig = paths.rig();
        return new HearTable(
                paths.listeners().stream()
                        .map(listener ->
                                new Ear(listener.words(rig), listener.ear().words()))
                        .toList(),
                paths.sources().stream()
                        .map(source -> new Row(
                                source.words(rig),
                                paths.listeners().stream()
                                        .map(listener -> cell(rig, heard, open, source, listener))
                                        .toList()))
                        .toList());
    }

    private static Cell cell(Rig rig, Heard heard, Heard open, Source source, Listener listener) {
        Arrival arrival = heard.arrival(source, listener);
        boolean never = arrival.isHeard() && !source.sound().isFor(listener.ear());
        boolean leads = open.arrival(source, listener).arrives();
        String words = leads ? arrival.gain().words() : "\u2013";
        return new Cell(
                source.key() + "~" + listener.key(),
                words,
                never ? "never" : !leads ? "none" : arrival.isHeard() ? "" : "silent",
                "%s at %s: %s".formatted(source.words(rig), listener.words(rig), leads ? words : "never"));
    }

    /** The way that an address names; empty where nothing is named. */
    static Optional<Way> way(SoundPaths paths, Heard heard, String key) {
        String[] ends = key.split("~", 2);
        return ends.length < 2
                ? Optional.empty()
                : paths.source(ends[0])
                        .flatMap(
                                source -> paths.listener(ends[1]).map(listener -> way(paths, heard, source, listener)));
    }

    private static Way way(SoundPaths paths, Heard heard, Source source, Listener listener) {
        Rig rig = paths.rig();
        Arrival arrival = heard.arrival(source, listener);
        List<String> warnings = new ArrayList<>();
        if (arrival.isHeard() && !source.sound().isFor(listener.ear())) {
            warnings.add("It must not be heard there.");
        }
        if (arrival.cancels()) {
            warnings.add("Two ways put each other out.");
        }
        if (source.isStereo() && !arrival.lostSides().isEmpty()) {
            warnings.add("One of its two sides is missing.");
        }
        if (arrival.apart() > 0) {
            warnings.add("It arrives twice, %s apart.".formatted(millis(arrival.apart())));
        }
        return new Way(
                "%s to %s".formatted(source.words(rig), listener.words(rig)),
                arrival.arrives() ? arrival.gain().words() : "never",
                arrival.earliest().isPresent() ? millis(arrival.earliest().getAsLong()) : "",
                paths.away(listener).map(Length::words).orElse(""),
                steps(rig, heard.way(source, listener)),
                warnings);
    }

    private static String millis(long micros) {
        return Delay.millis(micros) + " ms";
    }

    private static List<String> steps(Rig rig, List<Strand> way) {
        List<String> steps = new ArrayList<>();
        for (Strand strand : way) {
            steps.add(strand.link()
                    .map(link -> "%s to %s".formatted(rig.words(link.from()), rig.words(link.to())))
                    .orElseGet(() -> "through %s: %s to %s%s"
                            .formatted(
                                    rig.name(strand.from().device()),
                                    rig.port(strand.from().socket()).name(),
                                    rig.port(strand.to().socket()).name(),
                                    gain(strand))));
        }
        return steps;
    }

    private static String gain(Strand strand) {
        return (strand.decibels() == 0 ? "" : ", %s dB".formatted(number(strand.decibels())))
                + (strand.inverted() ? ", inverted" : "")
                + (strand.micros() == 0 ? "" : ", " + millis(strand.micros()));
    }

    private static String number(double decibels) {
        return (decibels == Math.rint(decibels) ? String.valueOf((int) decibels) : String.valueOf(decibels))
                .replace('-', '\u2212');
    }

    /** Boxes that a way goes through, and its links, to be lit. */
    static Optional<Focus.Lit> lit(SoundPaths paths, Heard heard, String key) {
        String[] ends = key.split("~", 2);
        return ends.length < 2
                ? Optional.empty()
                : paths.source(ends[0])
                        .flatMap(source -> paths.listener(ends[1]).map(listener -> heard.way(source, listener)))
                        .map(way -> lit(paths.rig(), way));
    }

    private static Focus.Lit lit(Rig rig, List<Strand> way) {
        Set<DeviceId> devices = new HashSet<>();
        Set<Link> links = new HashSet<>();
        way.forEach(strand -> {
            devices.add(strand.from().device());
            devices.add(strand.to().device());
            strand.link().ifPresent(links::add);
        });
        Set.copyOf(devices).forEach(device -> devices.add(rig.box(device)));
        return new Focus.Lit(devices, links);
    }
}
