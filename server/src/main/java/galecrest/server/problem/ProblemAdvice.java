package galecrest.server.problem;

import galecrest.core.gauge.WrongRequest;
import galecrest.core.shop.Problem;
import galecrest.server.NewId;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.postgresql.util.PSQLException;
import org.postgresql.util.ServerErrorMessage;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Turns what went wrong into problem details (RFC 9457), the problems at their fields under {@code problems}. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    /** SQLSTATE of a row that refers to one that is not there. */
    private static final String FOREIGN_KEY = "23503";

    /** What the names of constraints on the length of a text end with. */
    private static final String LENGTH = "_length";

    /** What a broken constraint of the database means to the user, by the constraint's name. */
    private static final Map<String, Problem> CONSTRAINTS = Map.of(
            "person_shift_person_id_day_int4range_excl",
            new Problem("shifts", "Two shifts of one day overlap."),
            "person_shift_pkey",
            new Problem("shifts", "Two shifts of one day overlap."),
            "shift_change_person_id_kind_daterange_int4range_excl",
            new Problem("from", "There is leave or an extra shift at that time already."),
            "station_closure_station_id_daterange_excl",
            new Problem("closures", "Two closures of the station overlap."),
            "link_first_id_then_id_type_key",
            new Problem("after", "The two are linked that way already."),
            "stage_build_id_name_key",
            new Problem("stage", "The build has a stage of that name already."));

    @ExceptionHandler
    ProblemDetail badInput(ValidationException bad) {
        return detail(HttpStatus.UNPROCESSABLE_ENTITY, "That cannot be taken", bad.getMessage(), bad.problems());
    }

    @ExceptionHandler
    ProblemDetail wrongRequest(WrongRequest wrong) {
        return badInput(new ValidationException(wrong.problems()));
    }

    @ExceptionHandler
    ProblemDetail notThere(NotFoundException gone) {
        return detail(HttpStatus.NOT_FOUND, "Not there", gone.getMessage(), List.of());
    }

    @ExceptionHandler
    ProblemDetail changed(ConflictException changed) {
        ProblemDetail detail = detail(HttpStatus.CONFLICT, "Changed meanwhile", changed.getMessage(), List.of());
        detail.setProperty("differences", changed.differences());
        detail.setProperty("version", changed.version());
        return detail;
    }

    @ExceptionHandler
    ProblemDetail denied(AccessDeniedException denied) {
        return detail(HttpStatus.FORBIDDEN, "Not yours to change", "Your role does not allow this.", List.of());
    }

    @ExceptionHandler
    ProblemDetail mismatch(MethodArgumentTypeMismatchException mismatch) {
        return detail(
                HttpStatus.BAD_REQUEST,
                "That cannot be read",
                mismatch.getName() + " cannot be " + mismatch.getValue() + ".",
                List.of());
    }

    @ExceptionHandler
    ProblemDetail constraint(DataIntegrityViolationException violation) {
        ServerErrorMessage broken = violation.getMostSpecificCause() instanceof PSQLException refused
                ? refused.getServerErrorMessage()
                : null;
        String name = broken == null ? "" : String.valueOf(broken.getConstraint());
        Problem problem = CONSTRAINTS.get(name);
        if (problem != null) {
            return detail(HttpStatus.UNPROCESSABLE_ENTITY, "That cannot be taken", problem.message(), List.of(problem));
        }
        if (name.endsWith(LENGTH)) {
            String message = "Too long: a name has up to 200 characters, a note up to 4000.";
            String table = String.valueOf(broken.getTable()) + "_";
            String field = name.substring(name.startsWith(table) ? table.length() : 0, name.length() - LENGTH.length());
            return detail(
                    HttpStatus.UNPROCESSABLE_ENTITY,
                    "That cannot be taken",
                    message,
                    List.of(new Problem(field, message)));
        }
        if (broken != null && FOREIGN_KEY.equals(broken.getSQLState())) {
            return detail(
                    HttpStatus.UNPROCESSABLE_ENTITY,
                    "That cannot be taken",
                    "Something that this belongs to is not there any more; nothing was changed.",
                    List.of());
        }
        LOG.warn("A constraint without words for it: {}", name, violation);
        return detail(
                HttpStatus.UNPROCESSABLE_ENTITY,
                "That cannot be taken",
                "It contradicts what is recorded already; nothing was changed.",
                List.of());
    }

    /**
     * The database may be away; whatever else goes wrong is our mistake, and is found in the log by its number.
     */
    @ExceptionHandler
    ProblemDetail unexpected(RuntimeException failure, HttpServletRequest request, HttpServletResponse response) {
        Optional<ProblemDetail> away = DatabaseAway.of(failure);
        if (away.isPresent()) {
            LOG.warn("{}: {}", away.get().getTitle(), failure.getMessage());
            if (away.get().getProperties() != null) {
                request.setAttribute(DatabaseAway.FOUND, true);
            }
            response.setHeader(HttpHeaders.RETRY_AFTER, Integer.toString(DatabaseAway.AGAIN_SECONDS));
            return away.get();
        }
        String number = NewId.next();
        LOG.error("Unexpected, number {}", number, failure);
        ProblemDetail detail = detail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong here",
                "It was not your input, and nothing was changed. Tell us the number " + number + ".",
                List.of());
        detail.setProperty("number", number);
        return detail;
    }

    @Override
    protected org.springframework.http.ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException unreadable,
            HttpHeaders headers,
            org.springframework.http.HttpStatusCode status,
            org.springframework.web.context.request.WebRequest request) {
        String at = "";
        if (unreadable.getCause() instanceof com.fasterxml.jackson.databind.JsonMappingException mapping) {
            at = mapping.getPath().stream()
                    .map(r -> r.getFieldName() == null ? "" + r.getIndex() : r.getFieldName())
                    .reduce((a, b) -> a + "." + b)
                    .orElse("");
        }
        String said = unreadable.getCause() instanceof galecrest.server.json.UnfitValue unfit
                ? unfit.getOriginalMessage()
                : null;
        if (said != null) {
            ProblemDetail detail = detail(
                    HttpStatus.UNPROCESSABLE_ENTITY, "That cannot be taken", said, List.of(new Problem(at, said)));
            return handleExceptionInternal(unreadable, detail, headers, HttpStatus.UNPROCESSABLE_ENTITY, request);
        }
        String message = at.isEmpty()
                ? "The request is not what is expected here."
                : "The field " + at + " is missing or has a value that cannot be read.";
        ProblemDetail detail =
                detail(HttpStatus.BAD_REQUEST, "That cannot be read", message, List.of(new Problem(at, message)));
        return handleExceptionInternal(unreadable, detail, headers, HttpStatus.BAD_REQUEST, request);
    }

    @Override
    protected org.springframework.http.ResponseEntity<Object> handleMaxUploadSizeExceededException(
            MaxUploadSizeExceededException tooLarge,
            HttpHeaders headers,
            org.springframework.http.HttpStatusCode status,
            org.springframework.web.context.request.WebRequest request) {
        ProblemDetail detail = detail(
                HttpStatus.PAYLOAD_TOO_LARGE,
                "Too large",
                "The file is larger than this shop takes here (2 MB for a job sheet, 32 MB for a run).",
                List.of());
        return handleExceptionInternal(tooLarge, detail, headers, HttpStatus.PAYLOAD_TOO_LARGE, request);
    }

    private static ProblemDetail detail(HttpStatus status, String title, String message, List<Problem> problems) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, String.valueOf(message));
        detail.setTitle(title);
        detail.setProperty("problems", problems);
        return detail;
    }
}
