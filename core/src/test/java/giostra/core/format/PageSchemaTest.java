package giostra.core.format;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import giostra.core.testing.RandomDocuments;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The published schema, with a validator that is not ours. Reference library: networknt's
 * json-schema-validator, for JSON Schema 2020-12.
 */
class PageSchemaTest {
  private static final Path ROOT = Path.of(System.getProperty("giostra.root"));
  private static final Path FILE = ROOT.resolve("docs/formats/page.schema.json");
  private static final Schema SCHEMA =
      SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
          .getSchema(PageSchema.schema().toString());

  @Test
  void theFileInDocsIsTheOneThatTheCatalogueGives() throws IOException {
    String pretty = PageSchema.schema().toPrettyString() + "\n";
    if (Boolean.getBoolean("giostra.write")) {
      Files.writeString(FILE, pretty);
    }
    assertThat(FILE).content().isEqualTo(pretty);
  }

  @Test
  void theDemoAndRandomDocumentsAreValid() throws IOException {
    String demo =
        Files.readString(ROOT.resolve("server/src/main/resources/giostra/demo/evenings.json"));
    assertThat(SCHEMA.validate(demo, InputFormat.JSON)).isEmpty();
    for (long seed = 0; seed < 60; seed++) {
      String drawn = DocumentJson.text(RandomDocuments.document(seed));
      assertThat(SCHEMA.validate(drawn, InputFormat.JSON)).as("seed " + seed).isEmpty();
      assertThat(DocumentJson.read(drawn)).isEqualTo(RandomDocuments.document(seed));
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      textBlock =
          """
          "inView":{"desktop":0}        | In view is 0; it must be a whole number from 1 to 12
          "inView":{"desktop":"three"}  | In view is three; it must be a whole number from 1 to 12
          "gap":{"desktop":"-4px"}      | Gap is -4px; it must be a length from 0 to 400 px
          "gap":{"desktop":"4vw"}       | Gap is 4vw; it must be a length from 0 to 400 px
          "card":"poster"               | Cards is poster; it must be one of quotation, picture
          "gap":{"Desktop!":"4px"}      | key is Desktop!; it must be one of desktop
          "blink":true                  | blink; it must be one of
          """)
  void schemaAndReaderRefuseTheSame(String values, String why) {
    String document =
        """
        {"giostra":1,
         "site":{"bands":[{"id":"desktop","name":"Desktop","from":0}],"values":{}},
         "page":{"id":"page","type":"page","values":{},"children":[
          {"id":"s","type":"section","values":{},"children":[
           {"id":"c","type":"carousel","values":{%s},"children":[]}]}]}}
        """
            .formatted(values);
    assertThat(SCHEMA.validate(document, InputFormat.JSON)).isNotEmpty();
    assertThatThrownBy(() -> DocumentJson.read(document))
        .isInstanceOf(DocumentJson.Faults.class)
        .hasMessageContaining("/page/children/0/children/0/values/")
        .hasMessageContaining(why);
  }
}
