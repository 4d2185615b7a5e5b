package giostra.server.media;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

@Entity
@Table(name = "clip_frames")
class FramesEntity {
  /** Hash of the clip that they are of. */
  @Id
  @Column(name = "source")
  String source = "";

  /** Of the picture that has them one under the other. */
  String hash = "";

  int frames;
}
