package galecrest.server.sheet;

import galecrest.core.shop.Problem;
import java.util.List;

/** What an import would do: the lines, or the problems by line and column. */
record JobSheetPreviewResponse(List<JobLinePreview> lines, List<Problem> problems) {}
