package galecrest.server.build;

record ImportedJobsResponse(int jobs) {}
