import { addDays, daysBetween, parseDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { shortDay } from './day.js';

export interface LifeMark {
  readonly day: string;
  readonly label: string;
  /** Foreseen, not recorded: drawn in pencil. */
  readonly isAhead?: boolean;
}
interface Props {
  readonly marks: readonly LifeMark[];
  readonly on: LocalDate;
  readonly onPick: (day: string) => void;
}
const WIDTH = 1000;

/** A record's history as one line of dated changes; picking a date shows that day. */
export function LifeLine({ marks, on, onPick }: Props): ReactNode {
  const days = [...marks.map((mark) => mark.day), on].sort();
  const first = addDays(parseDate(days[0] ?? on) ?? on, -30);
  const last = addDays(parseDate(days.at(-1) ?? on) ?? on, 60);
  const x = scaleLinear()
    .domain([0, daysBetween(first, last)])
    .range([10, WIDTH - 10]);
  const at = (day: string): number => x(daysBetween(first, parseDate(day) ?? on));
  const grouped = [...new Set(marks.map((mark) => mark.day))].map((day) => ({
    day,
    labels: marks.filter((mark) => mark.day === day).map((mark) => mark.label),
    isAhead: marks.filter((mark) => mark.day === day).every((mark) => mark.isAhead === true),
  }));
  return (
    <div className="lifeline">
      <svg viewBox={`0 0 ${WIDTH} 58`} role="group" aria-label="Timeline">
        <path d={`M10 30H${WIDTH - 10}`} stroke="var(--ink)" />
        {grouped.map(({ day, labels, isAhead }) => (
          <g
            key={day}
            role="button"
            tabIndex={0}
            aria-label={`${shortDay(day)} ${labels.length > 1 ? `${labels.length} entries: ${labels.join(', ')}` : labels.join('')}`}
            style={{ cursor: 'pointer' }}
            onClick={() => onPick(day)}
            onKeyDown={(event) => event.key === 'Enter' && onPick(day)}
          >
            <path
              d={`M${at(day)} 22V38`}
              stroke={isAhead ? 'var(--wait)' : 'var(--ink)'}
              strokeWidth={2}
              {...(isAhead ? { strokeDasharray: '2 3' } : {})}
            />
            <text x={at(day)} y={52} textAnchor={at(day) > WIDTH - 160 ? 'end' : 'start'}>
              {shortDay(day)} {labels.length > 1 ? `${labels.length} entries` : labels[0]}
            </text>
          </g>
        ))}
        <path d={`M${at(on)} 12V34`} stroke="var(--act)" strokeWidth={2} />
        <circle cx={at(on)} cy={30} r={4} fill="var(--act)" />
        <text x={at(on)} y={9} textAnchor={at(on) > WIDTH - 160 ? 'end' : 'middle'}>
          shown as of {shortDay(on)}
        </text>
      </svg>
    </div>
  );
}
