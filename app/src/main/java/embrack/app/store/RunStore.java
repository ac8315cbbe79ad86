package embrack.app.store;

import embrack.core.rig.Rig;
import embrack.core.run.Act;
import embrack.core.run.History;
import embrack.core.run.text.ActText;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The run-throughs of rigs: from where they were begun, how far they have come, and what people did in them. */
@Service
public class RunStore {

    private final RunMapper mapper;

    RunStore(RunMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * A run that goes on.
     *
     * @param revision of the plan that is played
     * @param part from where it began, from 0
     * @param bar of its song, from 1; 0 for its beginning
     * @param reached how far it has come, microseconds of the run
     * @param pace how it goes on, as the room wrote it
     */
    public record Kept(
            long id, int revision, int part, int bar, boolean byPlan, String who, long reached, String pace) {}

    /** Begins one, and ends the one that went on. */
    @Transactional
    public Kept begin(
            RigId rig, int revision, int part, int bar, boolean byPlan, String who, long reached, String pace) {
        mapper.endAll(rig.number());
        long id = mapper.begin(rig.number(), revision, part, bar, byPlan, who, reached, pace);
        return new Kept(id, revision, part, bar, byPlan, who, reached, pace);
    }

    /** The one that goes on; empty where none does. */
    @Transactional(readOnly = true)
    public Optional<Kept> open(RigId rig) {
        return mapper.open(rig.number())
                .map(row -> new Kept(
                        row.id(),
                        row.revision(),
                        row.part(),
                        row.bar(),
                        row.byPlan(),
                        row.who(),
                        row.reached(),
                        row.pace()));
    }

    /** Ends it. */
    @Transactional
    public void end(RigId rig) {
        mapper.endAll(rig.number());
    }

    /** Keeps how far it has come. */
    @Transactional
    public void reached(long run, long micros, String pace) {
        mapper.reached(run, micros, pace);
    }

    /** Keeps what came upon it last. */
    @Transactional
    public void act(long run, History.Done done, String who) {
        mapper.act(run, done.at(), ActText.write(done.act()), who);
    }

    /** All that came upon it, in order; what cannot be read is left out. */
    @Transactional(readOnly = true)
    public List<History.Done> acts(long run, Rig rig) {
        List<History.Done> acts = new ArrayList<>();
        for (RunMapper.ActRow row : mapper.acts(run)) {
            Optional<Act> act = ActText.read(rig, row.act());
            act.ifPresent(read -> acts.add(new History.Done(row.at(), read)));
        }
        return acts;
    }
}
