package embrack.app.share;

import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.Share;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * What a crew shares with others, and they with it.
 *
 * @param path where its forms are sent
 * @param song a song that can be offered beside the models
 */
record SharedPage(String path, List<Row> ours, List<Row> theirs, Optional<Offered> song) {

    /** A song that can be offered. */
    record Offered(String rig, String song, String title) {}

    /**
     * Something that is shared.
     *
     * @param may "read" or "read and copy"
     * @param other the crew at the other side; empty while the link waits
     * @param note for whom the link is
     * @param until when a link that waits ends
     */
    record Row(
            long number,
            String what,
            String may,
            String other,
            String note,
            String by,
            Optional<OffsetDateTime> until) {}

    static SharedPage of(
            CrewId crew,
            List<Share> ours,
            List<Share> theirs,
            Optional<Share.OfSong> song,
            Function<Optional<Share.OfSong>, String> title) {
        return new SharedPage(
                "/crews/%s/shared".formatted(crew),
                ours.stream().map(one -> ours(one, title)).toList(),
                theirs.stream().map(one -> theirs(one, title)).toList(),
                song.map(one -> new Offered(one.rig().toString(), one.song().text(), title.apply(song))));
    }

    private static Row ours(Share share, Function<Optional<Share.OfSong>, String> title) {
        return new Row(
                share.id(),
                title.apply(share.song()),
                may(share),
                share.with().map(Share.Taken::name).orElse(""),
                share.note(),
                share.madeBy(),
                share.with().isPresent() ? Optional.empty() : Optional.of(share.until()));
    }

    private static Row theirs(Share share, Function<Optional<Share.OfSong>, String> title) {
        return new Row(
                share.id(),
                title.apply(share.song()),
                may(share),
                share.crewName(),
                "",
                share.with().map(Share.Taken::by).orElse(""),
                Optional.empty());
    }

    static String may(Share share) {
        return share.copies() ? "read and copy" : "read";
    }
}
