package embrack.app.run;

import embrack.app.store.RigStore;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** What of the page of a run changes by itself, drawn once for all who watch. */
@Component
class RunPieces {

    static final List<String> ALL =
            List.of("run-now", "run-boards", "run-boxes", "run-tape", "run-order", "run-strip", "run-stand");

    private final ITemplateEngine templates;
    private final RigStore rigs;

    RunPieces(ITemplateEngine templates, RigStore rigs) {
        this.templates = templates;
        this.rigs = rigs;
    }

    /** All pieces as they look now, by the ids of their elements. */
    Map<String, String> of(LiveRun live) {
        var context = new Context(Locale.ENGLISH);
        context.setVariable("run", RunPage.of(live, rigs.newestRevision(live.rig())));
        context.setVariable("stand", StandView.of(live.run()));
        Map<String, String> pieces = new LinkedHashMap<>();
        for (String piece : ALL) {
            pieces.put(
                    piece,
                    templates.process("run/pieces", Set.of(piece), context).strip());
        }
        return pieces;
    }
}
