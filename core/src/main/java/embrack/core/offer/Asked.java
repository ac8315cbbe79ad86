package embrack.core.offer;

import embrack.core.name.Words;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * The words of a search as people say them, held against what boxes call the same: "volume" finds a level, "panic" what
 * stops all. Common practice, no source.
 */
final class Asked {

    /** Words that say nothing of what is looked for. */
    private static final Set<String> FILLING = Set.of("the", "a", "an", "of", "my", "our", "please");

    /** What boxes call it, by what people say. */
    private static final Map<String, List<String>> CALLED = Map.ofEntries(
            Map.entry("start", List.of("play", "run")),
            Map.entry("begin", List.of("play", "run")),
            Map.entry("launch", List.of("play", "run", "go")),
            Map.entry("fire", List.of("play", "run", "go", "recall")),
            Map.entry("trigger", List.of("play", "run", "go")),
            Map.entry("go", List.of("next", "play", "jump")),
            Map.entry("advance", List.of("next")),
            Map.entry("forward", List.of("next")),
            Map.entry("back", List.of("previous")),
            Map.entry("backward", List.of("previous")),
            Map.entry("last", List.of("previous")),
            Map.entry("halt", List.of("stop")),
            Map.entry("end", List.of("stop")),
            Map.entry("panic", List.of("stop all", "stop")),
            Map.entry("kill", List.of("stop all", "blackout", "stop")),
            Map.entry("everything", List.of("all")),
            Map.entry("every", List.of("all")),
            Map.entry("off", List.of("stop", "mute")),
            Map.entry("silence", List.of("mute")),
            Map.entry("cut", List.of("mute")),
            Map.entry("unmute", List.of("open")),
            Map.entry("live", List.of("open")),
            Map.entry("volume", List.of("level")),
            Map.entry("loudness", List.of("level")),
            Map.entry("louder", List.of("level")),
            Map.entry("quieter", List.of("level")),
            Map.entry("gain", List.of("level")),
            Map.entry("opacity", List.of("level")),
            Map.entry("brightness", List.of("level")),
            Map.entry("swell", List.of("level")),
            Map.entry("sound", List.of("patch", "program")),
            Map.entry("preset", List.of("patch", "program")),
            Map.entry("program", List.of("patch")),
            Map.entry("look", List.of("scene")),
            Map.entry("dark", List.of("blackout")),
            Map.entry("black", List.of("blackout")),
            Map.entry("lyric", List.of("slide")),
            Map.entry("loop", List.of("track")));

    private final List<Word> words;

    /** A word as it was typed, and as boxes call it. */
    private record Word(String typed, String one, List<String> called) {

        boolean isIn(String text) {
            return text.contains(typed) || text.contains(one) || isCalledIn(text);
        }

        /** Whether it stands there itself, at the beginning of a word. */
        boolean begins(String text) {
            return text.contains(" " + typed) || text.contains(" " + one);
        }

        boolean isCalledIn(String text) {
            return called.stream().anyMatch(name -> text.contains(" " + name));
        }
    }

    private Asked(List<Word> words) {
        this.words = words;
    }

    /** The words of a search. */
    static Asked of(String search) {
        List<String> typed = Stream.of(search.toLowerCase(Locale.ROOT).split("\\s+"))
                .filter(word -> !word.isEmpty())
                .toList();
        List<String> telling =
                typed.stream().filter(word -> !FILLING.contains(word)).toList();
        return new Asked(
                (telling.isEmpty() ? typed : telling).stream().map(Asked::word).toList());
    }

    private static Word word(String typed) {
        String one = Words.singular(typed);
        return new Word(typed, one, CALLED.getOrDefault(typed, CALLED.getOrDefault(one, List.of())));
    }

    /** Whether all of it is in a text of small letters. */
    boolean isIn(String text) {
        String spaced = " " + text;
        return words.stream().allMatch(word -> word.isIn(spaced));
    }

    /** How many words stand only inside other words of the text, or are called otherwise there. */
    long farFetched(String text) {
        String spaced = " " + text;
        return count(word -> !word.begins(spaced));
    }

    /** How many words are only the beginnings of words of the text: 12 of "Patch 120". */
    long beyond(String text) {
        List<String> whole = List.of(text.split("[\\s:,()]+"));
        return count(word -> !whole.contains(word.typed) && !whole.contains(word.one));
    }

    private long count(Predicate<Word> which) {
        return words.stream().filter(which).count();
    }
}
