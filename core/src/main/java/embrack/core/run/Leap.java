package embrack.core.run;

import embrack.core.chart.Action;
import embrack.core.chart.Chart;
import embrack.core.chart.Meaning;
import embrack.core.chart.PartId;
import embrack.core.chart.Verb;
import java.util.Optional;

/** What the player of a song can do to where the music is. */
public sealed interface Leap {

    /** It plays: what waits begins, what was stopped begins again, what plays goes on. */
    record Play() implements Leap {}

    /** It stops. */
    record Stop() implements Leap {}

    /** It holds where it is, until it plays. */
    record Pause() implements Leap {}

    /** It fades out, and stops. */
    record Fade() implements Leap {}

    /** It plays the song at a place of its list, 1 or more. */
    record ToSong(int place) implements Leap {}

    /** It makes the song at a place of its list ready, 1 or more; the next {@link Play} begins it. */
    record Ready(int place) implements Leap {}

    /** It goes on at a section of the song that plays, 1 or more. */
    record ToSection(int number) implements Leap {}

    /** It plays the section once more that it plays now. */
    record Again() implements Leap {}

    /** It goes to the next song, or back, by as many as {@code songs}. */
    record BySongs(int songs) implements Leap {}

    /** It goes to the next section, or back, by as many as {@code sections}. */
    record BySections(int sections) implements Leap {}

    /** What goes round goes on after this round. */
    record LetGo() implements Leap {}

    /**
     * What an action of a player does to where the music is; empty when nothing.
     *
     * @param plays whether the part plays, now that it was done
     */
    static Optional<Leap> of(Chart player, Action action, boolean plays) {
        PartId part = action.part();
        boolean stepsThroughSongs = player.parts().stream().noneMatch(p -> player.isMeant(p.id(), Meaning.SECTION))
                && player.parts().stream().anyMatch(p -> player.isMeant(p.id(), Meaning.SONG));
        return switch (action.verb()) {
            case PLAY -> Optional.of(new Play());
            case TOGGLE_PLAY -> Optional.of(plays ? new Play() : new Stop());
            case STOP, STOP_ALL -> Optional.of(new Stop());
            case PAUSE -> Optional.of(new Pause());
            case FADE_OUT -> Optional.of(new Fade());
            case REPEAT -> Optional.of(new Again());
            case NEXT, PREVIOUS -> {
                int by = action.verb() == Verb.NEXT ? 1 : -1;
                yield Optional.of(stepsThroughSongs ? new BySongs(by) : new BySections(by));
            }
            case LOAD, JUMP, GO ->
                player.placeOfSong(part).isPresent()
                        ? Optional.of(
                                action.verb() == Verb.LOAD
                                        ? new Ready(player.placeOfSong(part).getAsInt())
                                        : new ToSong(player.placeOfSong(part).getAsInt()))
                        : player.placeOfSection(part).isPresent()
                                ? Optional.of(new ToSection(
                                        player.placeOfSection(part).getAsInt()))
                                : Optional.empty();
            case OFF -> player.isMeant(part, Meaning.VAMP) ? Optional.of(new LetGo()) : Optional.empty();
            default -> Optional.empty();
        };
    }
}
