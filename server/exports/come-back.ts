import { createEvents } from 'ics'
import { getPipe } from '#core/catalogue'
import type { ComingBack } from '#core/record'

/** Joints that are come back to as an iCalendar (RFC 5545): a whole day each, reminded of the day before. */
export function comeBackCalendar(list: readonly ComingBack[]): string {
  // A calendar may be empty; the package wants an event.
  if (list.length === 0) return 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:jolvet\r\nEND:VCALENDAR\r\n'
  const { value, error } = createEvents(
    list.map(({ job, joint, on }) => {
      const [year, month, day] = on.split('-').map(Number) as [number, number, number]
      return {
        uid: `${joint.id}@jolvet`,
        title: `Come back to J${joint.number}, ${job.name}`,
        start: [year, month, day] as [number, number, number],
        duration: { days: 1 },
        location: job.place || undefined,
        description: [
          `Temporary joint: ${joint.place || 'no place noted'}.`,
          joint.pipes.map((pipe) => getPipe(pipe).label).join(' to '),
          joint.part ?? '',
        ]
          .filter(Boolean)
          .join('\n'),
        alarms: [
          {
            action: 'display' as const,
            description: `Tomorrow: J${joint.number}, ${job.name}`,
            trigger: { before: true, days: 1 },
          },
        ],
      }
    }),
    { productId: 'jolvet', calName: 'Jolvet: joints to come back to' },
  )
  if (!value) throw error ?? new Error('no calendar')
  return value
}
