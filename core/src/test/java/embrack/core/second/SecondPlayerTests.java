package embrack.core.second;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** The engine against a second player, on random rigs of at most three boxes behind a board, event by event. */
class SecondPlayerTests {

    private static final int RIGS = Integer.getInteger("embrack.rigs", 300);

    /** Rigs in which the two once parted. */
    private static final int[] ONCE_PARTED = {1342, 1784, 2017, 4593, 7680};

    @Test
    void theEngineAndASecondPlayerPlayTheSame() {
        for (int seed = 0; seed < RIGS; seed++) {
            assertThat(Duel.difference(seed)).as("rig " + seed).isEmpty();
        }
    }

    /** Every state of small rigs: the same gestures fail at the same places, in stories of the same length. */
    @Test
    void theProofAndAPlainSearchFindTheSameStories() {
        int searched = 0;
        int broken = 0;
        for (int seed : IntStream.concat(IntStream.range(0, RIGS), IntStream.of(ONCE_PARTED))
                .toArray()) {
            StatesDuel.Result result = StatesDuel.of(seed);
            assertThat(result.difference()).as("rig " + seed).isEmpty();
            searched += result.searched() ? 1 : 0;
            broken += result.broken();
        }
        assertThat(searched).as("rigs small enough").isGreaterThan(RIGS / 4);
        assertThat(broken).as("stories").isGreaterThan(RIGS / 2);
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
