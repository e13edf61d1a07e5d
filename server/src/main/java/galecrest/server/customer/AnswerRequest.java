package galecrest.server.customer;

record AnswerRequest(boolean accept, String name, String note) {}
