package embrack.app.folder;

import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.files.json.UnreadableFile;
import embrack.files.lists.TickFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.security.Principal;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.resource.ResourceUrlProvider;

/** What a device keeps of a rig for when the server cannot be reached, and the ticks that it sends afterwards. */
@Controller
class KeepController {

    private static final String FILES = "/static/";

    private final RigStore rigs;
    private final Folders folders;
    private final ResourceUrlProvider addresses;

    KeepController(RigStore rigs, Folders folders, ResourceUrlProvider addresses) {
        this.rigs = rigs;
        this.folders = folders;
        this.addresses = addresses;
    }

    /**
     * All that is to be kept.
     *
     * @param now by the clock of this machine
     * @param files styles, scripts and fonts that the pages ask for
     */
    record Keep(String name, int revision, String now, List<Keepable.Kept> pages, List<String> files) {}

    /**
     * That the server is there.
     *
     * @param now by the clock of this machine, by which ticks are dated
     * @param token what an edit carries
     */
    record Awake(int revision, String now, String token) {}

    /** What came of ticks: how many were taken in, and all of it in words. */
    record Sent(int taken, String words) {}

    /** What is kept on this device; the page is filled by the browser, which alone knows. */
    @GetMapping("/kept")
    String kept() {
        return "folder/kept";
    }

    @GetMapping("/rigs/{id}/folder/keep.json")
    @ResponseBody
    Keep keep(@PathVariable RigId id) {
        StoredRig stored = rigs.load(id);
        return new Keep(
                stored.plan().rig().name().text(),
                stored.revision(),
                Instant.now().toString(),
                Keepable.of(stored.plan(), "/rigs/" + id),
                files());
    }

    @GetMapping("/rigs/{id}/folder/awake.json")
    @ResponseBody
    Awake awake(@PathVariable RigId id, CsrfToken token) {
        return new Awake(rigs.newestRevision(id), Instant.now().toString(), token.getToken());
    }

    /**
     * Takes ticks in that a device sends itself; what is sent twice counts once.
     *
     * @param ticks as in the file that is brought home
     */
    @PostMapping("/rigs/{id}/folder/ticks/sent")
    @ResponseBody
    ResponseEntity<Sent> sent(@PathVariable RigId id, @RequestParam String ticks, @Nullable Principal who) {
        StoredRig stored = rigs.load(id);
        try {
            Home home = folders.home(stored, TickFile.read(ticks), who == null ? Hand.SOMEBODY : who.getName());
            return ResponseEntity.ok(new Sent(home.taken(), folders.said(stored, home)));
        } catch (UnreadableFile e) {
            return ResponseEntity.status(HttpStatus.UNPROCESSABLE_CONTENT)
                    .body(new Sent(0, e.problems().getFirst().toString()));
        }
    }

    private List<String> files() {
        try {
            Resource[] files = new PathMatchingResourcePatternResolver().getResources("classpath:static/**/*.*");
            return Arrays.stream(files)
                    .map(KeepController::path)
                    .filter(path -> path.matches(".*\\.(css|js|svg|woff2|png|webmanifest)"))
                    .flatMap(path -> Stream.ofNullable(addresses.getForLookupPath(path)))
                    .sorted()
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String path(Resource file) {
        try {
            String address = Objects.requireNonNull(file.getURL().getPath());
            return "/" + address.substring(address.lastIndexOf(FILES) + FILES.length());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
