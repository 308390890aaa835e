import { Button } from '@mantine/core';
import { cents, showDollars, subtract } from '@zakat/core/money/cents';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { useOpenCase } from '../../api/correction-cases.js';
import type { Schemas } from '../../api/client.js';
import { recomputedQuery, sessionQuery } from '../../api/resources.js';
import { ShortDay } from '../../kit/day.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { Waiting } from '../../kit/waiting.js';
import { useClient } from './client-frame.js';

const difference = ({ posted, now }: { readonly posted: number; readonly now: number }): string => {
  const amount = subtract(cents(now), cents(posted));
  return `${amount > 0 ? '+' : ''}${showDollars(amount)}`;
};

/** How each is put right: the employer's taxes by the returns, the employees' by checks. */
function WayRight({ view }: { readonly view: Schemas['RecomputedView'] }): ReactNode {
  const has = (payer: 'employee' | 'employer'): boolean => view.totals.some((total) => total.payer === payer);
  return (
    <ul className="note" style={{ maxWidth: 900 }}>
      {has('employer') && (
        <li>
          Employer taxes that a return works out from wages and rate are owed with it when it is filed; where it was
          filed already, its amended return has the difference.
        </li>
      )}
      {has('employee') && (
        <li>
          Taxes withheld from employees stay as they were withheld. Income tax of this year may be made up in a next
          check; social security and Medicare are the employer’s to pay and to recover. A check that was simply wrong is
          voided and paid again.
        </li>
      )}
      {view.closed.map(({ what, follows }) => (
        <li key={what}>
          {what} {follows}
        </li>
      ))}
    </ul>
  );
}

const plural = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;

/** The mistake as a case, with what was found as its evidence: what follows from it stands there. */
function OpenAsCase({
  view,
  clientId,
}: {
  readonly view: Schemas['RecomputedView'];
  readonly clientId: string;
}): ReactNode {
  const open = useOpenCase(clientId);
  const navigate = useNavigate();
  const causes = [...new Set(view.checks.flatMap((check) => check.causes))];
  const since = view.checks.map(({ checkDate }) => checkDate).sort()[0];
  if (since === undefined) return null;
  const begin = (): void =>
    open.mutate(
      {
        what: `Posted checks of ${view.year} come to other taxes: ${causes.join(', ') || 'the records'}`.slice(0, 300),
        since,
        foundBy: view.foundBy,
        evidence: [
          `Worked out again: ${plural(view.checks.length + view.more, 'check')} of ${view.looked}.`,
          ...view.totals.map((total) => `${total.label}: ${difference(total)} in ${plural(total.checks, 'check')}.`),
        ]
          .join(' ')
          .slice(0, 1000),
      },
      { onSuccess: ({ id }) => void navigate(`/corrections/${id}`) },
    );
  return (
    <>
      <div className="actions">
        <Button variant="outline" loading={open.isPending} onClick={begin}>
          Open it as a case
        </Button>
      </div>
      <RefusedNote error={open.error} />
    </>
  );
}

function Moved({ view, clientId }: { readonly view: Schemas['RecomputedView']; readonly clientId: string }): ReactNode {
  if (view.checks.length === 0)
    return (
      <p className="note">
        {view.looked === 0
          ? 'No check of this year was posted here. What is worked out again stands here once there are some.'
          : `All ${view.looked} posted checks of ${view.year} come to the same taxes today.`}
      </p>
    );
  return (
    <>
      <p className="note">
        {view.checks.length + view.more} of {view.looked} posted checks come to other taxes today
        {view.checks.some(({ problem }) => problem !== '') && ', or cannot be worked out any more'}. What was posted
        stands: nothing changes until you put it right.
      </p>
      <table className="ruled">
        <ListHead
          columns={[
            'Tax',
            'Paid by',
            { number: 'Checks' },
            { number: 'As posted' },
            { number: 'Today' },
            { number: 'Difference' },
          ]}
        />
        <tbody>
          {view.totals.map((total) => (
            <tr key={total.tax}>
              <td>{total.label}</td>
              <td>{total.payer}</td>
              <td className="num">{total.checks}</td>
              <td className="num">
                <Figure amount={total.posted} />
              </td>
              <td className="num">
                <Figure amount={total.now} />
              </td>
              <td className="num">{difference(total)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <WayRight view={view} />
      <OpenAsCase view={view} clientId={clientId} />
      <h2>Check by check {view.more > 0 && <small>the first {view.checks.length}</small>}</h2>
      <table className="ruled">
        <ListHead
          columns={[
            'Check date',
            'Employee',
            'Tax',
            { number: 'As posted' },
            { number: 'Today' },
            { number: 'Difference' },
            'What changed',
          ]}
        />
        <tbody>
          {view.checks.flatMap((check) =>
            (check.problem === '' ? check.taxes : [null]).map((tax, index) => (
              <tr key={`${check.payrollId} ${check.employeeId} ${tax?.tax ?? ''}`}>
                <td>
                  {index === 0 && (
                    <Link to={`/payrolls/${check.payrollId}`}>
                      <ShortDay day={check.checkDate} />
                    </Link>
                  )}
                </td>
                <td>{index === 0 && check.name}</td>
                {tax ? (
                  <>
                    <td>{tax.label}</td>
                    <td className="num">
                      <Figure amount={tax.posted} />
                    </td>
                    <td className="num">
                      <Figure amount={tax.now} />
                    </td>
                    <td className="num">{difference(tax)}</td>
                  </>
                ) : (
                  <td colSpan={4}>It cannot be worked out any more. {check.problem}</td>
                )}
                <td>{index === 0 && check.causes.join(', ')}</td>
              </tr>
            )),
          )}
        </tbody>
      </table>
    </>
  );
}

/** The posted checks of a year, worked out again from the records and rules of today. */
export function RecomputedPage(): ReactNode {
  const client = useClient();
  const { data: session } = useQuery(sessionQuery);
  const [search, setSearch] = useSearchParams();
  const thisYear = Number((session?.today ?? '').slice(0, 4));
  const year = Number(search.get('year')) || thisYear;
  const query = useQuery({ ...recomputedQuery(client.id, year), enabled: year > 0 });
  return (
    <section className="section" style={{ marginTop: 0 }}>
      <h2>
        Posted checks worked out again{' '}
        <small>
          {[thisYear - 1, thisYear].map((one) => (
            <button
              key={one}
              type="button"
              className="plain"
              aria-pressed={one === year}
              style={{ marginLeft: 10, ...(one === year ? { color: 'var(--ink)', textDecoration: 'none' } : {}) }}
              onClick={() => setSearch({ year: String(one) }, { replace: true })}
            >
              {one}
            </button>
          ))}
        </small>
      </h2>
      <p className="note">
        With the records and rules of today: a rate that was notified late, a certificate with an earlier date, a pay
        code that was treated wrongly, a new rule pack.
      </p>
      <Waiting query={query}>{(view) => <Moved view={view} clientId={client.id} />}</Waiting>
    </section>
  );
}
