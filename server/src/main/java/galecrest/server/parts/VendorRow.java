package galecrest.server.parts;

/** Who a vendor is on paper. */
record VendorRow(String id, String name, String phone, String email) {}
