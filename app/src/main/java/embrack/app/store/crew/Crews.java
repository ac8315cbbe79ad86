package embrack.app.store.crew;

import embrack.core.crew.Role;
import embrack.core.edit.Refused;
import embrack.core.name.TapeLabel;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Crews, who belongs to them, and who is invited. */
@Service
public class Crews {

    /** As many days as an invitation holds at most. */
    public static final int MOST_DAYS = 30;

    private static final int LONGEST_NOTE = 100;

    private final CrewMapper mapper;
    private final Accounts accounts;
    private final ApplicationEventPublisher events;

    Crews(CrewMapper mapper, Accounts accounts, ApplicationEventPublisher events) {
        this.mapper = mapper;
        this.accounts = accounts;
        this.events = events;
    }

    /** What a crew is called. */
    public String name(CrewId crew) {
        return mapper.name(crew.number()).orElseThrow(Crews::gone);
    }

    /** A new crew, led by who makes it. */
    @Transactional
    public CrewId create(String name, AccountId lead) {
        TapeLabel label = Refused.at("crew", () -> TapeLabel.parse(name));
        CrewId made = new CrewId(mapper.create(label.text()));
        mapper.join(made.number(), lead.number(), Role.LEAD.key());
        return made;
    }

    /** Another name for a crew. */
    public void rename(CrewId crew, String name) {
        TapeLabel label = Refused.at("crew", () -> TapeLabel.parse(name));
        if (mapper.rename(crew.number(), label.text()) == 0) {
            throw gone();
        }
    }

    /** Who belongs to a crew, by name. */
    public List<Member> members(CrewId crew) {
        return mapper.members(crew.number()).stream()
                .flatMap(row -> Role.of(row.role())
                        .map(role -> new Member(new AccountId(row.account()), row.name(), role, row.since()))
                        .stream())
                .toList();
    }

    /**
     * Makes somebody of a crew something else in it.
     *
     * @throws Refused when they do not belong to it, or nobody would lead it
     */
    @Transactional
    public void appoint(CrewId crew, AccountId account, Role role) {
        hold(crew);
        if (role != Role.LEAD) {
            checkLed(crew, account);
        }
        changed(mapper.appoint(crew.number(), account.number(), role.key()));
    }

    /**
     * Somebody leaves a crew.
     *
     * @throws Refused when they do not belong to it, or nobody would lead it
     */
    @Transactional
    public void leave(CrewId crew, AccountId account) {
        hold(crew);
        checkLed(crew, account);
        changed(mapper.leave(crew.number(), account.number()));
    }

    private void changed(int rows) {
        if (rows == 0) {
            throw new Refused("member", Because.of("no.member-gone"));
        }
        events.publishEvent(new DoorsMoved());
    }

    private void checkLed(CrewId crew, AccountId account) {
        if (mapper.otherLeads(crew.number(), account.number()) == 0) {
            throw new Refused("member", Because.of("no.last-lead"));
        }
    }

    /**
     * Invites somebody.
     *
     * @param note for whom it is, for those who look at the list
     * @param days how long it holds
     * @return what its link ends with, which is kept nowhere
     * @throws Refused when it would hold for no or too long a time
     */
    public String invite(CrewId crew, Role role, String note, String by, int days) {
        if (days < 1 || days > MOST_DAYS) {
            throw new Refused("days", Because.of("no.days").with("most", MOST_DAYS));
        }
        String about = note.strip();
        if (about.length() > LONGEST_NOTE) {
            throw new Refused("note", Because.of("no.note").with("most", LONGEST_NOTE));
        }
        String secret = Secret.next();
        mapper.invite(crew.number(), role.key(), Secret.hash(secret), about, by, days);
        return secret;
    }

    /** Invitations that nobody used yet. */
    public List<Invitation> invitations(CrewId crew) {
        return mapper.invitations(crew.number()).stream()
                .flatMap(row -> invitation(row).stream())
                .toList();
    }

    /** The invitation of a link, while it holds. */
    public Optional<Invitation> invitation(String secret) {
        return mapper.invitation(Secret.hash(secret)).flatMap(Crews::invitation);
    }

    /** Takes an invitation back. */
    public void end(CrewId crew, long invitation) {
        mapper.end(crew.number(), invitation);
    }

    /**
     * Somebody joins by an invitation, which is used up.
     *
     * @param who makes sure of who joins, in the same transaction
     * @throws Refused when the invitation holds no more
     */
    @Transactional
    public Joined join(String secret, Supplier<AccountId> who) {
        Invitation invitation =
                invitation(secret).orElseThrow(() -> new Refused("invitation", Because.of("no.invitation")));
        AccountId account = who.get();
        if (mapper.use(Secret.hash(secret), account.number()) == 0) {
            throw new Refused("invitation", Because.of("no.invitation"));
        }
        mapper.join(
                invitation.crew().number(), account.number(), invitation.role().key());
        return new Joined(account, invitation.crew());
    }

    /** Somebody joins by an invitation with a new account. */
    @Transactional
    public Joined joinAnew(String secret, String name, String password) {
        return join(secret, () -> accounts.create(name, password));
    }

    /** Who joined, and what. */
    public record Joined(AccountId account, CrewId crew) {}

    private void hold(CrewId crew) {
        mapper.lock(crew.number()).orElseThrow(Crews::gone);
    }

    private static Optional<Invitation> invitation(CrewMapper.Invited row) {
        return Role.of(row.role())
                .map(role -> new Invitation(
                        row.id(), new CrewId(row.crew()), row.crewName(), role, row.note(), row.madeBy(), row.until()));
    }

    private static Refused gone() {
        return new Refused("crew", Because.of("no.crew-gone"));
    }
}
