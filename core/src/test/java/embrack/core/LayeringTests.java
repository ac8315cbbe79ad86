package embrack.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;

class LayeringTests {

    /** Each subject may use the ones before it, and no other. */
    private static final List<String> ORDER =
            List.of("name", "text", "midi", "music", "level", "chart", "gear", "rig", "way", "power", "switches", "show", "numbers", "plan", "sim", "place", "loss", "check", "sheet", "effort");

    private final JavaClasses classes = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS).importPackages("embrack.core");

    @Test
    void seesTheWholeCore() {
        assertThat(classes.size()).isGreaterThan(90);
        assertThat(classes).allMatch(c -> ORDER.contains(subject(c.getPackageName())), "in a subject with a place in the order");
    }

    @Test
    void subjectsImportDownwardsOnly() {
        for (int i = 0; i < ORDER.size(); i++) {
            String[] later = ORDER.subList(i + 1, ORDER.size()).stream()
                    .map(subject -> "embrack.core." + subject + "..").toArray(String[]::new);
            if (later.length > 0) {
                noClasses().that().resideInAPackage("embrack.core." + ORDER.get(i) + "..")
                        .should().dependOnClassesThat().resideInAnyPackage(later).check(classes);
            }
        }
    }

    @Test
    void rulesDoNotUseTheCatalogueOrEachOther() {
        noClasses().that().resideInAPackage("embrack.core.check.rule").should().dependOnClassesThat()
                .resideInAnyPackage("embrack.core.check", "embrack.core.check.gear", "embrack.core.check.rig", "embrack.core.check.switches")
                .check(classes);
        slices().matching("embrack.core.check.(*)").should().beFreeOfCycles().check(classes);
    }

    @Test
    void coreKnowsNoFrameworkDatabasePageOrFile() {
        noClasses().should().dependOnClassesThat().resideInAnyPackage("org.springframework..", "java.sql..", "javax.sql..",
                "jakarta..", "tools.jackson..", "com.fasterxml..", "org.apache.ibatis..", "org.thymeleaf..", "java.io.File",
                "java.nio.file..", "java.time..").check(classes);
    }

    private static String subject(String packageName) {
        return packageName.substring("embrack.core.".length()).split("\\.")[0];
    }
}
