package galecrest.server.problem;

import java.lang.reflect.Type;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpInputMessage;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.RequestBodyAdviceAdapter;

/** Looks through every form that comes by HTTP before a controller takes it; see {@link FormRules}. */
@ControllerAdvice
class FormAdvice extends RequestBodyAdviceAdapter {
    private final FormRules rules;

    FormAdvice(FormRules rules) {
        this.rules = rules;
    }

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
        ValidationException.throwIfAny(rules.problems(body));
        return body;
    }
}
