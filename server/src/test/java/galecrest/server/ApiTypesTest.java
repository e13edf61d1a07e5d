package galecrest.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.reflect.ParameterizedType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** The API is described by the simple names of its records: two of one name would silently become one. */
class ApiTypesTest extends ServerTest {
    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;

    @Test
    void noTwoTypesOfTheApiHaveOneName() {
        Set<Class<?>> types = new HashSet<>();
        requestMappingHandlerMapping.getHandlerMethods().values().forEach(method -> {
            gather(method.getMethod().getGenericReturnType(), types);
            Arrays.stream(method.getMethod().getGenericParameterTypes()).forEach(t -> gather(t, types));
        });
        Map<String, Set<String>> byName = new HashMap<>();
        types.forEach(t ->
                byName.computeIfAbsent(t.getSimpleName(), n -> new TreeSet<>()).add(t.getName()));
        assertThat(types).hasSizeGreaterThan(100);
        assertThat(byName.values().stream().filter(names -> names.size() > 1).toList())
                .isEmpty();
    }

    private static void gather(Type type, Set<Class<?>> types) {
        if (type instanceof ParameterizedType generic) {
            Arrays.stream(generic.getActualTypeArguments()).forEach(t -> gather(t, types));
        }
        if (type instanceof Class<?> c && c.getName().startsWith("galecrest.") && c.isRecord() && types.add(c)) {
            for (RecordComponent component : c.getRecordComponents()) {
                gather(component.getGenericType(), types);
            }
        }
    }
}
