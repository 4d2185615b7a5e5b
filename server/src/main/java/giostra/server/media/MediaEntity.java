package giostra.server.media;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import org.hibernate.annotations.DynamicUpdate;

@Entity
@Table(name = "media")
@IdClass(MediaEntity.Key.class)
@DynamicUpdate
class MediaEntity {
  /** Ids are those of a site: another may have the same. */
  record Key(String siteId, String id) implements Serializable {}

  @Id
  @Column(name = "site_id")
  String siteId = "";

  @Id String id = "";

  String name = "";
  String alt = "";
  String hash = "";
  String type = "";
  int width;
  int height;
  long bytes;

  @Column(name = "duration_ms")
  long durationMs;

  /** With commas between. */
  String codecs = "";

  /** Where a picture stands that is given by address; else empty. */
  String address = "";

  boolean decorative;

  /** Two percentages, see {@link giostra.core.value.Focus}. */
  String focus = "50% 50%";

  /** Words with commas between. */
  String tags = "";

  /** Of a font, see {@link giostra.core.fit.FontFile}; else empty, and nothing below. */
  String family = "";

  int lightest;
  int heaviest;
  boolean slanted;
  boolean restricted;

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
