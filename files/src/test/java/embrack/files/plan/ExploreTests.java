package embrack.files.plan;

import embrack.core.check.Report;
import embrack.core.plan.Plan;
import embrack.core.run.*;
import embrack.core.word.*;
import embrack.core.world.*;
import java.nio.file.*;
import java.util.*;
import org.junit.jupiter.api.Test;

class ExploreTests {
    @Test
    void explore() throws Exception {
        Plan plan = PlanFile.read(Files.readString(Path.of("../docs/examples/quay-rig.json")));
        Report report = Report.of(plan);
        Night night = Night.of(report);
        Wording w = new Wording(plan.rig(), plan.book(), plan.switches(), Language.ENGLISH);
        Telling t = new Telling(night);
        List<Fault> faults = new ArrayList<>();
        plan.rig().links().forEach(l -> faults.add(new Fault.LinkOut(l, 0)));
        plan.rig().devices().forEach(d -> faults.add(new Fault.BoxOut(d.id(), 0)));
        Run mid = Run.at(night, 3, 5, true);
        for (Fault f : faults) {
            Run run = mid.after(new Act.Struck(f)).until(mid.now() + 60_000_000);
            long s = System.nanoTime();
            Optional<Advice> a = Advice.of(run);
            double ms = (System.nanoTime() - s) / 1e6;
            if (run.wrongs().isEmpty() && run.silentSince().isEmpty()) continue;
            System.out.println(w.say(t.fault(f)) + " wrongs " + run.wrongs().size() + " silent " + run.silentSince()
                    + " -> "
                    + a.map(x -> x.acts().stream()
                                    .map(act -> act instanceof Act.Repaired r
                                            ? w.say(Telling.repaired(r.event()))
                                            : act instanceof Act.ByHand h && h.what() instanceof Event.Press p
                                                    ? "press " + w.say(Fact.of(p.at()))
                                                    : act.toString())
                                    .toList()
                            + " " + x.micros() / 1e6 + " left " + x.left().size() + " " + x.isSilent())
                    + " " + ms + " ms");
        }
    }
}
