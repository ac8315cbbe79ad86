package embrack.core.show;

import embrack.core.name.TapeLabel;
import embrack.core.rig.DeviceId;
import embrack.core.text.Prose;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What goes to the venue, and to whom.
 *
 * @param readers in the order in which they are shown; none for the usual ones
 * @param numbers who is called when something fails, a line each
 */
public record Folder(List<Reader> readers, String numbers) {

    /** The usual readers, and nobody to call. */
    public static final Folder USUAL = new Folder(List.of(), "");

    /** As many readers as a folder may have. */
    public static final int MAX_READERS = 40;

    /** The longest list of numbers to call, in characters. */
    public static final int MAX_NUMBERS = 1_000;

    public Folder {
        readers = List.copyOf(readers);
        if (readers.size() > MAX_READERS) {
            throw new IllegalArgumentException("A folder has at most %d readers.".formatted(MAX_READERS));
        }
        for (Reader reader : readers) {
            if (readers.stream()
                            .filter(other -> other.name().sameAs(reader.name()))
                            .count()
                    > 1) {
                throw new IllegalArgumentException(
                        "Two readers are called \"%s\"; name them apart.".formatted(reader.name()));
            }
        }
        Prose.require("the numbers to call", numbers);
        if (numbers.length() > MAX_NUMBERS) {
            throw new IllegalArgumentException(
                    "The numbers to call have at most %d characters.".formatted(MAX_NUMBERS));
        }
    }

    /** The reader of that name, whatever its capitals. */
    public Optional<Reader> find(TapeLabel name) {
        return readers.stream().filter(reader -> reader.name().sameAs(name)).findFirst();
    }

    public Folder withReaders(List<Reader> others) {
        return new Folder(others, numbers);
    }

    public Folder withNumbers(String other) {
        return new Folder(readers, other);
    }

    /** With a reader in the place of another one. */
    public Folder with(Reader old, Reader reader) {
        return withReaders(readers.stream().map(r -> r.equals(old) ? reader : r).toList());
    }

    /** With one more reader behind all others. */
    public Folder withMore(Reader reader) {
        List<Reader> more = new ArrayList<>(readers);
        more.add(reader);
        return withReaders(more);
    }

    public Folder without(Reader reader) {
        return withReaders(readers.stream().filter(r -> !r.equals(reader)).toList());
    }

    Folder without(DeviceId device) {
        return withReaders(
                readers.stream().map(reader -> reader.without(device)).toList());
    }
}
