package giostra.server.stock;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;
import java.io.Serializable;
import java.time.Instant;
import org.hibernate.annotations.DynamicUpdate;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "stock")
@IdClass(StockEntity.Key.class)
@DynamicUpdate
class StockEntity {
  record Key(String siteId, String id) implements Serializable {}

  @Id
  @Column(name = "site_id")
  String siteId = "";

  @Id String id = "";

  String name = "";

  @Column(name = "home_page")
  String homePage = "";

  @Column(name = "home_node")
  String homeNode = "";

  /** Version of the format of the node. */
  int version;

  @JdbcTypeCode(SqlTypes.JSON)
  String node = "{}";

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
