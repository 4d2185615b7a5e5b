package giostra.server;

import java.nio.file.Path;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What is configured.
 *
 * @param blobs folder for the bytes of media and releases
 * @param stagePort the second port, an origin of its own for the stage; 0 takes a free one
 * @param demo whether an empty database gets the demo site
 */
@ConfigurationProperties("giostra")
public record Settings(Path blobs, int stagePort, boolean demo) {}
