package embrack.core.light;

import embrack.core.gear.DeskPages;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Which slots belong to whom.
 *
 * @param pages of the desk that sends, where it has such
 */
public record Patch(Lights lights, Optional<DeskPages> pages) {

    /**
     * Two fixtures that read the same slots.
     *
     * @param isAlike whether that can be meant: same type, mode and address, so both show the same
     */
    public record Shared(Fixture one, Fixture other, int from, int to, boolean isAlike) {}

    /** A run of slots that nobody reads, between some that are read. */
    public record Gap(int universe, int from, int to) {}

    /** Fixtures that share slots, pair by pair. */
    public List<Shared> shared() {
        List<Shared> shared = new ArrayList<>();
        List<Fixture> fixtures = lights.fixtures();
        for (int i = 0; i < fixtures.size(); i++) {
            for (int j = i + 1; j < fixtures.size(); j++) {
                shared(fixtures.get(i), fixtures.get(j)).ifPresent(shared::add);
            }
        }
        return shared;
    }

    private Optional<Shared> shared(Fixture one, Fixture other) {
        if (one.at().isEmpty()
                || other.at().isEmpty()
                || one.at().get().universe() != other.at().get().universe()) {
            return Optional.empty();
        }
        int from = Math.max(one.at().get().start(), other.at().get().start());
        int to = Math.min(last(one), last(other));
        boolean isAlike = one.at().equals(other.at())
                && one.type().equals(other.type())
                && one.mode().equals(other.mode());
        return from > to ? Optional.empty() : Optional.of(new Shared(one, other, from, to, isAlike));
    }

    private int last(Fixture fixture) {
        return fixture.at().orElseThrow().last(footprint(fixture));
    }

    private int footprint(Fixture fixture) {
        return lights.lamp(fixture).mode().footprint();
    }

    /** The first address from which so many slots are free; of a desk with pages, one with which a button begins. */
    public Address free(int footprint) {
        for (int universe = 1; ; universe++) {
            int step = pages.map(DeskPages::slots).orElse(1);
            for (int start = 1; start + footprint - 1 <= Mode.MAX_SLOTS; start += step) {
                Address at = new Address(universe, start);
                if (isFree(at, footprint)) {
                    return at;
                }
            }
        }
    }

    private boolean isFree(Address at, int footprint) {
        return lights.fixtures().stream()
                .filter(fixture ->
                        fixture.at().isPresent() && fixture.at().get().universe() == at.universe())
                .allMatch(fixture -> at.last(footprint) < fixture.at().get().start() || at.start() > last(fixture));
    }

    /** All fixtures addressed anew in their order: one behind the other, or a button each. */
    public Lights addressed() {
        Lights bare = lights.withFixtures(lights.fixtures().stream()
                .map(fixture -> fixture.withAddress(Optional.empty()))
                .toList());
        List<Fixture> done = new ArrayList<>();
        for (Fixture fixture : lights.fixtures()) {
            Patch soFar = new Patch(bare.withFixtures(done), pages);
            done.add(fixture.withAddress(Optional.of(soFar.free(footprint(fixture)))));
        }
        return lights.withFixtures(done);
    }

    /** Runs between two fixtures that nobody reads. */
    public List<Gap> gaps() {
        List<Gap> gaps = new ArrayList<>();
        List<Fixture> sorted = lights.fixtures().stream()
                .filter(fixture -> fixture.at().isPresent())
                .sorted((a, b) -> a.at().orElseThrow().compareTo(b.at().orElseThrow()))
                .toList();
        int universe = 0;
        int next = 1;
        for (Fixture fixture : sorted) {
            Address at = fixture.at().orElseThrow();
            next = at.universe() == universe ? next : at.start();
            universe = at.universe();
            if (at.start() > next) {
                gaps.add(new Gap(universe, next, at.start() - 1));
            }
            next = Math.max(next, last(fixture) + 1);
        }
        return gaps;
    }

    /** Where a desk with pages finds the first slot of a fixture; empty where no button begins with it. */
    public Optional<DeskPages.Place> place(Fixture fixture) {
        return pages.flatMap(desk -> fixture.at()
                .filter(at -> at.universe() == 1 && desk.fits(at.start(), footprint(fixture)))
                .map(at -> desk.place(at.start())));
    }

    /** How many slots are read in all. */
    public int slots() {
        return lights.fixtures().stream()
                .filter(fixture -> fixture.at().isPresent())
                .mapToInt(this::footprint)
                .sum();
    }

    /** Fixtures whose address does not begin with a button of the desk, or lies behind its last. */
    public List<Fixture> beside() {
        return pages.isEmpty()
                ? List.of()
                : lights.fixtures().stream()
                        .filter(fixture ->
                                fixture.at().isPresent() && place(fixture).isEmpty())
                        .toList();
    }
}
