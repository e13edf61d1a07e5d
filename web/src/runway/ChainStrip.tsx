import { Link } from 'react-router'
import { type Commitment, useBoard } from '../api/board'

/** The chain of a date in a sentence, each of its works a way to it. */
export function ChainStrip({ date, onClose }: { date: Commitment; onClose: () => void }) {
  const { work } = useBoard()
  const late = (date.marginMinutes ?? -1) < 0
  return (
    <section
      className="panel"
      aria-label={`Chain of ${date.name}`}
      style={{
        borderColor: late ? 'var(--hot)' : 'var(--ink)',
        padding: '7px 12px',
        marginBottom: 6,
        fontSize: 13.5,
      }}
    >
      <button className="link" style={{ float: 'right' }} onClick={onClose}>
        close
      </button>
      <span className={late ? 'strong hot' : 'strong'}>{date.sentence}</span>{' '}
      <span className="soft">
        {[...date.chain].reverse().map((id, i) => (
          <span key={id}>
            {i > 0 && ' → '}
            <Link to={`/build/${work.get(id)?.buildId}?work=${id}`}>{work.get(id)?.name}</Link>
          </span>
        ))}
      </span>
    </section>
  )
}
