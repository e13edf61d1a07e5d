package galecrest.server.vendor;

/** Who a vendor is on paper. */
public record VendorRow(String id, String name, String phone, String email) {}
