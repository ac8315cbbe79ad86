package embrack.core;

import static com.tngtech.archunit.core.domain.JavaAccess.Predicates.target;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.name;
import static com.tngtech.archunit.core.domain.properties.HasName.Predicates.nameMatching;
import static com.tngtech.archunit.core.domain.properties.HasOwner.Predicates.With.owner;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaPackage;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.NullMarked;
import org.junit.jupiter.api.Test;

class LayeringTests {

    /** A row of the table of packages: | `core.midi` | ... */
    private static final Pattern ROW = Pattern.compile("^\\| `core\\.([a-z]+)` \\|", Pattern.MULTILINE);

    /** Each subject may use the ones before it in the table of packages in docs/architecture.md, and no other. */
    private final List<String> order =
            ROW.matcher(architecture()).results().map(row -> row.group(1)).toList();

    private static final JavaClasses CLASSES = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("embrack.core");

    @Test
    void everySubjectStandsInTheTableOfPackagesAndNoOther() {
        assertThat(CLASSES.size()).isGreaterThan(90);
        assertThat(order)
                .containsExactlyInAnyOrderElementsOf(
                        CLASSES.stream().map(c -> subject(c.getPackageName())).collect(Collectors.toSet()));
    }

    @Test
    void subjectsImportUpwardsInTheTableOnly() {
        for (int i = 0; i + 1 < order.size(); i++) {
            String[] later = order.subList(i + 1, order.size()).stream()
                    .map(subject -> "embrack.core." + subject + "..")
                    .toArray(String[]::new);
            noClasses()
                    .that()
                    .resideInAPackage("embrack.core." + order.get(i) + "..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(later)
                    .check(CLASSES);
        }
    }

    @Test
    void everyPackageSaysWhatItIsAndThatNothingInItIsNull() {
        Set<JavaPackage> silent = CLASSES.stream()
                .map(JavaClass::getPackage)
                .filter(p -> !p.isAnnotatedWith(NullMarked.class))
                .collect(Collectors.toSet());
        assertThat(silent).isEmpty();
    }

    @Test
    void packagesOfRulesUseNeitherTheCatalogueNorEachOther() {
        Set<String> rules = CLASSES.stream()
                .map(JavaClass::getPackageName)
                .filter(name -> name.startsWith("embrack.core.check."))
                .collect(Collectors.toSet());
        assertThat(rules).hasSizeGreaterThan(8).contains("embrack.core.check.rule");
        noClasses()
                .that()
                .resideInAPackage("embrack.core.check.rule")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(rules.stream()
                        .filter(name -> !name.equals("embrack.core.check.rule"))
                        .toArray(String[]::new))
                .check(CLASSES);
        noClasses()
                .that()
                .resideInAnyPackage(rules.toArray(String[]::new))
                .should()
                .dependOnClassesThat()
                .resideInAPackage("embrack.core.check")
                .check(CLASSES);
        slices().matching("embrack.core.check.(*)").should().beFreeOfCycles().check(CLASSES);
    }

    @Test
    void coreKnowsNoFrameworkDatabasePageOrFile() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "org.springframework..",
                        "java.sql..",
                        "javax.sql..",
                        "jakarta..",
                        "tools.jackson..",
                        "com.fasterxml..",
                        "org.apache.ibatis..",
                        "org.thymeleaf..",
                        "java.nio.file..")
                .orShould()
                .dependOnClassesThat()
                .belongToAnyOf(java.io.File.class)
                .check(CLASSES);
    }

    /** Dates and times are values; what time it is now is for those who call. */
    @Test
    void coreHasNoClock() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .belongToAnyOf(java.time.Clock.class, java.time.InstantSource.class)
                .orShould()
                .callMethodWhere(target(name("now")).and(target(owner(resideInAPackage("java.time..")))))
                .orShould()
                .callMethodWhere(target(nameMatching("currentTimeMillis|nanoTime")))
                .check(CLASSES);
    }

    private static String architecture() {
        try {
            return Files.readString(Path.of("../docs/architecture.md"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String subject(String packageName) {
        return packageName.substring("embrack.core.".length()).split("\\.")[0];
    }
}
