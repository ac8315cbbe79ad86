package embrack.app.store;

import embrack.core.gear.Model;
import embrack.files.model.ModelFile;
import org.apache.ibatis.type.MappedTypes;
import org.springframework.stereotype.Component;

/** Models of gear as JSONB. */
@Component
@MappedTypes(Model.class)
final class ModelJsonb extends JsonbHandler<Model> {

    ModelJsonb() {
        super(ModelFile::write, ModelFile::read);
    }
}
