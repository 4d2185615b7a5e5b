package giostra.server.bucket;

import java.net.URI;
import java.time.Duration;
import software.amazon.awssdk.auth.credentials.AwsBasicCredentials;
import software.amazon.awssdk.auth.credentials.StaticCredentialsProvider;
import software.amazon.awssdk.core.checksums.RequestChecksumCalculation;
import software.amazon.awssdk.core.checksums.ResponseChecksumValidation;
import software.amazon.awssdk.core.retry.RetryMode;
import software.amazon.awssdk.http.urlconnection.UrlConnectionHttpClient;
import software.amazon.awssdk.regions.Region;
import software.amazon.awssdk.services.s3.S3Client;
import software.amazon.awssdk.services.s3.S3Configuration;

/** Opens stores of objects. */
public final class Buckets {
  private static final Duration CONNECTS = Duration.ofSeconds(5);
  private static final Duration ANSWERS = Duration.ofSeconds(30);

  private Buckets() {}

  /**
   * A store at an address, as any that speaks so takes it; nothing is asked of it yet.
   *
   * @param account who one is there
   */
  public static S3Client open(String address, String account, String secret) {
    return S3Client.builder()
        .endpointOverride(URI.create(address))
        .region(Region.US_EAST_1)
        .credentialsProvider(
            StaticCredentialsProvider.create(AwsBasicCredentials.create(account, secret)))
        .httpClientBuilder(
            UrlConnectionHttpClient.builder().connectionTimeout(CONNECTS).socketTimeout(ANSWERS))
        // Other stores know neither newer checksums nor bodies in signed chunks.
        .requestChecksumCalculation(RequestChecksumCalculation.WHEN_REQUIRED)
        .responseChecksumValidation(ResponseChecksumValidation.WHEN_REQUIRED)
        .serviceConfiguration(
            S3Configuration.builder()
                .pathStyleAccessEnabled(true)
                .chunkedEncodingEnabled(false)
                .build())
        .overrideConfiguration(each -> each.retryStrategy(RetryMode.STANDARD))
        .build();
  }
}
