package embrack.app.store;

import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.name.Slug;
import embrack.core.name.TapeLabel;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The models that the crew describes, with their history, beside those that ship. */
@Service
public class ModelStore {

    private final ModelMapper mapper;

    ModelStore(ModelMapper mapper) {
        this.mapper = mapper;
    }

    /** The crew's models, by id. */
    @Transactional(readOnly = true)
    public List<Model> crews() {
        return mapper.newest().stream().map(ModelRevision::doc).toList();
    }

    /** All models: the crew's first, then those that ship. */
    @Transactional(readOnly = true)
    public List<Model> all() {
        return Stream.concat(crews().stream(), Library.all().stream()).toList();
    }

    /** A model of the crew or of those that ship. */
    @Transactional(readOnly = true)
    public Optional<Model> find(String id) {
        return all().stream().filter(model -> model.id().text().equals(id)).findFirst();
    }

    /** All revisions of a model of the crew, newest first; none for one that ships. */
    @Transactional(readOnly = true)
    public List<ModelRevision> revisions(ModelId id) {
        return mapper.revisions(id.text());
    }

    /**
     * Keeps a new model under an id that no model has, or ever had.
     *
     * @param model its id is taken for a wish
     * @return the model as it is kept
     */
    @Transactional
    public Model create(Model model, String summary) {
        Set<String> taken = new HashSet<>(mapper.idsEver());
        Library.all().forEach(shipped -> taken.add(shipped.id().text()));
        String wish = Slug.of(model.name().text());
        String id = IntStream.iterate(1, i -> i + 1).mapToObj(i -> i == 1 ? wish : wish.substring(0, Math.min(35, wish.length())) + "-" + i)
                .filter(each -> !taken.contains(each)).findFirst().orElseThrow();
        Model kept = model.copied(new ModelId(id), model.name());
        mapper.create(id);
        mapper.add(id, 1, kept, RigStore.AUTHOR, summary);
        return kept;
    }

    /** The name with a number behind it, if another model has it. */
    @Transactional(readOnly = true)
    public TapeLabel freeName(TapeLabel wish) {
        Set<String> taken = new HashSet<>(all().stream().map(model -> model.name().text().toLowerCase(Locale.ROOT)).toList());
        return IntStream.iterate(1, i -> i + 1).mapToObj(i -> i == 1 ? wish
                        : new TapeLabel(wish.text().substring(0, Math.min(36, wish.text().length())).strip() + " " + i))
                .filter(name -> !taken.contains(name.text().toLowerCase(Locale.ROOT))).findFirst().orElseThrow();
    }

    /**
     * Keeps a change of a model of the crew; one that changes nothing leaves no trace.
     *
     * @throws NoSuchModel when the crew has none of that id
     */
    @Transactional
    public void save(Model model, String summary) {
        String id = model.id().text();
        mapper.lock(id).orElseThrow(() -> new NoSuchModel(id));
        ModelRevision newest = mapper.revisions(id).getFirst();
        if (!newest.doc().equals(model)) {
            mapper.add(id, newest.n() + 1, model, RigStore.AUTHOR, summary);
        }
    }

    /** Deletes a model of the crew; its history is kept, and rigs that use it keep their description of it. */
    @Transactional
    public void delete(ModelId id) {
        if (mapper.delete(id.text()) == 0) {
            throw new NoSuchModel(id.text());
        }
    }

    /** Brings a deleted model back. */
    @Transactional
    public void restore(ModelId id) {
        mapper.restore(id.text());
    }
}
