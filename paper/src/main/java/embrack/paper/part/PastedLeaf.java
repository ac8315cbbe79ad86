package embrack.paper.part;

import embrack.core.show.Song;
import embrack.files.songs.PlayerText;
import embrack.paper.page.Block;
import embrack.paper.page.Body;
import embrack.paper.page.Part;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Timed messages in the own text of their player, song by song, to be pasted there; for screens alone. */
final class PastedLeaf {

    private final Contents contents;

    PastedLeaf(Contents contents) {
        this.contents = contents;
    }

    /** Empty where no player takes a text. */
    Optional<Part> part() {
        List<Block> blocks =
                contents.songs().stream().flatMap(song -> block(song).stream()).toList();
        return Optional.of(new Part("pasted", "Timed messages to paste", "", Part.Form.WHOLE, blocks))
                .filter(part -> !blocks.isEmpty());
    }

    private Optional<Block> block(Song song) {
        return PlayerText.lineOf(contents.plan(), song)
                .map(line -> PlayerText.write(contents.plan(), song, line))
                .filter(written -> !written.lines().isEmpty())
                .map(written -> new Block(
                        "%d  %s".formatted(song.place(), song.title()),
                        Stream.concat(
                                        contents.plan().player(song).stream()
                                                .map(player -> "for " + contents.name(player)),
                                        written.remarks().stream())
                                .reduce((one, other) -> one + " " + other)
                                .orElse(""),
                        new Body.Pasted(written.text())));
    }
}
