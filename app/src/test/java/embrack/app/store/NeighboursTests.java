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
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
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
        HttpClient page = HttpClient.newHttpClient();
        try (var other = (ServletWebServerApplicationContext) SpringApplication.run(
                EmbrackApplication.class,
                "--spring.datasource.url=" + ThrowAwayCluster.shared().url(),
                "--server.port=0")) {
            URI changes = URI.create("http://127.0.0.1:%d/rigs/%s/changes"
                    .formatted(other.getWebServer().getPort(), rig));
            BlockingQueue<String> told = new LinkedBlockingQueue<>();
            HttpResponse<Stream<String>> stream =
                    page.send(HttpRequest.newBuilder(changes).build(), HttpResponse.BodyHandlers.ofLines());
            Thread.ofVirtual()
                    .start(() -> stream.body()
                            .filter(line -> line.startsWith("data:"))
                            .forEach(line -> told.add(line.substring("data:".length()))));
            assertThat(told.poll(1, TimeUnit.MINUTES)).isEqualTo("1");
            rename(rig, "Twice");
            assertThat(told.poll(1, TimeUnit.MINUTES)).isEqualTo("2");
            loseNotices();
            rename(rig, "Thrice");
            assertThat(told.poll(1, TimeUnit.MINUTES)).isEqualTo("3");
        } finally {
            page.shutdownNow();
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
