import { useQuery } from '@tanstack/react-query'
import { client, dataOf, type Schemas } from './client'

export type Offer = Schemas['OfferResponse']

export const OFFERS = ['offers']

/** Better plans on offer, the most worth first; asked anew with each change, for an offer is mended with what changed. */
export function useOffers(change: number, enabled: boolean): Offer[] {
  const query = useQuery({
    queryKey: [...OFFERS, change],
    queryFn: () => dataOf(client.GET('/api/offers')),
    placeholderData: (before) => before,
    enabled,
  })
  return enabled ? (query.data ?? []) : []
}
