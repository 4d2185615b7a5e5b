package giostra.server.media;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;

@Entity
@Table(name = "rendition")
@IdClass(RenditionEntity.Key.class)
class RenditionEntity {
  /** Hash of the picture that it was made of, and its own width in px. */
  record Key(String source, int width) implements Serializable {}

  @Id
  @Column(name = "source")
  String source = "";

  @Id int width;
  String hash = "";
  long bytes;
}
