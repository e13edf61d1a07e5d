package galecrest.server.problem;

import galecrest.core.shop.Problem;
import jakarta.validation.ConstraintViolation;
import jakarta.validation.Validator;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.lang.reflect.RecordComponent;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What is wrong with a form whatever it is for and whichever way it comes (as JSON, or as a line of a table): a field
 * that is missing (a component of a record may be absent only where it is nullable; {@code NotNull} may say it in its words), a text that the database cannot
 * keep or that is longer than anybody writes, a time out of all reason, and what the form's own annotations of Jakarta
 * Validation say of shape and range. What depends on more than one field, or on what is recorded, is the service's.
 */
@Component
public class FormRules {
    /** Longest text of a field that does not say a length of its own, in characters. */
    static final int LONGEST_TEXT = 4_000;

    private static final String MISSING = "This is missing.";

    /** What names a row is a good deal shorter. */
    private static final int LONGEST_ID = 64;
    /** More of one kind in one form than anybody enters. */
    private static final int MOST_OF_LIST = 5_000;

    private static final Instant FIRST = Instant.EPOCH;
    private static final Instant LAST = Instant.parse("2200-01-01T00:00:00Z");

    private final Validator validator;

    FormRules(Validator validator) {
        this.validator = validator;
    }

    /** Everything that is wrong, each at its field ("spec.name", "lines.2.price"). */
    public List<Problem> problems(Object form) {
        List<Problem> problems = new ArrayList<>();
        look("", form, LONGEST_TEXT, problems);
        return problems;
    }

    private void look(String field, @Nullable Object value, int longest, List<Problem> problems) {
        if (value == null) {
            problems.add(new Problem(field, MISSING));
        } else if (value instanceof String text) {
            lookAtText(field, text, longest, problems);
        } else if (value instanceof Instant time && !reasonable(time)
                || value instanceof LocalDate day
                        && !reasonable(day.atStartOfDay().toInstant(ZoneOffset.UTC))) {
            problems.add(new Problem(field, "This is too far off: years from 1970 to 2199 are taken."));
        } else if (value instanceof List<?> list && list.size() > MOST_OF_LIST) {
            problems.add(new Problem(field, "These are too many: up to " + MOST_OF_LIST + " are taken at once."));
        } else if (value instanceof List<?> list) {
            for (int i = 0; i < list.size(); i++) {
                look(within(field, String.valueOf(i)), list.get(i), longest, problems);
            }
        } else if (value instanceof Record form) {
            lookAtRecord(field, form, problems);
        }
    }

    private static void lookAtText(String field, String text, int longest, List<Problem> problems) {
        if (!canBeKept(text)) {
            problems.add(new Problem(field, "This holds a character that cannot be kept."));
        } else if (text.length() > longest) {
            problems.add(new Problem(field, "This is too long: up to " + longest + " characters are kept."));
        }
    }

    /** No zero character and no half of a pair: neither is text (Unicode 15, 3.9), and the database takes neither. */
    private static boolean canBeKept(String text) {
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            boolean pair = Character.isHighSurrogate(c)
                    && i + 1 < text.length()
                    && Character.isLowSurrogate(text.charAt(i + 1));
            if (c == 0 || Character.isSurrogate(c) && !pair) {
                return false;
            }
            i += pair ? 1 : 0;
        }
        return true;
    }

    private void lookAtRecord(String field, Record form, List<Problem> problems) {
        for (RecordComponent component : form.getClass().getRecordComponents()) {
            Object its = its(form, component);
            if (its == null && component.getAccessor().isAnnotationPresent(NotNull.class)) {
                continue;
            }
            if (its != null || !component.getAnnotatedType().isAnnotationPresent(Nullable.class)) {
                look(within(field, component.getName()), its, longest(component), problems);
            }
        }
        validator.validate(form).stream()
                .filter(v -> v.getInvalidValue() != null
                        || v.getConstraintDescriptor().getAnnotation() instanceof NotNull)
                .sorted((a, b) -> path(a).compareTo(path(b)))
                .map(v -> new Problem(within(field, path(v)), v.getMessage()))
                .distinct()
                .forEach(problems::add);
    }

    private static int longest(RecordComponent component) {
        if (component.getAccessor().isAnnotationPresent(Size.class)) {
            return Integer.MAX_VALUE;
        }
        String name = component.getName();
        return name.equals("id") || name.endsWith("Id") || name.endsWith("Ids") ? LONGEST_ID : LONGEST_TEXT;
    }

    private static String path(ConstraintViolation<?> violation) {
        return violation.getPropertyPath().toString();
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
