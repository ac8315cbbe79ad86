package embrack.core.run;

import embrack.core.rig.DeviceId;
import embrack.core.rig.Pair;
import embrack.core.rig.Rig;
import embrack.core.run.Playhead.Mode;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;

/** Whether the song plays that should, while a run goes on, and who plays it. */
final class Music {

    private final Night night;
    private final BothRigs rigs;
    private final Agenda agenda;
    private final Tape tape;
    private final SortedSet<DeviceId> stopped;
    private long silentSince;

    Music(Run.State from, BothRigs rigs, Agenda agenda, Tape tape) {
        night = from.night();
        this.rigs = rigs;
        this.agenda = agenda;
        this.tape = tape;
        stopped = new TreeSet<>(from.stopped());
        silentSince = from.silentSince();
    }

    /** Players that went dark while something played, and were not begun again since. */
    SortedSet<DeviceId> stopped() {
        return stopped;
    }

    /** Since when nothing plays that should, microseconds of the run; -1 while all does. */
    long silentSince() {
        return silentSince;
    }

    /** The one of a pair that is used. */
    DeviceId leader(DeviceId player) {
        Rig rig = night.plan().rig();
        return rig.pairs().stream()
                .filter(pair -> pair.first().equals(player) && rigs.actual().isOver(pair))
                .map(Pair::second)
                .findFirst()
                .orElse(player);
    }

    /** Whether a player is there, and was not stopped by what befell it. */
    boolean plays(DeviceId player) {
        DeviceId leader = leader(player);
        return !rigs.actual().isDark(leader) && !stopped.contains(leader);
    }

    /** A player is told to begin, which it does if it is there; one that comes back later does not by itself. */
    void begin(DeviceId player) {
        DeviceId leader = leader(player);
        if (rigs.actual().isDark(leader)) {
            stopped.add(leader);
        } else {
            stopped.remove(leader);
        }
    }

    /** Something befell the rig while something sounded: a player that went dark does not go on by itself. */
    void befell() {
        night.plan().players().stream().filter(rigs.actual()::isDark).forEach(stopped::add);
    }

    /** Listens whether what should play where the night is does. */
    void listen(Playhead head) {
        Optional<Script> script = night.script(head.part());
        boolean isCalled = head.mode() == Mode.WAITS && head.called().times() > 0 && script.isPresent();
        boolean isDumb =
                head.mode() == Mode.GOES && script.map(s -> !plays(s.player())).orElse(false);
        boolean isSilent = isCalled || isDumb;
        if (isSilent && silentSince < 0) {
            silentSince = agenda.now();
            agenda.in(Wrong.SETTLES_MICROS, new Due.Listen(head.part()));
        } else if (!isSilent && silentSince >= 0) {
            if (hasSettled()) {
                tape.tell(agenda.now(), new Line.Sounds(head.part(), agenda.now() - silentSince));
            }
            silentSince = -1;
        }
    }

    /** Tells that nothing plays in a part, where that is so by now for long enough. */
    void settled(int part) {
        if (silentSince >= 0 && hasSettled()) {
            tape.tell(agenda.now(), new Line.Silent(part));
        }
    }

    private boolean hasSettled() {
        return agenda.now() - silentSince >= Wrong.SETTLES_MICROS;
    }
}
