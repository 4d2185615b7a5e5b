package giostra.core.value;

import java.time.ZoneId;

/** A time zone by its name in the IANA database. */
public record ZoneKind() implements Kind<ZoneId> {
  @Override
  public ZoneId read(String what, Object raw) {
    String name = raw.toString().strip();
    if (!ZoneId.getAvailableZoneIds().contains(name)) {
      throw new Refused(what, name, allowed());
    }
    return ZoneId.of(name);
  }

  @Override
  public Object write(ZoneId value) {
    return value.getId();
  }

  @Override
  public String allowed() {
    return "a zone by its IANA name, such as Europe/Lisbon or UTC";
  }
}
