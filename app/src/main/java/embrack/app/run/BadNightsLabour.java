package embrack.app.run;

import embrack.app.store.work.Job;
import embrack.app.store.work.Labour;
import embrack.core.run.BadNights;
import embrack.core.run.text.BillText;
import java.util.stream.LongStream;
import org.springframework.stereotype.Component;

/** Draws nights by their seeds, some in each part. */
@Component
class BadNightsLabour implements Labour {

    static final String SORT = "bad nights";

    private final Nights nights;

    BadNightsLabour(Nights nights) {
        this.nights = nights;
    }

    @Override
    public String sort() {
        return SORT;
    }

    @Override
    public String part(Job job, int part) {
        DrawnNights drawn = DrawnNights.read(job.wish());
        var bad = new BadNights(nights.of(job.rig(), job.revision()), drawn.rates());
        return BillText.write(LongStream.range(drawn.first(part), drawn.first(part + 1))
                .mapToObj(bad::of)
                .reduce(BadNights.Bill.NOTHING, BadNights.Bill::and));
    }
}
