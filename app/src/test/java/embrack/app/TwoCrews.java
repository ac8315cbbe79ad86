package embrack.app;

import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.crew.CrewId;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;

/**
 * Two crews whose people know each other's numbers. Mira leads the first, with Jory the planner, Ada the player and
 * Vera the guest, who sees one of its two rigs. Ottoline leads the second. Nils has an account and no crew.
 */
public final class TwoCrews {

    private static final String PASSWORD = "wet ropes in the lantern loft";

    private final ServletWebServerApplicationContext server;
    private final RigStore rigs;
    private final Map<String, Caller> people = new LinkedHashMap<>();
    private RigId shared;
    private RigId own;
    private RigId foreign;
    private CrewId others;

    @SuppressWarnings("NullAway.Init")
    TwoCrews(ServletWebServerApplicationContext server, RigStore rigs) {
        this.server = server;
        this.rigs = rigs;
    }

    /** Has them sign in, the first time that somebody asks. */
    private synchronized void gather() {
        if (!people.isEmpty()) {
            return;
        }
        Caller mira = caller();
        mira.post("/people/begin", "crew", "Quay crew", "name", "Mira", "password", PASSWORD);
        people.put("Mira", mira.anew());
        shared = rigs.create(CrewId.FIRST, Hand.ANY, plan(), "Shared");
        own = rigs.create(CrewId.FIRST, Hand.ANY, plan(), "Not shared");
        join(mira, "planner", "Jory");
        join(mira, "player", "Ada");
        join(mira, "guest", "Vera");
        mira.post("/crews/1/members/%d/rigs".formatted(4), "rig", shared.toString());
        join(mira, "guest", "Nils").post("/account/crews/1/leave");
        Caller ottoline = join(mira, "guest", "Ottoline");
        ottoline.post("/account/crews/1/leave");
        ottoline.post("/crews", "crew", "Pier crew");
        others = new CrewId(2);
        foreign = rigs.create(others, Hand.ANY, plan(), "Foreign");
        people.put("nobody", caller());
    }

    private Caller join(Caller lead, String role, String name) {
        String link = Caller.link(lead.post("/crews/1/invitations", "role", role, "note", name));
        Caller one = caller();
        one.post(link, "name", name, "password", PASSWORD);
        people.put(name, one.anew());
        return one;
    }

    /** Somebody of them; "nobody" is not signed in. */
    public Caller of(String name) {
        gather();
        Caller one = people.get(name);
        if (one == null) {
            throw new IllegalArgumentException("there is no " + name);
        }
        return one;
    }

    /** A browser in which nobody is signed in. */
    public Caller caller() {
        return new Caller(server.getWebServer().getPort());
    }

    public String password() {
        return PASSWORD;
    }

    /** The rig of the first crew that Vera sees. */
    public RigId shared() {
        gather();
        return shared;
    }

    /** The other rig of the first crew. */
    public RigId own() {
        gather();
        return own;
    }

    /** The rig of the second crew. */
    public RigId foreign() {
        gather();
        return foreign;
    }

    private static embrack.core.plan.Plan plan() {
        try {
            return PlanFile.read(Files.readString(Path.of("../docs/examples/mute-board.json")));
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }
}
