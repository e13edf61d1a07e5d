/** A large screen: more of the week, two cars' sheets side by side. */
export const WIDE = '(min-width: 1680px)'
