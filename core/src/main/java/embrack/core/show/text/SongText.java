package embrack.core.show.text;

import embrack.core.music.Metre;
import embrack.core.music.MetreChange;
import embrack.core.music.Position;
import embrack.core.music.TempoChange;
import embrack.core.music.TempoMap;
import embrack.core.show.Form;
import embrack.core.show.Section;
import embrack.core.show.Stem;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Writes how a song goes; reading it gives the same again. */
public final class SongText {

    private SongText() {}

    /** The text of a form and its stems. */
    public static String of(Form form, List<Stem> stems) {
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < form.sections().size(); i++) {
            int first = form.firstBar(i);
            int last = i + 1 == form.sections().size() ? Integer.MAX_VALUE : form.lastBar(i);
            changes(form.tempoMap(), first, first, 0).forEach(lines::add);
            lines.add(section(form.sections().get(i)));
            form.sections().get(i).sound().ifPresent(sound -> lines.add("  sound: " + sound));
            form.sections().get(i).lines().forEach(line -> lines.add("  words: " + line));
            changes(form.tempoMap(), first, last, 1).forEach(lines::add);
        }
        stems.forEach(stem -> lines.add(stem(stem)));
        return String.join("\n", lines) + "\n";
    }

    private static String section(Section section) {
        StringBuilder line = new StringBuilder(
                "%s: %d %s".formatted(section.name(), section.bars(), section.bars() == 1 ? "bar" : "bars"));
        if (section.vamp()) {
            line.append(section.passes() == 1 ? ", vamp" : ", vamp %d times".formatted(section.passes()));
        }
        return line.append(section.guide().isEmpty() ? "" : ", \"%s\"".formatted(section.guide()))
                .toString();
    }

    private static String stem(Stem stem) {
        return "stem %s: %s%s%s"
                .formatted(
                        stem.name(),
                        stem.sort().words(),
                        stem.level().isEmpty() ? "" : ", at " + stem.level(),
                        stem.player().map(player -> ", played by " + player).orElse(""));
    }

    /**
     * Changes at the very start of a section stand before it; those inside it, behind it, with their place counted from
     * its first bar.
     */
    private static Stream<String> changes(TempoMap tempoMap, int first, int last, int fromTick) {
        Stream<MetreChange> metres = tempoMap.metres().stream()
                .filter(change -> fromTick == 0 ? change.bar() == first : change.bar() > first && change.bar() <= last);
        Stream<TempoChange> tempos = tempoMap.tempos().stream().filter(change -> {
            Position at = tempoMap.position(tempoMap.tick(change.at()));
            return fromTick == 0
                    ? at.equals(Position.bar(first))
                    : at.compareTo(Position.bar(first)) > 0 && at.bar() <= last;
        });
        return Stream.concat(
                metres.map(change ->
                        place(tempoMap, Position.bar(change.bar()), first, fromTick) + "metre " + metre(change)),
                tempos.map(change -> place(tempoMap, tempoMap.position(tempoMap.tick(change.at())), first, fromTick)
                        + "tempo " + change.tempo() + (change.glides() ? " gliding" : "")));
    }

    private static Metre metre(MetreChange change) {
        return change.metre();
    }

    private static String place(TempoMap tempoMap, Position at, int first, int fromTick) {
        if (fromTick == 0) {
            return "";
        }
        return "  at %d%s: ".formatted(at.bar() - first + 1, at.tick() == 0 ? "" : " " + tempoMap.beat(at));
    }
}
