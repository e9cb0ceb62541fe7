import type { IsoDay } from '#core/base'
import type { Meeting } from '#core/calendar'
import type { Stretch } from '#core/pacing'
import type { DeskColumn } from '../stores/deskColumn'

/** One line of the one-class view: a meeting, or one that was lost, with the stones cut to it. */
export interface MeetingRow {
  readonly key: string
  readonly on: IsoDay
  readonly startMinute: number
  readonly meeting: Meeting | null
  readonly stretches: readonly Stretch[]
}

/** A class's week meeting by meeting, in order. */
export function meetingRows(column: DeskColumn, mondayOn: IsoDay): MeetingRow[] {
  const rows: MeetingRow[] = []
  const add = (index: number, stretch: Stretch) => {
    const meeting = column.calendar.meetings[index]
    const last = rows[rows.length - 1]
    if (last?.meeting?.index === index)
      rows[rows.length - 1] = { ...last, stretches: [...last.stretches, stretch] }
    else if (meeting)
      rows.push({
        key: String(index),
        on: meeting.on,
        startMinute: meeting.startMinute,
        meeting,
        stretches: [stretch],
      })
  }
  for (const s of column.weeks.get(mondayOn)?.stretches ?? []) {
    if (s.kind === 'lost')
      rows.push({
        key: `${s.lost.on} ${s.lost.startMinute}`,
        on: s.lost.on,
        startMinute: s.lost.startMinute,
        meeting: null,
        stretches: [s],
      })
    else if (s.kind === 'bare') add(s.meeting, s)
    else
      s.meetings.forEach((index, i) =>
        add(index, {
          ...s,
          meetings: [index],
          halves: halvesIn(column, s.lessonId, index),
          starts: s.starts && i === 0,
          ends: s.ends && i === s.meetings.length - 1,
        }),
      )
  }
  return rows
}

function halvesIn(column: DeskColumn, lessonId: string, meeting: number): number {
  const found = column.layout?.placements.find((p) => p.lessonId === lessonId)
  return found?.placed ? (found.slots.find((s) => s.meeting === meeting)?.halves ?? 1) : 1
}
