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
/** Of the drawing's units: a letter of a label, and a line of them. */
const LETTER = 6.6;
const LINE = 14;
/** Labels end at their mark where they would leave the drawing. */
const TURNS = WIDTH - 190;

/** The line on which each label stands, from the left: the first where it touches none before it. */
export function linesOf(labels: readonly { readonly from: number; readonly to: number }[]): number[] {
  const ends: number[] = [];
  return labels.map(({ from, to }) => {
    const free = ends.findIndex((end) => end + LETTER <= from);
    const line = free < 0 ? ends.length : free;
    ends[line] = to;
    return line;
  });
}

/** A record's history as one line of dated changes; picking a date shows that day. */
export function LifeLine({ marks, on, onPick }: Props): ReactNode {
  const days = [...marks.map((mark) => mark.day), on].sort();
  const first = addDays(parseDate(days[0] ?? on) ?? on, -30);
  const last = addDays(parseDate(days.at(-1) ?? on) ?? on, 60);
  const x = scaleLinear()
    .domain([0, daysBetween(first, last)])
    .range([10, WIDTH - 10]);
  const at = (day: string): number => x(daysBetween(first, parseDate(day) ?? on));
  const grouped = [...new Set(marks.map((mark) => mark.day))].sort().map((day) => {
    const labels = marks.filter((mark) => mark.day === day).map((mark) => mark.label);
    const text = `${shortDay(day)} ${labels.length > 1 ? `${labels.length} entries` : (labels[0] ?? '')}`;
    const width = text.length * LETTER;
    const isTurned = at(day) > TURNS;
    return {
      day,
      labels,
      text,
      isTurned,
      from: isTurned ? at(day) - width : at(day),
      to: isTurned ? at(day) : at(day) + width,
      isAhead: marks.filter((mark) => mark.day === day).every((mark) => mark.isAhead === true),
    };
  });
  const lines = linesOf(grouped);
  const height = 58 + Math.max(0, ...lines) * LINE;
  return (
    <div className="lifeline">
      <svg viewBox={`0 0 ${WIDTH} ${height}`} role="group" aria-label="Timeline">
        <path d={`M10 30H${WIDTH - 10}`} stroke="var(--ink)" />
        {grouped.map(({ day, labels, text, isTurned, isAhead }, index) => (
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
            <text x={at(day)} y={52 + (lines[index] ?? 0) * LINE} textAnchor={isTurned ? 'end' : 'start'}>
              {text}
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
