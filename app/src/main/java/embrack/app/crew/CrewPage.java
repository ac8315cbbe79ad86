package embrack.app.crew;

import embrack.app.door.Entry;
import embrack.app.store.RigEntry;
import embrack.app.store.RigId;
import embrack.app.store.crew.AccountId;
import embrack.app.store.crew.CrewId;
import embrack.app.store.crew.Invitation;
import embrack.app.store.crew.Member;
import embrack.core.crew.Role;
import embrack.core.name.Words;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.function.BiPredicate;
import java.util.stream.Stream;

/**
 * A crew as its page shows it.
 *
 * @param path where its forms are sent
 * @param others other crews of whoever looks
 */
record CrewPage(
        String path,
        String name,
        List<Row> members,
        List<Invited> invitations,
        List<Choice> roles,
        List<Other> others,
        String facts) {

    /** Something that can be chosen. */
    record Choice(String key, String words, boolean isChosen) {}

    /**
     * Somebody of the crew.
     *
     * @param shared what a guest sees; empty for all others, who see all
     */
    record Row(
            String path,
            String name,
            boolean isYou,
            String role,
            String does,
            OffsetDateTime since,
            List<Choice> roles,
            List<Choice> shared) {}

    /** Somebody who has not come yet. */
    record Invited(long number, String role, String note, String by, OffsetDateTime until) {}

    /** Another crew. */
    record Other(String href, String name, String role) {}

    static CrewPage of(
            CrewId crew,
            String name,
            Entry entry,
            List<Member> members,
            List<Invitation> invitations,
            List<RigEntry> rigs,
            BiPredicate<RigId, AccountId> isShared) {
        String path = "/crews/" + crew;
        return new CrewPage(
                path,
                name,
                members.stream()
                        .map(member -> row(path, member, entry, rigs, isShared))
                        .toList(),
                invitations.stream()
                        .map(one -> new Invited(one.id(), one.role().key(), one.note(), one.madeBy(), one.until()))
                        .toList(),
                roles(Role.PLAYER),
                entry.person().stream()
                        .flatMap(person -> person.crews().stream())
                        .filter(one -> !one.crew().equals(crew))
                        .map(one -> new Other(
                                "/crews/" + one.crew(), one.name(), one.role().key()))
                        .toList(),
                "%s, %s".formatted(Words.count(members.size(), "member"), Words.count(rigs.size(), "rig")));
    }

    private static Row row(
            String path, Member member, Entry entry, List<RigEntry> rigs, BiPredicate<RigId, AccountId> isShared) {
        return new Row(
                path + "/members/" + member.account(),
                member.name(),
                entry.person()
                        .filter(person -> person.id().equals(member.account()))
                        .isPresent(),
                member.role().key(),
                member.role().words(),
                member.since(),
                roles(member.role()),
                member.role() != Role.GUEST
                        ? List.of()
                        : rigs.stream()
                                .map(rig -> new Choice(
                                        String.valueOf(rig.id()),
                                        rig.name(),
                                        isShared.test(rig.id(), member.account())))
                                .toList());
    }

    private static List<Choice> roles(Role chosen) {
        return Stream.of(Role.values())
                .map(role -> new Choice(role.key(), "%s: %s".formatted(role.key(), role.words()), role == chosen))
                .toList();
    }
}
