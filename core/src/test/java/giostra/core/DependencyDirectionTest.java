package giostra.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import giostra.core.testing.HouseRules;
import org.junit.jupiter.api.Test;

/** The core is plain Java. */
class DependencyDirectionTest {
  private static final JavaClasses CORE = new ClassFileImporter().importPackages("giostra.core");
  private static final JavaClasses SHIPPED = HouseRules.shipped("giostra.core");

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

  @Test
  void nothingIsWrittenAsTheMachineIsSet() {
    HouseRules.nothingIsWrittenAsTheMachineIsSet().check(SHIPPED);
  }

  @Test
  void noPackagesAreTiedToOneAnother() {
    HouseRules.noPackagesAreTied("giostra.core").check(SHIPPED);
  }
}
