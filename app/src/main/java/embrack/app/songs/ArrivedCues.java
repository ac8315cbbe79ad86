package embrack.app.songs;

import embrack.core.name.Words;
import embrack.core.plan.Plan;
import embrack.core.show.Cue;
import embrack.core.show.CueMerge;
import embrack.core.show.CueMerge.How;
import embrack.core.show.Song;
import embrack.files.songs.PlayerText;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Cues that were read from a list and are not kept yet.
 *
 * @param mark by which they are found when they are kept
 * @param remarks what was left out and moved as they were read
 * @param choices how they can be taken
 */
record ArrivedCues(String mark, List<String> remarks, List<Choice> choices) {

    private static final int MOST_LINES = 12;

    ArrivedCues {
        remarks = List.copyOf(remarks);
        choices = List.copyOf(choices);
    }

    /**
     * One way to take them.
     *
     * @param button what its button says
     * @param lines what changes, cue by cue, as far as a page has room
     */
    record Choice(How how, String button, List<String> lines) {}

    /** Those of a list with numbers of its own. */
    static ArrivedCues of(String mark, Plan plan, Song song, List<Cue> cues) {
        return of(mark, plan, song, cues, List.of(), List.of(How.values()));
    }

    /** Those that were pasted from the player: all that it has. */
    static ArrivedCues of(String mark, Plan plan, Song song, PlayerText.Pasted pasted) {
        return of(mark, plan, song, pasted.cues(), firstOf(pasted.remarks()), List.of(How.REPLACE, How.UPDATE));
    }

    private static ArrivedCues of(
            String mark, Plan plan, Song song, List<Cue> cues, List<String> remarks, List<How> ways) {
        return new ArrivedCues(
                mark,
                remarks,
                ways.stream().map(how -> choice(plan, song, cues, how)).toList());
    }

    private static Choice choice(Plan plan, Song song, List<Cue> cues, How how) {
        CueMerge merge = CueMerge.of(song, cues, how);
        List<String> lines = new ArrayList<>();
        merge.changed()
                .forEach(each -> lines.add(
                        "%s, now: %s".formatted(words(plan, song, each.before()), words(plan, song, each.after()))));
        merge.added().forEach(cue -> lines.add("New: " + words(plan, song, cue)));
        merge.gone().forEach(cue -> lines.add("Goes: " + words(plan, song, cue)));
        return new Choice(how, button(merge, how), firstOf(lines));
    }

    /** As many lines as a page has room for, and how many more there are. */
    private static List<String> firstOf(List<String> lines) {
        int more = lines.size() - MOST_LINES;
        if (more <= 1) {
            return lines;
        }
        List<String> shown = new ArrayList<>(lines.subList(0, MOST_LINES));
        shown.add("and %d more".formatted(more));
        return shown;
    }

    private static String button(CueMerge merge, How how) {
        return switch (how) {
            case ADD -> "Add %s as new".formatted(Words.count(merge.added().size(), "cue"));
            case UPDATE ->
                "Update: change %d, add %d"
                        .formatted(merge.changed().size(), merge.added().size());
            case REPLACE ->
                "Replace: change %d, add %d, take out %d"
                        .formatted(
                                merge.changed().size(),
                                merge.added().size(),
                                merge.gone().size());
        };
    }

    private static String words(Plan plan, Song song, Cue cue) {
        return "%s %s"
                .formatted(
                        cue.at().text(song.form().tempoMap()),
                        String.join(
                                ", ",
                                Stream.of(
                                                cue.foot().stream().map(plan::words),
                                                cue.steps().stream().map(plan::words),
                                                cue.raw().stream().map(message -> message.hex()))
                                        .flatMap(all -> all)
                                        .toList()));
    }
}
