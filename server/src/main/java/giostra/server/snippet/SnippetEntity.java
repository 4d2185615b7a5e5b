package giostra.server.snippet;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;

/**
 * A section or a piece that somebody took a snippet of; read and written through {@link
 * SnippetRows}.
 */
@Entity
@Table(name = "snippet")
@IdClass(SnippetEntity.Key.class)
class SnippetEntity {
  record Key(String pageId, String node) implements Serializable {}

  @Id
  @Column(name = "page_id")
  String pageId = "";

  @Id String node = "";

  @Column(name = "taken_at")
  Instant takenAt = Instant.EPOCH;
}
