import type { Query } from '@tanstack/react-query'

/**
 * While a list is looked up anew, what was there before stays, where it is of the same thing: the second part of its key. Of
 * another car, say, it is not shown for a moment, and cannot be pressed.
 */
export const whileSame =
  (thing: unknown) =>
  <T>(before: T | undefined, query: Query<T, Error, T, readonly unknown[]> | undefined): T | undefined =>
    query?.queryKey[1] === thing ? before : undefined
