package embrack.app.store.crew;

import embrack.core.crew.Role;
import java.time.OffsetDateTime;

/** Somebody of a crew. */
public record Member(AccountId account, String name, Role role, OffsetDateTime since) {}
