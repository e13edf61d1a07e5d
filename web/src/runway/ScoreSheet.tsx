import { Modal } from '@mantine/core'
import { useBoard } from '../api/board'

/** The score, broken down: what the plan was chosen by, in the order in which it counts. */
export function ScoreSheet({ opened, onClose }: { opened: boolean; onClose: () => void }) {
  const { score } = useBoard().board
  const lines: [string, string, number, string][] = [
    ['1', 'due work that cannot be planned', score.missing, 'jobs'],
    ['2', 'late at events and paid slots', score.hardLateness, 'h, by how much each matters'],
    ['3', 'late at promises', score.promisedLateness, 'h, by how much each matters'],
    ['4', 'less in hand than the house asks', score.bufferEaten, 'h, by how much each matters'],
    ['', 'can-follow work past its date', score.followLate, 'h'],
    ['', 'starts at risk', score.atRisk, ''],
    ['', 'people to be told again', score.churn, ''],
    ['', 'cars in bits', score.carsInBits, ''],
    ['', 'days to the finish', score.finishing, ''],
  ]
  return (
    <Modal opened={opened} onClose={onClose} title="What this plan was chosen by">
      <table className="plain">
        <tbody>
          {lines.map(([rank, what, value, unit]) => (
            <tr key={what}>
              <td className="soft">{rank}</td>
              <td>{what}</td>
              <td className="right strong">{Math.round(value * 10) / 10}</td>
              <td className="soft">{unit}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="soft small">
        A lower line never outweighs a higher one; the last six count as one sum, as the house rules count
        them.
      </p>
    </Modal>
  )
}
