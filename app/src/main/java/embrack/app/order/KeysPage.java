package embrack.app.order;

import embrack.core.music.Key;
import embrack.core.offer.EveningKeys;
import embrack.core.offer.EveningKeys.Proposal;
import embrack.core.plan.Plan;
import embrack.core.show.Show;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Keys for the songs of a show.
 *
 * @param limits the semitones that can be allowed
 * @param jumps how many neighbours are not related as proposed, a sentence
 */
record KeysPage(String show, String path, List<Limit> limits, int limit, List<Song> songs, String jumps) {

    /** A limit to choose. */
    record Limit(int semitones, String words, boolean isChosen) {}

    /**
     * A song.
     *
     * @param shift from the key that it is prepared in, "\u22122"; "as prepared" for none
     * @param isChange whether the proposal is another key than tonight's
     */
    record Song(
            int part,
            String title,
            String prepared,
            String now,
            String proposed,
            String shift,
            boolean isRelated,
            boolean isChange) {}

    static KeysPage of(Plan plan, Show show, String typed) {
        int limit = typed.matches("[0-6]") ? Integer.parseInt(typed) : EveningKeys.USUAL;
        List<Proposal> proposals = EveningKeys.of(plan.book(), show, limit);
        long apart =
                proposals.stream().filter(proposal -> !proposal.isRelated()).count();
        return new KeysPage(
                show.name().text(),
                "/order/" + show.id(),
                IntStream.rangeClosed(0, EveningKeys.MOST)
                        .mapToObj(n -> new Limit(n, n == 0 ? "none" : "%d either way".formatted(n), n == limit))
                        .toList(),
                limit,
                proposals.stream().map(KeysPage::song).toList(),
                apart == 0
                        ? "All neighbours are related."
                        : "%d of %d neighbours are not related within this limit."
                                .formatted(apart, proposals.size() - 1));
    }

    private static Song song(Proposal proposal) {
        return new Song(
                proposal.entry().number(),
                proposal.entry().name().text(),
                proposal.prepared().toString(),
                proposal.now().toString(),
                proposal.proposed().toString(),
                proposal.semitones() == 0 ? "as prepared" : Key.words(List.of(proposal.semitones())),
                proposal.isRelated(),
                proposal.isChange());
    }
}
