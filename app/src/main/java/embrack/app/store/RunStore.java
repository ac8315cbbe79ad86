package embrack.app.store;

import embrack.core.rig.Rig;
import embrack.core.run.Act;
import embrack.core.run.History;
import embrack.core.run.Rates;
import embrack.core.run.text.ActText;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The run-throughs of rigs: from where they were begun, how far they have come, and what people did in them. */
@Service
public class RunStore {

    private final RunMapper mapper;
    private final ThisServer server;
    private final ApplicationEventPublisher events;

    RunStore(RunMapper mapper, ThisServer server, ApplicationEventPublisher events) {
        this.mapper = mapper;
        this.server = server;
        this.events = events;
    }

    /** What a run is. */
    public enum Sort {
        /** Played to look at, without the gear. */
        RUN,
        /** Feet that are trained. */
        DRILL,
        /** The show itself, followed by people who press. */
        SHOW;

        /** As it is kept, and as pages say it. */
        public String key() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** The one of a key; a plain run for any other. */
        public static Sort of(String key) {
            return Stream.of(values())
                    .filter(sort -> sort.key().equals(key))
                    .findFirst()
                    .orElse(RUN);
        }
    }

    /**
     * How a run is begun.
     *
     * @param part from where, from 0
     * @param bar of its song, from 1; 0 for its beginning
     * @param byPlan whether the run presses what the plan says, else people do
     * @param who begins it, or whose feet are trained
     * @param drill the presses that it is about, as the room wrote them; empty for all
     * @param seed by which things go wrong in it; empty where nothing does by itself
     * @param replays the run that it plays again as it was played; empty for one of its own
     */
    public record Wish(
            Sort sort,
            int part,
            int bar,
            boolean byPlan,
            String who,
            String drill,
            OptionalLong seed,
            OptionalLong replays) {

        /** A run of its own. */
        public Wish(Sort sort, int part, int bar, boolean byPlan, String who, String drill, OptionalLong seed) {
            this(sort, part, bar, byPlan, who, drill, seed, OptionalLong.empty());
        }

        /** A plain run. */
        public static Wish of(int part, int bar, boolean byPlan, String who) {
            return new Wish(Sort.RUN, part, bar, byPlan, who, "", OptionalLong.empty());
        }

        /** To play a run again that was begun like this: what came upon it by itself is kept as what was done. */
        private Wish again(long run) {
            return new Wish(sort, part, bar, byPlan, who, "", OptionalLong.empty(), OptionalLong.of(run));
        }

        /** As this, from now on a run of its own. */
        public Wish ofItsOwn() {
            return new Wish(sort, part, bar, byPlan, who, drill, seed);
        }
    }

    /**
     * A run that goes on.
     *
     * @param revision of the plan that is played
     * @param reached how far it has come, microseconds of the run
     * @param pace how it goes on, as the room wrote it
     */
    public record Kept(long id, int revision, Wish wish, long reached, String pace) {

        /** To play it again. */
        public Wish again() {
            return wish.again(id);
        }
    }

    /** Begins one, and ends the one that went on. */
    @Transactional
    public Kept begin(RigId rig, int revision, Wish wish, long reached, String pace) {
        mapper.endAll(rig.number());
        long id = mapper.begin(
                rig.number(),
                new RunMapper.Row(
                        0,
                        revision,
                        wish.sort().key(),
                        wish.part(),
                        wish.bar(),
                        wish.byPlan(),
                        wish.who(),
                        wish.drill(),
                        wish.seed().isPresent() ? wish.seed().getAsLong() : null,
                        wish.replays().isPresent() ? wish.replays().getAsLong() : null,
                        reached,
                        pace),
                server.id());
        return new Kept(id, revision, wish, reached, pace);
    }

    /** The one that goes on; empty where none does. */
    @Transactional(readOnly = true)
    public Optional<Kept> open(RigId rig) {
        return mapper.open(rig.number()).map(RunStore::kept);
    }

    /**
     * A run goes on at this server from now on, for some seconds at a time.
     *
     * @return false where it does at another one that said so within the last six seconds
     */
    @Transactional
    public boolean hold(long run) {
        return mapper.hold(run, server.id()) > 0;
    }

    /** This server says again that runs go on here; those that another has taken over are not among the answer. */
    @Transactional
    public Set<Long> holdOn(Collection<Long> runs) {
        return Set.copyOf(
                mapper.holdOn(runs.stream().map(String::valueOf).collect(Collectors.joining(",")), server.id()));
    }

    /** A run may go on at any server. */
    @Transactional
    public void letGo(long run) {
        mapper.letGo(run, server.id());
    }

    /** Asks whoever has the run of a rig to let go of it. */
    public void want(RigId rig) {
        events.publishEvent(new RunWanted(rig));
    }

    /** One of a rig, over or not. */
    @Transactional(readOnly = true)
    public Optional<Kept> find(RigId rig, long run) {
        return mapper.find(rig.number(), run).map(RunStore::kept);
    }

    private static Kept kept(RunMapper.Row row) {
        return new Kept(
                row.id(),
                row.revision(),
                new Wish(
                        Sort.of(row.sort()),
                        row.part(),
                        row.bar(),
                        row.byPlan(),
                        row.who(),
                        row.drill(),
                        optional(row.seed()),
                        optional(row.replays())),
                row.reached(),
                row.pace());
    }

    private static OptionalLong optional(@Nullable Long value) {
        return value == null ? OptionalLong.empty() : OptionalLong.of(value);
    }

    /** A run that played another again goes on as one of its own. */
    @Transactional
    public void goOnAlone(long run) {
        mapper.goOnAlone(run);
    }

    /** Ends it. */
    @Transactional
    public void end(RigId rig) {
        mapper.endAll(rig.number());
    }

    /**
     * Keeps how far it has come.
     *
     * @throws RunElsewhere when it goes on at another server meanwhile
     */
    @Transactional
    public void reached(long run, long micros, String pace) {
        here(run, mapper.reached(run, micros, pace, server.id()));
    }

    /**
     * Keeps what came upon it last.
     *
     * @throws RunElsewhere when it goes on at another server meanwhile
     */
    @Transactional
    public void act(long run, History.Done done, String who) {
        here(run, mapper.act(run, done.at(), ActText.write(done.act()), who, server.id()));
    }

    private static void here(long run, int rows) {
        if (rows == 0) {
            throw new RunElsewhere(run);
        }
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

    /** How often things go wrong with the crew of a rig: as common practice has it where they said nothing. */
    @Transactional(readOnly = true)
    public Rates rates(RigId rig) {
        Map<Rates.Sort, Double> rates = new EnumMap<>(Rates.Sort.class);
        rates.putAll(Rates.usual().each());
        for (RunMapper.RateRow row : mapper.rates(rig.number())) {
            Stream.of(Rates.Sort.values())
                    .filter(sort -> sort.name().equals(row.sort()))
                    .findFirst()
                    .ifPresent(sort -> rates.put(sort, row.rate()));
        }
        return new Rates(rates);
    }

    /** Keeps how often things go wrong with the crew of a rig. */
    @Transactional
    public void rate(RigId rig, Rates rates) {
        rates.each().forEach((sort, rate) -> mapper.rate(rig.number(), sort.name(), rate));
    }
}
