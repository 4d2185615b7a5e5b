package giostra.server.media;

import giostra.server.Settings;
import giostra.server.bucket.Buckets;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Where bytes are kept: in a folder, or where several servers share them in a store of objects. */
@Configuration(proxyBeanMethods = false)
class BlobStores {
  @Bean(destroyMethod = "close")
  BlobStore blobStore(Settings settings) {
    var folder = new FolderBlobStore(settings.blobs());
    Settings.Shared shared = settings.shared();
    return shared.address().isEmpty()
        ? folder
        : new SharedBlobStore(
            new FolderBlobStore(settings.blobs().resolve(SharedBlobStore.FOLDER)),
            folder,
            Buckets.open(shared.address(), shared.account(), shared.secret()),
            shared.bucket());
  }
}
