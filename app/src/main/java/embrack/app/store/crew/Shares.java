package embrack.app.store.crew;

import embrack.app.store.RigId;
import embrack.core.edit.Refused;
import embrack.core.show.SongId;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * What crews share with one another. One makes a link and hands it over; whoever plans for another crew takes it up
 * with that, once; either ends it at any time.
 */
@Service
public class Shares {

    private static final int LONGEST_NOTE = 100;

    private final ShareMapper mapper;

    Shares(ShareMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * Offers something.
     *
     * @param song which song; empty for all models of the crew
     * @param copies whether it may be copied, else it is only read
     * @param note for whom it is
     * @param days how long the link waits, 1 to {@value Crews#MOST_DAYS}
     * @return what its link ends with, which is kept nowhere
     * @throws Refused when it would wait for no or too long a time
     */
    public String offer(CrewId crew, Optional<Share.OfSong> song, boolean copies, String note, String by, int days) {
        if (days < 1 || days > Crews.MOST_DAYS) {
            throw new Refused("days", Because.of("no.share-days").with("most", Crews.MOST_DAYS));
        }
        String about = note.strip();
        if (about.length() > LONGEST_NOTE) {
            throw new Refused("note", Because.of("no.note").with("most", LONGEST_NOTE));
        }
        String secret = Secret.next();
        mapper.offer(
                crew.number(),
                song.map(one -> one.rig().number()).orElse(null),
                song.map(one -> one.song().text()).orElse(null),
                copies,
                about,
                Secret.hash(secret),
                by,
                days);
        return secret;
    }

    /** What a crew shares, taken up or waiting. */
    public List<Share> of(CrewId crew) {
        return mapper.of(crew.number()).stream().map(Shares::share).toList();
    }

    /** What others share with a crew. */
    public List<Share> with(CrewId crew) {
        return mapper.with(crew.number()).stream().map(Shares::share).toList();
    }

    /** One that others share with a crew. */
    public Optional<Share> find(CrewId crew, long share) {
        return mapper.find(share, crew.number()).map(Shares::share);
    }

    /** What a link offers, while it waits. */
    public Optional<Share> offered(String secret) {
        return mapper.offered(Secret.hash(secret)).map(Shares::share);
    }

    /**
     * A crew takes up what a link offers.
     *
     * @throws Refused when it waits no more, or is the crew's own
     */
    public void take(String secret, CrewId crew, String by) {
        if (mapper.take(Secret.hash(secret), crew.number(), by) == 0) {
            throw new Refused("crew", Because.of("no.share"));
        }
    }

    /** Either crew ends it; what was copied stays. */
    public void end(CrewId crew, long share) {
        mapper.end(share, crew.number());
    }

    private static Share share(ShareMapper.Row row) {
        return new Share(
                row.id(),
                new CrewId(row.crew()),
                row.crewName(),
                Optional.ofNullable(row.rig())
                        .map(rig -> new Share.OfSong(new RigId(rig), new SongId(Objects.requireNonNull(row.song())))),
                row.copies(),
                row.note(),
                row.madeBy(),
                row.until(),
                Optional.ofNullable(row.withCrew())
                        .map(with -> new Share.Taken(
                                new CrewId(with),
                                Objects.requireNonNull(row.withName()),
                                Objects.requireNonNull(row.takenBy()))));
    }
}
