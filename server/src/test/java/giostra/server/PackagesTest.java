package giostra.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** Features stand beside and above one another, and never in a circle. */
class PackagesTest {
  private static final JavaClasses SERVER =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("giostra.server");

  @Test
  void noFeaturesAreTiedToOneAnother() {
    slices().matching("giostra.server.(*)..").should().beFreeOfCycles().check(SERVER);
  }

  @Test
  void nothingIsWrittenAsTheMachineIsSet() {
    noClasses()
        .should()
        .callMethod(String.class, "format", String.class, Object[].class)
        .orShould()
        .callMethod(String.class, "formatted", Object[].class)
        .orShould()
        .callMethod(String.class, "toLowerCase")
        .orShould()
        .callMethod(String.class, "toUpperCase")
        .because("what is written for machines is the same on every machine: Locale.ROOT says so")
        .check(SERVER);
  }
}
