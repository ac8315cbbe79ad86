package embrack.app.formats;

import embrack.files.model.ModelFile;
import embrack.files.plan.PlanFile;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/** Serves the schemas of the plan file and of the model file. */
@Controller
class SchemaController {

    @GetMapping(path = PlanFile.SCHEMA, produces = "application/schema+json")
    @ResponseBody
    Resource plan() {
        return schema(PlanFile.SCHEMA);
    }

    @GetMapping(path = ModelFile.SCHEMA, produces = "application/schema+json")
    @ResponseBody
    Resource model() {
        return schema(ModelFile.SCHEMA);
    }

    private static Resource schema(String path) {
        return new ClassPathResource("embrack/files" + path);
    }
}
