package embrack.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;

class LayeringTests {

    private static final List<String> AREAS = List.of("rigs", "models", "numbers", "gear", "wiring", "switches", "songs", "order", "preflight", "demo", "formats", "door");

    private final JavaClasses app = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS).importPackages("embrack.app");

    @Test
    void areasDoNotImportEachOther() {
        assertThat(app.size()).isGreaterThan(50);
        for (String area : AREAS) {
            String[] others = AREAS.stream().filter(a -> !a.equals(area))
                    .map(a -> "embrack.app." + a + "..").toArray(String[]::new);
            noClasses().that().resideInAPackage("embrack.app." + area + "..").should().dependOnClassesThat().resideInAnyPackage(others).check(app);
            noClasses().that().resideInAnyPackage("embrack.app.store..", "embrack.app.frame..").should()
                    .dependOnClassesThat().resideInAPackage("embrack.app." + area + "..").check(app);
        }
    }

    @Test
    void onlyTheStoreKnowsSql() {
        noClasses().that().resideOutsideOfPackage("embrack.app.store..").should().dependOnClassesThat()
                .resideInAnyPackage("java.sql..", "javax.sql..", "org.apache.ibatis..", "org.postgresql..").check(app);
        noClasses().that().resideInAPackage("embrack.app.store..").should().dependOnClassesThat()
                .resideInAnyPackage("org.springframework.web..", "jakarta.servlet..").check(app);
    }

    @Test
    void controllersMappersAndPagesStayInTheirPackage() {
        classes().that().haveSimpleNameEndingWith("Controller").or().haveSimpleNameEndingWith("Mapper").or().haveSimpleNameEndingWith("Page")
                .should().notHaveModifier(JavaModifier.PUBLIC).check(app);
    }
}
