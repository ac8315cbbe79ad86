package embrack.app.crew;

import embrack.app.store.StoredRig;
import embrack.app.store.TonightLink;
import embrack.core.offer.UsualReaders;
import embrack.core.plan.Plan;
import embrack.core.show.Folder;
import embrack.core.show.Show;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.List;

/**
 * The links for tonight of a rig.
 *
 * @param path where its forms are sent
 * @param isAlone whether nobody has an account, so that there are no links
 */
record LinksPage(String path, boolean isAlone, List<Row> rows, List<Choice> choices) {

    /** A link that holds. */
    record Row(long number, String what, String note, boolean ticks, String by, OffsetDateTime until) {}

    /**
     * Something that a link can show.
     *
     * @param key what a form sends for it
     */
    record Choice(String key, String words, TonightLink.Sort sort, String about) {}

    static LinksPage of(StoredRig stored, List<TonightLink> links, boolean isAlone) {
        List<Choice> choices = choices(stored.plan());
        return new LinksPage(
                "/rigs/%s/links".formatted(stored.id()),
                isAlone,
                links.stream()
                        .map(link -> new Row(
                                link.id(),
                                choices.stream()
                                        .filter(choice -> choice.sort() == link.sort()
                                                && choice.about().equals(link.about()))
                                        .map(Choice::words)
                                        .findFirst()
                                        .orElse("something that is no longer there"),
                                link.note(),
                                link.ticks(),
                                link.madeBy(),
                                link.until()))
                        .toList(),
                choices);
    }

    /** What links to a plan can show: the folder, what each reader gets, each show. */
    static List<Choice> choices(Plan plan) {
        List<Choice> choices = new ArrayList<>();
        choices.add(new Choice("folder", "the whole folder", TonightLink.Sort.FOLDER, ""));
        plan.book().shows().forEach(show -> {
            String key = show.id().text();
            choices.add(new Choice("show-" + key, show.name().text(), TonightLink.Sort.SHOW, key));
        });
        UsualReaders.or(plan, plan.book().tonight().map(Show::folder).orElse(Folder.USUAL))
                .forEach(reader -> {
                    String name = reader.name().text();
                    choices.add(new Choice(
                            "performer-" + name,
                            "pages of %s, and the stand".formatted(name),
                            TonightLink.Sort.PERFORMER,
                            name));
                });
        return List.copyOf(choices);
    }
}
