package giostra.server.stock;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface StockRows extends JpaRepository<StockEntity, StockEntity.Key> {
  List<StockEntity> findBySiteIdOrderByCreatedAt(String siteId);

  List<StockEntity> findBySiteIdAndHomePage(String siteId, String pageId);

  Optional<StockEntity> findBySiteIdAndId(String siteId, String id);

  boolean existsBySiteIdAndId(String siteId, String id);

  Optional<StockEntity> findBySiteIdAndHomePageAndHomeNode(
      String siteId, String pageId, String nodeId);
}
