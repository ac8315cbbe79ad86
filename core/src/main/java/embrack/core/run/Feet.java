package embrack.core.run;

import embrack.core.switches.SwitchAt;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The presses that people have to make, while a run goes on. */
final class Feet {

    /** As many presses are kept that nothing asked for. */
    private static final int MOST_STRAYS = 1_000;

    private final List<Footfall> falls;
    private final List<Stray> strays;

    Feet(List<Footfall> falls, List<Stray> strays) {
        this.falls = new ArrayList<>(falls);
        this.strays = new ArrayList<>(strays);
    }

    List<Stray> strays() {
        return strays;
    }

    /** Somebody pressed what nothing asked for. */
    void stray(SwitchAt at, long now) {
        if (strays.size() < MOST_STRAYS) {
            strays.add(new Stray(at, now));
        }
    }

    List<Footfall> all() {
        return falls;
    }

    /** One more is due. */
    void expect(Footfall foot) {
        falls.add(foot);
    }

    /** One more is due for a part, unless it was asked for before. */
    void expectOnce(SwitchAt at, Footfall.Why why, int part, long due) {
        if (!isAsked(at, part, why)) {
            falls.add(Footfall.due(at, why, part, 0, due));
        }
    }

    boolean isAsked(SwitchAt at, int part, Footfall.Why why) {
        return falls.stream().anyMatch(foot -> foot.at().equals(at) && foot.part() == part && foot.why() == why);
    }

    /** Somebody presses: the one that waited for it, as it was; empty where none did. */
    Optional<Footfall> pressed(SwitchAt at, long now) {
        for (int i = 0; i < falls.size(); i++) {
            Footfall foot = falls.get(i);
            if (foot.isOpen() && foot.at().equals(at)) {
                falls.set(i, foot.pressedAt(now));
                return Optional.of(foot);
            }
        }
        return Optional.empty();
    }

    /** Nobody pressed what was due then; whether it still waited. */
    boolean giveUp(SwitchAt at, long due) {
        for (int i = 0; i < falls.size(); i++) {
            Footfall foot = falls.get(i);
            if (foot.isOpen() && foot.at().equals(at) && foot.due() == due) {
                falls.set(i, foot.givenUp());
                return true;
            }
        }
        return false;
    }
}
