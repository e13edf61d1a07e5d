package galecrest.server.build;

record JobLinePreview(int line, String stage, String job, int likelyMinutes) {}
