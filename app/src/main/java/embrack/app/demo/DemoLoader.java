package embrack.app.demo;

import embrack.app.store.RigStore;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** Puts the demo rig into a database that never held a rig. */
@Component
class DemoLoader implements ApplicationRunner {

    private final RigStore rigs;
    private final boolean wanted;

    DemoLoader(RigStore rigs, @Value("${embrack.demo}") boolean wanted) {
        this.rigs = rigs;
        this.wanted = wanted;
    }

    @Override
    public void run(ApplicationArguments arguments) throws IOException {
        if (wanted && rigs.isUnused()) {
            rigs.create(PlanFile.read(new ClassPathResource("embrack/demo/quay-rig.json").getContentAsByteArray()), "Load the demo");
        }
    }
}
