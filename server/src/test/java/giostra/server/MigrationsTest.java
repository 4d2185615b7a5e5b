package giostra.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * While one program takes over from another, both stand on one database: what is changed in it from
 * version 21 on is added, and an older program neither misses nor minds it.
 */
class MigrationsTest {
  private static final int SINCE = 21;
  private static final Pattern NAME = Pattern.compile("V(\\d+)__\\w+\\.sql");

  /** What takes nothing away, and asks nothing of rows that somebody writes who does not know. */
  private static boolean isAdded(String statement) {
    String plain = statement.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
    if (plain.startsWith("alter table")) {
      String clauses = plain.replaceFirst("alter table \\w+ ", "");
      return Arrays.stream(clauses.split(", ?(?=(add|alter|drop|rename) )"))
          .allMatch(each ->
              each.startsWith("add ") && (!each.contains("not null") || each.contains("default")));
    }
    return plain.isEmpty()
        || plain.matches("create (table|index|unique index|sequence|view) .*")
        || plain.startsWith("insert into ");
  }

  private static List<String> statements(String sql) {
    return Arrays.stream(sql.replaceAll("--[^\\n]*", "").split(";")).toList();
  }

  @Test
  void whatIsChangedIsAdded() throws IOException {
    Path folder = Path.of(System.getProperty("giostra.root"), "server/src/main/resources/db");
    int seen = 0;
    try (Stream<Path> files = Files.list(folder.resolve("migration"))) {
      for (Path each : files.toList()) {
        var name = NAME.matcher(each.getFileName().toString());
        assertThat(name.matches()).as(each.toString()).isTrue();
        if (Integer.parseInt(name.group(1)) < SINCE) {
          continue;
        }
        for (String statement : statements(Files.readString(each))) {
          assertThat(isAdded(statement)).as("%s: %s", each.getFileName(), statement).isTrue();
        }
        seen++;
      }
    }
    assertThat(seen).isPositive();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "alter table person add handle text unique | true",
        "alter table person add a boolean not null default false, add b text | true",
        "create table x (id text primary key) | true",
        "alter table person add a boolean not null | false",
        "alter table person drop password | false",
        "alter table person add a text, drop password | false",
        "alter table person rename name to called | false",
        "alter table person alter name type varchar(80) | false",
        "drop table person | false",
        "update person set name = '' | false",
        "delete from person | false"
      })
  void whatIsTakenAwayIsSeen(String statement, boolean added) {
    assertThat(isAdded(statement)).isEqualTo(added);
  }
}
