package embrack.app.store.crew;

import embrack.app.store.Hand;
import embrack.core.crew.Code;
import embrack.core.crew.Password;
import embrack.core.crew.Role;
import embrack.core.edit.Refused;
import embrack.core.name.TapeLabel;
import java.security.SecureRandom;
import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who can sign in. Until there is one account, nobody has to. */
@Service
public class Accounts {

    /** As many recovery codes as somebody gets at once. */
    public static final int CODES = 8;

    private static final SecureRandom RANDOM = new SecureRandom();

    private final AccountMapper mapper;
    private final CrewMapper crews;
    private final PasswordEncoder passwords;
    private final String nobodys;
    private volatile boolean begun;

    Accounts(AccountMapper mapper, CrewMapper crews, PasswordEncoder passwords) {
        this.mapper = mapper;
        this.crews = crews;
        this.passwords = passwords;
        this.nobodys = String.valueOf(passwords.encode(Secret.next()));
    }

    /** Whether anybody has an account here; once it is so, it stays so. */
    public boolean any() {
        if (!begun) {
            begun = mapper.any();
        }
        return begun;
    }

    /** Somebody as they are now, with their crews; empty when the account is no more. */
    public Optional<Person> find(AccountId id) {
        List<AccountMapper.Row> rows = mapper.person(id.number());
        return rows.stream()
                .findFirst()
                .map(first -> new Person(
                        id,
                        first.name(),
                        rows.stream().flatMap(Accounts::membership).toList()));
    }

    private static Stream<Membership> membership(AccountMapper.Row row) {
        Long crew = row.crew();
        return crew == null
                ? Stream.empty()
                : Role.of(String.valueOf(row.role()))
                        .map(role -> new Membership(new CrewId(crew), String.valueOf(row.crewName()), role))
                        .stream();
    }

    /**
     * The first account: its owner leads the crew that has all that was made before.
     *
     * @throws Refused when there is one already, or the name or password cannot be taken
     */
    @Transactional
    public AccountId first(String crew, String name, String password) {
        mapper.holdTheFirst();
        if (mapper.any()) {
            throw new Refused("name", Because.of("no.already-begun"));
        }
        TapeLabel called = Refused.at("crew", () -> TapeLabel.parse(crew));
        AccountId made = create(name, password);
        crews.rename(CrewId.FIRST.number(), called.text());
        crews.join(CrewId.FIRST.number(), made.number(), Role.LEAD.key());
        return made;
    }

    /**
     * A new account, of no crew yet.
     *
     * @throws Refused when the name or the password cannot be taken
     */
    @Transactional
    public AccountId create(String name, String password) {
        TapeLabel label = Refused.at("name", () -> TapeLabel.parse(name));
        if (folded(label.text()).equals(folded(Hand.SOMEBODY))) {
            throw new Refused("name", Because.of("no.account-taken"));
        }
        checked(password, label.text());
        return mapper.create(label.text(), folded(label.text()), encoded(password))
                .map(AccountId::new)
                .orElseThrow(() -> new Refused("name", Because.of("no.account-taken")));
    }

    /** Who has that name and password; takes as long for a name that nobody has. */
    public Optional<AccountId> known(String name, String password) {
        Optional<AccountMapper.Known> known = mapper.known(folded(name));
        boolean right = passwords.matches(
                clipped(Password.normal(password)),
                known.map(AccountMapper.Known::password).orElse(nobodys));
        return known.filter(account -> right).map(account -> new AccountId(account.id()));
    }

    /**
     * Another password, for who knows the present one.
     *
     * @throws Refused when that is not it, or the new one cannot be taken
     */
    @Transactional
    public void change(Person person, String present, String next) {
        String kept = mapper.password(person.id().number()).orElse(nobodys);
        if (!passwords.matches(clipped(Password.normal(present)), kept)) {
            throw new Refused("present", Because.of("no.password-wrong"));
        }
        checked(next, person.name());
        mapper.change(person.id().number(), encoded(next));
    }

    /**
     * Another password, for who has a recovery code, which is used up.
     *
     * @throws Refused when there is no such name with that code unused, or the password cannot be taken
     */
    @Transactional
    public AccountId recover(String name, String code, String next) {
        checked(next, name);
        String encoded = encoded(next);
        long account = mapper.known(folded(name))
                .map(AccountMapper.Known::id)
                .filter(id -> mapper.useCode(id, Secret.hash(Code.read(code))) == 1)
                .orElseThrow(() -> new Refused("code", Because.of("no.code")));
        mapper.change(account, encoded);
        return new AccountId(account);
    }

    /** New recovery codes in the place of all before; they are shown once and only told from others afterwards. */
    @Transactional
    public List<String> newCodes(AccountId id) {
        mapper.forgetCodes(id.number());
        List<String> codes =
                Stream.generate(() -> Code.next(RANDOM)).limit(CODES).toList();
        codes.forEach(code -> mapper.addCode(id.number(), Secret.hash(Code.read(code))));
        return codes;
    }

    /** How many recovery codes are left. */
    public int codesLeft(AccountId id) {
        return mapper.codesLeft(id.number());
    }

    /** What a name is looked up by, however it is written. */
    static String folded(String name) {
        String tidy = name.strip().replaceAll("[\\s\\u00A0]+", " ");
        return Normalizer.normalize(tidy, Normalizer.Form.NFKC).toLowerCase(Locale.ROOT);
    }

    private String encoded(String password) {
        return String.valueOf(passwords.encode(Password.normal(password)));
    }

    /** No more than a password can have, so that nobody has the server work on books. */
    private static String clipped(String password) {
        return password.length() <= 2 * Password.LONGEST ? password : password.substring(0, 2 * Password.LONGEST);
    }

    private static void checked(String password, String name) {
        Password.flaw(password, name).ifPresent(flaw -> {
            throw new Refused(
                    "password",
                    Because.of("no.password-" + flaw.key())
                            .with("least", Password.SHORTEST)
                            .with("most", Password.LONGEST)
                            .with("has", (int) password.codePoints().count()));
        });
    }
}
