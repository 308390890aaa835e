import { cents, showDollars, toDollars } from '@zakat/core/money/cents';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { employeeQuery } from '../../api/resources.js';
import { useAddFact } from '../../api/set-up.js';
import { DateField } from '../../kit/date-field.js';
import { EntryForm } from '../../kit/entry-form.js';
import { TYPINGS, TypedField } from '../../kit/typed-field.js';

/** Net pay that somebody keeps and was not owed, taken from later checks by installments until it is repaid. */
export function Recover({
  employeeId,
  name,
  amount,
  from,
}: {
  readonly employeeId: string;
  readonly name: string;
  /** What the person has and does not give back by itself. */
  readonly amount: number;
  readonly from: string;
}): ReactNode {
  const add = useAddFact(employeeId);
  const [isOpen, setOpen] = useState(false);
  const { data: employee } = useQuery({ ...employeeQuery(employeeId, ''), enabled: isOpen });
  // There is one line of a kind: a second repayment takes the place of the first, with what is left of it.
  const running = employee?.facts.find(
    ({ kind, isInForce, value }) => kind === 'standing' && isInForce && value['item'] === 'overpayment',
  );
  const [draft, setDraft] = useState({ balance: toDollars(cents(amount)), each: '', from });
  if (add.isSuccess && !isOpen)
    return <span className="sub">{showDollars(cents(amount))} at most is being taken from later pay</span>;
  if (!isOpen)
    return (
      <button type="button" className="plain" style={{ whiteSpace: 'nowrap' }} onClick={() => setOpen(true)}>
        take it from later pay…<span className="unseen"> of {name}</span>
      </button>
    );
  return (
    <EntryForm
      label={`Repayment by ${name}`}
      act="Take it from later pay"
      isBusy={add.isPending}
      error={add.error}
      onClose={() => setOpen(false)}
      onSave={() =>
        add.mutate(
          {
            kind: 'standing',
            from: draft.from,
            value: { item: 'overpayment', amount: draft.each, balance: draft.balance },
          },
          { onSuccess: () => setOpen(false) },
        )
      }
    >
      <TypedField
        label="To repay"
        typing={TYPINGS.amount}
        value={draft.balance}
        onChange={(balance) => setDraft({ ...draft, balance })}
      />
      <TypedField
        label="Each check"
        typing={TYPINGS.amount}
        autoFocus
        value={draft.each}
        onChange={(each) => setDraft({ ...draft, each })}
      />
      <DateField label="From" value={draft.from} onChange={(day) => setDraft({ ...draft, from: day })} />
      {running && (
        <p className="problem" role="status">
          {running.sentence} is in force already: this takes its place. Add what is left of it to the amount.
        </p>
      )}
      <p className="note">
        A deduction after taxes that ends by itself. What is not asked back is wages of the day it is forgiven: a line{' '}
        <b>Overpayment forgiven</b> in the next payroll instead. Have the person’s consent in writing first: many states
        ask for it, and say how much of a check may be taken.
      </p>
    </EntryForm>
  );
}
