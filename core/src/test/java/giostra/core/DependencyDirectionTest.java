package giostra.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The core is plain Java. */
class DependencyDirectionTest {
  private static final JavaClasses CORE = new ClassFileImporter().importPackages("giostra.core");
  private static final JavaClasses SHIPPED =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("giostra.core");

  @Test
  void theCoreKnowsNoFramework() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("org.springframework..", "org.hibernate..", "jakarta..")
        .because("the core must run, and be tested, without a database or a container")
        .check(CORE);
  }

  @Test
  void onlyTheFormatsKnowJson() {
    noClasses()
        .that()
        .resideOutsideOfPackage("giostra.core.format..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("tools.jackson..")
        .because("the rules work on values, however they travel")
        .check(CORE);
  }

  /** A JDK that is set to Arabic writes other digits, one set to Turkish other small letters. */
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
        .because("the same site compiles to the same bytes on every machine: Locale.ROOT says so")
        .check(SHIPPED);
  }

  @Test
  void noPackagesAreTiedToOneAnother() {
    slices().matching("giostra.core.(*)..").should().beFreeOfCycles().check(SHIPPED);
  }
}
