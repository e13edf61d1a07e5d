package galecrest.server.outwork.sheet;

import galecrest.core.shop.Problem;
import java.util.List;

/** What an import would do: the lines, or the problems by line and column. */
record OutworkPreviewResponse(List<OutworkLinePreview> lines, List<Problem> problems) {}
