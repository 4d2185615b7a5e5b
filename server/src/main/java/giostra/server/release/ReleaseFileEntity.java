package giostra.server.release;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;

@Entity
@Table(name = "release_file")
@IdClass(ReleaseFileEntity.Key.class)
class ReleaseFileEntity {
  record Key(long releaseId, String path) implements Serializable {}

  @Id
  @Column(name = "release_id")
  long releaseId;

  @Id String path = "";
  String hash = "";
  String type = "";
  long bytes;
}
