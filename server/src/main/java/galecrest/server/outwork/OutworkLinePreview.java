package galecrest.server.outwork;

record OutworkLinePreview(int line, String work, String vendor, int likelyDays) {}
