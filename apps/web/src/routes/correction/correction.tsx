import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { parseDollars } from '@zakat/core/money/cents';
import { useState, type FormEvent, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import {
  correctionCaseQuery,
  useAddConsequence,
  useMoveCase,
  useSettleConsequence,
} from '../../api/correction-cases.js';
import { useBeginCorrections } from '../../api/corrections.js';
import { DateField } from '../../kit/date-field.js';
import { Day, ShortDay } from '../../kit/day.js';
import { DoneOfMany } from '../../kit/done-of-many.js';
import { EntryForm } from '../../kit/entry-form.js';
import { Figure } from '../../kit/figure.js';
import { ListHead } from '../../kit/list-head.js';
import { RefusedNote } from '../../kit/problems.js';
import { Status } from '../../kit/status.js';
import { TYPINGS, TypedField } from '../../kit/typed-field.js';
import { Waiting } from '../../kit/waiting.js';
import { FOUND_BY } from '../clients/correction-cases.js';
import { Papers } from '../papers/papers.js';

type Case = Schemas['CorrectionCase'];
type Consequence = Schemas['ConsequenceView'];

const KINDS: Readonly<Record<Consequence['kind'], string>> = {
  return: 'corrected return',
  deposit: 'deposit',
  credit: 'credit',
  copy: 'copy',
  refund: 'refund to an employee',
  recovery: 'recovery from an employee',
  letter: 'letter',
  interest: 'interest or penalty',
  'own-return': 'the employee’s own return',
  other: 'other',
};
const BY_HAND = ['refund', 'recovery', 'letter', 'interest', 'own-return', 'other'] as const;

/** One sentence: how it was done, or why it is not. */
function Settle({
  row,
  onSettle,
  onClose,
}: {
  readonly row: Consequence;
  readonly onSettle: (status: 'done' | 'refused', why: string) => void;
  readonly onClose: () => void;
}): ReactNode {
  const [why, setWhy] = useState('');
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    onSettle(row.isDerived ? 'refused' : 'done', why.trim());
  };
  return (
    <form className="actions" onSubmit={submit} aria-label={row.title}>
      <TextInput
        size="xs"
        w={320}
        maxLength={500}
        autoFocus
        aria-label={row.isDerived ? 'Why it is not done' : 'How it was done, or why it is not'}
        placeholder={row.isDerived ? 'Why it is not done' : 'How it was done, or why it is not'}
        value={why}
        onChange={(event) => setWhy(event.currentTarget.value)}
      />
      {!row.isDerived && (
        <button type="submit" className="plain">
          it is done
        </button>
      )}
      <button type="button" className="plain" onClick={() => onSettle('refused', why.trim())}>
        it will not be done
      </button>
      <button type="button" className="plain" onClick={onClose}>
        cancel
      </button>
    </form>
  );
}

function ConsequenceRow({ row, from }: { readonly row: Consequence; readonly from: Case }): ReactNode {
  const settle = useSettleConsequence(from.id);
  const [isAsked, setAsked] = useState(false);
  const isOpen = from.status === 'open';
  const go = (status: Consequence['status'], why: string): void =>
    settle.mutate({ consequenceId: row.id, status, why }, { onSuccess: () => setAsked(false) });
  return (
    <tr>
      <td>{row.path === '' ? row.title : <Link to={row.path}>{row.title}</Link>}</td>
      <td>{KINDS[row.kind]}</td>
      <td>{row.due && <ShortDay day={row.due} />}</td>
      <td>
        <Status word={row.status} />
        {row.why !== '' && <div className="sub">{row.why}</div>}
        <RefusedNote error={settle.error} />
      </td>
      <td className="num">{row.amount !== null && <Figure amount={row.amount} />}</td>
      <td>
        {isOpen && row.status === 'open' && isAsked && (
          <Settle row={row} onSettle={go} onClose={() => setAsked(false)} />
        )}
        {isOpen && row.status === 'open' && !isAsked && (
          <button type="button" className="plain" aria-label={`settle: ${row.title}`} onClick={() => setAsked(true)}>
            {row.isDerived ? 'refuse' : 'settle'}
          </button>
        )}
        {isOpen && (row.status === 'refused' || (row.status === 'done' && !row.isDerived)) && (
          <button
            type="button"
            className="plain"
            aria-label={`open again: ${row.title}`}
            onClick={() => go('open', '')}
          >
            open again
          </button>
        )}
      </td>
    </tr>
  );
}

function AddForm({ from, onClose }: { readonly from: Case; readonly onClose: () => void }): ReactNode {
  const add = useAddConsequence(from.id);
  const [draft, setDraft] = useState({ kind: 'refund', title: '', amount: '', due: '' });
  const set = (name: keyof typeof draft) => (value: string) => setDraft({ ...draft, [name]: value });
  const amount = draft.amount.trim() === '' ? null : parseDollars(draft.amount);
  const isUnread = draft.amount.trim() !== '' && amount === null;
  return (
    <EntryForm
      label="Something else that follows"
      act="Put it down"
      isBusy={add.isPending}
      error={add.error}
      onSave={() => {
        if (isUnread) return;
        add.mutate(
          {
            kind: draft.kind as Schemas['AddConsequence']['kind'],
            title: draft.title,
            amount,
            due: draft.due === '' ? null : draft.due,
          },
          { onSuccess: onClose },
        );
      }}
      onClose={onClose}
    >
      <NativeSelect
        label="What"
        value={draft.kind}
        onChange={(event) => set('kind')(event.currentTarget.value)}
        data={BY_HAND.map((value) => ({ value, label: KINDS[value] }))}
      />
      <TextInput
        label="To whom, and what"
        maxLength={300}
        autoFocus
        value={draft.title}
        onChange={(event) => set('title')(event.currentTarget.value)}
      />
      <TypedField
        label="Amount"
        typing={TYPINGS.amount}
        value={draft.amount}
        onChange={set('amount')}
        error={isUnread ? 'Type dollars and cents, like 1,250.00.' : undefined}
      />
      <DateField label="Due" value={draft.due} onChange={set('due')} />
    </EntryForm>
  );
}

function Work({ data }: { readonly data: Case }): ReactNode {
  const begin = useBeginCorrections(data.clientId);
  const move = useMoveCase(data.id);
  const [isAdding, setAdding] = useState(false);
  const [why, setWhy] = useState('');
  const left = data.consequences.filter(({ status }) => status === 'open');
  const isOpen = data.status === 'open';
  return (
    <>
      <section className="section">
        <h2>
          What follows from it{' '}
          <small>
            {left.length === 0 ? 'everything is done or refused' : `${left.length} of ${data.consequences.length} left`}
          </small>
        </h2>
        {data.consequences.length === 0 ? (
          <p className="empty">
            Nothing that was filed or deposited since then differs from the records. Put the record right first: what
            was wrong in a check is voided and paid again, what was wrong in a person is changed there.
          </p>
        ) : (
          <table className="ruled">
            <ListHead columns={['What', 'Kind', 'By', 'Status', { number: 'Amount' }, '']} />
            <tbody>
              {data.consequences.map((row) => (
                <ConsequenceRow key={row.id} row={row} from={data} />
              ))}
            </tbody>
          </table>
        )}
        {isOpen && (
          <div className="actions">
            {left.some(({ kind }) => kind === 'return') && (
              <Button loading={begin.isPending} onClick={() => begin.mutate()}>
                Begin the corrected returns
              </Button>
            )}
            {!isAdding && (
              <button type="button" className="plain" onClick={() => setAdding(true)}>
                put down something else
              </button>
            )}
          </div>
        )}
        <RefusedNote error={begin.error} />
        {begin.data && <DoneOfMany noun="correction" word="begun" answers={begin.data} />}
        {isAdding && <AddForm from={data} onClose={() => setAdding(false)} />}
      </section>
      <section className="section">
        <div className="actions" style={{ alignItems: 'flex-end' }}>
          <TextInput
            label={isOpen ? 'How it ended' : 'Why it is open again'}
            w={380}
            maxLength={500}
            value={why}
            onChange={(event) => setWhy(event.currentTarget.value)}
          />
          <Button
            variant={isOpen && left.length === 0 ? 'filled' : 'outline'}
            loading={move.isPending}
            onClick={() =>
              move.mutate(
                { act: isOpen ? 'close' : 'reopen', version: data.version, why },
                { onSuccess: () => setWhy('') },
              )
            }
          >
            {isOpen ? 'Close the correction' : 'Open it again'}
          </Button>
          <a href={`/api/correction-cases/${data.id}/letter.pdf`} target="_blank" rel="noreferrer">
            letter to the client (PDF)
          </a>
        </div>
        <RefusedNote error={move.error} />
      </section>
    </>
  );
}

/** One mistake: what it was, how it was found, and everything that follows from it until all of that is done. */
export function CorrectionPage(): ReactNode {
  const { caseId = '' } = useParams();
  const found = useQuery(correctionCaseQuery(caseId));
  return (
    <Waiting query={found}>
      {(data) => (
        <>
          <p>
            <Link to={`/clients/${data.clientId}/returns`}>{data.clientName}</Link>
          </p>
          <div className="lead">
            <h1>{data.what}</h1>
            <p className="beside">
              <Status word={data.status} />
            </p>
          </div>
          <p className="note">
            Wrong since <Day day={data.since} />. Found on <Day day={data.foundOn} /> by {FOUND_BY[data.foundBy]};
            opened by {data.openedBy}.{data.evidence !== '' && ` Evidence: ${data.evidence}.`}
            {data.ended !== '' && ` ${data.status === 'closed' ? 'Ended' : 'Open again'}: ${data.ended}.`}
          </p>
          <Papers subject="correction-case" id={data.id} />
          <Work data={data} />
        </>
      )}
    </Waiting>
  );
}
