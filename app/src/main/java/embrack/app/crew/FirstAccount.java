package embrack.app.crew;

import embrack.app.frame.Spoken;
import embrack.app.store.crew.Accounts;
import embrack.core.edit.Refused;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.stereotype.Component;

/**
 * Makes the first account where no browser reaches the server on loopback, as in a container: the name is in
 * EMBRACK_FIRST_ACCOUNT, the password is the first line of the input. Says the recovery codes, and ends.
 */
@Component
class FirstAccount implements ApplicationRunner {

    private final Accounts accounts;
    private final ConfigurableApplicationContext application;
    private final String name;

    FirstAccount(
            Accounts accounts,
            ConfigurableApplicationContext application,
            @Value("${embrack.first-account}") String name) {
        this.accounts = accounts;
        this.application = application;
        this.name = name;
    }

    @Override
    public void run(ApplicationArguments arguments) throws IOException {
        if (name.isEmpty()) {
            return;
        }
        List<String> said = made(System.in);
        var out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        said.forEach(out::println);
        boolean isMade = said.size() > 1;
        System.exit(SpringApplication.exit(application, () -> isMade ? 0 : 1));
    }

    /** What is said: the codes a line each with what they are for, or why there is no account. */
    List<String> made(InputStream input) throws IOException {
        var lines = new BufferedReader(new InputStreamReader(input, StandardCharsets.UTF_8));
        String password = Objects.requireNonNullElse(lines.readLine(), "");
        try {
            var first = accounts.first("First crew", name, password);
            List<String> said = new ArrayList<>();
            said.add("Account of %s made. Should the password be lost, each of these codes signs in once:"
                    .formatted(name));
            said.addAll(accounts.newCodes(first));
            return said;
        } catch (Refused refused) {
            return List.of("No account was made. " + Spoken.words().say(refused.phrase()));
        }
    }
}
