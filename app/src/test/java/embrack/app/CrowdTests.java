package embrack.app;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.store.Hand;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.OrderEdit;
import embrack.core.edit.WiringEdit;
import embrack.core.plan.Plan;
import embrack.core.rig.Link;
import embrack.core.show.Show;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;

/**
 * Many people look at all rooms of a rig in the moment after an edit, when nothing is known yet of what it left: each
 * gets their page, and all get the same.
 */
@AppTest
@SuppressWarnings("NullAway.Init")
class CrowdTests {

    private static final int PEOPLE = 12;

    private static final List<String> ROOMS = List.of(
            "/gear",
            "/gear/vocal-mixer",
            "/wiring",
            "/switches",
            "/switches/quay-board/1/1",
            "/songs",
            "/songs/harbour-light",
            "/show",
            "/preflight",
            "/sheets",
            "/card",
            "/sound",
            "/lights",
            "/folder",
            "/history");

    @LocalServerPort
    private int port;

    @Autowired
    private RigStore rigs;

    private record Seen(String path, int status, String body) {}

    @Test
    void everybodyGetsTheSameWhileAllIsWorkedOut() throws Exception {
        Plan demo = rigs.load(new RigId(1)).plan();
        RigId rig = rigs.create(demo, "Crowded");
        List<String> paths = ROOMS.stream()
                .map(room -> "/rigs/%s%s".formatted(rig, room))
                .filter(path -> new Caller(port).get(path).statusCode() == 200)
                .toList();
        assertThat(paths).as("rooms of the demo").hasSizeGreaterThan(10);
        Link cable = demo.rig().links().getFirst();
        Show tonight = demo.book().tonight().orElseThrow();
        List<Edit> edits = List.of(
                new GearEdit.RenameDevice(demo.rig().devices().getFirst().id(), "First of all"),
                new WiringEdit.Measure(cable.from(), cable.to(), "4.5"),
                new OrderEdit.MovePart(tonight.id(), 2, 1),
                new WiringEdit.Disconnect(cable.from(), cable.to()),
                new GearEdit.RenameRig("Crowded again"));
        try (ExecutorService pool = Executors.newFixedThreadPool(PEOPLE)) {
            for (Edit edit : edits) {
                rigs.edit(rig, Hand.ANY, edit);
                Map<String, String> first = new HashMap<>();
                for (Seen seen : together(pool, paths)) {
                    assertThat(seen.status()).as(seen.path()).isEqualTo(200);
                    String before = first.putIfAbsent(seen.path(), seen.body());
                    assertThat(before == null || before.equals(seen.body()))
                            .as("%s is the same for all after %s", seen.path(), edit)
                            .isTrue();
                }
                assertThat(first).hasSize(paths.size());
            }
        }
        assertThat(rigs.load(rig).revision()).isEqualTo(1 + edits.size());
    }

    private List<Seen> together(ExecutorService pool, List<String> paths) throws Exception {
        var begin = new CountDownLatch(PEOPLE);
        List<Callable<List<Seen>>> all = new ArrayList<>();
        for (int i = 0; i < PEOPLE; i++) {
            var random = new Random(i);
            all.add(() -> {
                var person = new Caller(port);
                List<String> round = new ArrayList<>(paths);
                Collections.shuffle(round, random);
                begin.countDown();
                begin.await();
                List<Seen> seen = new ArrayList<>();
                for (String path : round) {
                    HttpResponse<String> page = person.get(path);
                    seen.add(new Seen(path, page.statusCode(), bare(page.body())));
                }
                return seen;
            });
        }
        List<Seen> seen = new ArrayList<>();
        for (Future<List<Seen>> one : pool.invokeAll(all)) {
            seen.addAll(one.get());
        }
        return seen;
    }

    /** Without what each visit has of its own. */
    private static String bare(String body) {
        return body.replaceAll("(name=\"_csrf\" value=\")[^\"]*", "$1").replaceAll("data-mark=\"[^\"]*\"", "");
    }
}
