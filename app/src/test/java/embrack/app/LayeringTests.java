package embrack.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.domain.JavaPackage;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.NullMarked;
import org.junit.jupiter.api.Test;

class LayeringTests {

    /** What every area stands on. */
    private static final Set<String> FOUNDATIONS = Set.of("door", "frame", "store");

    private static final JavaClasses APP = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("embrack.app");

    @Test
    void areasDoNotImportEachOther() {
        Set<String> areas = areas();
        assertThat(APP.size()).isGreaterThan(50);
        assertThat(areas).hasSizeGreaterThan(8);
        for (String area : areas) {
            String[] others = areas.stream()
                    .filter(a -> !a.equals(area))
                    .map(LayeringTests::within)
                    .toArray(String[]::new);
            noClasses()
                    .that()
                    .resideInAPackage(within(area))
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(others)
                    .check(APP);
        }
        noClasses()
                .that()
                .resideInAnyPackage(
                        FOUNDATIONS.stream().map(LayeringTests::within).toArray(String[]::new))
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(areas.stream().map(LayeringTests::within).toArray(String[]::new))
                .check(APP);
    }

    @Test
    void everyPackageSaysWhatItIsAndThatNothingInItIsNull() {
        Set<JavaPackage> silent = APP.stream()
                .map(JavaClass::getPackage)
                .filter(p -> !p.isAnnotatedWith(NullMarked.class))
                .collect(Collectors.toSet());
        assertThat(silent).isEmpty();
    }

    /** The packages that are there, but for the foundations. */
    private Set<String> areas() {
        return APP.stream()
                .map(JavaClass::getPackageName)
                .filter(name -> name.startsWith("embrack.app."))
                .map(name -> name.split("\\.")[2])
                .filter(name -> !FOUNDATIONS.contains(name))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static String within(String area) {
        return "embrack.app." + area + "..";
    }

    @Test
    void onlyTheStoreKnowsSql() {
        noClasses()
                .that()
                .resideOutsideOfPackage("embrack.app.store..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("java.sql..", "javax.sql..", "org.apache.ibatis..", "org.postgresql..")
                .check(APP);
        noClasses()
                .that()
                .resideInAPackage("embrack.app.store..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.springframework.web..", "jakarta.servlet..")
                .check(APP);
    }

    @Test
    void controllersMappersAndPagesStayInTheirPackage() {
        classes()
                .that()
                .haveSimpleNameEndingWith("Controller")
                .or()
                .haveSimpleNameEndingWith("Mapper")
                .or()
                .haveSimpleNameEndingWith("Page")
                .should()
                .notHaveModifier(JavaModifier.PUBLIC)
                .check(APP);
    }
}
