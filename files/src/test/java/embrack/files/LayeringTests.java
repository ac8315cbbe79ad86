package embrack.files;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

class LayeringTests {

    @Test
    void filesUseTheCoreAndTheJsonCsvMidiAndXmlLibrariesOnly() {
        JavaClasses files = new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                .importPackages("embrack.files");
        assertThat(files.size()).isGreaterThan(8);
        classes()
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage(
                        "embrack.files..",
                        "embrack.core..",
                        "tools.jackson..",
                        "org.apache.commons.csv..",
                        "biweekly..",
                        "java..",
                        "javax.sound.midi..",
                        "javax.xml..",
                        "org.w3c.dom..",
                        "org.xml.sax..",
                        "org.jspecify..")
                .check(files);
    }
}
