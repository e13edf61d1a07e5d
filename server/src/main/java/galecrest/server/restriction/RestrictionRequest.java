package galecrest.server.restriction;

import org.jspecify.annotations.Nullable;

/**
 * A restriction, the job that lifts it, or both.
 *
 * @param text what the car may not do: "not above 6300 rpm"; blank where only a job is made of it
 * @param because what was found: "injector duty 91 % in run 6"
 * @param job what would lift it: "larger injectors"; blank where nobody knows yet
 * @param minutes how long that takes
 */
record RestrictionRequest(
        @Nullable String text,
        @Nullable String because,
        @Nullable String job,
        @Nullable Integer minutes) {}
