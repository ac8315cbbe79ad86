package embrack.app.door;

import embrack.app.store.TonightLink;
import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * What links for tonight open: a few addresses of one rig, and nothing beside. A performer does not get the one file,
 * since it carries the whole plan.
 */
public final class Tonight {

    /** The cookie in which a browser keeps the end of a link. */
    public static final String COOKIE = "tonight";

    private static final List<String> FOLDER = List.of(
            "/folder",
            "/folder.pdf",
            "/folder.html",
            "/folder/keep.json",
            "/folder/awake.json",
            "/sheets",
            "/doors",
            "/card",
            "/cues",
            "/changes");
    private static final List<String> STAND = List.of("/run/stand", "/run/live", "/changes");
    private static final List<String> SHOW = List.of("/run", "/cues", "/sheets", "/doors");
    private static final List<String> OF_A_SHOW = List.of("", "/joins", "/keys", "/gear", "/order.csv", "/order.ics");
    private static final List<String> TICKS =
            List.of("/sheets/tick", "/doors/tick", "/folder/ticks", "/folder/ticks/sent");

    private Tonight() {}

    /** Somewhere that a link leads to. */
    public record Place(String words, String href) {}

    /** Where a link leads, to be chosen from. */
    public static List<Place> places(TonightLink link) {
        String rig = "/rigs/" + link.rig();
        List<Place> places = new ArrayList<>();
        switch (link.sort()) {
            case FOLDER -> {
                places.add(new Place("The folder", rig + "/folder"));
                places.add(new Place("Sheets, to tick", rig + "/sheets"));
                places.add(new Place("At doors", rig + "/doors"));
                places.add(new Place("Cue sheets", rig + "/cues"));
            }
            case PERFORMER -> {
                places.add(new Place("On the stand, while it is played", rig + "/run/stand"));
                String reader = "?reader=" + URLEncoder.encode(link.about(), StandardCharsets.UTF_8);
                places.add(new Place("Your pages, to print", rig + "/folder.pdf" + reader));
            }
            case SHOW -> {
                places.add(new Place("The order", rig + "/order/" + link.about()));
                places.add(new Place("On the stand, while it is played", rig + "/run/stand"));
                places.add(new Place("Joins", rig + "/order/" + link.about() + "/joins"));
                places.add(new Place("Cue sheets", rig + "/cues"));
                places.add(new Place("At doors", rig + "/doors"));
            }
        }
        return List.copyOf(places);
    }

    /**
     * Whether a link opens an address.
     *
     * @param sent whether something is sent there
     * @param path without the query
     * @param query as it was sent; empty without one
     */
    static boolean opens(TonightLink link, boolean sent, String path, String query) {
        String rig = "/rigs/" + link.rig();
        if (!path.startsWith(rig + "/")) {
            return false;
        }
        String rest = path.substring(rig.length());
        if (sent) {
            return link.ticks() && TICKS.contains(rest) && link.sort() != TonightLink.Sort.PERFORMER;
        }
        return switch (link.sort()) {
            case FOLDER -> FOLDER.contains(rest);
            case PERFORMER -> STAND.contains(rest) || rest.equals("/folder.pdf") && isFor(link.about(), query);
            case SHOW ->
                STAND.contains(rest)
                        || SHOW.contains(rest)
                        || OF_A_SHOW.stream().anyMatch(end -> rest.equals("/order/" + link.about() + end));
        };
    }

    /** Whether a query names that reader, once, and nobody beside. */
    private static boolean isFor(String reader, String query) {
        List<String> readers = Stream.of(query.split(Pattern.quote("&")))
                .map(part -> part.split("=", 2))
                .filter(part -> decoded(part[0]).equals("reader"))
                .map(part -> part.length > 1 ? decoded(part[1]) : "")
                .toList();
        return readers.equals(List.of(reader));
    }

    private static String decoded(String text) {
        try {
            return URLDecoder.decode(text, StandardCharsets.UTF_8);
        } catch (IllegalArgumentException e) {
            return "";
        }
    }
}
