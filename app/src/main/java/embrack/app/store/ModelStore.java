package embrack.app.store;

import embrack.app.store.crew.CrewId;
import embrack.core.edit.Edit;
import embrack.core.edit.GearEdit;
import embrack.core.edit.Refused;
import embrack.core.gear.Model;
import embrack.core.gear.ModelId;
import embrack.core.gear.library.Library;
import embrack.core.name.Slug;
import embrack.core.name.TapeLabel;
import embrack.files.model.ModelFile;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The models that crews describe, with their history, beside those that ship. */
@Service
public class ModelStore {

    private static final int MOST_READ = 300;

    private final ModelMapper mapper;
    private final RigStore rigs;
    private final Memo<ModelMapper.Row, Model> read = Memo.ofCount(MOST_READ);

    ModelStore(ModelMapper mapper, RigStore rigs) {
        this.mapper = mapper;
        this.rigs = rigs;
    }

    /** The models of a crew, by id. */
    @Transactional(readOnly = true)
    public List<Model> own(CrewId crew) {
        return mapper.newest(crew.number()).stream().map(this::doc).toList();
    }

    /** All models that a crew has: its own first, then those that ship. */
    @Transactional(readOnly = true)
    public List<Model> all(CrewId crew) {
        return Stream.concat(own(crew).stream(), Library.all().stream()).toList();
    }

    /** A model of the crew or of those that ship. */
    @Transactional(readOnly = true)
    public Optional<Model> find(CrewId crew, String id) {
        return all(crew).stream().filter(model -> model.id().text().equals(id)).findFirst();
    }

    /** All revisions of a model of the crew, newest first; none for one that ships. */
    @Transactional(readOnly = true)
    public List<ModelRevision> revisions(CrewId crew, ModelId id) {
        return mapper.revisions(crew.number(), id.text()).stream()
                .map(row -> new ModelRevision(row.n(), doc(row), row.at(), row.summary()))
                .toList();
    }

    /**
     * Keeps a new model under an id that no model of the crew has, or ever had.
     *
     * @param model its id is taken for a wish
     * @return the model as it is kept
     * @throws Refused when another model has its name
     */
    @Transactional
    public Model create(CrewId crew, Hand hand, Model model, String summary) {
        return create(crew, hand, model, summary, name -> {
            if (isTaken(crew, name)) {
                throw new Refused("name", Because.of("no.model-name-taken").with("name", name));
            }
            return name;
        });
    }

    /** As {@link #create}; a name that another model has gets a number behind it. */
    @Transactional
    public Model createNumbered(CrewId crew, Hand hand, Model model, String summary) {
        return create(
                crew,
                hand,
                model,
                summary,
                wish -> IntStream.iterate(1, i -> i + 1)
                        .mapToObj(i -> i == 1
                                ? wish
                                : new TapeLabel(wish.text()
                                                .substring(
                                                        0,
                                                        Math.min(36, wish.text().length()))
                                                .strip() + " " + i))
                        .filter(name -> !isTaken(crew, name))
                        .findFirst()
                        .orElseThrow());
    }

    private Model create(CrewId crew, Hand hand, Model model, String summary, Function<TapeLabel, TapeLabel> named) {
        mapper.holdNames();
        TapeLabel name = named.apply(model.name());
        Set<String> taken = new HashSet<>(mapper.idsEver(crew.number()));
        Library.all().forEach(shipped -> taken.add(shipped.id().text()));
        String id = Slug.free(name.text(), each -> !taken.contains(each));
        Model kept = model.copied(new ModelId(id), name);
        String text = written(kept);
        mapper.create(crew.number(), id);
        mapper.add(crew.number(), id, 1, text, hand.author(), summary);
        return kept;
    }

    private boolean isTaken(CrewId crew, TapeLabel name) {
        return all(crew).stream().anyMatch(model -> model.name().sameAs(name));
    }

    /**
     * Keeps a change of a model of the crew and has rigs follow it, all or nothing; one that changes nothing leaves no
     * trace.
     *
     * @param seen the revision that the change was made from
     * @param following rigs that take the changed description; those of another crew are passed over
     * @throws NoSuchModel when the crew has none of that id
     * @throws Refused when somebody kept another revision meanwhile, or another model has the name
     */
    public void save(CrewId crew, Model model, int seen, String summary, Collection<RigId> following, Hand hand) {
        String text = written(model);
        SortedMap<RigId, Edit> edits = new TreeMap<>();
        following.stream()
                .filter(rig -> rigs.crew(rig).filter(crew::equals).isPresent())
                .forEach(rig -> edits.put(rig, new GearEdit.ReplaceModel(model)));
        rigs.editAll(edits, hand, () -> keep(crew, model, text, seen, hand.author(), summary));
    }

    private void keep(CrewId crew, Model model, String text, int seen, String author, String summary) {
        String id = model.id().text();
        mapper.holdNames();
        mapper.lock(crew.number(), id).orElseThrow(() -> new NoSuchModel(id));
        ModelMapper.Row newest = mapper.revisions(crew.number(), id).getFirst();
        if (newest.n() != seen) {
            throw new Refused(
                    "box", Because.of("no.kept-meanwhile").with("n", newest.n()).with("summary", newest.summary()));
        }
        if (all(crew).stream()
                .anyMatch(
                        other -> !other.id().equals(model.id()) && other.name().sameAs(model.name()))) {
            throw new Refused("name", Because.of("no.model-name-taken").with("name", model.name()));
        }
        if (!doc(newest).equals(model)) {
            mapper.add(crew.number(), id, newest.n() + 1, text, author, summary);
        }
    }

    /** Deletes a model of the crew; its history is kept, and rigs that use it keep their description of it. */
    @Transactional
    public void delete(CrewId crew, ModelId id) {
        if (mapper.delete(crew.number(), id.text()) == 0) {
            throw new NoSuchModel(id.text());
        }
    }

    /** Brings a deleted model back. */
    @Transactional
    public void restore(CrewId crew, ModelId id) {
        mapper.restore(crew.number(), id.text());
    }

    private Model doc(ModelMapper.Row row) {
        return read.get(row, () -> ModelFile.read(mapper.doc(row.crew(), row.model(), row.n())));
    }

    private static String written(Model model) {
        String text = ModelFile.write(model);
        try {
            if (ModelFile.read(text).equals(model)) {
                return text;
            }
        } catch (RuntimeException e) {
            throw new Refused("box", Because.of("no.not-read-again").with("why", String.valueOf(e.getMessage())));
        }
        throw new Refused("box", Because.of("no.read-otherwise"));
    }
}
