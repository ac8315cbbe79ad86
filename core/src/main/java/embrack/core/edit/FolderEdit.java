package embrack.core.edit;

import embrack.core.name.TapeLabel;
import embrack.core.offer.UsualReaders;
import embrack.core.plan.Plan;
import embrack.core.rig.Device;
import embrack.core.rig.DeviceId;
import embrack.core.show.Folder;
import embrack.core.show.Leaf;
import embrack.core.show.Reader;
import embrack.core.show.Role;
import embrack.core.show.Show;
import embrack.core.show.ShowId;
import embrack.core.word.Phrase;
import java.util.Collection;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** What a person can say about the folder that goes to the venue: who reads it, and who gets what. */
public sealed interface FolderEdit extends Edit {

    /**
     * Says what somebody gets, in fields as they were typed; the usual readers are kept from then on.
     *
     * @param reader who it was; empty for one who is added
     * @param boards the ids of what they press
     * @param ears the id of the box that they hear; empty for none
     */
    record Read(
            ShowId show,
            String reader,
            String name,
            Role role,
            Collection<Leaf> gets,
            Collection<String> boards,
            String ears)
            implements FolderEdit {

        @Override
        public Plan apply(Plan plan) {
            TapeLabel label = Typed.label("name", name);
            Reader said =
                    Refused.at("gets", () -> new Reader(label, role, new TreeSet<>(gets), pressed(plan), heard(plan)));
            return change(
                    plan,
                    show,
                    "name",
                    folder -> reader.isEmpty() ? folder.withMore(said) : folder.with(known(folder, reader), said));
        }

        private SortedSet<DeviceId> pressed(Plan plan) {
            return plan.rig().devices().stream()
                    .map(Device::id)
                    .filter(id -> boards.contains(id.text()))
                    .collect(Collectors.toCollection(TreeSet::new));
        }

        private Optional<DeviceId> heard(Plan plan) {
            return plan.rig().devices().stream()
                    .map(Device::id)
                    .filter(id -> id.text().equals(ears))
                    .findFirst();
        }

        @Override
        public Phrase summary(Plan before) {
            return reader.isEmpty()
                    ? Say.of("read-more").with("reader", name.strip())
                    : Say.of("read").with("reader", name.strip());
        }
    }

    /** Takes somebody out of those who get a part of the folder. */
    record ReadNoMore(ShowId show, String reader) implements FolderEdit {
        @Override
        public Plan apply(Plan plan) {
            return change(plan, show, "reader", folder -> {
                Folder less = folder.without(known(folder, reader));
                if (less.readers().isEmpty()) {
                    throw new Refused("reader", Say.of("no.last-reader"));
                }
                return less;
            });
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("read-no-more").with("reader", reader);
        }
    }

    /** Gives everybody what they usually get. */
    record ReadAsUsual(ShowId show) implements FolderEdit {
        @Override
        public Plan apply(Plan plan) {
            Show old = OrderEdit.find(plan, show);
            return plan.withBook(plan.book()
                    .with(old.withFolder(Folder.USUAL.withNumbers(old.folder().numbers()))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("read-as-usual");
        }
    }

    /** Says who is called when something fails; a line each. */
    record Call(ShowId show, String numbers) implements FolderEdit {
        @Override
        public Plan apply(Plan plan) {
            Show old = OrderEdit.find(plan, show);
            return Refused.at(
                    "numbers",
                    () -> plan.withBook(plan.book()
                            .with(old.withFolder(
                                    old.folder().withNumbers(numbers.strip().replace("\r\n", "\n"))))));
        }

        @Override
        public Phrase summary(Plan before) {
            return Say.of("numbers-to-call");
        }
    }

    private static Reader known(Folder folder, String name) {
        return folder.readers().stream()
                .filter(reader -> reader.name().text().equals(name))
                .findFirst()
                .orElseThrow(() -> new Refused("reader", Say.of("no.reader-gone")));
    }

    private static Plan change(Plan plan, ShowId show, String field, UnaryOperator<Folder> change) {
        Show old = OrderEdit.find(plan, show);
        Folder folder = old.folder().withReaders(UsualReaders.or(plan, old.folder()));
        return Refused.at(field, () -> plan.withBook(plan.book().with(old.withFolder(change.apply(folder)))));
    }
}
