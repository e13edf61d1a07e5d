package galecrest.server.problem;

import galecrest.core.shop.Problem;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/**
 * Refuses a form that lacks what it needs, at each field: a component of a record may be absent only where it is
 * nullable.
 */
@ControllerAdvice
class NothingMissing extends RequestBodyAdviceAdapter {
    @Override
    public boolean supports(
            MethodParameter parameter, Type type, Class<? extends HttpMessageConverter<?>> converterType) {
        return true;
    }

    @Override
    public Object afterBodyRead(
            Object body,
            HttpInputMessage message,
            MethodParameter parameter,
            Type type,
            Class<? extends HttpMessageConverter<?>> converterType) {
        List<Problem> problems = new ArrayList<>();
        look("", body, problems);
        BadInput.throwIfAny(problems);
        return body;
    }

    private static void look(String field, @Nullable Object value, List<Problem> problems) {
        if (value == null) {
            problems.add(new Problem(field, "This is missing."));
        } else if (value instanceof List<?> list) {
            for (int i = 0; i < list.size(); i++) {
                look(within(field, String.valueOf(i)), list.get(i), problems);
            }
        } else if (value instanceof Record form) {
            for (RecordComponent component : form.getClass().getRecordComponents()) {
                Object its = its(form, component);
                if (its != null || !component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                    look(within(field, component.getName()), its, problems);
                }
            }
        }
    }

    private static String within(String field, String name) {
        return field.isEmpty() ? name : field + "." + name;
    }

    private static @Nullable Object its(Record form, RecordComponent component) {
        try {
            component.getAccessor().setAccessible(true);
            return component.getAccessor().invoke(form);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }
}
