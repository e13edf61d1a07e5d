package galecrest.server.sheet;

record JobLinePreview(int line, String stage, String job, int likelyMinutes) {}
