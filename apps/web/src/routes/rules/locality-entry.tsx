import { NativeSelect, TextInput } from '@mantine/core';
import { STATE_CODES } from '@zakat/core/jurisdictions/state';
import { findState } from '@zakat/core/jurisdictions/states';
import { LOCAL_TAX_KINDS } from '@zakat/core/tax-registry/registry';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useProposeRulePack } from '../../api/resources.js';
import { EntryForm } from '../../kit/entry-form.js';
import { DateField } from '../../kit/date-field.js';

const STATES = STATE_CODES.map((code) => ({ value: code, label: findState(code)?.name ?? code }));
const TAXES = Object.entries(LOCAL_TAX_KINDS).map(([value, { label }]) => ({ value, label: `${label} (${value})` }));
const WAGES = [
  { value: 'gross', label: 'all pay' },
  { value: 'state-income', label: 'wages of the state’s income tax' },
  { value: 'income', label: 'wages of the federal income tax' },
  { value: 'medicare', label: 'Medicare wages' },
];
const FEE_PER = [
  { value: 'month', label: 'a month' },
  { value: 'week', label: 'a week' },
  { value: 'year-spread', label: 'a year, divided over the checks' },
];
const STANDINGS = [
  { value: 'recalled', label: 'not yet compared with the print' },
  { value: 'verified', label: 'compared with the print' },
];

/** What is typed, by the columns of a row of localities. */
type Draft = Readonly<Record<string, string>>;
const OF_RATES = ['wages', 'resident', 'nonresident', 'creditShare', 'creditRate', 'exemption'];
const OF_FEE = ['fee', 'feePer', 'feeFromWages'];

/** The row of a pack: only what belongs to the kind of tax, and what is filled in. */
function rowOf(draft: Draft, isFee: boolean): Record<string, string> {
  const others = isFee ? OF_RATES : OF_FEE;
  return Object.fromEntries(
    Object.entries(draft)
      .map(([name, value]) => [name, value.trim()] as const)
      .filter(([name, value]) => value !== '' && !others.includes(name)),
  );
}

interface Props {
  readonly state: string;
  readonly today: string;
  readonly onClose: () => void;
}

/** One locality with its rate and its source, proposed as a pack of its own: it counts once it is accepted. */
export function LocalityEntry({ state, today, onClose }: Props): ReactNode {
  const propose = useProposeRulePack();
  const navigate = useNavigate();
  const [draft, setDraft] = useState<Draft>({
    state: findState(state) ? state : 'PA',
    name: '',
    tax: 'LIT',
    wages: 'gross',
    feePer: 'month',
    from: `${today.slice(0, 4)}-01-01`,
    edition: today.slice(0, 4),
    standing: 'recalled',
  });
  const isFee = LOCAL_TAX_KINDS[draft['tax'] ?? '']?.isFee === true;
  const put = (name: string) => (event: { readonly currentTarget: { readonly value: string } }) =>
    setDraft({ ...draft, [name]: event.currentTarget.value });
  const field = (name: string, label: string, description?: string): ReactNode => (
    <TextInput
      label={label}
      {...(description === undefined ? {} : { description })}
      value={draft[name] ?? ''}
      onChange={put(name)}
    />
  );
  const choice = (name: string, label: string, data: readonly { value: string; label: string }[]): ReactNode => (
    <NativeSelect label={label} data={[...data]} value={draft[name] ?? ''} onChange={put(name)} />
  );
  const save = (): void => {
    const row = rowOf(draft, isFee);
    const name = `${row['name'] ?? 'A locality'}, ${draft['state'] ?? ''}: ${LOCAL_TAX_KINDS[draft['tax'] ?? '']?.label ?? ''}`;
    propose.mutate(
      { content: { format: 'zakat-rules/1', name, rows: [], places: [row] } },
      { onSuccess: ({ id }) => void navigate(`/rules/packs/${id}`) },
    );
  };
  return (
    <EntryForm
      label="A locality"
      act="Propose it"
      isBusy={propose.isPending}
      error={propose.error}
      onSave={save}
      onClose={onClose}
    >
      {choice('state', 'State', STATES)}
      {field('name', 'Municipality or county')}
      {choice('tax', 'Tax', TAXES)}
      {isFee ? (
        <>
          {field('fee', 'Amount')}
          {choice('feePer', 'For', FEE_PER)}
          {field('feeFromWages', 'Due from wages of', 'Left blank, from the first dollar')}
        </>
      ) : (
        <>
          {choice('wages', 'Wages it takes', WAGES)}
          {field('resident', 'Rate of residents', 'Percent')}
          {field('nonresident', 'Rate of others who work there', 'Percent; left blank, none')}
          {field('creditShare', 'Credit for tax where the work is', 'Percent of that tax')}
          {field('creditRate', 'On at most this rate', 'Percent of the pay')}
          {field('exemption', 'Exemption a year', 'For each exemption claimed')}
        </>
      )}
      <DateField label="From" value={draft['from'] ?? ''} onChange={(from) => setDraft({ ...draft, from })} />
      {field('publication', 'Publication', 'Ordinance, register or notice with the rate')}
      {field('publisher', 'Publisher')}
      {field('edition', 'Edition')}
      {choice('standing', 'Rate and source are', STANDINGS)}
    </EntryForm>
  );
}
