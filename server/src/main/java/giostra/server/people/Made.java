package giostra.server.people;

import org.springframework.stereotype.Service;

/** Whoever makes a site owns it. */
@Service
public class Made {
  private final PeopleRows rows;

  Made(PeopleRows rows) {
    this.rows = rows;
  }

  /** Gives a site that was just made to whoever asks; who owns all has it already. */
  public void site(String id) {
    Who.asking()
        .filter(who -> !who.owns())
        .ifPresent(who -> rows.giveRole(id, who.person(), Role.OWNER.word()));
  }
}
