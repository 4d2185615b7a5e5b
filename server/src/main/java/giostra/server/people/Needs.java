package giostra.server.people;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * The role that an operation needs on the site that it is about, or somewhere where it is about
 * none. Without it whatever looks needs a reviewer, and whatever changes something a designer; an
 * owner of the installation where it is about no site.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Needs {
  /** The least that does. */
  Role value();
}
