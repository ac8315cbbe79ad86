package embrack.app.browser;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType.LaunchOptions;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** Debian's Chromium without a screen, started once for all tests. */
final class Browsers {

    private static final Playwright PLAYWRIGHT =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));

    private static final Browser CHROMIUM = PLAYWRIGHT
            .chromium()
            .launch(new LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(List.of(
                            "--no-sandbox",
                            "--disable-gpu",
                            "--disable-quic",
                            "--no-first-run",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync")));

    /** How long anything may take, in ms, on a machine that does other things; what is green never waits for it. */
    static final int PATIENCE = 60_000;

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
        Runtime.getRuntime().addShutdownHook(new Thread(PLAYWRIGHT::close));
    }

    private Browsers() {}

    static Browser chromium() {
        return CHROMIUM;
    }
}
