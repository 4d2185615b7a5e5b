package giostra.server.review;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A remark's row; it is read through {@link ReviewRows}. */
@Entity
@Table(name = "remark")
@SuppressWarnings("UnusedVariable") // Hibernate reads them.
class RemarkEntity {
  @Id private long id;

  @Column(name = "page_id")
  private String pageId = "";

  protected RemarkEntity() {}
}
