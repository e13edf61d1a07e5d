package galecrest.server.sheet;

/**
 * A template to be changed: its job sheet as CSV.
 *
 * @param own whether it is the house's; one that ships with the shop is saved under a name of the house
 */
record TemplateSheetResponse(String id, String name, String sheet, boolean own, int version) {}
