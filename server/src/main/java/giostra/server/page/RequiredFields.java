package giostra.server.page;

import giostra.core.format.content.Table;
import giostra.core.layout.GridReading;
import giostra.core.layout.TrackReading;
import giostra.core.page.SiteDifference;
import giostra.core.piece.tabs.TabsReading;
import io.swagger.v3.oas.annotations.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.beans.factory.config.BeanDefinition;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.core.type.filter.AssignableTypeFilter;
import org.springframework.stereotype.Component;
import org.springframework.util.ClassUtils;

/** Says in the OpenAPI description which fields are always there: those that cannot be null. */
@Component
class RequiredFields implements OpenApiCustomizer {
  private static final Map<String, List<String>> BY_SCHEMA = new HashMap<>();

  static {
    var records = new ClassPathScanningCandidateComponentProvider(false);
    records.addIncludeFilter(new AssignableTypeFilter(Record.class));
    for (BeanDefinition each : records.findCandidateComponents("giostra.server")) {
      note(ClassUtils.resolveClassName(String.valueOf(each.getBeanClassName()), null));
    }
    note(TrackReading.class);
    note(GridReading.class);
    note(TabsReading.class);
    note(SiteDifference.class);
    note(Table.Mend.class);
  }

  private static void note(Class<?> type) {
    Schema schema = type.getAnnotation(Schema.class);
    String name = schema == null || schema.name().isEmpty() ? type.getSimpleName() : schema.name();
    BY_SCHEMA.put(
        name,
        Arrays.stream(type.getRecordComponents())
            .filter(part -> !part.getAnnotatedType().isAnnotationPresent(Nullable.class))
            .map(RecordComponent::getName)
            .toList());
  }

  @Override
  public void customise(io.swagger.v3.oas.models.OpenAPI api) {
    api.getComponents()
        .getSchemas()
        .forEach((name, schema) -> schema.setRequired(BY_SCHEMA.get(name)));
  }
}
