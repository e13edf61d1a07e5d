import { Button } from '@mantine/core'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { type Offer, OFFERS, useOffers } from '../api/offers'
import { useSend } from '../api/send'
import layout from '../ui/layout.module.css'
import css from './domain.module.css'

/** The better plan that is on offer: what it wins, what it moves, whom to tell; taken, kept for later or turned down. */
export function OnOffer({ account }: { account: Schemas['Account'] }) {
  const { looked } = useBoard()
  const offers = useOffers(looked, account.role !== 'HAND')
  const open = offers.filter((o) => !o.kept)
  const [later, setLater] = useState(false)
  const shown = later ? offers : open.slice(0, 1)
  const kept = offers.length - open.length
  if (offers.length === 0) return null
  return (
    <section aria-label="A better plan" className={`no-print ${css.offers}`}>
      {shown.map((offer) => (
        <OneOffer key={offer.id} offer={offer} decides={account.role === 'MANAGER'} />
      ))}
      {kept > 0 && !later && (
        <button className="link small" onClick={() => setLater(true)}>
          {kept === 1 ? 'A better plan is kept for later' : `${kept} better plans are kept for later`}
        </button>
      )}
    </section>
  )
}

/** Beside what a change did to a date: the better plan that is on offer since, in a line. */
export function OfferLine({ change }: { change: number }) {
  const best = useOffers(change, true).find((o) => !o.kept)
  return best ? <div className="quiet strong">On offer: {best.headline}.</div> : null
}

function OneOffer({ offer, decides }: { offer: Offer; decides: boolean }) {
  const queries = useQueryClient()
  const { send, busy } = useSend()
  const [moves, setMoves] = useState(false)
  const answer = (path: '/api/offers/{id}/take' | '/api/offers/{id}/keep' | '/api/offers/{id}/dismiss') =>
    void send(() => dataOf(client.POST(path, { params: { path: { id: offer.id } } }))).then(() =>
      queries.invalidateQueries({ queryKey: OFFERS }),
    )
  return (
    <article className={css.offer}>
      <div className="quiet strong">A better plan: {offer.headline}.</div>
      <div className="small">{offer.detail}</div>
      {moves && (
        <ul className={`small ${css.list}`}>
          {offer.moves.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      <div className={`${layout.row} ${layout.belowThin}`}>
        {decides && (
          <Button size="compact-sm" loading={busy} onClick={() => answer('/api/offers/{id}/take')}>
            Take it
          </Button>
        )}
        <Button size="compact-sm" variant="default" aria-expanded={moves} onClick={() => setMoves((m) => !m)}>
          {moves ? 'Hide what moves' : 'Show what moves'}
        </Button>
        {decides && !offer.kept && (
          <Button size="compact-sm" variant="subtle" onClick={() => answer('/api/offers/{id}/keep')}>
            Later
          </Button>
        )}
        {decides && (
          <Button size="compact-sm" variant="subtle" onClick={() => answer('/api/offers/{id}/dismiss')}>
            Not this one
          </Button>
        )}
      </div>
    </article>
  )
}
