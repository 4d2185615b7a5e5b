package giostra.server.page;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;

/** One revision of what all pages of a site share; rows are only ever added. */
@Entity
@Table(name = "site_revision")
@IdClass(SiteRevisionEntity.Key.class)
class SiteRevisionEntity extends RevisionContent {
  record Key(String siteId, int number) implements Serializable {}

  @Id
  @Column(name = "site_id")
  String siteId = "";

  @Id int number;
}
