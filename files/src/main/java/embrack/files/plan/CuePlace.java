package embrack.files.plan;

import static embrack.files.json.Shapes.whole;

import embrack.core.music.Clock;
import embrack.core.music.Position;
import embrack.core.music.TempoMap;
import embrack.core.show.Anchor;
import embrack.core.show.Form;
import embrack.files.json.Given;
import embrack.files.json.Layout.Table;
import embrack.files.json.Text;
import embrack.files.model.Texts;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * What a cue is tied to, as files have it: {@code bar} and {@code beat}, the beat as text ("3 1/2") and left out for
 * the first; {@code at} for the clock, a section and what the player does. Files before version 7 have that for all.
 *
 * @param at where there is no bar
 */
public record CuePlace(Optional<Integer> bar, Optional<String> beat, Optional<String> at) {

    private static final String FIRST = "1";

    private static final Text<String> BEAT = new Text<>(
            "beat",
            "a beat, with the part of it: 3 or 3 1/2",
            Texts.pattern("^[0-9]{1,2}( [0-9]{1,4}/[0-9]{1,4})?$"),
            CuePlace::beat,
            same -> same);

    private static final Text<String> MOMENT =
            new Text<>("moment", "1 to 60 characters", Texts.lengths(1, 60), same -> same, same -> same);

    private static String beat(String text) {
        if (text.isBlank()) {
            throw new IllegalArgumentException("is empty; leave it out for the first beat");
        }
        return text;
    }

    /** What a cue of a song with that music is tied to. */
    public static CuePlace of(Anchor anchor, TempoMap tempoMap) {
        return switch (anchor) {
            case Anchor.OnBar onBar -> {
                Position place = tempoMap.position(tempoMap.tick(onBar.at()));
                yield new CuePlace(
                        Optional.of(place.bar()),
                        Optional.of(tempoMap.beat(place)).filter(beat -> !beat.equals(FIRST)),
                        Optional.empty());
            }
            case Anchor.OnClock clock ->
                new CuePlace(Optional.empty(), Optional.empty(), Optional.of(Clock.exact(clock.micros())));
            default -> new CuePlace(Optional.empty(), Optional.empty(), Optional.of(anchor.text(tempoMap)));
        };
    }

    /** Declares the fields; gives back what makes an anchor of their values in a song that goes so. */
    static <C, T> BiFunction<Given<C>, Form, Anchor> declare(
            Table<C, T> t, Function<T, Anchor> anchor, Function<T, TempoMap> music) {
        Function<T, CuePlace> place = value -> of(anchor.apply(value), music.apply(value));
        var bar = t.may(
                "bar",
                whole(1, TempoMap.MAX_BAR),
                "the bar that it is tied to; it then has no `at`",
                value -> place.apply(value).bar());
        var beat = t.may(
                "beat",
                BEAT,
                "in that bar; missing for the first",
                value -> place.apply(value).beat());
        var at = t.may(
                "at",
                MOMENT,
                "`0:46.957`, `start of Verse 1`, `end of Verse 1`, `on load`, `on play`, `on stop`, "
                        + "`on continue`, `on loop`",
                value -> place.apply(value).at());
        t.oneOf(bar, at);
        return (g, form) -> {
            if (g.get(bar).isEmpty()) {
                return g.at(
                        at,
                        () -> Anchor.parse(
                                g.get(at).orElseThrow(() -> new IllegalArgumentException("is missing")), form));
            }
            if (g.get(at).isPresent()) {
                return g.at(at, () -> {
                    throw new IllegalArgumentException("is there beside a bar; a cue is tied to one of the two");
                });
            }
            String typed = g.get(bar).get() + g.get(beat).map(b -> " " + b).orElse("");
            return g.at(
                    g.get(beat).isPresent() ? beat : bar,
                    () -> new Anchor.OnBar(form.tempoMap().parse(typed)));
        };
    }
}
