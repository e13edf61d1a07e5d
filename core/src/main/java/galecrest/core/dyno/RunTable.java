package galecrest.core.dyno;

import java.util.List;

/**
 * A run file as rows of text, before anybody knows what its columns are.
 *
 * @param header the columns as they are named, or "column 1" and so on
 * @param rows their cells; a short row lacks its last ones
 * @param firstLine where in the file the first row stands; the file begins with line 1
 * @param decimalComma whether its numbers have a comma where others have a point
 * @param notices what was taken for granted when it was read, in words
 */
public record RunTable(
        List<String> header, List<String[]> rows, int firstLine, boolean decimalComma, List<String> notices) {
    public RunTable {
        header = List.copyOf(header);
        notices = List.copyOf(notices);
    }

    /** A cell without blanks at its ends; empty where a short row lacks it. */
    public String cell(int row, int column) {
        String[] cells = rows.get(row);
        return column < cells.length ? cells[column].strip() : "";
    }

    /** The number of a cell with nothing beside it; NaN where it is none. */
    public double number(String cell) {
        if (cell.isEmpty() || "+-.,0123456789".indexOf(cell.charAt(0)) < 0) {
            return Double.NaN;
        }
        try {
            return Double.parseDouble(decimalComma ? cell.replace(".", "").replace(',', '.') : cell);
        } catch (NumberFormatException none) {
            return Double.NaN;
        }
    }
}
