import { EMPLOYER_PAID } from '@zakat/core/paycheck/employer-paid';
import { Button, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import type { OwnRows } from '@zakat/core/casefile/compose';
import { useState, type FormEvent, type ReactNode } from 'react';
import type { Schemas } from '../../api/client.js';
import { trialQuery, useKeepProof } from '../../api/set-up.js';
import { useCalc } from '../../calc/use-calc.js';
import { Figure } from '../../kit/figure.js';
import { Problems, RefusedNote } from '../../kit/problems.js';
import { useWorking } from '../../kit/working.js';
import { accountPath } from '../clients/account-path.js';
import type { FormFact } from '../fact-forms/fact-form.js';
import { TITLES } from '../payroll/titles.js';
import { Day } from '../../kit/day.js';

interface Props {
  readonly clientId: string;
  readonly employeeId: string;
  /** A fact that is being typed and not yet recorded. */
  readonly considered: FormFact | null;
}

const ownOf = (own: Record<string, unknown>): OwnRows | null =>
  Array.isArray(own['rules']) && Array.isArray(own['places']) ? { rules: own['rules'], places: own['places'] } : null;

function KeepForm({ clientId, employeeId }: { readonly clientId: string; readonly employeeId: string }): ReactNode {
  const keep = useKeepProof(clientId);
  const [name, setName] = useState('usual check');
  const [isOpen, setOpen] = useState(false);
  if (keep.isSuccess) return <p className="soft">Kept in the proof set.</p>;
  if (!isOpen)
    return (
      <button type="button" className="plain" onClick={() => setOpen(true)}>
        agreed by hand: keep it in the proof set
      </button>
    );
  const save = (event: FormEvent): void => {
    event.preventDefault();
    keep.mutate({ employeeId, name, checkDate: null });
  };
  return (
    <form onSubmit={save}>
      <TextInput
        label="Name of the proof"
        value={name}
        autoFocus
        onChange={(event) => setName(event.currentTarget.value)}
      />
      <RefusedNote error={keep.error} />
      <div className="actions">
        <Button type="submit" loading={keep.isPending}>
          Keep
        </Button>
      </div>
    </form>
  );
}

/** What the next check would be, saved nowhere: it follows what is recorded, and what is being typed. */
export function Trial({ clientId, employeeId, considered }: Props): ReactNode {
  const asked: Schemas['AskTrial'] = {
    employeeId,
    checkDate: null,
    bornOn: null,
    facts: considered ? [considered as Schemas['Fact']] : [],
  };
  const trial = useQuery(trialQuery(clientId, asked));
  const calc = useCalc();
  const { show } = useWorking();
  const view = trial.data;
  const person = view?.person ?? null;
  const check = person?.paycheck ?? null;
  const open = (figure: string, label: string): void => {
    if (!view || !person) return;
    void calc({
      people: [
        {
          key: 'trial',
          base: person.base,
          entry: { earnings: person.earnings, deductions: person.deductions },
          isPaid: true,
        },
      ],
      own: ownOf(view.own),
      figure,
    }).then((answer) => show({ title: `${label}, trial`, lines: answer.working ?? [] }, true));
  };
  const line = (key: string, label: string, amount: number, figure: string | null, isTotal = false): ReactNode => (
    <li key={key} data-result={isTotal || undefined}>
      <div className="tape-line">
        {figure === null ? (
          <span>{label}</span>
        ) : (
          <button type="button" className="plain quiet" onClick={() => open(figure, label)}>
            {label}
          </button>
        )}
        <b>
          <Figure amount={amount} isPencil />
        </b>
      </div>
    </li>
  );
  const withheld = (check?.taxes ?? []).filter((tax) => tax.payer === 'employee');
  const employer = (check?.taxes ?? []).filter((tax) => tax.payer === 'employer');
  return (
    <aside className="trial" aria-label="Trial paycheck">
      <h2>Trial paycheck</h2>
      {view && (
        <p className="soft">
          <Day day={view.checkDate} />, {view.payFrequency}. {view.why}{' '}
          {considered && <span className="tag-wait">with what is being typed</span>}
        </p>
      )}
      {view && (
        <Problems
          title="It says"
          details={view.problems}
          route={(field) => accountPath(field, clientId, `/employees/${employeeId}`)}
        />
      )}
      {check && (
        <>
          <ol>
            {check.earnings.map((one, index) => line(`e${index}`, one.label, one.amount, null))}
            {line('gross', 'Gross', check.gross, 'gross', true)}
            {withheld.map((tax) => line(tax.code, TITLES[tax.code] ?? tax.code, tax.amount, tax.code))}
            {check.deductions.map((one, index) => line(`d${index}`, one.label, one.amount, null))}
            {check.garnishments.map((one, index) => line(`g${index}`, one.label, one.amount + one.fee, null))}
            {line('net', 'Net', check.net, 'net', true)}
          </ol>
          <h3>Employer taxes and contributions</h3>
          <ol>
            {employer.map((tax) => line(tax.code, TITLES[tax.code] ?? tax.code, tax.amount, tax.code))}
            {check.employerPaid.map((one, index) => line(`p${index}`, one.label, one.amount, EMPLOYER_PAID))}
          </ol>
          {!considered && <KeepForm clientId={clientId} employeeId={employeeId} />}
        </>
      )}
      <RefusedNote error={trial.error} />
    </aside>
  );
}
