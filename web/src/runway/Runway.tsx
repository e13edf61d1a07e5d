import { Link } from 'react-router'
import { Button } from '@mantine/core'
import { useElementSize, useHotkeys } from '@mantine/hooks'
import { useCallback, useMemo, useState } from 'react'
import { useBoard } from '../api/board'
import { client, dataOf, type Schemas } from '../api/client'
import { useSend } from '../api/send'
import { Nothing } from '../ui/Nothing'
import { when } from '../format/time'
import { DateSheet } from './DateSheet'
import { Days } from './Days'
import { Lane, laneHeight } from './Lane'
import { LaneLabels } from './LaneLabels'
import { lanesOf } from './lanes'
import { LoadBars, LoadLabels, loadsHeight } from './Loads'
import { Patterns } from './Patterns'
import { SkillWeeks } from './SkillWeeks'
import { ScoreSheet } from './ScoreSheet'
import { dayScale } from './scale'
import { DAYS, DAYS_BEFORE, LABELS, MARGINS, TOP } from './sizes'
import { ThinkHarder } from './ThinkHarder'
import { useDrag, useView } from './useView'
import { WhatMoved } from './WhatMoved'
import { WorkCard } from './WorkCard'
import { OnOffer } from '../domain/OnOffer'
import layout from '../ui/layout.module.css'
import css from './runway.module.css'

const NONE = new Set<string>()

/** Time to the commitments: a lane a car, the load of people and stations below. */
export function Runway({ account }: { account: Schemas['Account'] }) {
  const { board, work, commitment } = useBoard()
  const { ref, width } = useElementSize()
  const [said, setSaid] = useState(false)
  const [score, setScore] = useState(false)
  const { send, busy } = useSend()
  const scale = useMemo(() => dayScale(board.now, board.zone, DAYS_BEFORE, DAYS), [board.now, board.zone])
  const today = scale.units(Date.parse(board.now))
  const view = useView(today)
  const { visible, from, put, toggle, pan, zoom } = view
  const picked = work.get(view.work ?? '')
  const plot = Math.max(200, width - LABELS - MARGINS)
  const pixels = plot / visible
  useHotkeys([
    ['+', () => zoom(-1)],
    ['=', () => zoom(-1)],
    ['-', () => zoom(1)],
    ['ArrowLeft', () => pan(-visible / 4)],
    ['ArrowRight', () => pan(visible / 4)],
    ['t', () => put({ from: undefined })],
  ])
  const date = commitment.get(view.date ?? '')
  const chain = useMemo(() => new Set(date?.chain ?? []), [date])
  const onPick = useCallback((id: string) => put({ work: id }), [put])
  const onOpen = useCallback((id: string) => toggle('car', id), [toggle])
  const onDate = useCallback((id: string) => toggle('date', id), [toggle])
  const onPin = useCallback(
    (workId: string, at: string) =>
      void send(() => dataOf(client.POST('/api/pins', { body: { workId, kind: 'EXACTLY', at } }))),
    [send],
  )
  const pinned = useMemo(() => new Set(board.pins.map((pin) => pin.workId)), [board.pins])
  const lanes = useMemo(() => lanesOf(board), [board])
  const drag = useDrag(pixels, pan)
  if (lanes.length === 0)
    return <Nothing title="No cars yet" text="The runway shows the cars once there are builds." />
  let y = TOP
  const tops = lanes.map((lane) => {
    const top = y
    y += laneHeight(lane.works, view.car === lane.car.id)
    return top
  })
  const loadsTop = y + 22
  const height = loadsTop + loadsHeight(board.people.length, board.stations.length)
  const shift = LABELS - from * pixels
  const first = Math.max(0, Math.floor(from))
  const days = scale.keys.slice(first, Math.min(DAYS, Math.ceil(from + visible) + 1))

  return (
    <>
      <div className="room-head">
        <h1>Runway</h1>
        <span className="soft">{draftLine(board)}</span>
        <span className={`no-print ${layout.toolbar}`}>
          <Button size="compact-sm" variant="default" aria-label="Earlier" onClick={() => pan(-visible / 2)}>
            ←
          </Button>
          <Button size="compact-sm" variant="default" onClick={() => put({ from: undefined })}>
            Today
          </Button>
          <Button size="compact-sm" variant="default" aria-label="Later" onClick={() => pan(visible / 2)}>
            →
          </Button>
          <Button size="compact-sm" variant="default" aria-label="Zoom in" onClick={() => zoom(-1)}>
            +
          </Button>
          <Button size="compact-sm" variant="default" aria-label="Zoom out" onClick={() => zoom(1)}>
            −
          </Button>
          {account.role === 'MANAGER' && <ThinkHarder />}
          {account.role !== 'HAND' && (
            <Button size="compact-sm" variant="default" component={Link} to="/rehearse">
              Rehearse
            </Button>
          )}
          <Button size="compact-sm" variant="default" onClick={() => setScore(true)}>
            Score
          </Button>
          <Button
            size="compact-sm"
            variant="default"
            disabled={board.draft.moved === 0}
            onClick={() => setSaid(true)}
          >
            What moved
          </Button>
          {account.role === 'MANAGER' && (
            <Button
              size="compact-sm"
              loading={busy}
              disabled={board.draft.moved === 0 && board.draft.publishedAt !== undefined}
              onClick={() =>
                void send(() =>
                  dataOf(client.POST('/api/plan/publish', { params: { query: { looked: board.change } } })),
                )
              }
            >
              Publish
            </Button>
          )}
        </span>
      </div>
      <OnOffer account={account} />
      {date && (
        <DateSheet key={date.id} date={date} account={account} onClose={() => put({ date: undefined })} />
      )}
      <div ref={ref} className={css.anchor}>
        {width > 0 && (
          <svg
            width={width}
            height={height}
            role="group"
            aria-label="Lanes of the cars to their dates"
            className={css.drawing}
            onWheel={(e) => {
              if (e.ctrlKey) zoom(e.deltaY > 0 ? 1 : -1)
              else if (Math.abs(e.deltaX) > Math.abs(e.deltaY)) pan(e.deltaX / pixels)
            }}
            {...drag}
          >
            <Patterns />
            <clipPath id="plot">
              <rect x={LABELS} y={0} width={plot} height={height} />
            </clipPath>
            <g clipPath="url(#plot)">
              <Days
                keys={days}
                first={first}
                shift={shift}
                pixels={pixels}
                height={height}
                zone={board.zone}
                midnights={scale.midnights}
              />
              <g transform={`translate(${shift} 0)`}>
                <line
                  x1={today * pixels}
                  x2={today * pixels}
                  y1={TOP - 8}
                  y2={height}
                  stroke="var(--hot)"
                  strokeWidth="1.6"
                />
                <text x={today * pixels + 4} y={TOP - 1} fontSize="11" fontWeight="600" fill="var(--hot)">
                  now
                </text>
                {lanes.map((lane, i) => (
                  <g key={lane.car.id} transform={`translate(0 ${tops[i]})`}>
                    <Lane
                      lane={lane}
                      scale={scale}
                      pixels={pixels}
                      open={view.car === lane.car.id}
                      chain={chain}
                      picked={view.car === lane.car.id ? picked?.id : undefined}
                      canPin={account.role === 'MANAGER'}
                      pinned={view.car === lane.car.id ? pinned : NONE}
                      onPin={onPin}
                      onPick={onPick}
                      onOpen={onOpen}
                      onDate={onDate}
                    />
                  </g>
                ))}
                <g transform={`translate(0 ${loadsTop})`}>
                  <LoadBars scale={scale} pixels={pixels} />
                </g>
              </g>
            </g>
            {lanes.map((lane, i) => (
              <LaneLabels
                key={lane.car.id}
                lane={lane}
                top={tops[i] ?? 0}
                right={width - MARGINS + 10}
                open={view.car === lane.car.id}
                picked={view.date}
                onOpen={onOpen}
                onDate={onDate}
              />
            ))}
            <line
              x1="0"
              x2={width}
              y1={loadsTop - 8}
              y2={loadsTop - 8}
              stroke="var(--ink)"
              strokeWidth="1.6"
            />
            <g transform={`translate(0 ${loadsTop})`}>
              <LoadLabels width={LABELS} right={width - MARGINS + 10} />
            </g>
          </svg>
        )}
        {picked && (
          <WorkCard
            key={picked.id}
            work={picked}
            account={account}
            onClose={() => put({ work: undefined })}
          />
        )}
      </div>
      <SkillWeeks asks={account.role !== 'HAND'} />
      <p className="soft small no-print">
        A rope is as thick as the hands at work. Dots cure, waves are outside the shop, a bare line waits, the
        tick is the date. Click a rope to open it, a margin for its chain; drag a job of an open rope to pin
        it.
      </p>
      {said && <WhatMoved account={account} onClose={() => setSaid(false)} />}
      <ScoreSheet opened={score} onClose={() => setScore(false)} />
    </>
  )
}

function draftLine(board: Schemas['Board']): string {
  const { draft } = board
  if (!draft.publishedAt) return 'nothing published yet'
  const by = `published by ${draft.publishedBy}, ${when(draft.publishedAt, board.now, board.zone)}`
  if (draft.moved === 0) return by
  return `draft: ${draft.moved} ${draft.moved === 1 ? 'job' : 'jobs'} changed since ${by}; ${draft.toTell.length ? `${draft.toTell.length} to tell` : 'nobody to tell'}`
}
