package giostra.core.output;

import giostra.core.value.Require;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Writes plans as JSON: records by the names of their components, rows as lists, constants as words
 * of CSS. What is empty or false is left out of a record. Source: RFC 8259.
 */
public final class PlanJson {
  private PlanJson() {}

  public static String write(Object value) {
    return switch (value) {
      case String text -> Json.text(text);
      case Boolean flag -> flag.toString();
      case Number number -> Require.number(number.doubleValue());
      case Enum<?> constant -> Json.text(Css.word(constant));
      case List<?> list -> list(list);
      case Map<?, ?> map ->
          map.entrySet().stream()
              .map(each -> Json.text((String) each.getKey()) + ":" + write(each.getValue()))
              .collect(Collectors.joining(",", "{", "}"));
      case Plan.Row row -> list(values(row));
      case Record record -> record(record);
      default -> throw new IllegalArgumentException("no part of a plan: " + value.getClass());
    };
  }

  private static String list(List<?> list) {
    return list.stream().map(PlanJson::write).collect(Collectors.joining(",", "[", "]"));
  }

  private static String record(Record record) {
    RecordComponent[] named = record.getClass().getRecordComponents();
    List<Object> values = values(record);
    var parts = new ArrayList<String>();
    for (int i = 0; i < named.length; i++) {
      Object value = values.get(i) instanceof Optional<?> some ? some.orElse(null) : values.get(i);
      if (value != null && !value.equals(false)) {
        parts.add(Json.text(named[i].getName()) + ":" + write(value));
      }
    }
    return "{" + String.join(",", parts) + "}";
  }

  private static List<Object> values(Object record) {
    var all = new ArrayList<Object>();
    for (RecordComponent each : record.getClass().getRecordComponents()) {
      all.add(value(each, record));
    }
    return all;
  }

  private static Object value(RecordComponent component, Object of) {
    try {
      component.getAccessor().setAccessible(true);
      return component.getAccessor().invoke(of);
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException(e);
    }
  }
}
