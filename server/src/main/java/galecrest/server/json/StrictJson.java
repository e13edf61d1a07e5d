package galecrest.server.json;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.deser.std.StdScalarDeserializer;
import com.fasterxml.jackson.databind.module.SimpleModule;
import java.io.IOException;
import java.math.BigDecimal;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.converter.json.MappingJackson2HttpMessageConverter;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * What a request may say before anybody looks at its fields: each key once, no more than somebody enters, numbers that a
 * workshop has, whole numbers where such are asked. What texts may be is said by the rules of forms.
 */
@Configuration
class StrictJson implements WebMvcConfigurer {
    private static final int MOST_OF_NUMBER = 40;
    private static final int MOST_SCALE = 20;
    private static final int DEEPEST = 20;
    /** Characters of a whole request: a sheet of two thousand lines as a form has less than half a million. */
    private static final long MOST_OF_REQUEST = 2_000_000;
    /** Values, names and brackets of a whole request. */
    private static final long MOST_TOKENS = 100_000;

    @Override
    public void extendMessageConverters(List<HttpMessageConverter<?>> converters) {
        for (HttpMessageConverter<?> converter : converters) {
            if (converter instanceof MappingJackson2HttpMessageConverter json) {
                json.setObjectMapper(strict(json.getObjectMapper()));
            }
        }
    }

    private static ObjectMapper strict(ObjectMapper usual) {
        SimpleModule module = new SimpleModule("strict");
        module.addDeserializer(BigDecimal.class, new Decimal());
        ObjectMapper strict = usual.copy()
                .registerModule(module)
                .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
                .configure(StreamReadFeature.STRICT_DUPLICATE_DETECTION.mappedFeature(), true);
        strict.getFactory()
                .setStreamReadConstraints(StreamReadConstraints.builder()
                        .maxNestingDepth(DEEPEST)
                        .maxNumberLength(MOST_OF_NUMBER)
                        .maxDocumentLength(MOST_OF_REQUEST)
                        .maxTokenCount(MOST_TOKENS)
                        .build());
        return strict;
    }

    private static final class Decimal extends StdScalarDeserializer<BigDecimal> {
        private static final long serialVersionUID = 1;

        Decimal() {
            super(BigDecimal.class);
        }

        @Override
        public BigDecimal deserialize(JsonParser parser, DeserializationContext context) throws IOException {
            BigDecimal number =
                    com.fasterxml.jackson.databind.deser.std.NumberDeserializers.BigDecimalDeserializer.instance
                            .deserialize(parser, context);
            if (number != null
                    && (Math.abs((long) number.scale()) > MOST_SCALE || number.precision() > MOST_OF_NUMBER)) {
                throw new UnfitValue(parser, "That is no amount.");
            }
            return number;
        }
    }
}
