package galecrest.server.json;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationContext;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.deser.std.StdScalarDeserializer;
import com.fasterxml.jackson.databind.deser.std.StringDeserializer;
import com.fasterxml.jackson.databind.module.SimpleModule;
import java.io.IOException;
import java.math.BigDecimal;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.converter.json.MappingJackson2HttpMessageConverter;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * What a request may say, whatever its fields mean: each key once, texts of a length that somebody typed, numbers that a
 * workshop has, whole numbers where such are asked. What a form asks more is said at the form.
 */
@Configuration
class StrictJson implements WebMvcConfigurer {
    /** A long note has some hundred words; this is a page. */
    private static final int MOST_CHARACTERS = 4000;
    /** Texts that name a row; ours have 26 characters. */
    private static final int MOST_OF_ID = 64;
    /** A whole sheet that is written as text. */
    private static final int MOST_OF_SHEET = 200_000;

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
        module.addDeserializer(String.class, new Text());
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

    private static final class Text extends StdScalarDeserializer<String> {
        private static final long serialVersionUID = 1;

        Text() {
            super(String.class);
        }

        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) throws IOException {
            String text = StringDeserializer.instance.deserialize(parser, context);
            String name = String.valueOf(parser.currentName());
            boolean id = name.equals("id") || name.endsWith("Id") || name.endsWith("Ids");
            int most = id ? MOST_OF_ID : name.equals("sheet") ? MOST_OF_SHEET : MOST_CHARACTERS;
            if (text.length() > most) {
                throw new UnfitValue(parser, "Up to " + most + " characters, not " + text.length() + ".");
            }
            if (!isWritten(text)) {
                throw new UnfitValue(parser, "There is a character in it that cannot be written.");
            }
            return text;
        }

        /** No zero character and no half of a pair: neither is text (Unicode 15, 3.9; PostgreSQL takes neither). */
        private static boolean isWritten(String text) {
            for (int i = 0; i < text.length(); i++) {
                char c = text.charAt(i);
                if (c == 0 || Character.isLowSurrogate(c)) {
                    return false;
                }
                if (Character.isHighSurrogate(c)) {
                    if (i + 1 == text.length() || !Character.isLowSurrogate(text.charAt(i + 1))) {
                        return false;
                    }
                    i++;
                }
            }
            return true;
        }
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
