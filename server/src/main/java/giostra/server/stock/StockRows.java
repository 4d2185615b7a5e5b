package giostra.server.stock;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface StockRows extends JpaRepository<StockEntity, String> {
  List<StockEntity> findBySiteIdOrderByCreatedAt(String siteId);

  List<StockEntity> findByHomePage(String pageId);

  Optional<StockEntity> findBySiteIdAndHomePageAndHomeNode(
      String siteId, String pageId, String nodeId);
}
