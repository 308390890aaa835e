import { NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { imagePath, nextNumbersQuery, usePrintAgencyCheck } from '../../api/checks.js';
import type { Schemas } from '../../api/client.js';
import { EntryForm } from '../../kit/entry-form.js';
import { Waiting } from '../../kit/waiting.js';
import { PrinterChoice, usePrinter } from '../checks/printer-choice.js';

type Remittance = Schemas['RemittanceView'];
type Position = Schemas['PrintAgencyCheck']['position'];
const POSITIONS: readonly { readonly value: Position; readonly label: string }[] = [
  { value: 'top', label: 'check at the top' },
  { value: 'middle', label: 'check in the middle' },
  { value: 'bottom', label: 'check at the bottom' },
];

/** The check that is out for a payment. */
export function CheckOut({
  remittance,
  check,
}: {
  readonly remittance: Remittance;
  readonly check: NonNullable<Remittance['check']>;
}): ReactNode {
  return (
    <p className="note">
      <a href={imagePath(check.id)} target="_blank" rel="noreferrer">
        Check {check.number} with its voucher (PDF)
      </a>{' '}
      is out. It counts as paid once it is recorded as mailed; one that came to nothing is voided or stopped in the{' '}
      <Link to={`/clients/${remittance.clientId}/checks?words=${check.number}`}>check register</Link>.
    </p>
  );
}

/** Numbers and prints the check of an approved payment. */
export function PrintCheck({
  remittance,
  onClose,
}: {
  readonly remittance: Remittance;
  readonly onClose: () => void;
}): ReactNode {
  const numbers = useQuery(nextNumbersQuery(remittance.clientId));
  return (
    <Waiting query={numbers}>
      {(accounts) => {
        const own = accounts.find(({ bankAccountId }) => bankAccountId === remittance.bankAccountId);
        if (!own) return <p className="problem">This payment leaves from an account that has no checks here.</p>;
        return <PrintForm remittance={remittance} account={own} onClose={onClose} />;
      }}
    </Waiting>
  );
}

function PrintForm({
  remittance,
  account,
  onClose,
}: {
  readonly remittance: Remittance;
  readonly account: Schemas['NextCheckNumber'];
  readonly onClose: () => void;
}): ReactNode {
  const [number, setNumber] = useState(String(account.next));
  const [position, setPosition] = useState<Position>('top');
  const [printer, choosePrinter] = usePrinter();
  const print = usePrintAgencyCheck(remittance.id);
  return (
    <EntryForm
      label={`Check of ${account.label}`}
      act="Print it"
      isBusy={print.isPending}
      error={print.error}
      onSave={() =>
        print.mutate(
          { number: Number(number), position, ...(printer === '' ? {} : { printerId: printer }) },
          { onSuccess: onClose },
        )
      }
      onClose={onClose}
    >
      <TextInput
        label="Number"
        autoFocus
        maxLength={9}
        value={number}
        error={/^[1-9]\d*$/.test(number) ? undefined : 'Type the number on the sheet.'}
        onChange={(event) => setNumber(event.currentTarget.value.trim())}
      />
      <NativeSelect
        label="Stock"
        data={[...POSITIONS]}
        value={position}
        onChange={(event) => setPosition(event.currentTarget.value as Position)}
      />
      <PrinterChoice printer={printer} onChoose={choosePrinter} />
    </EntryForm>
  );
}
