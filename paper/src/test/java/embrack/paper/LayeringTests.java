package embrack.paper;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class LayeringTests {

    private static final JavaClasses PAPER = new ClassFileImporter()
            .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
            .importPackages("embrack.paper");

    @Test
    void paperUsesCoreAndFilesAndTheLibrariesThatDraw() {
        assertThat(PAPER.size()).isGreaterThan(8);
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "embrack.paper..",
                        "embrack.files..",
                        "embrack.core..",
                        "org.thymeleaf..",
                        "com.openhtmltopdf..",
                        "com.google.zxing..",
                        "org.apache.fontbox..",
                        "org.apache.pdfbox.io..",
                        "org.eclipse.elk..",
                        "org.eclipse.emf..",
                        "java..",
                        "org.jspecify..")
                .check(PAPER);
    }

    @Test
    void onlyThePrintRoomKnowsTemplatesAndPdf() {
        noClasses()
                .that()
                .resideOutsideOfPackage("embrack.paper.print..")
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("org.thymeleaf..", "com.openhtmltopdf..")
                .check(PAPER);
    }
}
