package giostra.server;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.servers.Server;
import java.time.Clock;
import java.util.List;
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

  /** The API stands where its description is asked for, whatever the port. */
  @Bean
  OpenAPI description() {
    return new OpenAPI().servers(List.of(new Server().url("/")));
  }
}
