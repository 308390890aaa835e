import { addDays, dayNumber, parseDate, weekday, type LocalDate } from '@zakat/core/calendar/local-date';
import { BANKING, holidayOn } from '@zakat/core/calendar/holidays';
import { cents, showDollars } from '@zakat/core/money/cents';
import { max } from 'd3-array';
import { scaleBand, scaleSqrt } from 'd3-scale';
import { useRef, useState, type ReactNode } from 'react';
import { sayDay } from './day.js';

export interface RunwayMark {
  readonly day: string;
  /** Money out, in cents. */
  readonly out: number;
  /** Returns and check dates. */
  readonly others: number;
}
interface Props {
  readonly from: LocalDate;
  readonly days: number;
  readonly marks: readonly RunwayMark[];
  readonly range: readonly [string, string] | null;
  readonly onRange: (range: readonly [string, string] | null) => void;
}
const WIDTH = 1180;
const GROUND = 74;
const LETTERS = ['S', 'M', 'T', 'W', 'T', 'F', 'S'];

/** The coming days across all clients: money out above the line, filings and checks below, closed days hatched. Drag to filter. */
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

export function Runway({ from, days, marks, range, onRange }: Props): ReactNode {
  const all = Array.from({ length: days }, (_, index) => addDays(from, index));
  const x = scaleBand<string>().domain(all).range([0, WIDTH]).paddingInner(0.12);
  const byDay = new Map(marks.map((mark) => [mark.day, mark]));
  const height = scaleSqrt()
    .domain([0, max(marks, (mark) => mark.out) ?? 1])
    .range([0, 52]);
  const start = useRef<string | null>(null);
  const [hover, setHover] = useState<string | null>(null);
  const dayAt = (event: React.PointerEvent<SVGSVGElement>): string => {
    const box = event.currentTarget.getBoundingClientRect();
    const index = Math.min(days - 1, Math.max(0, Math.floor(((event.clientX - box.left) / box.width) * days)));
    return all[index] ?? from;
  };
  const chosen = (day: string): boolean => range !== null && day >= range[0] && day <= range[1];
  const finish = (day: string): void => {
    const begun = start.current;
    start.current = null;
    if (begun === null) return;
    const next: [string, string] = begun < day ? [begun, day] : [day, begun];
    onRange(range && range[0] === next[0] && range[1] === next[1] ? null : next);
  };
  return (
    <div className="runway">
      <svg
        viewBox={`0 0 ${WIDTH} 118`}
        role="img"
        aria-label={`Runway: ${days} days from ${sayDay(from)}`}
        style={{ touchAction: 'none', cursor: 'crosshair' }}
        onPointerDown={(event) => (start.current = dayAt(event))}
        onPointerMove={(event) => setHover(dayAt(event))}
        onPointerLeave={() => setHover(null)}
        onPointerUp={(event) => finish(dayAt(event))}
      >
        <defs>
          <pattern id="closed" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V5" stroke="var(--rule)" strokeWidth="1.4" />
          </pattern>
        </defs>
        {all.map((day) => {
          const left = x(day) ?? 0;
          const width = x.bandwidth();
          const isClosed = weekday(day) === 0 || weekday(day) === 6 || holidayOn(day, BANKING) !== null;
          const money = byDay.get(day)?.out ?? 0;
          const isMonday = weekday(day) === 1 || day === from;
          const parsed = parseDate(day);
          return (
            <g key={day}>
              {(chosen(day) || hover === day) && (
                <rect x={left - 1} y={8} width={width + 2} height={94} fill="var(--paper-deep)" />
              )}
              {isClosed && (
                <rect x={left} y={18} width={width} height={GROUND - 18} fill="url(#closed)" opacity={0.8} />
              )}
              {money > 0 && (
                <rect x={left} width={width} y={GROUND - height(money)} height={height(money)} fill="var(--act)">
                  <title>{`${sayDay(day)}: ${showDollars(cents(money))} out`}</title>
                </rect>
              )}
              {Array.from({ length: Math.min(3, byDay.get(day)?.others ?? 0) }, (_, index) => (
                <circle
                  key={index}
                  cx={left + width / 2}
                  cy={GROUND + 8 + index * 8}
                  r={2.8}
                  fill="none"
                  stroke="var(--ink)"
                  strokeWidth={1.4}
                />
              ))}
              {isMonday && parsed && (
                <text x={left} y={114}>
                  {MONTHS[Number(day.slice(5, 7)) - 1]} {Number(day.slice(8))}
                </text>
              )}
              {!isMonday && dayNumber(day) - dayNumber(from) < 7 && (
                <text x={left + width / 2} y={114} textAnchor="middle" opacity={0.7}>
                  {LETTERS[weekday(day)]}
                </text>
              )}
            </g>
          );
        })}
        <path d={`M0 ${GROUND}.5H${WIDTH}`} stroke="var(--ink)" />
      </svg>
    </div>
  );
}
