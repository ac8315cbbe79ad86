package embrack.app.store.crew;

import embrack.core.crew.Role;
import java.util.List;
import java.util.Optional;

/**
 * Somebody with an account.
 *
 * @param crews by name
 */
public record Person(AccountId id, String name, List<Membership> crews) {

    public Person {
        crews = List.copyOf(crews);
    }

    /** What they are in a crew; empty when they do not belong to it. */
    public Optional<Role> role(CrewId crew) {
        return crews.stream()
                .filter(one -> one.crew().equals(crew))
                .map(Membership::role)
                .findFirst();
    }
}
