package embrack.core.light;

import embrack.core.name.TapeLabel;
import java.util.Optional;

/**
 * A fixture of the rig.
 *
 * @param mode the one that it is set to
 * @param group what it is called together with others: "Bars"
 * @param at where its slots begin; empty until it has an address
 */
public record Fixture(
        FixtureId id,
        TapeLabel name,
        FixtureTypeId type,
        TapeLabel mode,
        TapeLabel group,
        Optional<Address> at,
        Hang hang) {

    public Fixture withName(TapeLabel other) {
        return new Fixture(id, other, type, mode, group, at, hang);
    }

    public Fixture withGroup(TapeLabel other) {
        return new Fixture(id, name, type, mode, other, at, hang);
    }

    public Fixture withMode(TapeLabel other) {
        return new Fixture(id, name, type, other, group, at, hang);
    }

    public Fixture withType(FixtureTypeId other, TapeLabel itsMode) {
        return new Fixture(id, name, other, itsMode, group, at, hang);
    }

    public Fixture withAddress(Optional<Address> other) {
        return new Fixture(id, name, type, mode, group, other, hang);
    }

    public Fixture withHang(Hang other) {
        return new Fixture(id, name, type, mode, group, at, other);
    }

    /** Whether words in a look mean this one: its own tape, its group, or all. */
    boolean isMeantBy(TapeLabel who) {
        return who.sameAs(name) || who.sameAs(group) || who.sameAs(Look.ALL);
    }
}
