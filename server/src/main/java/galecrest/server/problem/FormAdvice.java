package galecrest.server.problem;

import galecrest.core.shop.Problem;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/**
 * Looks through a form before it is taken, and refuses it at each field that is wrong whatever the form is for: one that
 * is missing (a component of a record may be absent only where it is nullable), a text that the database cannot keep, a
 * time out of all reason.
 */
@ControllerAdvice
class FormAdvice extends RequestBodyAdviceAdapter {
    private static final Instant FIRST = Instant.EPOCH;
    private static final Instant LAST = Instant.parse("2200-01-01T00:00:00Z");

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
        ValidationException.throwIfAny(problems);
        return body;
    }

    private static void look(String field, @Nullable Object value, List<Problem> problems) {
        if (value == null) {
            problems.add(new Problem(field, "This is missing."));
        } else if (value instanceof String text && text.indexOf('\0') >= 0) {
            problems.add(new Problem(field, "This holds a character that cannot be kept."));
        } else if (value instanceof Instant time && !reasonable(time)
                || value instanceof LocalDate day
                        && !reasonable(day.atStartOfDay().toInstant(ZoneOffset.UTC))) {
            problems.add(new Problem(field, "This is too far off: years from 1970 to 2199 are taken."));
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

    private static boolean reasonable(Instant time) {
        return !time.isBefore(FIRST) && time.isBefore(LAST);
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
