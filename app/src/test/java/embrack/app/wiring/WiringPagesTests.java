package embrack.app.wiring;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.AppTest;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.edit.GearEdit;
import embrack.core.gear.library.Library;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.sql.Statement;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.ibatis.executor.statement.StatementHandler;
import org.apache.ibatis.plugin.Interceptor;
import org.apache.ibatis.plugin.Intercepts;
import org.apache.ibatis.plugin.Invocation;
import org.apache.ibatis.plugin.Signature;
import org.apache.ibatis.session.ResultHandler;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/** What the pages of the wiring room ask of the database, and what they do with addresses that lead nowhere. */
@AppTest
class WiringPagesTests {

    private static final List<String> TABS = List.of("", "/table", "/power", "/sound", "/failures", "/lists");

    @LocalServerPort
    private int port;

    @Autowired
    private RigStore rigs;

    @Autowired
    private SqlSessionFactory sessions;

    @Test
    void everyPageTakesTheSameNumberOfStatementsWhateverTheSizeOfTheRig() throws IOException, InterruptedException {
        var counter = new Counter();
        sessions.getConfiguration().addInterceptor(counter);
        Plan plan = Plan.empty(new TapeLabel("Large"));
        RigId small = rigs.create(new GearEdit.AddDevice("Box", Library.RACK_MIXER).apply(plan), "Small");
        for (int i = 0; i < 60; i++) {
            plan = new GearEdit.AddDevice(
                            "Box " + i, Library.all().get(i % Library.all().size()))
                    .apply(plan);
        }
        RigId large = rigs.create(plan, "Large");
        for (String tab : TABS) {
            int few = counted(counter, small, tab);
            assertThat(counted(counter, large, tab))
                    .as("statements of wiring" + tab)
                    .isEqualTo(few)
                    .as("whether anybody has an account, the revision, its edit that undo names")
                    .isEqualTo(3);
        }
    }

    @Test
    void addressesThatLeadNowhereShowTheWholeRig() throws IOException, InterruptedException {
        for (String at : List.of(
                "port:gone.out",
                "device:gone",
                "link:a.b~c.d",
                "switch:gone.1.1",
                "switch:",
                "port:",
                "nonsense",
                "port:voice-board.%3Cb%3E")) {
            HttpResponse<String> answer = get("/rigs/1/wiring?at=" + at);
            assertThat(answer.statusCode()).as(at).isEqualTo(200);
            assertThat(answer.body()).contains("Voice board").doesNotContain("id=\"side\"");
        }
        assertThat(get("/rigs/1/wiring/lists/secrets.csv").statusCode()).isEqualTo(404);
    }

    private int counted(Counter counter, RigId rig, String tab) throws IOException, InterruptedException {
        counter.statements.set(0);
        assertThat(get("/rigs/%s/wiring%s".formatted(rig, tab)).statusCode()).isEqualTo(200);
        return counter.statements.get();
    }

    private HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                                .header("Accept", "text/html")
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    /** Counts what is asked of the database. */
    @Intercepts(
            @Signature(
                    type = StatementHandler.class,
                    method = "query",
                    args = {Statement.class, ResultHandler.class}))
    private static final class Counter implements Interceptor {

        private final AtomicInteger statements = new AtomicInteger();

        @Override
        public Object intercept(Invocation invocation) throws Throwable {
            // What the server asks by itself is asked beside, whoever looks at what.
            if (Thread.currentThread().getName().startsWith("http-")) {
                statements.incrementAndGet();
            }
            return invocation.proceed();
        }
    }
}
