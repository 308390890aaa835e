import { Button, Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Link } from 'react-router';
import {
  imagePath,
  payrollChecksQuery,
  runPath,
  statementsPath,
  usePrintChecks,
  useRecordCheck,
  useRunOutcome,
} from '../../api/checks.js';
import type { Schemas } from '../../api/client.js';
import { Figure } from '../../kit/figure.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { PrinterChoice, usePrinter } from '../checks/printer-choice.js';

type Checks = Schemas['PayrollChecks'];
type Row = Schemas['CheckRow'];
const POSITIONS = [
  { value: 'top', label: 'at the top' },
  { value: 'middle', label: 'in the middle' },
  { value: 'bottom', label: 'at the bottom' },
];
const wholeOf = (text: string): number | null => (/^\d{1,9}$/.test(text.trim()) ? Number(text.trim()) : null);

/** Who gets a check that is not made out yet: printed on stock, or written by hand. */
function ToMake({ payrollId, data }: { readonly payrollId: string; readonly data: Checks }): ReactNode {
  const print = usePrintChecks(payrollId);
  const record = useRecordCheck(payrollId);
  const [account, setAccount] = useState(data.accounts[0]?.bankAccountId ?? '');
  const [first, setFirst] = useState<string | null>(null);
  const [position, setPosition] = useState<Checks['position']>(data.position);
  const [left, setLeft] = useState<readonly string[]>([]);
  const [printer, choosePrinter] = usePrinter();
  const [hand, setHand] = useState<string | null>(null);
  const [handNumber, setHandNumber] = useState('');
  const next = data.accounts.find((one) => one.bankAccountId === account)?.next ?? 1;
  const number = first ?? String(next);
  const chosen = data.toMake.filter((check) => !left.includes(check.paycheckId));
  const firstNumber = wholeOf(number);
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (firstNumber === null) return;
    print.mutate(
      {
        bankAccountId: account,
        firstNumber,
        position,
        paycheckIds: chosen.map(({ paycheckId }) => paycheckId),
        ...(printer === '' ? {} : { printerId: printer }),
      },
      { onSuccess: () => setFirst(null) },
    );
  };
  const write = (event: FormEvent): void => {
    event.preventDefault();
    const written = wholeOf(handNumber);
    if (hand === null || written === null) return;
    record.mutate(
      { bankAccountId: account, number: written, paycheckId: hand },
      {
        onSuccess: () => {
          setHand(null);
          setHandNumber('');
        },
      },
    );
  };
  if (data.accounts.length === 0)
    return <p className="note">The client has no bank account yet that checks can be drawn on.</p>;
  return (
    <>
      <table className="ruled">
        <thead>
          <tr>
            <th scope="col" style={{ width: 34 }}>
              <Checkbox
                aria-label="Every check"
                checked={chosen.length === data.toMake.length}
                indeterminate={chosen.length > 0 && chosen.length < data.toMake.length}
                onChange={(event) =>
                  setLeft(event.currentTarget.checked ? [] : data.toMake.map(({ paycheckId }) => paycheckId))
                }
              />
            </th>
            <th scope="col">Pay to</th>
            <th scope="col">Number</th>
            <th scope="col">
              <span className="unseen">Act</span>
            </th>
            <th scope="col" className="num">
              Amount
            </th>
          </tr>
        </thead>
        <tbody>
          {data.toMake.map((check) => {
            const at = chosen.indexOf(check);
            return (
              <tr key={check.paycheckId}>
                <td>
                  <Checkbox
                    aria-label={`Print the check of ${check.name}`}
                    checked={at >= 0}
                    onChange={(event) =>
                      setLeft(
                        event.currentTarget.checked
                          ? left.filter((id) => id !== check.paycheckId)
                          : [...left, check.paycheckId],
                      )
                    }
                  />
                </td>
                <td>{check.name}</td>
                <td className="pencil">{at >= 0 && firstNumber !== null ? firstNumber + at : ''}</td>
                <td>
                  {hand === check.paycheckId ? (
                    <form className="actions" style={{ margin: 0 }} onSubmit={write}>
                      <TextInput
                        aria-label={`Number of the check written by hand for ${check.name}`}
                        size="xs"
                        w={110}
                        placeholder="number"
                        autoFocus
                        value={handNumber}
                        onChange={(event) => setHandNumber(event.currentTarget.value)}
                      />
                      <button type="submit" className="plain" disabled={wholeOf(handNumber) === null}>
                        record it
                      </button>
                      <button type="button" className="plain" onClick={() => setHand(null)}>
                        not now
                      </button>
                    </form>
                  ) : (
                    <button type="button" className="plain" onClick={() => setHand(check.paycheckId)}>
                      written by hand
                    </button>
                  )}
                </td>
                <td className="num">
                  <Figure amount={check.amount} isPencil />
                </td>
              </tr>
            );
          })}
        </tbody>
        <tfoot>
          <tr>
            <td colSpan={4}>
              {chosen.length} of {data.toMake.length} checks
            </td>
            <td className="num">
              <Figure amount={chosen.reduce((total, check) => total + check.amount, 0)} isPencil />
            </td>
          </tr>
        </tfoot>
      </table>
      <RefusedNote error={record.error} />
      <form className="actions" style={{ alignItems: 'flex-end' }} onSubmit={submit}>
        <NativeSelect
          label="Drawn on"
          value={account}
          onChange={(event) => {
            setAccount(event.currentTarget.value);
            setFirst(null);
          }}
          data={data.accounts.map((one) => ({ value: one.bankAccountId, label: one.label }))}
        />
        <TextInput
          label="First check number"
          w={140}
          value={number}
          error={firstNumber === null ? 'A number of at most 9 digits.' : undefined}
          onChange={(event) => setFirst(event.currentTarget.value)}
        />
        <NativeSelect
          label="Check position"
          value={position}
          onChange={(event) => setPosition(event.currentTarget.value as Checks['position'])}
          data={POSITIONS}
        />
        <PrinterChoice printer={printer} onChoose={choosePrinter} />
        <Button type="submit" loading={print.isPending} disabled={chosen.length === 0 || firstNumber === null}>
          Number and print {chosen.length === 1 ? 'one check' : `${chosen.length} checks`}
        </Button>
      </form>
      <RefusedNote error={print.error} />
    </>
  );
}

/** A run that was printed: its pages, and the question how they came out. */
function Run({ rows }: { readonly rows: readonly Row[] }): ReactNode {
  const outcome = useRunOutcome();
  const [spoiled, setSpoiled] = useState<readonly string[]>([]);
  const [first] = rows;
  const runId = first?.runId;
  if (!first || !runId) return null;
  const numbers = rows.map((row) => row.number);
  const many =
    rows.length === 1 ? `check ${first.number}` : `checks ${Math.min(...numbers)} to ${Math.max(...numbers)}`;
  return (
    <div className="asked" role="group" aria-label={`How ${many} came out`}>
      <p>
        <a href={runPath(runId)} target="_blank" rel="noreferrer">
          Open the pages of {many}
        </a>{' '}
        and print them. Did they come out well? Tick those that did not: they are spoiled, and their pay waits for
        another sheet.
      </p>
      <div className="ticks">
        {[...rows].reverse().map((row) => (
          <Checkbox
            key={row.id}
            label={`${row.number} ${row.payee}`}
            checked={spoiled.includes(row.id)}
            onChange={(event) =>
              setSpoiled(event.currentTarget.checked ? [...spoiled, row.id] : spoiled.filter((id) => id !== row.id))
            }
          />
        ))}
      </div>
      <div className="actions">
        <Button
          loading={outcome.isPending}
          onClick={() => outcome.mutate({ runId, spoiled: [...spoiled] }, { onSuccess: () => setSpoiled([]) })}
        >
          {spoiled.length === 0
            ? 'All came out well'
            : `${rows.length - spoiled.length} came out well, ${spoiled.length} spoiled`}
        </Button>
      </div>
      <RefusedNote error={outcome.error} />
    </div>
  );
}

/** The checks of a posted payroll: made out, asked after, and kept with their images. */
export function PayrollChecksView({ payroll }: { readonly payroll: Schemas['PayrollView'] }): ReactNode {
  const checks = useQuery(payrollChecksQuery(payroll.id));
  const isElsewhere = payroll.kind === 'recorded';
  return (
    <section className="section" id="checks">
      <h2>
        Checks and pay statements{' '}
        <small>
          <a href={statementsPath(payroll.id)} target="_blank" rel="noreferrer">
            pay statements (PDF)
          </a>
          , <Link to={`/clients/${payroll.clientId}/checks`}>check register</Link>
        </small>
      </h2>
      <Waiting query={checks}>
        {(data) => {
          const runs = [...new Set(data.checks.filter((row) => row.status === 'printed').map((row) => row.runId))];
          const known = data.checks.filter((row) => row.status !== 'printed');
          return (
            <>
              {runs.map((runId) => (
                <Run key={runId} rows={data.checks.filter((row) => row.runId === runId && row.status === 'printed')} />
              ))}
              {data.toMake.length > 0 && !isElsewhere && (
                <ToMake
                  key={data.toMake.map(({ paycheckId }) => paycheckId).join()}
                  payrollId={payroll.id}
                  data={data}
                />
              )}
              {known.length > 0 && (
                <table className="ruled">
                  <tbody>
                    {known.map((row) => (
                      <tr key={row.id}>
                        <td>{row.number}</td>
                        <td>{row.payee}</td>
                        <td>
                          <Status word={row.status} />
                        </td>
                        <td>
                          {row.hasImage && (
                            <a href={imagePath(row.id)} target="_blank" rel="noreferrer">
                              image
                            </a>
                          )}
                        </td>
                        <td className="num">
                          <Figure amount={row.amount} />
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              )}
              {data.toMake.length === 0 && data.checks.length === 0 && (
                <p className="empty">Nobody of this payroll is paid by check.</p>
              )}
            </>
          );
        }}
      </Waiting>
    </section>
  );
}
