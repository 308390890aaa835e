import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { filingsQuery, useCreateFiling } from '../../api/resources.js';
import { Day } from '../../kit/day.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { useClient } from './client-frame.js';
import { usePeriod } from './period.js';

const labelOf = (form: string, year: number, quarter: number | null): string =>
  form === '941' ? `Form 941, Q${quarter ?? ''} ${year}` : `Forms W-2 and W-3, ${year}`;

function NewReturn({
  clientId,
  year,
  quarter,
}: {
  readonly clientId: string;
  readonly year: number;
  readonly quarter: string;
}): ReactNode {
  const [search] = useSearchParams();
  const create = useCreateFiling(clientId);
  const navigate = useNavigate();
  const [form, setForm] = useState<'941' | 'W-2'>(search.get('form') === 'W-2' ? 'W-2' : '941');
  const [chosenYear, setYear] = useState(String(year));
  const [chosenQuarter, setQuarter] = useState(quarter || '1');
  const begin = (event: React.FormEvent): void => {
    event.preventDefault();
    create.mutate(
      { form, year: Number(chosenYear), quarter: form === '941' ? Number(chosenQuarter) : null },
      { onSuccess: ({ id }) => void navigate(`/filings/${id}`) },
    );
  };
  return (
    <form onSubmit={begin}>
      <div className="actions" style={{ alignItems: 'flex-end' }}>
        <NativeSelect
          label="Form"
          value={form}
          onChange={(event) => setForm(event.currentTarget.value as '941' | 'W-2')}
          data={[
            { value: '941', label: 'Form 941' },
            { value: 'W-2', label: 'Forms W-2 and W-3' },
          ]}
        />
        <TextInput label="Year" w={80} value={chosenYear} onChange={(event) => setYear(event.currentTarget.value)} />
        {form === '941' && (
          <NativeSelect
            label="Quarter"
            value={chosenQuarter}
            onChange={(event) => setQuarter(event.currentTarget.value)}
            data={['1', '2', '3', '4']}
          />
        )}
        <Button type="submit" loading={create.isPending}>
          Begin the {form === '941' ? 'return' : 'W-2s'}
        </Button>
      </div>
      <RefusedNote error={create.error} />
    </form>
  );
}

export function ReturnsPage(): ReactNode {
  const client = useClient();
  const navigate = useNavigate();
  const period = usePeriod();
  const filings = useQuery(filingsQuery(client.id));
  if (!period) return null;
  return (
    <>
      <section className="section" style={{ marginTop: 0 }}>
        <h2>Begin a return</h2>
        <NewReturn clientId={client.id} year={period.year} quarter={period.quarter} />
      </section>
      <section className="section">
        <h2>Returns and wage statements</h2>
        <Waiting query={filings}>
          {(rows) =>
            rows.length === 0 ? (
              <p className="empty">None yet.</p>
            ) : (
              <table className="ruled">
                <thead>
                  <tr>
                    <th scope="col">Return</th>
                    <th scope="col">Due</th>
                    <th scope="col">Stands</th>
                    <th scope="col" className="num">
                      Attempt
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {rows.map((row) => (
                    <tr key={row.id} className="go" onClick={() => void navigate(`/filings/${row.id}`)}>
                      <td>
                        <Link to={`/filings/${row.id}`}>{labelOf(row.form, row.year, row.quarter)}</Link>
                      </td>
                      <td>
                        <Day day={row.due} />
                      </td>
                      <td>
                        <Status word={row.status} />
                      </td>
                      <td className="num">{row.attempt}</td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )
          }
        </Waiting>
      </section>
    </>
  );
}
