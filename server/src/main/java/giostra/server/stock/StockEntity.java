package giostra.server.stock;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Table(name = "stock")
class StockEntity {
  @Id String id = "";

  @Column(name = "site_id")
  String siteId = "";

  String name = "";

  @Column(name = "home_page")
  String homePage = "";

  @Column(name = "home_node")
  String homeNode = "";

  @JdbcTypeCode(SqlTypes.JSON)
  String node = "{}";

  @Column(name = "created_at")
  Instant createdAt = Instant.EPOCH;
}
