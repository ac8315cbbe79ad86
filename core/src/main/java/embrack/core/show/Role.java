package embrack.core.show;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Locale;
import java.util.SortedSet;
import java.util.TreeSet;

/** What somebody does in a show, and so what of the folder they need: at most that. Common practice, no source. */
public enum Role {
    DIRECTOR("music director", Leaf.ORDER, Leaf.CARDS, Leaf.JOINS, Leaf.FAILS),
    PLAYER("player", Leaf.PLAYER, Leaf.CARDS),
    PROGRAMMER(
            "whoever programs", Leaf.PROGRAM, Leaf.TIMED, Leaf.TRY, Leaf.DOORS, Leaf.FAILS, Leaf.PICTURE, Leaf.CABLES),
    HOUSE("front of house", Leaf.SOUND, Leaf.CONSOLE, Leaf.JOINS),
    MONITORS("monitors", Leaf.SOUND, Leaf.CONSOLE),
    LIGHTS("lights", Leaf.LIGHTS, Leaf.JOINS),
    WORDS("words and pictures", Leaf.WORDS),
    CARRIER("whoever carries", Leaf.CABLES);

    private final String words;
    private final SortedSet<Leaf> usual;

    Role(String words, Leaf first, Leaf... more) {
        this.words = words;
        this.usual = Collections.unmodifiableSortedSet(new TreeSet<>(EnumSet.of(first, more)));
    }

    public String words() {
        return words;
    }

    /** What they usually get. */
    public SortedSet<Leaf> usual() {
        return usual;
    }

    /** As a word in a file or a form: {@code house}. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }
}
