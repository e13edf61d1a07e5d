package galecrest.server.sheet;

import galecrest.core.work.Commitment;
import galecrest.server.build.BuildRequest;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A new build; the template and the first date may be left out. */
public record NewBuildRequest(
        BuildRequest build,
        @Nullable String template,
        @Nullable String dateName,
        Commitment.@Nullable Kind dateKind,
        @Nullable Instant dateDue) {}
