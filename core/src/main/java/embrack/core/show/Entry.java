package embrack.core.show;

import embrack.core.music.Key;
import embrack.core.name.TapeLabel;
import embrack.core.switches.SwitchAt;
import java.util.Optional;

/**
 * One part of a show.
 *
 * @param number within its show, 1 or more; never given twice
 * @param name what it is called; a song's is its title
 * @param song the song, for songs and response songs and for nothing else
 * @param key the key of tonight, where it is not the song's own
 * @param micros how long it takes, or is thought to take; 0 for not known; a song knows its own
 * @param transition how it goes over into the next
 * @param pad the drone under it, if any
 * @param calls who begins it, and who ends it
 */
public record Entry(
        int number,
        Item item,
        TapeLabel name,
        Optional<SongId> song,
        Optional<Key> key,
        long micros,
        Transition transition,
        Optional<Pad> pad,
        Calls calls) {

    public Entry {
        boolean plays = item == Item.SONG || item == Item.RESPONSE;
        if (plays != song.isPresent()) {
            throw new IllegalArgumentException(
                    plays ? "Choose the song." : "Only songs and response songs have a song.");
        }
        if (number < 1) {
            throw new IllegalArgumentException("Parts of a show are counted from 1, was %d.".formatted(number));
        }
        if (micros < 0 || micros > Anchor.MAX_MICROS) {
            throw new IllegalArgumentException("A part of a show takes 0:00 to 2:00:00.");
        }
    }

    /** A song as it is. */
    public static Entry of(int number, Song song) {
        return new Entry(
                number,
                Item.SONG,
                song.title(),
                Optional.of(song.id()),
                Optional.empty(),
                0,
                Transition.HARD,
                Optional.empty(),
                Calls.NONE);
    }

    /** Anything but a song; {@code micros} 0 for not known. */
    public static Entry of(int number, Item item, TapeLabel name, long micros) {
        return new Entry(
                number,
                item,
                name,
                Optional.empty(),
                Optional.empty(),
                micros,
                Transition.HARD,
                Optional.empty(),
                Calls.NONE);
    }

    public Entry withNumber(int other) {
        return new Entry(other, item, name, song, key, micros, transition, pad, calls);
    }

    /** The same, taking so long; what a song takes is its own. */
    public Entry withMicros(long other) {
        return new Entry(number, item, name, song, key, other, transition, pad, calls);
    }

    public Entry withTransition(Transition other) {
        return new Entry(number, item, name, song, key, micros, other, pad, calls);
    }

    public Entry withPad(Optional<Pad> other) {
        return new Entry(number, item, name, song, key, micros, transition, other, calls);
    }

    public Entry withKey(Optional<Key> other) {
        return new Entry(number, item, name, song, other, micros, transition, pad, calls);
    }

    /** The switch that somebody presses to begin it, if any. */
    public Optional<SwitchAt> press() {
        return calls.go();
    }

    public Entry withCalls(Calls other) {
        return new Entry(number, item, name, song, key, micros, transition, pad, other);
    }
}
