import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef, type ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { efileDutyQuery, formsQuery, useCreateFiling } from '../../api/resources.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { useClient } from './client-frame.js';
import { CorrectionCases } from './correction-cases.js';
import { CorrectionsSection } from './corrections.js';
import { FiledElsewhere } from './filed-elsewhere.js';
import { NoticesSection } from './notices.js';
import { usePeriod, type Period } from './period.js';
import { Day } from '../../kit/day.js';
import { ListHead } from '../../kit/list-head.js';

type Form = Schemas['FormOwed'];

/** Where a form stands: begun, done by a former provider, not filed by this client, or still to be begun. */
function Standing({ form }: { readonly form: Form }): ReactNode {
  if (form.status) return <Status word={form.status} />;
  if (form.isElsewhere) return 'filed by the former provider';
  if (!form.files) return <span className="sub">{form.why}</span>;
  return form.isOver ? 'to be begun' : 'its period goes on';
}

function FormRow({ form, clientId }: { readonly form: Form; readonly clientId: string }): ReactNode {
  const create = useCreateFiling(clientId);
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const button = useRef<HTMLButtonElement>(null);
  const isAsked = search.get('kind') === form.kind && search.get('period') === form.period;
  useEffect(() => {
    if (isAsked) button.current?.focus();
  }, [isAsked]);
  const mayBegin = !form.filingId && form.files && !form.isElsewhere;
  const begin = (): void =>
    create.mutate({ kind: form.kind, period: form.period }, { onSuccess: ({ id }) => void navigate(`/filings/${id}`) });
  return (
    <tr>
      <td>{form.filingId ? <Link to={`/filings/${form.filingId}`}>{form.title}</Link> : form.title}</td>
      <td>
        <Day day={form.due} />
      </td>
      <td>
        <Standing form={form} />
        <RefusedNote error={create.error} />
      </td>
      <td>
        {mayBegin && (
          <button
            ref={button}
            type="button"
            className="plain"
            aria-label={`begin the ${form.noun}: ${form.title}`}
            disabled={create.isPending}
            onClick={begin}
          >
            begin the {form.noun}
          </button>
        )}
      </td>
    </tr>
  );
}

/** Whether the client must file electronically: its returns counted over all kinds. */
function Duty({ clientId, year }: { readonly clientId: string; readonly year: number }): ReactNode {
  const { data } = useQuery({ ...efileDutyQuery(clientId, year), enabled: year > 0 });
  if (!data || data.total === 0) return null;
  const counted = data.returns.map(({ name, count }) => `${name}: ${count}`).join(', ');
  return (
    <p className="note" style={{ maxWidth: 900 }} title={data.rule}>
      {data.total} federal returns are expected to fall due in {data.year} ({counted}):{' '}
      {data.mustEfile
        ? `from ${data.from} on they must go electronically.`
        : `fewer than ${data.from}, so they may go on paper.`}{' '}
      Recalled, not yet verified; returns of the client’s own, such as Forms 1099, count as well.
    </p>
  );
}

/** The year of the last quarter that is over: until April the forms of last year are the ones to file. */
const yearAtWork = ({ year, quarter }: Period): number => (quarter === '1' ? year - 1 : year);

/** The returns and wage statements of a year: what the client files, for which periods, and how each stands. */
export function ReturnsPage(): ReactNode {
  const client = useClient();
  const [search, setSearch] = useSearchParams();
  const period = usePeriod();
  const asked = /^\d{4}/.exec(search.get('period') ?? '')?.[0];
  const year = Number(search.get('year') ?? asked ?? (period ? yearAtWork(period) : 0));
  const forms = useQuery({ ...formsQuery(client.id, year), enabled: year > 0 });
  if (!period) return null;
  const pick = (chosen: number): void => setSearch({ year: String(chosen) });
  return (
    <>
      <section className="section" style={{ marginTop: 0 }}>
        <h2>Returns and wage statements of {year}</h2>
        <div className="actions" role="group" aria-label="Year">
          {[year - 1, year, year + 1].map((one) => (
            <button
              key={one}
              type="button"
              className="plain"
              aria-pressed={one === year}
              style={one === year ? { color: 'var(--ink)', textDecoration: 'none', fontWeight: 600 } : {}}
              onClick={() => pick(one)}
            >
              {one}
            </button>
          ))}
        </div>
        <Waiting query={forms}>
          {(rows) =>
            rows.length === 0 ? (
              <p className="empty">Nothing was paid in {year}, so no form is owed for it.</p>
            ) : (
              <table className="ruled">
                <ListHead columns={['Form', 'Due', 'Status', 'Begin']} />
                <tbody>
                  {rows.map((form) => (
                    <FormRow key={`${form.kind} ${form.period}`} form={form} clientId={client.id} />
                  ))}
                </tbody>
              </table>
            )
          }
        </Waiting>
        <Duty clientId={client.id} year={year} />
      </section>
      <CorrectionsSection clientId={client.id} />
      <CorrectionCases clientId={client.id} />
      <FiledElsewhere clientId={client.id} />
      <NoticesSection clientId={client.id} />
    </>
  );
}
