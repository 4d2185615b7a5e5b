package giostra.core.testing;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.lang.ArchRule;

/** What holds in every module. */
public final class HouseRules {
  private HouseRules() {}

  /** The classes of a package that ship, those of tests left out. */
  public static JavaClasses shipped(String below) {
    return new ClassFileImporter()
        .withImportOption(new ImportOption.DoNotIncludeTests())
        .importPackages(below);
  }

  /** A JDK that is set to Arabic writes other digits, one set to Turkish other small letters. */
  public static ArchRule nothingIsWrittenAsTheMachineIsSet() {
    return noClasses()
        .should()
        .callMethod(String.class, "format", String.class, Object[].class)
        .orShould()
        .callMethod(String.class, "formatted", Object[].class)
        .orShould()
        .callMethod(String.class, "toLowerCase")
        .orShould()
        .callMethod(String.class, "toUpperCase")
        .because("the same site compiles to the same bytes on every machine: Locale.ROOT says so");
  }

  /** Packages stand beside and above one another, and never in a circle. */
  public static ArchRule noPackagesAreTied(String below) {
    return slices().matching(below + ".(*)..").should().beFreeOfCycles();
  }
}
