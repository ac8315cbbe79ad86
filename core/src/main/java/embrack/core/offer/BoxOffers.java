package embrack.core.offer;

import embrack.core.gear.Facts;
import embrack.core.gear.Model;
import embrack.core.name.Words;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Boxes found by what people call them: "ten switches", "a loop station like the old one", "laptop". Common practice,
 * no source.
 */
public final class BoxOffers {

    /** As many fit on a screen below the field. */
    public static final int MOST = 6;

    private static final Set<String> FILLING =
            Set.of("a", "an", "the", "my", "our", "with", "and", "of", "for", "like", "some", "to", "midi");

    private static final Map<String, Integer> COUNTED = Map.ofEntries(
            Map.entry("two", 2),
            Map.entry("three", 3),
            Map.entry("four", 4),
            Map.entry("five", 5),
            Map.entry("six", 6),
            Map.entry("eight", 8),
            Map.entry("ten", 10),
            Map.entry("twelve", 12));

    private BoxOffers() {}

    /** Who a search is for. */
    public enum Role {
        /** Anything. */
        ANY(model -> true),
        /** What is pressed, moved, or plays by itself. */
        PRESSED(model -> model.board().isPresent() || !model.surface().groups().isEmpty()),
        /** What obeys messages. */
        OBEYS(model -> !model.chart().isEmpty() || !model.chart().learnables().isEmpty());

        private final Predicate<Model> has;

        /** The role of a key such as "pressed"; anything for a key that is none. */
        public static Role of(String key) {
            return Stream.of(values())
                    .filter(role -> role.name().equalsIgnoreCase(key))
                    .findFirst()
                    .orElse(ANY);
        }

        Role(Predicate<Model> has) {
            this.has = has;
        }
    }

    /**
     * The models that a search means, the likeliest first: those that have most of its words, and of these those whose
     * name has them.
     *
     * @param models all that are known
     * @param search words in any order; none finds nothing
     */
    public static List<Model> find(List<Model> models, Role role, String search) {
        List<String> words = words(search);
        record Found(Model model, long words, long inName) {}
        List<Found> found = models.stream()
                .filter(role.has)
                .map(model -> new Found(
                        model,
                        words.stream().filter(word -> isIn(text(model), word)).count(),
                        words.stream()
                                .filter(word -> isIn(" " + model.name().text().toLowerCase(Locale.ROOT), word))
                                .count()))
                .filter(one -> one.words > 0)
                .sorted(Comparator.comparingLong(Found::words)
                        .thenComparingLong(Found::inName)
                        .reversed())
                .toList();
        return found.stream()
                .filter(one -> one.words == found.getFirst().words)
                .limit(MOST)
                .map(Found::model)
                .toList();
    }

    private static List<String> words(String search) {
        return Stream.of(search.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}]+"))
                .filter(word -> !word.isEmpty() && !FILLING.contains(word))
                .map(Words::singular)
                .distinct()
                .toList();
    }

    private static boolean isIn(String text, String word) {
        return text.contains(" " + word) || COUNTED.containsKey(word) && text.contains(" " + COUNTED.get(word) + " ");
    }

    private static String text(Model model) {
        return " %s %s %s %s "
                .formatted(model.name(), model.kind().words(), called(model), Facts.line(model))
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^\\p{L}\\p{N}]+", " ");
    }

    /** What people call a box of its kind. */
    private static String called(Model model) {
        return switch (model.kind()) {
            case FLOOR_BOARD -> "foot footswitch pedal pedalboard stomp controller switch treadle";
            case FADER_BOX -> "fader knob button surface controller remote";
            case KEYBOARD -> "key keyboard piano synth pad controller knob";
            case TRACK_PLAYER -> "track backing playback stem click pad song timeline launch grid";
            case INSTRUMENT_HOST -> "instrument sound synth piano organ plug-in plugin live patch";
            case LOOPER -> "looper loop station overdub";
            case SOUND_SWITCHER -> "effect sound amp modeller guitar patch reverb delay echo multi-effect";
            case MIXER -> "mixer desk console mute strip channel voice vocal";
            case LIGHT_DESK -> "light lighting lamp dmx desk scene chase";
            case PICTURES -> "word lyric picture screen slide projector projection video media";
            case INTERFACE -> "interface adapter cable split splitter hub wireless network bridge";
            case SOUND_SOURCE -> "mic microphone instrument guitar voice vocal choir";
            case SOUND_BOX -> "di direct split lead loom multicore snake stage box stagebox isolator hum";
            case LISTENING -> "in-ear ear monitor wedge speaker loudspeaker pa house stream recorder headphone";
            case PLAYBACK_PAIR -> "failover redundancy backup pair switcher interface";
            case HOST -> "laptop computer notebook tablet pc";
            case SUPPLY -> "power supply charger mains";
        };
    }
}
