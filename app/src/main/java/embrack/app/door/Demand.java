package embrack.app.door;

import embrack.core.crew.Right;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.server.PathContainer;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;

/**
 * What an address asks of whoever goes there. Reading is what a page of a rig asks for, editing is what anything sent
 * to it asks for; what differs stands in the lines here, and what stands nowhere asks for an account.
 *
 * @param place to what the right is needed
 * @param right which one
 */
record Demand(Place place, Right right) {

    /** To what somebody needs a right. */
    enum Place {

        /** To nothing: anybody may go there. */
        ANYWHERE,

        /** To nothing in particular, but whoever goes there is known. */
        SIGNED_IN,

        /** To the crew that they are at work for. */
        AT_WORK,

        /** To the crew of the address. */
        CREW,

        /** To the rig of the address. */
        RIG
    }

    private static final PathPatternParser PARSER = new PathPatternParser();
    private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");

    /** The one way in which pages send; who leads may learn that there is no other. */
    private static final String POST = "POST";

    private record Line(boolean sent, PathPattern pattern, Demand demand) {}

    private static final List<Line> LINES = List.of(
            // What pages are made of: the number of the build may stand before it.
            got("/{file:[a-z0-9-]+\\.(?:css|js|svg|png|ico|webmanifest|txt)}", Place.ANYWHERE, Right.READ),
            got("/{build:[0-9a-f]{16}}/**", Place.ANYWHERE, Right.READ),
            got("/fonts/**", Place.ANYWHERE, Right.READ),
            got("/pictures/**", Place.ANYWHERE, Right.READ),
            got("/webjars/**", Place.ANYWHERE, Right.READ),
            got("/schema/**", Place.ANYWHERE, Right.READ),
            got("/actuator/health/**", Place.ANYWHERE, Right.READ),
            // What belongs to nobody.
            got("/handbook/**", Place.ANYWHERE, Right.READ),
            got("/numbers", Place.ANYWHERE, Right.READ),
            got("/kept", Place.ANYWHERE, Right.READ),
            // Ways in.
            got("/door", Place.ANYWHERE, Right.READ),
            sent("/door", Place.ANYWHERE, Right.READ),
            got("/sign-in/**", Place.ANYWHERE, Right.READ),
            sent("/sign-in/**", Place.ANYWHERE, Right.READ),
            sent("/sign-out", Place.ANYWHERE, Right.READ),
            got("/tonight/**", Place.ANYWHERE, Right.READ),
            got("/join/{secret}", Place.ANYWHERE, Right.READ),
            sent("/join/{secret}", Place.ANYWHERE, Right.READ),
            // Crews.
            sent("/crews/{crew}/work", Place.CREW, Right.READ),
            sent("/crews/{crew}/shared/**", Place.CREW, Right.EDIT),
            got("/share/{secret}", Place.SIGNED_IN, Right.READ),
            sent("/share/{secret}", Place.SIGNED_IN, Right.READ),
            got("/crews/{crew}/everything.zip", Place.CREW, Right.LEAD),
            got("/crews/{crew}/**", Place.CREW, Right.READ),
            sent("/crews/{crew}/**", Place.CREW, Right.LEAD),
            // Rigs as a whole, and models: those of the crew at work.
            sent("/rigs", Place.AT_WORK, Right.EDIT),
            sent("/rigs/import", Place.AT_WORK, Right.EDIT),
            sent("/model-files", Place.AT_WORK, Right.EDIT),
            got("/models/**", Place.AT_WORK, Right.READ),
            sent("/models/**", Place.AT_WORK, Right.EDIT),
            sent("/rigs/{rig}/delete", Place.RIG, Right.LEAD),
            sent("/rigs/{rig}/restore", Place.RIG, Right.LEAD),
            // Every page that is open says so.
            sent("/rigs/{rig}/here", Place.RIG, Right.READ),
            // What a player does.
            sent("/rigs/{rig}/sheets/tick", Place.RIG, Right.TICK),
            sent("/rigs/{rig}/doors/tick", Place.RIG, Right.TICK),
            sent("/rigs/{rig}/doors/heard", Place.RIG, Right.TICK),
            sent("/rigs/{rig}/folder/ticks", Place.RIG, Right.TICK),
            sent("/rigs/{rig}/folder/all", Place.RIG, Right.PLAY),
            sent("/rigs/{rig}/folder/ticks/sent", Place.RIG, Right.TICK),
            sent("/rigs/{rig}/switches/trial/**", Place.RIG, Right.PLAY),
            sent("/rigs/{rig}/run/faults/rates", Place.RIG, Right.EDIT),
            sent("/rigs/{rig}/run/**", Place.RIG, Right.PLAY),
            sent("/rigs/{rig}/log/{entry}/notes", Place.RIG, Right.NOTE),
            sent("/rigs/{rig}/notes/**", Place.RIG, Right.NOTE),
            // Who has links for tonight is not for all.
            got("/rigs/{rig}/links", Place.RIG, Right.EDIT),
            got("/rigs/{rig}/songs/{song}/copy", Place.RIG, Right.EDIT),
            // Lines over which messages go to boxes, simulated or real.
            got("/rigs/{rig}/line/simulated/ports", Place.RIG, Right.EDIT),
            got("/rigs/{rig}/line/send/own/ports", Place.RIG, Right.EDIT),
            got("/rigs/{rig}/**", Place.RIG, Right.READ),
            sent("/rigs/{rig}/**", Place.RIG, Right.EDIT));

    /** What is asked for, with the number that stands in the address, if one does. */
    record Asked(Demand demand, Optional<String> number) {}

    private static Line got(String pattern, Place place, Right right) {
        return new Line(false, PARSER.parse(pattern), new Demand(place, right));
    }

    private static Line sent(String pattern, Place place, Right right) {
        return new Line(true, PARSER.parse(pattern), new Demand(place, right));
    }

    /**
     * What an address asks for; the first line that fits counts.
     *
     * @param path without its query, as it was sent
     */
    static Asked of(String method, String path) {
        PathContainer parsed = PathContainer.parsePath(path);
        boolean sent = isSent(method);
        for (Line line : LINES) {
            PathPattern.PathMatchInfo found =
                    line.sent() == sent ? line.pattern().matchAndExtract(parsed) : null;
            if (found != null) {
                Demand demand = line.demand();
                return new Asked(
                        sent && !method.equals(POST) ? new Demand(demand.place(), Right.LEAD) : demand,
                        number(demand.place(), found.getUriVariables()));
            }
        }
        return new Asked(new Demand(Place.SIGNED_IN, sent ? Right.EDIT : Right.READ), Optional.empty());
    }

    /** Whether a method sends something, and does not only ask. */
    static boolean isSent(String method) {
        return !READS.contains(method);
    }

    /** Whether anybody may go there, signed in or not. */
    static boolean isForAnybody(String method, String path) {
        return of(method, path).demand().place() == Place.ANYWHERE;
    }

    private static Optional<String> number(Place place, Map<String, String> variables) {
        return switch (place) {
            case RIG -> Optional.ofNullable(variables.get("rig"));
            case CREW -> Optional.ofNullable(variables.get("crew"));
            case ANYWHERE, SIGNED_IN, AT_WORK -> Optional.empty();
        };
    }
}
