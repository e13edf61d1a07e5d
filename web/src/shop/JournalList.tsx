import { Button } from '@mantine/core'
import { useInfiniteQuery } from '@tanstack/react-query'
import { useBoard } from '../api/board'
import { client, dataOf } from '../api/client'
import { Nothing } from '../ui/Nothing'
import { when } from '../format/time'
import layout from '../ui/layout.module.css'
import css from './shop.module.css'

const PAGE = 100

/** Who changed what, when; to each role its part. */
export function JournalList() {
  const { board } = useBoard()
  const pages = useInfiniteQuery({
    queryKey: ['journal'],
    queryFn: ({ pageParam }) =>
      dataOf(client.GET('/api/journal', { params: { query: { most: PAGE, before: pageParam } } })),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (last) => (last.length < PAGE ? undefined : last[last.length - 1]?.id),
  })
  const entries = pages.data?.pages.flat()
  if (entries?.length === 0) return <Nothing title="Nothing has been changed yet" />
  return (
    <>
      <table className={`plain ${css.wide}`}>
        <tbody>
          {entries?.map((e) => (
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
      {pages.hasNextPage && (
        <Button
          mt={10}
          variant="default"
          loading={pages.isFetchingNextPage}
          onClick={() => void pages.fetchNextPage()}
        >
          Earlier
        </Button>
      )}
    </>
  )
}
