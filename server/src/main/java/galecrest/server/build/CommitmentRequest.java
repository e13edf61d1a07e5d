package galecrest.server.build;

import galecrest.core.build.Gate;
import galecrest.core.work.Commitment;
import java.time.Instant;

public record CommitmentRequest(
        String buildId, String name, Commitment.Kind kind, Instant due, Gate gate, double weight, int version) {}
