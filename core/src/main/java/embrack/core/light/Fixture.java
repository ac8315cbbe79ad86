package embrack.core.light;

import embrack.core.name.TapeLabel;
import java.util.Optional;

/**
 * A fixture of the rig.
 *
 * @param mode the one that it is set to
 * @param group what it is called together with others: "Bars"
 * @param at where its slots begin; empty until it has an address
 * @param whom who or what it lights, so that a look can speak of them: "Keeper"
 * @param isByAir whether its data come over a wireless link
 */
public record Fixture(
        FixtureId id,
        TapeLabel name,
        FixtureTypeId type,
        TapeLabel mode,
        TapeLabel group,
        Optional<Address> at,
        Hang hang,
        Optional<TapeLabel> whom,
        boolean isByAir) {

    /** What is called so lights the audience: a look means it only where it speaks of it. */
    public static final TapeLabel HOUSE = new TapeLabel("House lights");

    /** One that lights nobody by name, and whose data come over a cable. */
    public Fixture(
            FixtureId id,
            TapeLabel name,
            FixtureTypeId type,
            TapeLabel mode,
            TapeLabel group,
            Optional<Address> at,
            Hang hang) {
        this(id, name, type, mode, group, at, hang, Optional.empty(), false);
    }

    public Fixture withName(TapeLabel other) {
        return new Fixture(id, other, type, mode, group, at, hang, whom, isByAir);
    }

    public Fixture withGroup(TapeLabel other) {
        return new Fixture(id, name, type, mode, other, at, hang, whom, isByAir);
    }

    public Fixture withMode(TapeLabel other) {
        return new Fixture(id, name, type, other, group, at, hang, whom, isByAir);
    }

    public Fixture withType(FixtureTypeId other, TapeLabel itsMode) {
        return new Fixture(id, name, other, itsMode, group, at, hang, whom, isByAir);
    }

    public Fixture withAddress(Optional<Address> other) {
        return new Fixture(id, name, type, mode, group, other, hang, whom, isByAir);
    }

    public Fixture withHang(Hang other) {
        return new Fixture(id, name, type, mode, group, at, other, whom, isByAir);
    }

    public Fixture withWhom(Optional<TapeLabel> other) {
        return new Fixture(id, name, type, mode, group, at, hang, other, isByAir);
    }

    public Fixture byAir(boolean isSo) {
        return new Fixture(id, name, type, mode, group, at, hang, whom, isSo);
    }

    public boolean isHouse() {
        return group.sameAs(HOUSE);
    }

    /** Whether words in a look mean this one: its own tape, its group, whom it lights, or all but the house lights. */
    boolean isMeantBy(TapeLabel who) {
        return who.sameAs(name)
                || who.sameAs(group)
                || whom.filter(who::sameAs).isPresent()
                || who.sameAs(Look.ALL) && !isHouse();
    }
}
