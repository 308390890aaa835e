import { Button, NativeSelect } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { takeOverQuery, takeOversQuery, useBeginTakeOver, useTakeOverAct } from '../../api/take-overs.js';
import { RefusedNote } from '../../kit/problems.js';
import { ReleaseSlip } from '../../kit/release-slip.js';
import { Status } from '../../kit/status.js';
import { Waiting } from '../../kit/waiting.js';
import { useClient } from '../clients/client-frame.js';
import { acceptSlip } from './accept-slip.js';
import { Balances } from './balances.js';
import { Differences } from './differences.js';
import { Reported } from './reported.js';

type TakeOver = Schemas['TakeOverView'];

function Begin({ clientId, years }: { readonly clientId: string; readonly years: readonly number[] }): ReactNode {
  const [year, setYear] = useState(String(years[0] ?? ''));
  const begin = useBeginTakeOver(clientId);
  return (
    <>
      <p className="note">
        When a client comes in the middle of a year, bring in what its people were paid and what was filed and deposited
        before. The figures are compared with each other and count only when they tie out.
      </p>
      <div className="actions">
        <NativeSelect
          aria-label="Year"
          data={years.map(String)}
          value={year}
          onChange={(event) => setYear(event.currentTarget.value)}
        />
        <Button loading={begin.isPending} onClick={() => begin.mutate(Number(year))}>
          Prior payroll of {year}
        </Button>
      </div>
      <RefusedNote error={begin.error} />
    </>
  );
}

const STANDING: Readonly<Record<TakeOver['status'], (takeOver: TakeOver) => string>> = {
  open: ({ rows, wrong, tiesOut, differences }) => {
    if (rows === 0) return 'Nothing is read yet.';
    if (wrong > 0) return `${wrong} of ${rows} rows cannot be read yet.`;
    const open = differences.filter((one) => one.severity === 'error' && one.passedBecause === null).length;
    return tiesOut
      ? `${rows.toLocaleString('en-US')} rows tie out.`
      : `${rows.toLocaleString('en-US')} rows are read; ${open === 1 ? 'a difference holds' : `${open} differences hold`} them.`;
  },
  accepted: ({ rows }) => `${rows.toLocaleString('en-US')} rows count.`,
  'taken back': ({ rows }) => `${rows.toLocaleString('en-US')} rows were taken back.`,
  discarded: () => 'Discarded.',
};

function Sheet({ takeOver, isSenior }: { readonly takeOver: TakeOver; readonly isSenior: boolean }): ReactNode {
  const client = useClient();
  const act = useTakeOverAct(takeOver.id);
  const [isSlipOpen, setSlipOpen] = useState(false);
  const { version } = takeOver;
  return (
    <>
      <p className="sub" role="status" style={{ fontSize: 16 }}>
        <Status word={takeOver.status} /> {STANDING[takeOver.status](takeOver)}
      </p>
      <RefusedNote error={act.error} />
      {isSlipOpen && takeOver.status === 'open' ? (
        <ReleaseSlip
          slip={acceptSlip(takeOver, client.legalName, isSenior)}
          actLabel="Accept these balances"
          isBusy={act.isPending}
          onAct={() => act.mutateAsync({ act: 'accept', version })}
          onClose={() => setSlipOpen(false)}
        />
      ) : (
        <div className="actions">
          {takeOver.status === 'open' && takeOver.rows > 0 && (
            <Button onClick={() => setSlipOpen(true)}>Accept…</Button>
          )}
          {takeOver.status === 'open' && (
            <button type="button" className="plain" onClick={() => act.mutate({ act: 'discard', version })}>
              discard these balances
            </button>
          )}
          {takeOver.status === 'accepted' && isSenior && (
            <button type="button" className="plain" onClick={() => act.mutate({ act: 'take-back', version })}>
              undo all of it
            </button>
          )}
        </div>
      )}
      <Balances takeOver={takeOver} />
      <Reported key={version} takeOver={takeOver} />
      <Differences takeOver={takeOver} isSenior={isSenior} />
    </>
  );
}

/** Balances brought in from a former provider: the year before this client was served here. */
export function BroughtInPage(): ReactNode {
  const client = useClient();
  const [search, setSearch] = useSearchParams();
  const list = useQuery(takeOversQuery(client.id));
  const { data: session } = useQuery(sessionQuery);
  const chosen = search.get('year');
  const shown = (list.data ?? []).find((row) => chosen === null || String(row.year) === chosen);
  const one = useQuery({ ...takeOverQuery(shown?.id ?? ''), enabled: shown !== undefined });
  return (
    <Waiting query={list}>
      {(rows) => {
        const taken = rows.filter((row) => row.status !== 'taken back').map((row) => row.year);
        const thisYear = Number(session?.today.slice(0, 4) ?? 0);
        const free = [thisYear, thisYear - 1].filter((year) => !taken.includes(year));
        return (
          <>
            {rows.length > 1 && (
              <p className="sub">
                {rows.map((row) => (
                  <button
                    key={row.id}
                    type="button"
                    className="plain"
                    aria-pressed={row.id === shown?.id}
                    onClick={() => setSearch({ year: String(row.year) })}
                  >
                    {row.year}, {row.status}
                  </button>
                ))}
              </p>
            )}
            {shown && (
              <Waiting query={one}>
                {(takeOver) => <Sheet takeOver={takeOver} isSenior={session?.user.role !== 'preparer'} />}
              </Waiting>
            )}
            {(!shown || shown.status === 'taken back') && session && free.length > 0 && (
              <Begin clientId={client.id} years={free} />
            )}
          </>
        );
      }}
    </Waiting>
  );
}
