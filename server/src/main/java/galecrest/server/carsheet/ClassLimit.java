package galecrest.server.carsheet;

import org.jspecify.annotations.Nullable;

/** A line of a class, as the gauge {@code class-check} takes it; what is not said is blank. */
record ClassLimit(String measure, String kind, String least, String most, String tolerance) {
    ClassLimit(
            @Nullable String measure,
            @Nullable String kind,
            @Nullable String least,
            @Nullable String most,
            @Nullable String tolerance) {
        this.measure = said(measure);
        this.kind = said(kind);
        this.least = said(least);
        this.most = said(most);
        this.tolerance = said(tolerance);
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
