package galecrest.server.board;

record KeyedRow<T>(String key, T value) {}
