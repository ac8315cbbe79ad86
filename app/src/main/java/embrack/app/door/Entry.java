package embrack.app.door;

import embrack.app.store.RigId;
import embrack.app.store.RigStore;
import embrack.app.store.TonightLink;
import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.Membership;
import embrack.app.store.crew.Person;
import embrack.core.crew.Right;
import jakarta.servlet.ServletRequest;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * What whoever asks may do, worked out when it is asked for. Each request has one of its own; pages ask it whether to
 * show what can be pressed.
 */
public final class Entry {

    /** The name by which requests and pages have it. */
    public static final String NAME = "visit";

    private static final Set<Right> ALL = Set.copyOf(EnumSet.allOf(Right.class));

    private final Supplier<Visitor> asks;
    private final Supplier<Optional<TonightLink>> links;
    private final RigStore rigs;
    private final Map<RigId, Set<Right>> known = new HashMap<>();
    private @Nullable Visitor visitor;
    private @Nullable CrewId crew;
    private @Nullable Optional<TonightLink> link;

    /** Whether somebody is let in. */
    enum Answer {

        /** They are. */
        IN,

        /** They would have to sign in first. */
        SIGN_IN,

        /** For them there is no such thing. */
        NOT_THERE,

        /** They see it, but that is for others to do. */
        NOT_THEIRS
    }

    /**
     * Of whoever asks.
     *
     * @param asks who it is, asked once, when it matters
     * @param links the link for tonight that they bring along, asked likewise
     */
    Entry(Supplier<Visitor> asks, Supplier<Optional<TonightLink>> links, RigStore rigs) {
        this.asks = asks;
        this.links = links;
        this.rigs = rigs;
    }

    /** That of a request. */
    public static Entry of(ServletRequest request) {
        if (request.getAttribute(NAME) instanceof Entry entry) {
            return entry;
        }
        throw new IllegalStateException("nobody looked at who asks");
    }

    /** Who asks. */
    public synchronized Visitor visitor() {
        if (visitor == null) {
            // Whoever could not be asked about is nobody for the page that says so.
            visitor = new Visitor.Nobody();
            visitor = asks.get();
        }
        return visitor;
    }

    /** The link for tonight that they bring along, while it holds. */
    public synchronized Optional<TonightLink> link() {
        if (link == null) {
            link = Optional.empty();
            link = links.get();
        }
        return link;
    }

    /** What stands beside what they do. */
    public String name() {
        return visitor() instanceof Visitor.Nobody
                ? link().map(TonightLink::holder).orElse("")
                : visitor().name();
    }

    /** Whether nobody has an account here. */
    public boolean isAlone() {
        return visitor() instanceof Visitor.Alone;
    }

    /** Who is signed in. */
    public Optional<Person> person() {
        return visitor() instanceof Visitor.SignedIn signedIn ? Optional.of(signedIn.person()) : Optional.empty();
    }

    /** The crew that they are at work for. */
    public synchronized CrewId crew() {
        if (crew == null) {
            crew = visitor() instanceof Visitor.SignedIn signedIn ? signedIn.atWork() : CrewId.FIRST;
        }
        return crew;
    }

    /** For this request, they are at work for that crew. */
    synchronized void workFor(CrewId other) {
        crew = other;
    }

    /** What they are to do with the crew at work. */
    public Set<Right> rights() {
        return to(crew());
    }

    /** What they may do to what a crew has as a whole. */
    public Set<Right> to(CrewId crew) {
        return switch (visitor()) {
            case Visitor.Alone alone -> ALL;
            case Visitor.SignedIn signedIn ->
                signedIn.person()
                        .role(crew)
                        .filter(role -> role.seesAll())
                        .map(role -> role.rights())
                        .orElse(Set.of());
            case Visitor.Nobody nobody -> Set.of();
        };
    }

    /** What they may do to a rig; nothing to one that they do not see. */
    public synchronized Set<Right> to(RigId rig) {
        return known.computeIfAbsent(rig, this::rights);
    }

    private Set<Right> rights(RigId rig) {
        return switch (visitor()) {
            case Visitor.Alone alone -> ALL;
            case Visitor.SignedIn signedIn ->
                rigs.crew(rig)
                        .flatMap(crew -> signedIn.person().role(crew))
                        .filter(role -> role.seesAll()
                                || rigs.isShared(rig, signedIn.person().id()))
                        .map(role -> role.rights())
                        .orElse(Set.of());
            case Visitor.Nobody nobody -> Set.of();
        };
    }

    /** Whether they may do something to a rig, wherever they go for it. */
    public boolean may(Right right, RigId rig) {
        return to(rig).contains(right);
    }

    /** Whether they may go to an address. */
    public boolean mayGo(String address) {
        return ask("GET", address) == Answer.IN;
    }

    /** Whether they may send something to an address. */
    public boolean maySend(String address) {
        return ask("POST", address) == Answer.IN;
    }

    Answer ask(String method, String address) {
        int mark = address.indexOf('?');
        String path = mark < 0 ? address : address.substring(0, mark);
        Demand.Asked asked = Demand.of(method, path);
        Right right = asked.demand().right();
        return switch (asked.demand().place()) {
            case ANYWHERE -> Answer.IN;
            case SIGNED_IN -> visitor() instanceof Visitor.Nobody ? Answer.SIGN_IN : Answer.IN;
            case AT_WORK -> answer(right, rights());
            case CREW -> answer(right, number(asked, CrewId::of).map(this::to).orElse(Set.of()));
            case RIG -> {
                Answer answer =
                        answer(right, number(asked, RigId::of).map(this::to).orElse(Set.of()));
                String query = mark < 0 ? "" : address.substring(mark + 1);
                yield answer != Answer.IN && isOpenTonight(Demand.isSent(method), path, query) ? Answer.IN : answer;
            }
        };
    }

    private boolean isOpenTonight(boolean sent, String path, String query) {
        return link().filter(one -> Tonight.opens(one, sent, path, query)).isPresent();
    }

    private Answer answer(Right right, Set<Right> rights) {
        if (rights.contains(right)) {
            return Answer.IN;
        }
        return visitor() instanceof Visitor.Nobody
                ? Answer.SIGN_IN
                : rights.contains(Right.READ) ? Answer.NOT_THEIRS : Answer.NOT_THERE;
    }

    private static <T> Optional<T> number(Demand.Asked asked, Function<String, T> of) {
        try {
            return asked.number().map(of);
        } catch (IllegalArgumentException e) {
            return Optional.empty(); // no number of anything
        }
    }

    /** Tells apart those to whom a page of a rig, or of the models, looks different. */
    public String mark(Optional<RigId> rig) {
        String opened = rig.isEmpty() || !(visitor() instanceof Visitor.Nobody)
                ? ""
                : link().map(TonightLink::toString).orElse("");
        return isAlone()
                ? "alone"
                : "%s %s %s"
                        .formatted(
                                crew(),
                                rig.map(this::to).orElseGet(this::rights).stream()
                                        .sorted()
                                        .toList(),
                                opened);
    }

    /** The names of the crews of whoever asks, for those who have several. */
    public Map<CrewId, String> crews() {
        Map<CrewId, String> names = new HashMap<>();
        person().ifPresent(one -> one.crews().forEach((Membership crew) -> names.put(crew.crew(), crew.name())));
        return names;
    }
}
