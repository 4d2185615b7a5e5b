package giostra.server.web;

import giostra.core.value.Refused;
import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Holds what was read from JSON to what its records say: a component that cannot be null is there,
 * in lists and in records within records as well.
 */
public final class Required {
  private Required() {}

  /**
   * Checks a record and all that it holds.
   *
   * @param where what it is, for the place in the refusal
   * @throws Refused naming the first field that is missing
   */
  public static void check(Object read, String where) {
    if (read instanceof Record) {
      for (RecordComponent each : read.getClass().getRecordComponents()) {
        check(value(read, each), each.getAnnotatedType(), where + "/" + each.getName());
      }
    }
  }

  private static void check(@Nullable Object value, AnnotatedType type, String where) {
    if (value == null) {
      if (!type.isAnnotationPresent(Nullable.class)) {
        throw new Refused(where.substring(where.lastIndexOf('/') + 1), "missing", "there")
            .at(where);
      }
      return;
    }
    int at = 0;
    switch (value) {
      case Collection<?> all -> {
        AnnotatedType of = argument(type, 0);
        for (Object each : all) {
          String place = where + "/" + at++;
          if (of == null) {
            check(each == null ? "" : each, place);
          } else {
            check(each, of, place);
          }
        }
      }
      case Map<?, ?> all -> {
        AnnotatedType of = argument(type, 1);
        for (Map.Entry<?, ?> each : all.entrySet()) {
          if (of != null) {
            check(each.getValue(), of, where + "/" + each.getKey());
          }
        }
      }
      case String text when text.indexOf(0) >= 0 ->
          throw new Refused(
                  where.substring(where.lastIndexOf('/') + 1),
                  "holding a NUL character",
                  "text without one")
              .at(where);
      default -> check(value, where);
    }
  }

  private static @Nullable AnnotatedType argument(AnnotatedType type, int index) {
    return type instanceof AnnotatedParameterizedType of
        ? of.getAnnotatedActualTypeArguments()[index]
        : null;
  }

  private static @Nullable Object value(Object record, RecordComponent component) {
    try {
      var accessor = component.getAccessor();
      accessor.setAccessible(true);
      return accessor.invoke(record);
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException("cannot read " + component, e);
    }
  }
}
