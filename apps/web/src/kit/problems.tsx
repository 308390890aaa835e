import { useEffect, useRef, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Refused } from '../api/client.js';

interface Detail {
  readonly field: string;
  readonly severity: string;
  readonly sentence: string;
  readonly fix: string;
}
/** Where a field of a problem is corrected; null when it is on this page. */
export type Route = (field: string) => string | null;

interface ProblemsProps {
  readonly details: readonly Detail[];
  readonly title: string;
  readonly route?: Route;
}

/** What stands in the way; what is only worth knowing stands apart from it. */
export function Problems({ details, title, route }: ProblemsProps): ReactNode {
  const errors = details.filter((detail) => detail.severity === 'error');
  const warnings = details.filter((detail) => detail.severity !== 'error');
  const linked = route ? { route } : {};
  return (
    <>
      {errors.length > 0 && <Listed severity="error" title={title} details={errors} {...linked} />}
      {warnings.length > 0 && (
        <Listed severity="warning" title={errors.length > 0 ? 'Warnings' : title} details={warnings} {...linked} />
      )}
    </>
  );
}

function Listed({ details, title, route, severity }: ProblemsProps & { readonly severity: string }): ReactNode {
  return (
    <div className="problem" data-severity={severity} role={severity === 'error' ? 'alert' : 'status'}>
      <b>{title}</b>
      <ul>
        {details.map((detail, index) => {
          const to = route?.(detail.field) ?? null;
          return (
            <li key={index}>
              {detail.sentence} {detail.fix} {to && <Link to={to}>Go to the field</Link>}
            </li>
          );
        })}
      </ul>
    </div>
  );
}

interface RefusedProps {
  readonly error: Error | null;
  readonly route?: Route;
  /** Fields that show what is wrong with them; the note leaves that to them. */
  readonly atField?: (field: string) => boolean;
}

/** What the server refused, in its own words: once, at the field where there is one. The first such field gets the focus. */
export function RefusedNote({ error, route, atField }: RefusedProps): ReactNode {
  const note = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (error === null) return;
    note.current?.closest('form')?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
  }, [error]);
  if (!error) return null;
  const all = error instanceof Refused ? error.problem.problems : [];
  const rest = all.filter((detail) => !(atField?.(detail.field) ?? false));
  const isSaidElsewhere = all.length > 0 && rest.length === 0;
  return (
    <div ref={note}>
      {rest.length > 0 && <Problems title="This cannot be done yet" details={rest} {...(route ? { route } : {})} />}
      {all.length === 0 && (
        <div className="problem" role="alert">
          {error.message}
        </div>
      )}
      {isSaidElsewhere && (
        <p className="sub" role="alert">
          Not saved: {all.length === 1 ? 'one field needs' : `${all.length} fields need`} correction, as said above.
        </p>
      )}
    </div>
  );
}
