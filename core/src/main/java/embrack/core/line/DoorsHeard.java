package embrack.core.line;

import embrack.core.compile.CompiledControl;
import embrack.core.compile.Compiler;
import embrack.core.compile.Sending;
import embrack.core.midi.Message;
import embrack.core.rig.DeviceId;
import embrack.core.sheet.AtDoors;
import embrack.core.sim.Tread;
import embrack.core.switches.ControlAssignment;
import embrack.core.world.World;
import java.util.Collections;
import java.util.List;
import java.util.SortedMap;
import java.util.SortedSet;
import java.util.TreeMap;
import java.util.TreeSet;

/** What of the list at doors can be heard: where a pedal or fader was left, which bank a board is in, that it sends. */
public final class DoorsHeard {

    private final Walk walk;
    private final Trodden trodden;
    private final Compiler compiler;

    public DoorsHeard(Walk walk) {
        this.walk = walk;
        this.trodden = new Trodden(walk);
        this.compiler = new Compiler(walk.plan());
    }

    /**
     * What a board tells by what it sent.
     *
     * @param sent the newest last
     * @return by the key of its line in the list, whether it stands as it has to; nothing of what is not told
     */
    public SortedMap<String, Boolean> tells(DeviceId board, List<Message> sent) {
        SortedMap<String, Boolean> told = new TreeMap<>();
        for (Tread tread : trodden.by(board, sent)) {
            if (tread instanceof Tread.OnControl moved) {
                walk.plan().switches().travelsOf(board).stream()
                        .filter(control ->
                                control.at().equals(moved.at()) && control.at().bank() == 1)
                        .forEach(control -> told.put(AtDoors.key(control.at()), stands(control, moved.position())));
            } else {
                told.put(AtDoors.programModeKey(board), true);
            }
        }
        SortedSet<Integer> banks = banks(board, sent);
        if (banks.size() == 1) {
            int shown = World.poweredOn(walk.plan().rig()).shownBank(board);
            told.put(AtDoors.bankKey(board), banks.first() == shown);
        }
        return Collections.unmodifiableSortedMap(told);
    }

    /** The banks in which the board is planned to send that for one press. */
    private SortedSet<Integer> banks(DeviceId board, List<Message> sent) {
        SortedSet<Integer> banks = new TreeSet<>();
        walk.on(board).stream()
                .filter(planned -> Likeness.same(planned.messages(), sent)
                        || !planned.again().isEmpty() && Likeness.same(Planned.messages(planned.again()), sent))
                .forEach(planned -> banks.add(planned.task().at().bank()));
        return banks;
    }

    private boolean stands(ControlAssignment control, int position) {
        CompiledControl compiled = compiler.compile(control);
        return messages(compiled, position).equals(messages(compiled, AtDoors.position(walk.plan(), control)));
    }

    private static List<Message> messages(CompiledControl control, int position) {
        return control.sendings(position).stream().map(Sending::message).toList();
    }
}
