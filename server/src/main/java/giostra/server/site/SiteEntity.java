package giostra.server.site;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

/** A site's row. Its document is the site part of every page document. */
@Entity
@Table(name = "site")
public class SiteEntity {
  @Id private String id = "";
  private String name = "";

  @JdbcTypeCode(SqlTypes.JSON)
  private String document = "{}";

  @Column(name = "created_at")
  private Instant createdAt = Instant.EPOCH;

  protected SiteEntity() {}

  /** A new row. */
  public SiteEntity(String id, String name, String document, Instant createdAt) {
    this.id = id;
    this.name = name;
    this.document = document;
    this.createdAt = createdAt;
  }

  /** Its id, which stands in addresses. */
  public String id() {
    return id;
  }

  /** What people read. */
  public String name() {
    return name;
  }

  /** JSON: bands and values. */
  public String document() {
    return document;
  }

  /** Takes the site part of an edited page. */
  public void set(String name, String document) {
    this.name = name;
    this.document = document;
  }
}
