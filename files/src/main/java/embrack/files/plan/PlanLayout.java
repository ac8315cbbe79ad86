package embrack.files.plan;

import static embrack.files.json.Shapes.list;
import static embrack.files.json.Shapes.readAs;
import static embrack.files.json.Shapes.wholeFrom;
import static embrack.files.json.Shapes.words;

import embrack.core.edit.GearEdit.AddDevice;
import embrack.core.gear.Model;
import embrack.core.light.Lights;
import embrack.core.name.TapeLabel;
import embrack.core.plan.Plan;
import embrack.core.show.Book;
import embrack.core.show.Cue;
import embrack.core.switches.Practice;
import embrack.core.switches.Practices;
import embrack.core.switches.Switches;
import embrack.files.json.Fields;
import embrack.files.json.Layout;
import embrack.files.json.Shape;
import embrack.files.json.Shapes;
import embrack.files.json.Text;
import embrack.files.model.EarlierModel;
import embrack.files.model.FileWords;
import embrack.files.model.ModelLayout;
import embrack.files.model.Texts;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** The fields of a plan. */
final class PlanLayout {

    private static final int MAX_SWITCHES = 5_000;
    private static final int MAX_SHOWS = 500;
    private static final int MAX_LINKS = 8 * AddDevice.MAX_DEVICES;

    private static final Shape<RigSoFar, List<Model>> MODELS = readAs(
            list(ModelLayout.MODEL, AddDevice.MAX_DEVICES),
            (fields, name, before) -> fields.objects(name, AddDevice.MAX_DEVICES, f -> model(f, before.context())));

    private static final Shape<RigSoFar, TapeLabel> NAME =
            Shapes.<RigSoFar, TapeLabel>readAs(Texts.LABEL, Texts.LABEL::read).then(RigSoFar::name);

    private static final Text<Edition> EDITION = new Text<>(
            "edition",
            "the mark of a rig, a space and a number of a revision: `rig-2-t5q7 41`",
            Texts.pattern(Edition.PATTERN),
            Edition::parse,
            Edition::text);

    /** A plan as a file. */
    static final Layout<RigSoFar, Plan> FILE = Layout.of(
            "plan-file",
            "A plan: a rig, the models of hardware that it uses, its links, what its switches do, its songs and its"
                    + " shows.",
            t -> {
                t.file(PlanFile.FORMAT, PlanFile.VERSION);
                t.either(
                        "edition",
                        EDITION,
                        new Edition("none", 1),
                        "which revision of which rig was written, so that a copy that comes back is compared with it",
                        p -> Optional.empty());
                t.needs("name", NAME, "what the rig is called", p -> p.rig().name());
                t.needs(
                        "models",
                        MODELS,
                        "the hardware",
                        p -> List.copyOf(p.rig().models()));
                t.needs(
                        "devices",
                        list(DeviceLayout.DEVICE, AddDevice.MAX_DEVICES).then((rig, all) -> rig.settle()),
                        "the jobs in the rig",
                        p -> p.rig().devices());
                t.needs(
                        "links",
                        "cables",
                        2,
                        list(DeviceLayout.LINK, MAX_LINKS).then((rig, all) -> rig.join()),
                        "what joins their ports",
                        p -> p.rig().links());
                t.or(
                        "pairs",
                        list(DeviceLayout.PAIR, AddDevice.MAX_DEVICES).then((rig, all) -> rig.pair()),
                        List.of(),
                        "devices that stand in for others",
                        p -> p.rig().pairs());
                var switches = t.needs(
                        "switches",
                        list(SwitchLayout.SWITCH, MAX_SWITCHES),
                        "what switches do",
                        p -> p.switches().assignments());
                var controls = t.or(
                        "controls",
                        list(SwitchLayout.CONTROL, MAX_SWITCHES),
                        List.of(),
                        "what expression pedals, faders and knobs move",
                        p -> p.switches().controlAssignments());
                var others = t.or(
                        "otherSchools",
                        words(FileWords.byWord(Practice.values())),
                        new TreeSet<>(),
                        "questions on which the crew does not follow the default",
                        p -> new TreeSet<>(p.practices().answered(1)));
                var third = t.or(
                        "thirdAnswers",
                        words(FileWords.byWord(Practice.values())),
                        new TreeSet<>(),
                        "questions to which the crew gives the third answer",
                        p -> new TreeSet<>(p.practices().answered(2)));
                var songs = t.or(
                        "songs",
                        list(BookLayout.SONG, Book.MAX_SONGS),
                        List.of(),
                        "its songs",
                        p -> p.book().songs());
                var always = t.or(
                        "everySong",
                        BookLayout.EVERY_SONG,
                        List.of(),
                        "cues that every song sends beside its own: `on load`, `on play`, `on stop`, `on continue`,"
                                + " `on loop`",
                        p -> p.book().always().stream()
                                .map(BookLayout::everySong)
                                .toList());
                var lastAlways = t.or(
                        "lastEverySong",
                        wholeFrom(0),
                        0,
                        "the highest number that a cue of every song ever had, where that one is gone",
                        p -> BookLayout.beyond(
                                p.book().lastAlways(),
                                p.book().always().stream().mapToInt(Cue::number)));
                var shows = t.or(
                        "shows",
                        list(BookLayout.SHOW, MAX_SHOWS),
                        List.of(),
                        "the newest last, which is tonight's",
                        p -> p.book().shows());
                var types = t.or(
                        "fixtureTypes",
                        list(LightLayout.TYPE, LightLayout.MAX_TYPES),
                        List.of(),
                        "what its fixtures are",
                        p -> p.lights().types());
                var fixtures = t.or(
                        "fixtures",
                        list(LightLayout.FIXTURE, Lights.MAX_FIXTURES),
                        List.of(),
                        "what hangs",
                        p -> p.lights().fixtures());
                var looks = t.or(
                        "looks",
                        list(LightLayout.LOOK, Lights.MAX_LOOKS),
                        List.of(),
                        "what it can show",
                        p -> p.lights().looks());
                var held = t.or(
                        "storedLooks",
                        list(LightLayout.HELD, LightLayout.MAX_HELD),
                        List.of(),
                        "which look a desk holds where",
                        p -> p.lights().held());
                var chases = t.or(
                        "chases",
                        list(LightLayout.CHASE, Lights.MAX_LOOKS),
                        List.of(),
                        "looks that follow one another",
                        p -> p.lights().chases());
                return g -> {
                    Plan plan = new Plan(
                            g.context().rig(),
                            g.at(switches, () -> new Switches(g.get(switches), g.get(controls))),
                            practices(g.get(others), g.get(third)),
                            Book.EMPTY,
                            g.at(
                                    fixtures,
                                    () -> new Lights(
                                            g.get(types), g.get(fixtures), g.get(looks), g.get(held), g.get(chases))));
                    return g.at(
                            songs,
                            () -> plan.withBook(new Book(
                                    g.get(songs),
                                    g.get(always).stream()
                                            .map(BookLayout.Written::cue)
                                            .toList(),
                                    g.get(shows),
                                    g.get(lastAlways))));
                };
            });

    private PlanLayout() {}

    private static Model model(Fields fields, RigSoFar rig) {
        if (fields.version() > 1) {
            Model model = fields.version() == PlanFile.VERSION
                    ? fields.once(rig.known(), theirs -> ModelLayout.MODEL.read(theirs, rig))
                    : ModelLayout.MODEL.read(fields, rig);
            return fields.fit("id", () -> rig.add(model));
        }
        EarlierModel earlier = EarlierModel.read(fields);
        rig.rename(earlier.model().id(), earlier.parts());
        return fields.fit("id", () -> rig.add(earlier.model()));
    }

    private static Practices practices(Set<Practice> second, Set<Practice> third) {
        Map<Practice, Integer> answers = new HashMap<>();
        second.forEach(practice -> answers.put(practice, 1));
        third.forEach(practice -> answers.put(practice, 2));
        return new Practices(answers);
    }
}
