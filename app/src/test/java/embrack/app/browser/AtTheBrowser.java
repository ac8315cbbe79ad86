package embrack.app.browser;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.AppTest;
import java.nio.charset.StandardCharsets;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.boot.test.web.server.LocalServerPort;

/** A test in which one person works at the browser; no script may complain meanwhile. */
@AppTest
abstract class AtTheBrowser {

    @LocalServerPort
    int port;

    @SuppressWarnings("NullAway.Init")
    Stagehand hand;

    @BeforeEach
    void open() {
        hand = new Stagehand(port);
    }

    @AfterEach
    void close() {
        assertThat(hand.scriptErrors()).isEmpty();
        hand.close();
    }

    /** Imports the mute board of the documentation and stands in its gear room. */
    void importExample() {
        importExample(file -> file);
    }

    /** As {@link #importExample()}, with the file changed first. */
    void importExample(UnaryOperator<String> change) {
        hand.importFile(change.apply(Examples.muteBoard()).getBytes(StandardCharsets.UTF_8));
        hand.at("/gear");
    }
}
