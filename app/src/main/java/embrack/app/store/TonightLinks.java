package embrack.app.store;

import embrack.app.store.crew.DoorsMoved;
import embrack.app.store.crew.Secret;
import embrack.core.edit.Refused;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;

/** Links that let somebody see one thing of a rig for a day, without an account. */
@Service
public class TonightLinks {

    /** As many hours as one holds at most. */
    public static final int MOST_HOURS = 72;

    private static final int LONGEST_NOTE = 100;

    private final TonightMapper mapper;
    private final ApplicationEventPublisher events;

    TonightLinks(TonightMapper mapper, ApplicationEventPublisher events) {
        this.mapper = mapper;
        this.events = events;
    }

    /**
     * Makes one.
     *
     * @param about the name of the performer or the key of the show
     * @return what the link ends with, which is kept nowhere
     * @throws Refused when it would hold for no or too long a time, or the note is too long
     */
    public String make(
            RigId rig, TonightLink.Sort sort, String about, boolean ticks, String note, int hours, String by) {
        if (hours < 1 || hours > MOST_HOURS) {
            throw new Refused("hours", Because.of("no.hours").with("most", MOST_HOURS));
        }
        String whom = note.strip();
        if (whom.length() > LONGEST_NOTE) {
            throw new Refused("note", Because.of("no.note-long").with("most", LONGEST_NOTE));
        }
        String secret = Secret.next();
        mapper.add(rig.number(), sort.key(), about, ticks, whom, Secret.hash(secret), by, hours);
        return secret;
    }

    /** The link that ends so, while it holds. */
    public Optional<TonightLink> find(String secret) {
        return mapper.find(Secret.hash(secret)).flatMap(row -> link(row).findFirst());
    }

    /** Those of a rig that hold. */
    public List<TonightLink> of(RigId rig) {
        return mapper.of(rig.number()).stream().flatMap(TonightLinks::link).toList();
    }

    /** Takes one back: from now on it opens nothing. */
    public void end(RigId rig, long id) {
        mapper.end(rig.number(), id);
        events.publishEvent(new DoorsMoved());
    }

    private static Stream<TonightLink> link(TonightMapper.Row row) {
        return TonightLink.Sort.of(row.sort()).stream()
                .map(sort -> new TonightLink(
                        row.id(),
                        new RigId(row.rig()),
                        sort,
                        row.about(),
                        row.ticks(),
                        row.note(),
                        row.madeBy(),
                        row.until()));
    }
}
