package embrack.app.songs;

import java.util.List;
import java.util.Optional;
import org.springframework.web.util.UriComponentsBuilder;

/**
 * How a person looks at a prompt page.
 *
 * @param zoom 0 for the whole song, 1 to 6 nearer
 * @param cue the number of the chosen cue, 0 for none
 * @param grid ticks that cues snap to; 0 for the millisecond
 * @param at where a new cue would be, as it is typed
 * @param on the id of the device of which a new cue would be
 * @param find what is searched for
 */
record PromptLook(int zoom, int cue, int grid, String at, String on, String find) {

    static final int NEAREST = 6;
    static final int QUARTER = 960;

    /** What cues can snap to. */
    record Grid(int ticks, String words) {

        static final List<Grid> ALL = List.of(
                new Grid(30_720, "bar"),
                new Grid(QUARTER, "quarter"),
                new Grid(480, "eighth"),
                new Grid(320, "triplet"),
                new Grid(240, "sixteenth"),
                new Grid(0, "millisecond"));
    }

    PromptLook {
        zoom = Math.clamp(zoom, 0, NEAREST);
        int wanted = grid;
        grid = Grid.ALL.stream().anyMatch(g -> g.ticks() == wanted) ? wanted : QUARTER;
    }

    static PromptLook plain() {
        return new PromptLook(0, 0, QUARTER, "", "", "");
    }

    PromptLook atZoom(int other) {
        return new PromptLook(other, cue, grid, at, on, find);
    }

    PromptLook withCue(int other) {
        return new PromptLook(zoom, other, grid, "", "", "");
    }

    PromptLook withGrid(int other) {
        return new PromptLook(zoom, cue, other, at, on, find);
    }

    Optional<Integer> chosen() {
        return cue > 0 ? Optional.of(cue) : Optional.empty();
    }

    /** The link that shows it, behind the path of the song. */
    String query() {
        UriComponentsBuilder query = UriComponentsBuilder.newInstance();
        if (zoom > 0) {
            query.queryParam("zoom", zoom);
        }
        if (cue > 0) {
            query.queryParam("cue", cue);
        }
        if (grid != QUARTER) {
            query.queryParam("grid", grid);
        }
        return query.build().toUriString();
    }
}
