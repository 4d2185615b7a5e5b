package giostra.server.delivery;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Where releases go besides their own address. */
@RestController
class DeliveryController {
  private final DeliveryService deliveries;
  private final StandIns standIns;

  DeliveryController(DeliveryService deliveries, StandIns standIns) {
    this.deliveries = deliveries;
    this.standIns = standIns;
  }

  /**
   * The places of a page's site.
   *
   * @param tries places that ship, to be tried
   */
  record DestinationsReply(
      List<DeliveryService.DestinationLine> places, List<Stores.DestinationAsked> tries) {}

  @GetMapping("/api/pages/{id}/destinations")
  DestinationsReply destinations(@PathVariable String id) {
    return new DestinationsReply(deliveries.of(id), standIns.all());
  }

  @PostMapping("/api/sites/{siteId}/destinations")
  @ResponseStatus(HttpStatus.CREATED)
  void addDestination(@PathVariable String siteId, @RequestBody Stores.DestinationAsked asked) {
    deliveries.add(siteId, asked);
  }

  /** Whether each release goes there by itself. */
  record FollowBody(boolean follows) {}

  @PutMapping("/api/sites/{siteId}/destinations/{destination}/follows")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void follow(
      @PathVariable String siteId, @PathVariable String destination, @RequestBody FollowBody body) {
    deliveries.follow(siteId, destination, body.follows());
  }

  @DeleteMapping("/api/sites/{siteId}/destinations/{destination}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void dropDestination(@PathVariable String siteId, @PathVariable String destination) {
    deliveries.drop(siteId, destination);
  }

  /** The live release goes there now. */
  @PostMapping("/api/pages/{id}/destinations/{destination}/deliveries")
  @ResponseStatus(HttpStatus.ACCEPTED)
  DestinationsReply deliver(@PathVariable String id, @PathVariable String destination) {
    return new DestinationsReply(deliveries.send(id, destination), standIns.all());
  }
}
