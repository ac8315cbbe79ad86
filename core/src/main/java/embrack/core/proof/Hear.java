package embrack.core.proof;

import embrack.core.chart.MessageMemory;
import embrack.core.midi.Message;
import embrack.core.world.Hearing;
import embrack.core.world.Reading;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;

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
    private final BitSet always = new BitSet();
    private final List<BitSet> possibleTouches;
    private final int[] touches;
    private final int[] raises;
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
        IntStream.concat(IntStream.of(decided), IntStream.of(loaded)).forEach(always::set);
        if (deaf >= 0) {
            always.set(deaf);
        }
        this.possibleTouches = possible.stream()
                .map(effect -> IntStream.of(effect.touches()).collect(BitSet::new, BitSet::set, BitSet::or))
                .toList();
        this.touches = all(Effect::touches);
        this.raises = all(Effect::raises);
    }

    private int[] all(Function<Effect, int[]> which) {
        return IntStream.concat(
                        Stream.concat(possible.stream(), remembered.stream())
                                .flatMapToInt(effect -> IntStream.of(which.apply(effect))),
                        mayLoad ? IntStream.of(deaf) : IntStream.empty())
                .distinct()
                .sorted()
                .toArray();
    }

    @Override
    public int[] raises() {
        return raises;
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
        for (Effect effect : possible) {
            if (effect.turns(variable)) {
                return true;
            }
        }
        return false;
    }

    @Override
    public boolean settles(int touched) {
        return deaf < 0
                && memory(touched).filter(memory -> memory.settles(touched)).isPresent();
    }

    private Optional<Remember> memory(int touched) {
        for (Remember memory : remembered) {
            if (memory.variable() == touched) {
                return Optional.of(memory);
            }
        }
        return Optional.empty();
    }

    @Override
    public int[] reads(int touched) {
        BitSet read = new BitSet();
        addReads(touched, read);
        return read.stream().toArray();
    }

    @Override
    public void addReads(int touched, BitSet to) {
        Optional<Remember> memory = memory(touched);
        if (memory.isPresent()) {
            if (deaf < 0) {
                memory.get().addReads(touched, to);
            } else {
                to.set(touched);
                to.set(deaf);
            }
            return;
        }
        to.or(always);
        to.set(touched);
        for (int i = 0; i < possible.size(); i++) {
            if (possibleTouches.get(i).get(touched)) {
                possible.get(i).addReads(touched, to);
            }
        }
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
        return IntStream.concat(
                        Arrays.stream(decided).map(variable -> state[variable]), IntStream.of(loadedMemory(state)))
                .boxed()
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
