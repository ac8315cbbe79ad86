package embrack.app;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;

/** Starts the web application. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
public class EmbrackApplication {

    public static void main(String[] args) {
        SpringApplication.run(EmbrackApplication.class, args);
    }
}
