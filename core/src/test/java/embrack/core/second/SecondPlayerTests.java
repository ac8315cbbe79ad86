package embrack.core.second;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import org.junit.jupiter.api.Test;

/** The engine against a second player, on random rigs of at most three boxes behind a board, event by event. */
class SecondPlayerTests {

    private static final int RIGS = Integer.getInteger("embrack.rigs", 300);

    @Test
    void theEngineAndASecondPlayerPlayTheSame() {
        for (int seed = 0; seed < RIGS; seed++) {
            assertThat(Duel.difference(seed)).as("rig " + seed).isEmpty();
        }
    }

    @Test
    void theSecondPlayerKnowsNothingOfTheEngine() {
        classes()
                .that()
                .haveSimpleNameStartingWith("SecondPlayer")
                .and()
                .haveSimpleNameNotContaining("Tests")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("java..", "embrack.core.chart", "embrack.core.midi", "embrack.core.second")
                .check(new ClassFileImporter().importPackages("embrack.core.second"));
    }
}
