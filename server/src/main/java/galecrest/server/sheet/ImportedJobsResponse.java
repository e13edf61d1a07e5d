package galecrest.server.sheet;

record ImportedJobsResponse(int jobs) {}
