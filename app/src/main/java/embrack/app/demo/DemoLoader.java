package embrack.app.demo;

import embrack.app.store.Hand;
import embrack.app.store.ModelStore;
import embrack.app.store.RigStore;
import embrack.app.store.crew.CrewId;
import embrack.files.model.ModelFile;
import embrack.files.plan.PlanFile;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** Puts the demo rig and a model that its crew describes into a database that never held a rig. */
@Component
class DemoLoader implements ApplicationRunner {

    private final RigStore rigs;
    private final ModelStore models;
    private final boolean wanted;

    DemoLoader(RigStore rigs, ModelStore models, @Value("${embrack.demo}") boolean wanted) {
        this.rigs = rigs;
        this.models = models;
        this.wanted = wanted;
    }

    @Override
    public void run(ApplicationArguments arguments) throws IOException {
        if (wanted && rigs.isUnused()) {
            rigs.create(PlanFile.read(example("quay-rig.json")), "Load the demo");
            models.create(CrewId.FIRST, Hand.ANY, ModelFile.read(example("lantern-desk.model.json")), "Load the demo");
        }
    }

    private static byte[] example(String name) throws IOException {
        return new ClassPathResource("embrack/demo/" + name).getContentAsByteArray();
    }
}
