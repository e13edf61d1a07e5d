package galecrest.server;

import com.fasterxml.jackson.databind.JavaType;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.core.util.Json;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** How the API is described: a component of a record is required unless it may be null. */
@Configuration
class ApiDescription {
    @Bean
    ModelConverter recordsSayWhatTheyNeed() {
        return new ModelConverter() {
            @Override
            public @Nullable Schema<?> resolve(
                    AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
                if (!chain.hasNext()) {
                    return null;
                }
                Schema<?> schema = chain.next().resolve(type, context, chain);
                JavaType java = Json.mapper().constructType(type.getType());
                if (java != null && java.getRawClass().isRecord() && schema != null) {
                    Schema<?> model = schema.get$ref() == null
                            ? schema
                            : context.getDefinedModels()
                                    .get(schema.get$ref()
                                            .substring(schema.get$ref().lastIndexOf('/') + 1));
                    if (model != null && model.getProperties() != null) {
                        model.setRequired(required(java.getRawClass()));
                    }
                }
                return schema;
            }
        };
    }

    private static List<String> required(Class<?> record) {
        List<String> names = new ArrayList<>();
        for (RecordComponent component : record.getRecordComponents()) {
            if (!component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                names.add(component.getName());
            }
        }
        return names;
    }
}
