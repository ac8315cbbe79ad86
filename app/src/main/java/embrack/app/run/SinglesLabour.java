package embrack.app.run;

import embrack.app.store.work.Job;
import embrack.app.store.work.Labour;
import embrack.core.run.Mishaps;
import embrack.core.run.text.OutcomeText;
import org.springframework.stereotype.Component;

/** Tries single things that go wrong, each at all of its moments: one thing is one part. */
@Component
class SinglesLabour implements Labour {

    static final String SORT = "single faults";

    private final Nights nights;

    SinglesLabour(Nights nights) {
        this.nights = nights;
    }

    @Override
    public String sort() {
        return SORT;
    }

    @Override
    public String part(Job job, int part) {
        Mishaps mishaps = nights.mishaps(job.rig(), job.revision());
        return OutcomeText.write(mishaps.outcomes(mishaps.faults().get(part)));
    }
}
