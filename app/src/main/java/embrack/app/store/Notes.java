package embrack.app.store;

import embrack.core.edit.Refused;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Notes of a rig: about anything, to somebody or to all, done or not. */
@Service
public class Notes {

    private static final int LONGEST = 2_000;
    private static final int LONGEST_NAME = 200;

    private final NoteMapper mapper;

    Notes(NoteMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * Keeps a note.
     *
     * @param about what it is about; empty for the rig as a whole
     * @param whom to whom it is; empty for all
     * @throws Refused when it says nothing, or too much
     */
    public void add(RigId rig, String about, String words, String who, String whom) {
        String said = words.strip();
        if (said.isEmpty() || said.length() > LONGEST) {
            throw new Refused("words", Because.of("no.note-words").with("most", LONGEST));
        }
        if (about.length() > LONGEST_NAME) {
            throw new Refused("about", Because.of("no.note-about").with("most", LONGEST_NAME));
        }
        mapper.add(rig.number(), about.strip(), said, who, whom);
    }

    /** All of a rig, those that are open first. */
    public List<Note> of(RigId rig) {
        return mapper.of(rig.number());
    }

    /** How many of each rig are to somebody and not done; none for a name that is empty. */
    public Map<RigId, Integer> waitingFor(String name) {
        return name.isEmpty()
                ? Map.of()
                : mapper.waiting(name).stream()
                        .collect(Collectors.toUnmodifiableMap(one -> new RigId(one.rig()), NoteMapper.Waiting::notes));
    }

    /** One of a rig. */
    public Optional<Note> find(RigId rig, long id) {
        return mapper.find(rig.number(), id);
    }

    /** It is done. */
    public void done(RigId rig, long id, String who) {
        mapper.done(rig.number(), id, who);
    }

    /** It is not done after all. */
    public void reopen(RigId rig, long id) {
        mapper.reopen(rig.number(), id);
    }
}
