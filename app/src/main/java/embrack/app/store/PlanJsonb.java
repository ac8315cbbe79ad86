package embrack.app.store;

import embrack.core.plan.Plan;
import embrack.files.plan.PlanFile;
import org.apache.ibatis.type.MappedTypes;
import org.springframework.stereotype.Component;

/** Plans as JSONB. */
@Component
@MappedTypes(Plan.class)
final class PlanJsonb extends JsonbHandler<Plan> {

    PlanJsonb() {
        super(PlanFile::write, PlanFile::read);
    }
}
