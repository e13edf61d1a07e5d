package galecrest.server.outwork.sheet;

record OutworkLinePreview(int line, String work, String vendor, int likelyDays) {}
