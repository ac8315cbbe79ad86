package embrack.app.store;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.AppTest;
import embrack.app.EmbrackApplication;
import embrack.app.ThrowAwayCluster;
import embrack.core.edit.GearEdit;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.Iterator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;

/** Two servers on one database: a page at one hears what is done at the other, also when notices are lost. */
@AppTest
class NeighboursTests {

    @Autowired
    private RigStore rigs;

    @Test
    void aPageAtOneHearsWhatIsDoneAtTheOther() throws Exception {
        RigId rig = rigs.create(Plan.empty(new TapeLabel("Shared")), "New rig");
        try (var other = (ServletWebServerApplicationContext) SpringApplication.run(
                        EmbrackApplication.class,
                        "--spring.datasource.url=" + ThrowAwayCluster.shared().url(),
                        "--server.port=0");
                HttpClient page = HttpClient.newHttpClient()) {
            URI changes = URI.create("http://127.0.0.1:%d/rigs/%s/changes"
                    .formatted(other.getWebServer().getPort(), rig));
            HttpResponse<Stream<String>> stream =
                    page.send(HttpRequest.newBuilder(changes).build(), HttpResponse.BodyHandlers.ofLines());
            Iterator<String> told = stream.body()
                    .filter(line -> line.startsWith("data:"))
                    .map(line -> line.substring("data:".length()))
                    .iterator();
            assertThat(told.next()).isEqualTo("1");
            rename(rig, "Twice");
            assertThat(told.next()).isEqualTo("2");
            loseNotices();
            rename(rig, "Thrice");
            assertThat(told.next()).isEqualTo("3");
        }
    }

    private void rename(RigId rig, String name) {
        rigs.edit(rig, Hand.ANY, new GearEdit.RenameRig(name));
    }

    /** Ends the connections at which servers hear notices. */
    private static void loseNotices() throws Exception {
        try (Connection database =
                        DriverManager.getConnection(ThrowAwayCluster.shared().url(), "embrack", "");
                Statement statement = database.createStatement()) {
            statement.execute("select pg_terminate_backend(pid) from pg_stat_activity "
                    + "where application_name = 'embrack news' and datname = current_database()");
        }
    }
}
