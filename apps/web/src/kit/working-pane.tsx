import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useWorking, type WorkingLine } from './working.js';
import { sayDay } from './day.js';

interface Parameter {
  readonly name: string;
  readonly value: string;
  readonly from: string;
  readonly publication: string;
  readonly edition: string;
  readonly place: string;
  readonly verified: boolean;
  readonly doubt?: string;
}

const printOf = ({ publication, edition, place, from, doubt }: Parameter): string =>
  [publication, edition, place, from, doubt].join('|');

/** Lines of one publication name it once: a line that follows says only its own value. */
function Source({ parameter, isSame }: { readonly parameter: Parameter; readonly isSame: boolean }): ReactNode {
  if (isSame)
    return (
      <small className="source">
        {parameter.name}: {parameter.value}. As above.
      </small>
    );
  return (
    <>
      <small className="source">
        {parameter.name}: {parameter.value}. In force from {sayDay(parameter.from)}. {parameter.publication} (
        {parameter.edition}), {parameter.place}.
      </small>
      {!parameter.verified && (
        <small className="doubt">
          Not yet verified against the print.{parameter.doubt ? ` ${parameter.doubt}` : ''}
        </small>
      )}
    </>
  );
}

function Line({ line, before }: { readonly line: WorkingLine; readonly before: Parameter | null }): ReactNode {
  const parameter = line.parameter as Parameter | undefined;
  return (
    <li data-result={line.isResult || undefined}>
      <div className="tape-line">
        <span>{line.label}</span>
        <b>{line.value}</b>
      </div>
      {line.how && <small>{line.how}</small>}
      {line.rounding && <small>Rounded: {line.rounding}</small>}
      {parameter && <Source parameter={parameter} isSame={before !== null && printOf(before) === printOf(parameter)} />}
    </li>
  );
}

/** The parameter of the nearest line above that has one. */
const parameterBefore = (lines: readonly WorkingLine[], index: number): Parameter | null =>
  (lines.slice(0, index).findLast((line) => line.parameter !== undefined)?.parameter as Parameter | undefined) ?? null;

/** The one place where a figure explains itself, at the right edge of every page. */
export function WorkingPane(): ReactNode {
  const { isOpen, working, toggle } = useWorking();
  if (!isOpen) return null;
  return (
    <aside className="working" aria-label="Tape">
      <div className="tape-line">
        <h2>{working ? working.title : 'Tape'}</h2>
        <button type="button" className="plain" onClick={toggle} aria-label="Close the tape">
          close
        </button>
      </div>
      {working ? (
        <>
          <ol>
            {working.lines.map((line, index) => (
              <Line key={index} line={line} before={parameterBefore(working.lines, index)} />
            ))}
          </ol>
          {working.lines.length === 0 && <p className="empty">There is nothing to add up here.</p>}
          {working.link && (
            <p>
              <Link to={working.link.to}>{working.link.label}</Link>
            </p>
          )}
        </>
      ) : (
        <p className="empty">Focus any figure: its calculation is written out here, step by step.</p>
      )}
    </aside>
  );
}
