import { useQuery } from '@tanstack/react-query'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { Nothing } from '../ui/Nothing'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './shop.module.css'

/** Who changed what, when. */
export function JournalList() {
  const { board } = useBoard()
  const entries = useQuery({
    queryKey: ['journal', board.change],
    queryFn: () => dataOf(client.GET('/api/journal', { params: { query: { most: 200 } } })),
    placeholderData: (before) => before,
  })
  if (entries.data?.length === 0) return <Nothing title="Nothing has been changed yet" />
  return (
    <table className={`plain ${css.wide}`}>
      <tbody>
        {entries.data?.map((e) => (
          <tr key={e.id} style={{ textDecoration: e.undone ? 'line-through' : undefined }}>
            <td className={`soft ${layout.nowrap}`} title={e.at}>
              {when(e.at, board.now, board.zone)}
            </td>
            <td className="strong">{e.actor}</td>
            <td>{e.summary}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
