package embrack.app.folder;

import embrack.app.store.PrintStore;
import embrack.app.store.StoredRig;
import embrack.core.name.TapeLabel;
import embrack.core.offer.UsualReaders;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.show.Folder;
import embrack.core.show.Leaf;
import embrack.core.show.Reader;
import embrack.core.show.Role;
import embrack.core.show.Show;
import embrack.core.sound.SoundPaths;
import embrack.paper.type.Paper;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Who gets what of the folder.
 *
 * @param show the name of the show it is kept with; empty without one
 * @param showKey its id
 * @param isUsual whether the readers are the usual ones, which nobody chose
 * @param chosen the reader whose fields are shown
 * @param numbers who is called when something fails
 * @param printed what was printed last, in words; empty for nothing
 * @param isOlder whether that is another revision than this
 */
record FolderPage(
        String show,
        String showKey,
        boolean isUsual,
        List<ReaderRow> readers,
        Optional<Fields> chosen,
        String numbers,
        String printed,
        boolean isOlder,
        List<Choice> papers,
        List<Choice> leaves) {

    /** A reader in the list. */
    record ReaderRow(String name, String role, String gets, String presses, String hears, boolean isChosen) {}

    /** Fields of a reader; {@code was} empty for one who is added. */
    record Fields(
            String was, String name, List<Choice> roles, List<Choice> gets, List<Choice> boards, List<Choice> ears) {}

    /** Something to choose. */
    record Choice(String key, String words, boolean isChosen) {}

    /**
     * The page.
     *
     * @param wanted the name of the reader whose fields are shown; "+" for one more; empty for none
     */
    static FolderPage of(StoredRig stored, Optional<PrintStore.Printed> printed, String wanted) {
        Plan plan = stored.plan();
        Optional<Show> show = plan.book().tonight();
        Folder folder = show.map(Show::folder).orElse(Folder.USUAL);
        List<Reader> readers = UsualReaders.or(plan, folder);
        Optional<Reader> chosen = readers.stream()
                .filter(reader -> reader.name().text().equals(wanted))
                .findFirst();
        return new FolderPage(
                show.map(Show::name).map(TapeLabel::text).orElse(""),
                show.map(evening -> evening.id().text()).orElse(""),
                folder.readers().isEmpty(),
                readers.stream().map(reader -> row(plan, reader, wanted)).toList(),
                chosen.map(reader -> fields(plan, reader, reader.name().text()))
                        .or(() -> wanted.equals("+")
                                ? Optional.of(fields(plan, Reader.of(new TapeLabel("New"), Role.PLAYER), ""))
                                : Optional.empty()),
                folder.numbers(),
                printed.map(last -> "revision %d, %s".formatted(last.revision(), last.day()))
                        .orElse(""),
                printed.filter(last -> last.revision() < stored.revision()).isPresent(),
                Stream.of(Paper.values())
                        .map(paper -> new Choice(paper.key(), paper.words(), paper == Paper.A4))
                        .toList(),
                Stream.of(Leaf.values())
                        .map(leaf -> new Choice(leaf.key(), leaf.words(), false))
                        .toList());
    }

    /** The page with what was chosen in fields that were refused. */
    FolderPage typed(Map<String, String[]> typed) {
        return new FolderPage(
                show,
                showKey,
                isUsual,
                readers,
                chosen.map(fields -> new Fields(
                        fields.was,
                        fields.name,
                        chosen(fields.roles, typed.get("role")),
                        chosen(fields.gets, typed.get("gets")),
                        chosen(fields.boards, typed.get("boards")),
                        chosen(fields.ears, typed.get("ears")))),
                numbers,
                printed,
                isOlder,
                papers,
                leaves);
    }

    private static List<Choice> chosen(List<Choice> choices, String @Nullable [] keys) {
        List<String> wanted = keys == null ? List.of() : List.of(keys);
        return choices.stream()
                .map(choice -> new Choice(choice.key(), choice.words(), wanted.contains(choice.key())))
                .toList();
    }

    private static ReaderRow row(Plan plan, Reader reader, String wanted) {
        return new ReaderRow(
                reader.name().text(),
                reader.role().words(),
                String.join("; ", reader.leaves().stream().map(Leaf::words).toList()),
                String.join(
                        ", ",
                        reader.boards().stream()
                                .map(board -> plan.rig().name(board).text())
                                .toList()),
                reader.ears().map(ears -> plan.rig().name(ears).text()).orElse(""),
                reader.name().text().equals(wanted));
    }

    private static Fields fields(Plan plan, Reader reader, String was) {
        return new Fields(
                was,
                was.isEmpty() ? "" : reader.name().text(),
                Stream.of(Role.values())
                        .map(role -> new Choice(role.name(), role.words(), role == reader.role()))
                        .toList(),
                Stream.of(Leaf.values())
                        .map(leaf -> new Choice(
                                leaf.name(), leaf.words(), reader.leaves().contains(leaf)))
                        .toList(),
                plan.boards().stream()
                        .filter(board -> !plan.switches().of(board).isEmpty())
                        .map(board -> new Choice(
                                board.text(),
                                plan.rig().name(board).text(),
                                reader.boards().contains(board)))
                        .toList(),
                ears(plan, reader));
    }

    private static List<Choice> ears(Plan plan, Reader reader) {
        List<Choice> choices = new ArrayList<>();
        choices.add(new Choice("", "none of their own", reader.ears().isEmpty()));
        List<String> heard = new SoundPaths(plan.rig())
                .listeners().stream()
                        .flatMap(listener -> listener.device().stream())
                        .map(Object::toString)
                        .toList();
        plan.rig().devices().stream()
                .map(Device::id)
                .filter(id -> heard.contains(id.text()))
                .forEach(id -> choices.add(new Choice(
                        id.text(),
                        plan.rig().name(id).text(),
                        reader.ears().filter(id::equals).isPresent())));
        return choices;
    }
}
