package embrack.app.frame;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.EmbrackApplication;
import embrack.app.ThrowAwayCluster;
import embrack.app.store.RigStore;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.test.system.CapturedOutput;
import org.springframework.boot.test.system.OutputCaptureExtension;
import org.springframework.context.ConfigurableApplicationContext;

@ExtendWith(OutputCaptureExtension.class)
class ListeningTests {

    /** A page that has listened long enough is let go, so that it asks again; that is no fault, and none is logged. */
    @Test
    void aStreamThatWasOpenLongEnoughEndsCalmly(CapturedOutput log) throws Exception {
        try (ConfigurableApplicationContext server = SpringApplication.run(
                EmbrackApplication.class,
                "--spring.datasource.url=" + ThrowAwayCluster.shared().url(),
                "--server.port=0",
                "--embrack.listening=300ms")) {
            long rig = server.getBean(RigStore.class)
                    .create(Plan.empty(new TapeLabel("Watched")), "Make it")
                    .number();
            URI changes = URI.create("http://127.0.0.1:%s/rigs/%d/changes"
                    .formatted(server.getEnvironment().getProperty("local.server.port"), rig));
            HttpResponse<String> heard = HttpClient.newHttpClient()
                    .send(HttpRequest.newBuilder(changes).build(), HttpResponse.BodyHandlers.ofString());
            assertThat(heard.statusCode()).isEqualTo(200);
            assertThat(heard.body()).contains("event:revision", "data:1");
        }
        assertThat(log.getAll()).doesNotContain("ERROR", "IllegalStateException");
    }
}
