package embrack.app.formats;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.ResponseBody;

/** Serves the schemas of the plan file and of the model file. */
@Controller
class SchemaController {

    @GetMapping(path = "/schema/{name:plan-7|model-3}.schema.json", produces = "application/schema+json")
    @ResponseBody
    Resource schema(@PathVariable String name) {
        return new ClassPathResource("embrack/files/schema/%s.schema.json".formatted(name));
    }
}
