package embrack.core.way;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.core.RandomRigs;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.rig.Rig;
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

/** Many pages ask the ways of one report at the same time, and each is told what it would be told alone. */
class SharedWaysTests {

    private static final int THREADS = 8;
    private static final int ROUNDS = 150;

    @Test
    void whoeverAsksAtTheSameTimeIsToldTheSame() throws Exception {
        try (ExecutorService pool = Executors.newFixedThreadPool(THREADS)) {
            for (int round = 0; round < ROUNDS; round++) {
                Rig rig = RandomRigs.of(round, 14).rig();
                Map<DeviceId, Object> alone = asked(new Ways(rig), rig, new Random(0));
                Ways shared = new Ways(rig);
                var together = new CountDownLatch(THREADS);
                List<Callable<Map<DeviceId, Object>>> all = new ArrayList<>();
                for (int i = 0; i < THREADS; i++) {
                    var order = new Random(i);
                    all.add(() -> {
                        together.countDown();
                        together.await();
                        return asked(shared, rig, order);
                    });
                }
                for (Future<Map<DeviceId, Object>> told : pool.invokeAll(all)) {
                    assertThat(told.get()).isEqualTo(alone);
                }
            }
        }
    }

    private static Map<DeviceId, Object> asked(Ways ways, Rig rig, Random order) {
        Map<DeviceId, Object> told = new HashMap<>();
        List<Device> devices = new ArrayList<>(rig.devices());
        Collections.shuffle(devices, order);
        for (Device device : devices) {
            told.put(
                    device.id(),
                    List.of(
                            ways.leaving(device.id()),
                            ways.leaving(device.id()).stream().map(ways::onward).toList(),
                            ways.reach(device.id())));
        }
        return told;
    }
}
