package embrack.app.formats;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** Serves the schema of the plan file. */
@Controller
class SchemaController {

    @GetMapping(path = "/schema/plan-1.schema.json", produces = "application/schema+json")
    @ResponseBody
    Resource plan() {
        return new ClassPathResource("embrack/files/schema/plan-1.schema.json");
    }
}
