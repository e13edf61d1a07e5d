/** States in which a part is still to be ordered, or again. */
export const TO_ORDER = ['WANTED', 'SPECIFIED', 'QUOTED', 'REFUSED', 'RETURNED']
