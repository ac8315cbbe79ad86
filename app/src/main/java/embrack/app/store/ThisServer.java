package embrack.app.store;

import java.util.UUID;
import org.springframework.stereotype.Component;

/** What tells this server from others on the same database, as long as it runs. */
@Component
public final class ThisServer {

    private final String id = UUID.randomUUID().toString();

    /** Another one each time that it starts. */
    public String id() {
        return id;
    }
}
