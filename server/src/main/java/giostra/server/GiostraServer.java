package giostra.server;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts Giostra. */
@EnableScheduling
@SpringBootApplication
@ConfigurationPropertiesScan
public class GiostraServer {
  public static void main(String[] args) {
    SpringApplication.run(GiostraServer.class, args);
  }

  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
