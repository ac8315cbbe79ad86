package embrack.app.send;

import static org.assertj.core.api.Assertions.assertThat;

import embrack.app.AppTest;
import embrack.app.store.LineKeptElsewhere;
import embrack.app.store.LineStore;
import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.StoredRig;
import embrack.core.send.Answer;
import embrack.core.send.Asked;
import embrack.core.send.Probe;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationEventPublisher;

/** What is asked of boxes goes on behind what was answered at another server, which says that it kept something. */
@AppTest
@SuppressWarnings("NullAway.Init")
class AnsweredElsewhereTests {

    @Autowired
    private RigStore rigs;

    @Autowired
    private Sendings sendings;

    @Autowired
    private LineStore kept;

    @Autowired
    private ApplicationEventPublisher events;

    @Test
    void anAnswerGivenElsewhereIsNotAskedForAgain() {
        RigId id = rigs.create(rigs.load(new RigId(1)).plan(), "Quay rig");
        StoredRig rig = rigs.load(id);
        Sendings.Standing before = sendings.of(rig);
        Probe asked = before.asking().at().orElseThrow();
        var answer = new Asked(asked.written(), new Answer.Did());
        kept.tell(id, Map.of(), Map.of(asked.key(), answer), "Jory", rig.revision());
        assertThat(sendings.of(rig)).as("nothing is read without reason").isEqualTo(before);

        events.publishEvent(new LineKeptElsewhere(id));
        Sendings.Standing now = sendings.of(rig);
        assertThat(now.asking().asked()).containsExactly(Map.entry(asked.key(), answer));
        assertThat(now.asking().at()).isPresent().isNotEqualTo(before.asking().at());
        assertThat(now.turn()).isGreaterThan(before.turn());
        assertThat(sendings.of(rig)).as("once").isEqualTo(now);
    }
}
