package embrack.core.proof;

import embrack.core.chart.MessageMemory;
import embrack.core.midi.Message;
import embrack.core.world.Hearing;
import embrack.core.world.Reading;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;

/** A message arrives at a device that reads it by what came before. What it makes of it is worked out once. */
final class Hear implements Effect {

    private final Variables variables;
    private final Hearing hearing;
    private final Message message;
    private final Made made;
    private final List<Effect> possible;
    private final List<Remember> remembered;
    private final int[] decided;
    private final int[] loaded;
    private final int deaf;
    private final long atMicros;
    private final boolean mayLoad;
    private final int[] touches;
    private final Map<List<Integer>, Done> known = new ConcurrentHashMap<>();

    /** Makes effects of what a device does. */
    interface Made {
        List<Effect> of(Reading.Acts acts);
    }

    private record Done(List<Effect> effects, boolean loads) {}

    /**
     * A message at a device.
     *
     * @param remembered what it remembers of it
     * @param decided the variables of what decides what it means
     * @param loaded the variables that say which memory is loaded; none where that does not matter
     * @param deaf the variable that says until when the device obeys nothing; -1 where that cannot be
     * @param atMicros when it arrives, from the beginning of the gesture
     */
    Hear(
            Variables variables,
            Hearing hearing,
            Message message,
            Made made,
            List<Remember> remembered,
            int[] decided,
            int[] loaded,
            int deaf,
            long atMicros) {
        this.variables = variables;
        this.hearing = hearing;
        this.message = message;
        this.made = made;
        this.remembered = remembered;
        this.decided = decided;
        this.loaded = loaded;
        this.deaf = deaf;
        this.atMicros = atMicros;
        var acts = new Reading.Acts(hearing.possibleReactionsTo(message));
        this.possible = made.of(acts);
        this.mayLoad = deaf >= 0 && acts.actions().stream().anyMatch(hearing::isLoading);
        Set<Integer> touched = new HashSet<>();
        possible.forEach(effect -> IntStream.of(effect.touches()).forEach(touched::add));
        remembered.forEach(memory -> touched.add(memory.variable()));
        if (mayLoad) {
            touched.add(deaf);
        }
        this.touches = touched.stream().mapToInt(Integer::intValue).sorted().toArray();
    }

    @Override
    public int[] touches() {
        return touches;
    }

    @Override
    public Aim aim(int variable, int[] state) {
        return isDeaf(state)
                ? Aim.PASSES
                : done(state).effects.stream()
                        .map(effect -> effect.aim(variable, state))
                        .filter(aim -> aim != Aim.PASSES)
                        .reduce((first, last) -> last)
                        .orElse(Aim.PASSES);
    }

    @Override
    public boolean turns(int variable) {
        return possible.stream().anyMatch(effect -> effect.turns(variable));
    }

    @Override
    public boolean settles(int touched) {
        return deaf < 0
                && memory(touched).filter(memory -> memory.settles(touched)).isPresent();
    }

    private Optional<Remember> memory(int touched) {
        return remembered.stream()
                .filter(memory -> memory.variable() == touched)
                .findFirst();
    }

    @Override
    public int[] reads(int touched) {
        Optional<Remember> memory = memory(touched);
        if (memory.isPresent()) {
            return deaf < 0 ? memory.get().reads(touched) : new int[] {touched, deaf};
        }
        Set<Integer> read = new HashSet<>();
        IntStream.of(decided).forEach(read::add);
        IntStream.of(loaded).forEach(read::add);
        if (deaf >= 0) {
            read.add(deaf);
        }
        read.add(touched);
        for (Effect effect : possible) {
            if (IntStream.of(effect.touches()).anyMatch(t -> t == touched)) {
                IntStream.of(effect.reads(touched)).forEach(read::add);
            }
        }
        return read.stream().mapToInt(Integer::intValue).toArray();
    }

    @Override
    public void run(int[] state) {
        if (isDeaf(state)) {
            return;
        }
        Done done = done(state);
        remembered.forEach(memory -> memory.run(state));
        done.effects.forEach(effect -> effect.run(state));
        if (done.loads) {
            state[deaf] = (int) Math.max(state[deaf], atMicros + hearing.loadingMicros());
        }
    }

    private boolean isDeaf(int[] state) {
        return deaf >= 0 && state[deaf] > atMicros;
    }

    private Done done(int[] state) {
        return known.computeIfAbsent(before(state), before -> workedOut(state));
    }

    private List<Integer> before(int[] state) {
        return IntStream.concat(Arrays.stream(decided), Arrays.stream(loaded))
                .mapToObj(variable -> state[variable])
                .toList();
    }

    private Done workedOut(int[] state) {
        MessageMemory heard = MessageMemory.NOTHING;
        for (int variable : decided) {
            heard = heard.and(variables.memory(state[variable]));
        }
        Reading reading = hearing.reading(message, heard, loadedMemory(state));
        return reading instanceof Reading.Acts acts
                ? new Done(made.of(acts), mayLoad && acts.actions().stream().anyMatch(hearing::isLoading))
                : new Done(List.of(), false);
    }

    private int loadedMemory(int[] state) {
        for (int i = 0; i < loaded.length; i++) {
            if (state[loaded[i]] != 0) {
                return i + 1;
            }
        }
        return 1;
    }
}
