import type { ReactNode } from 'react';
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
        <Listed
          severity="warning"
          title={errors.length > 0 ? 'Worth knowing besides' : title}
          details={warnings}
          {...linked}
        />
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

/** What the server refused, in its own words. */
export function RefusedNote({ error, route }: { readonly error: Error | null; readonly route?: Route }): ReactNode {
  if (!error) return null;
  const details = error instanceof Refused ? error.problem.problems : [];
  if (details.length > 0)
    return <Problems title="This cannot be done yet" details={details} {...(route ? { route } : {})} />;
  return (
    <div className="problem" role="alert">
      {error.message}
    </div>
  );
}
