package giostra.server;

import com.tngtech.archunit.core.domain.JavaClasses;
import giostra.core.testing.HouseRules;
import org.junit.jupiter.api.Test;

/** Features stand beside and above one another. */
class PackagesTest {
  private static final JavaClasses SERVER = HouseRules.shipped("giostra.server");

  @Test
  void noFeaturesAreTiedToOneAnother() {
    HouseRules.noPackagesAreTied("giostra.server").check(SERVER);
  }

  @Test
  void nothingIsWrittenAsTheMachineIsSet() {
    HouseRules.nothingIsWrittenAsTheMachineIsSet().check(SERVER);
  }
}
