package embrack.app;

import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.util.TestPropertyValues;
import org.springframework.context.ApplicationContextInitializer;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Import;
import org.springframework.test.context.ContextConfiguration;

/**
 * A test with the whole application where people sign in: on a database of its own, in which Mira leads one crew and
 * Ottoline another ({@link TwoCrews}).
 */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Inherited
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@Import({TwoCrews.class, Knocking.class})
@ContextConfiguration(initializers = CrewTest.OnItsOwnDatabase.class)
public @interface CrewTest {

    /** With it, what the server counts is told. */
    String METRICS_KEY = "counted on the quay";

    /** Points the application to that database. */
    class OnItsOwnDatabase implements ApplicationContextInitializer<ConfigurableApplicationContext> {
        @Override
        public void initialize(ConfigurableApplicationContext context) {
            TestPropertyValues.of(
                            "spring.datasource.url=" + ThrowAwayCluster.shared().url("crews"),
                            "embrack.metrics-key=" + METRICS_KEY)
                    .applyTo(context);
        }
    }
}
