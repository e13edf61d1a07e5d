/** Pixels of the runway: labels on the left, margins on the right, the days' names on top. */
export const LABELS = 176
export const MARGINS = 152
export const TOP = 34
/** Days drawn before today, and altogether. */
export const DAYS_BEFORE = 2
export const DAYS = 130
