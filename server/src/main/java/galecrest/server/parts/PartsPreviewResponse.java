package galecrest.server.parts;

import galecrest.core.shop.Problem;
import java.util.List;

/** What an import would do: the lines, or the problems by line and column. */
record PartsPreviewResponse(List<PartLinePreview> lines, List<Problem> problems) {}
