package embrack.app.order;

import embrack.app.frame.FindingView;
import embrack.core.check.Report;
import embrack.core.check.rule.Severity;
import embrack.core.check.rule.Topic;
import embrack.core.music.Clock;
import embrack.core.music.Key;
import embrack.core.name.TapeLabel;
import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.Feed;
import embrack.core.show.Calls;
import embrack.core.show.Entry;
import embrack.core.show.Item;
import embrack.core.show.Pad;
import embrack.core.show.Running;
import embrack.core.show.Running.Part;
import embrack.core.show.Show;
import embrack.core.show.Song;
import embrack.core.show.Stem;
import embrack.core.show.StemAt;
import embrack.core.show.Transition;
import embrack.core.switches.Assignment;
import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * A show as a column of tape labels, as tall as they last.
 *
 * @param facts name, day, start and slot as they are typed
 * @param absent boxes that are not there, in words; empty when all are
 */
record OrderPage(
        String path,
        Facts facts,
        Total total,
        Strip strip,
        Optional<PartPanel> chosen,
        Feet feet,
        Playing playing,
        Lists lists,
        List<FindingView> findings,
        boolean isTonight,
        boolean anyOrder,
        String absent) {

    /**
     * How long all of it takes.
     *
     * @param sum how long it takes and whether that fits
     */
    record Total(String sum, boolean isTooLong) {}

    /**
     * The order drawn by the clock.
     *
     * @param slotEnd where the slot ends, negative without one
     */
    record Strip(int height, List<Label> labels, int slotEnd, String slotWords) {}

    /**
     * Who presses when.
     *
     * @param presses how often each switch is pressed
     */
    record Feet(List<String> presses, int pressesInAll) {}

    /**
     * Who plays, and which stems sound.
     *
     * @param roster the parts that songs can be played without or with
     */
    record Playing(List<Player> roster, List<StemRow> stems) {}

    /** What can be chosen. */
    record Lists(List<Choice> songs, List<Choice> items, List<Choice> shows) {}

    private static final int TOP = 14;
    private static final int GAP = 3;
    private static final int SHORTEST = 40;
    private static final double PIXELS_PER_SECOND = 0.25;

    /** Fields of the show. */
    record Facts(String name, String day, String start, String slot) {}

    /** A part in the column. */
    record Label(int number, int place, Extent at, Said said, Over over, String tone, boolean isChosen, String href) {}

    /** Where it lies in the column. */
    record Extent(int y, int height) {

        int end() {
            return y + height;
        }
    }

    /** What stands on it. */
    record Said(String clock, String item, String name, String facts, String pad) {}

    /** How it goes into the next. */
    record Over(String words, int y) {}

    /** Something to choose. */
    record Choice(String key, String words, boolean isChosen) {}

    /** A part of the band. */
    record Player(String name, boolean isHere) {}

    /** A stem tonight. */
    record StemRow(String song, String songKey, String stem, String words, boolean sounds, boolean turned) {}

    /**
     * Fields of the chosen part. {@code earlier} and {@code later}: in front of which part it is put, 0 for the end.
     */
    record PartPanel(Spot spot, What what, Over over, PadFields pad, List<Choice> presses, Feet feet, String keys) {

        /** Who makes it ready, and who ends it. */
        record Feet(List<Choice> arms, List<Choice> endings, List<Choice> ends) {}

        /** Where it stands. */
        record Spot(int number, int place, int places, int earlier, int later) {}

        /** What it is. */
        record What(String name, boolean plays, String songHref, List<Choice> items, String length, String key) {}

        /** How it goes over into the next. */
        record Over(List<Choice> ways, String time) {}

        /** Its pad. */
        record PadFields(String padKey, String padLength) {}
    }

    static OrderPage of(Report report, Show show, int part, String path) {
        Plan plan = report.plan();
        Running running = Running.of(plan.book(), show);
        List<Label> labels = labels(report, running, part, path);
        int slotEnd = -1;
        if (show.slotMicros() > 0) {
            int start = running.parts().stream()
                    .filter(p -> p.startMicros() >= 0)
                    .findFirst()
                    .map(p -> labels.get(running.parts().indexOf(p)).at().y())
                    .orElse(TOP);
            slotEnd = yOf(running, labels, show.slotMicros())
                    .orElse(start + (int) (show.slotMicros() / 1e6 * PIXELS_PER_SECOND));
        }
        int bottom = Math.max(labels.stream().mapToInt(l -> l.at().end()).max().orElse(60), slotEnd) + 30;
        List<String> presses = new ArrayList<>();
        running.presses(plan.book(), plan.switches())
                .forEach((at, times) -> presses.add("%s%s: %d\u00d7"
                        .formatted(
                                plan.words(at),
                                plan.switches()
                                        .at(at)
                                        .label()
                                        .map(l -> ", " + l)
                                        .orElse(""),
                                times)));
        int all = running.presses(plan.book(), plan.switches()).values().stream()
                .mapToInt(Integer::intValue)
                .sum();
        boolean tonight = plan.book().tonight().filter(show::equals).isPresent();
        return new OrderPage(
                path,
                new Facts(
                        show.name().text(),
                        show.day().map(Object::toString).orElse(""),
                        show.start().map(Object::toString).orElse(""),
                        show.slotMicros() == 0 ? "" : Clock.brief(show.slotMicros())),
                new Total(
                        running.words(),
                        running.roomMicros().filter(room -> room < 0).isPresent()),
                new Strip(
                        bottom,
                        labels,
                        slotEnd,
                        show.start()
                                .map(start -> "slot ends " + start.after(show.slotMicros()))
                                .orElse("slot ends")),
                show.entry(part).map(entry -> panel(plan, running, entry)),
                new Feet(presses, all),
                new Playing(roster(plan, show), stems(plan, show)),
                new Lists(
                        choices(plan),
                        kinds(),
                        plan.book().shows().reversed().stream()
                                .map(s -> new Choice(
                                        s.id().text(),
                                        s.name()
                                                + s.day().map(day -> ", " + day).orElse(""),
                                        s.id().equals(show.id())))
                                .toList()),
                tonight
                        ? FindingView.all(report.findings().stream().filter(f -> f.isAbout(Topic.ORDER)), plan)
                        : List.of(),
                tonight,
                show.anyOrder(),
                Words.list(show.absent().stream().map(id -> plan.rig().name(id)).toList()));
    }

    private static List<Label> labels(Report report, Running running, int chosen, String path) {
        Plan plan = report.plan();
        List<Label> labels = new ArrayList<>();
        int y = TOP;
        for (int i = 0; i < running.parts().size(); i++) {
            Part part = running.parts().get(i);
            Entry entry = part.entry();
            int height = Math.max(SHORTEST, (int) Math.round(part.lengthMicros() / 1e6 * PIXELS_PER_SECOND));
            String clock = running.show()
                    .start()
                    .map(start -> start.after(part.startMicros()))
                    .orElseGet(() -> Clock.brief(part.startMicros()));
            boolean last = i + 1 == running.parts().size();
            Transition over = entry.transition();
            String words = last ? "" : over.way().words() + (over.micros() > 0 ? " " + Clock.brief(over.micros()) : "");
            String facts = Stream.of(
                            part.lengthMicros() == 0 ? "length not known" : Clock.brief(part.lengthMicros()),
                            key(plan, part),
                            entry.press().map(at -> "press " + plan.words(at)).orElse(""))
                    .filter(text -> !text.isEmpty())
                    .reduce((a, b) -> a + ", " + b)
                    .orElse("");
            String tone = entry.song()
                    .map(song -> report.findings(song).stream().anyMatch(f -> f.severity() == Severity.STOPS)
                            ? "stop"
                            : "song")
                    .orElse("other");
            int gap = over.way() == Transition.Way.CROSSFADE
                    ? 0
                    : over.way() == Transition.Way.ON_DEMAND || over.way() == Transition.Way.TAIL ? 18 : GAP;
            labels.add(new Label(
                    entry.number(),
                    i,
                    new Extent(y, height),
                    new Said(
                            clock,
                            entry.item().words(),
                            entry.name().text(),
                            facts,
                            part.pad()
                                    .map(pad -> "pad in " + pad + ", "
                                            + Clock.brief(
                                                    entry.pad().map(Pad::micros).orElse(0L)))
                                    .orElse("")),
                    new Over(words, y + height + gap / 2),
                    tone,
                    entry.number() == chosen,
                    "%s?part=%d".formatted(path, entry.number())));
            y += height + gap;
        }
        return labels;
    }

    private static String key(Plan plan, Part part) {
        return part.key()
                .map(key -> part.entry()
                        .song()
                        .flatMap(plan.book()::find)
                        .flatMap(Song::original)
                        .filter(original -> !original.hasRootOf(key))
                        .map(original ->
                                "%s, was %s: %s".formatted(key, original, Key.words(original.semitonesTo(key))))
                        .orElse("in " + key))
                .orElse("");
    }

    /** Where a time lies in the column. */
    private static Optional<Integer> yOf(Running running, List<Label> labels, long micros) {
        for (int i = 0; i < running.parts().size(); i++) {
            Part part = running.parts().get(i);
            if (part.startMicros() <= micros && micros <= part.endMicros() && part.lengthMicros() > 0) {
                return Optional.of(labels.get(i).at().y()
                        + (int) (labels.get(i).at().height() * (micros - part.startMicros()) / part.lengthMicros()));
            }
        }
        return running.parts().isEmpty()
                ? Optional.empty()
                : Optional.of(labels.getLast().at().end()
                        + (int) Math.max(
                                0, (micros - running.parts().getLast().endMicros()) / 1e6 * PIXELS_PER_SECOND));
    }

    private static PartPanel panel(Plan plan, Running running, Entry entry) {
        boolean plays = entry.song().isPresent();
        List<Choice> items = Stream.of(Item.values())
                .filter(item -> (item == Item.SONG || item == Item.RESPONSE) == plays)
                .map(item -> new Choice(item.name(), item.words(), item == entry.item()))
                .toList();
        List<Choice> ways = Stream.of(Transition.Way.values())
                .map(way -> new Choice(
                        way.name(), way.words(), way == entry.transition().way()))
                .toList();
        int place = running.show().order().indexOf(entry);
        return new PartPanel(
                new PartPanel.Spot(
                        entry.number(),
                        place,
                        running.show().order().size(),
                        numberAt(running.show(), place - 1),
                        numberAt(running.show(), place + 2)),
                new PartPanel.What(
                        entry.name().text(),
                        plays,
                        entry.song().map(Object::toString).orElse(""),
                        items,
                        entry.micros() == 0 ? "" : Clock.brief(entry.micros()),
                        entry.key().map(Key::toString).orElse("")),
                new PartPanel.Over(
                        ways,
                        entry.transition().micros() == 0
                                ? ""
                                : Clock.brief(entry.transition().micros())),
                new PartPanel.PadFields(
                        entry.pad().flatMap(Pad::key).map(Key::toString).orElse(""),
                        entry.pad().map(pad -> Clock.brief(pad.micros())).orElse("")),
                switches(plan, "nobody presses", entry.press()),
                new PartPanel.Feet(
                        switches(plan, "one press is enough", entry.calls().arm()),
                        Stream.of(Calls.Ending.values())
                                .map(ending -> new Choice(
                                        ending.name(),
                                        ending.words(),
                                        ending == entry.calls().ending()))
                                .toList(),
                        switches(plan, "no switch", entry.calls().end())),
                keys(running, place));
    }

    /** All switches that do something, the chosen one marked. */
    private static List<Choice> switches(Plan plan, String none, Optional<SwitchAt> chosen) {
        List<Choice> choices = new ArrayList<>(List.of(new Choice("", none, chosen.isEmpty())));
        for (Assignment assignment : plan.switches().assignments()) {
            choices.add(new Choice(
                    assignment.at().key(),
                    plan.words(assignment.at())
                            + assignment.label().map(label -> ", " + label).orElse(""),
                    chosen.filter(assignment.at()::equals).isPresent()));
        }
        return choices;
    }

    private static int numberAt(Show show, int place) {
        return place >= 0 && place < show.order().size()
                ? show.order().get(place).number()
                : 0;
    }

    /** Which pads lie under the keys on both sides. */
    private static String keys(Running running, int place) {
        Optional<Key> before = running.parts().stream()
                .limit(place + 1L)
                .flatMap(part -> part.key().stream())
                .reduce((a, b) -> b);
        Optional<Key> next = running.parts().stream()
                .skip(place + 1L)
                .flatMap(part -> part.key().stream())
                .findFirst();
        if (before.isEmpty() || next.isEmpty()) {
            return "";
        }
        List<Key> fit = Key.dronesUnder(before.get(), next.get());
        return "From %s to %s (%s): %s"
                .formatted(
                        before.get(),
                        next.get(),
                        Key.words(before.get().semitonesTo(next.get())),
                        fit.isEmpty()
                                ? "no pad lies under both; fade it out and the next in"
                                : "pads that lie under both: "
                                        + Words.list(fit.stream().limit(4).toList()));
    }

    private static List<Song> played(Plan plan, Show show) {
        return show.order().stream()
                .flatMap(entry -> entry.song().stream())
                .distinct()
                .map(plan.book()::song)
                .toList();
    }

    private static List<Player> roster(Plan plan, Show show) {
        TreeSet<TapeLabel> parts = new TreeSet<>(show.present());
        plan.book()
                .songs()
                .forEach(song -> song.stems().forEach(stem -> stem.player().ifPresent(parts::add)));
        return parts.stream()
                .map(part -> new Player(part.text(), show.present().contains(part)))
                .toList();
    }

    private static List<StemRow> stems(Plan plan, Show show) {
        List<StemRow> rows = new ArrayList<>();
        for (Song song : played(plan, show)) {
            for (Stem stem : song.stems()) {
                if (stem.player().isPresent()) {
                    boolean sounds = show.sounds(song.id(), stem);
                    boolean turned = show.turned().contains(new StemAt(song.id(), stem.name()));
                    String heard = sounds
                            ? heard(plan, song, stem)
                            : "muted, " + stem.player().get()
                                    + (show.present().contains(stem.player().get())
                                            ? " plays it"
                                            : ": nobody plays it");
                    rows.add(new StemRow(
                            song.title().text(), song.id().text(), stem.name().text(), heard, sounds, turned));
                }
            }
        }
        return rows;
    }

    /** Who hears a stem, by the sound outputs of the player or of the box it lives in. */
    private static String heard(Plan plan, Song song, Stem stem) {
        List<String> outputs = plan.player(song).stream()
                .flatMap(player -> plan.rig().devices().stream()
                        .filter(device -> !device.feeds().isEmpty())
                        .flatMap((Device device) -> device.feeds().entrySet().stream()
                                .filter(e -> e.getValue()
                                        .sounds()
                                        .contains(stem.sort().sound()))
                                .map(e -> feed(plan, device, e.getKey().text(), e.getValue()))))
                .toList();
        String sounds = stem.level().isEmpty() ? "sounds" : "sounds at " + stem.level();
        return outputs.isEmpty() ? sounds : sounds + ": " + String.join("; ", outputs);
    }

    private static String feed(Plan plan, Device device, String output, Feed feed) {
        return "%s %s to %s"
                .formatted(
                        plan.rig().name(device.id()),
                        output,
                        Words.list(feed.to().stream().map(ear -> ear.words()).toList()));
    }

    private static List<Choice> choices(Plan plan) {
        return plan.book().songs().stream()
                .map(song -> new Choice(
                        song.id().text(),
                        "%s%s, %s"
                                .formatted(
                                        song.title(),
                                        song.played().map(key -> ", " + key).orElse(""),
                                        Clock.brief(song.usualLengthMicros())),
                        false))
                .toList();
    }

    private static List<Choice> kinds() {
        return Stream.of(Item.values())
                .filter(item -> item != Item.SONG && item != Item.RESPONSE)
                .map(item -> new Choice(item.name(), item.words(), false))
                .toList();
    }
}
