import { Checkbox, NativeSelect, TextInput } from '@mantine/core';
import { useQuery } from '@tanstack/react-query';
import { depositClassesOf } from '@zakat/core/deposits/family';
import { accountFormatOf, checkAccountNumber } from '@zakat/core/identity/account-formats';
import { fix, sentence } from '@zakat/core/issues/issue';
import { AGENCIES, agencyName, unemploymentStateOf } from '@zakat/core/tax-registry/registry';
import { useState, type ReactNode } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client.js';
import { sessionQuery } from '../../api/resources.js';
import { useAddTaxAccount } from '../../api/set-up.js';
import { EntryForm } from '../../kit/entry-form.js';
import { wayBack } from '../../kit/way-back.js';
import { percentEcho } from '../fact-forms/fact-value.js';
import { useDraft } from '../fact-forms/use-draft.js';
import { unemploymentAgency } from './account-path.js';
import { shortDay } from '../../kit/day.js';
import { DateField } from '../../kit/date-field.js';
import { STATE_NAMES } from '@zakat/core/jurisdictions/state-named';
import { ListHead } from '../../kit/list-head.js';

/** Agencies of the states where the client's people work and live come first; each of the others says its state. */
function agencyChoices(client: Schemas['ClientView']) {
  const own = new Set(client.states);
  const choices = Object.entries(AGENCIES)
    .map(([code, { name, state }]) => {
      const where = state === null ? '' : STATE_NAMES[state];
      return { value: code, state, label: where === '' || name.includes(where) ? name : `${where}: ${name}` };
    })
    .sort((one, other) => (one.label < other.label ? -1 : 1));
  const isOwn = ({ state }: { state: string | null }): boolean => state === null || own.has(state);
  return [
    { value: '', label: '' },
    { group: 'Of this client’s states', items: choices.filter(isOwn) },
    { group: 'Other states', items: choices.filter((choice) => !isOwn(choice)) },
  ];
}

interface AccountDraft {
  readonly agency: string;
  readonly accountNumber: string;
  readonly rate: string;
  readonly from: string;
  readonly isApplied: boolean;
  readonly isAsPrinted: boolean;
  readonly depositFrequency: string;
}
const NO_ACCOUNT: AccountDraft = {
  agency: '',
  accountNumber: '',
  rate: '',
  from: '',
  isApplied: false,
  isAsPrinted: false,
  depositFrequency: '',
};

function AccountForm({
  client,
  today,
  agency,
  onDone,
  onClose,
}: {
  readonly client: Schemas['ClientView'];
  readonly today: string;
  /** The agency that is asked for; blank: any. */
  readonly agency: string;
  readonly onDone: () => void;
  readonly onClose: () => void;
}): ReactNode {
  const add = useAddTaxAccount(client.id);
  /** What is on record of an agency: its number stands until another is given. */
  const numberOf = (code: string): string =>
    client.taxAccounts.filter((account) => account.agency === code).at(-1)?.accountNumber ?? '';
  const [draft, setDraft, clear] = useDraft<AccountDraft>(`account.${client.id}.${agency}`, {
    ...NO_ACCOUNT,
    agency,
    accountNumber: numberOf(agency),
    from: `${today.slice(0, 4)}-01-01`,
  });
  const format = accountFormatOf(draft.agency);
  const isUnemployment = unemploymentStateOf(draft.agency) !== undefined;
  const frequencies = depositClassesOf(draft.agency);
  const issue =
    draft.isApplied || draft.isAsPrinted || draft.accountNumber === ''
      ? undefined
      : checkAccountNumber(draft.agency, draft.accountNumber, 'accountNumber', agencyName(draft.agency))[0];
  const errorOf = (field: string): string | undefined => {
    const found = add.error?.problem.problems.find((detail) => detail.field === field);
    return found ? `${found.sentence} ${found.fix}` : undefined;
  };
  const save = (): void => {
    add.mutate(
      {
        agency: draft.agency,
        accountNumber: draft.accountNumber.trim(),
        unemploymentRate: draft.rate.trim() === '' ? null : draft.rate.trim().replace(/%$/, ''),
        from: draft.from,
        isApplied: draft.isApplied,
        isAsPrinted: draft.isAsPrinted,
        depositFrequency: draft.depositFrequency,
      },
      {
        onSuccess: () => {
          clear();
          onDone();
        },
      },
    );
  };
  return (
    <EntryForm
      label="Tax account"
      act="Record"
      isBusy={add.isPending}
      error={add.error}
      onSave={save}
      onClose={onClose}
    >
      <NativeSelect
        label="Agency"
        autoFocus
        value={draft.agency}
        data={agencyChoices(client)}
        error={errorOf('agency')}
        onChange={(event) => {
          const { value } = event.currentTarget;
          setDraft({ ...draft, agency: value, accountNumber: numberOf(value), depositFrequency: '' });
        }}
      />
      {!draft.isApplied && (
        <TextInput
          label="Account number"
          value={draft.accountNumber}
          description={format ? `${format.says}, like ${format.example}` : undefined}
          error={errorOf('accountNumber') ?? (issue ? `${sentence(issue)} ${fix(issue)}` : undefined)}
          onChange={(event) => setDraft({ ...draft, accountNumber: event.currentTarget.value })}
        />
      )}
      {isUnemployment && (
        <TextInput
          label="Unemployment rate, percent"
          value={draft.rate}
          description={percentEcho(draft.rate) ?? 'As on the notice of the year: 2.7'}
          error={errorOf('unemploymentRate')}
          onChange={(event) => setDraft({ ...draft, rate: event.currentTarget.value })}
        />
      )}
      {frequencies.length > 0 && (
        <NativeSelect
          label="Deposit frequency"
          value={draft.depositFrequency}
          description="As on the agency’s last notice"
          data={[{ value: '', label: '' }, ...frequencies.map(({ code, label }) => ({ value: code, label }))]}
          error={errorOf('depositFrequency')}
          onChange={(event) => setDraft({ ...draft, depositFrequency: event.currentTarget.value })}
        />
      )}
      <DateField
        label="From"
        value={draft.from}
        error={errorOf('from')}
        onChange={(from) => setDraft({ ...draft, from })}
      />
      <Checkbox
        className="check-field"
        label="Applied for"
        description="Deposits and returns say so until the number comes"
        checked={draft.isApplied}
        onChange={(event) => setDraft({ ...draft, isApplied: event.currentTarget.checked, accountNumber: '' })}
      />
      {(issue || draft.isAsPrinted) && (
        <Checkbox
          className="check-field"
          label="It is printed so on the agency's letter"
          checked={draft.isAsPrinted}
          onChange={(event) => setDraft({ ...draft, isAsPrinted: event.currentTarget.checked })}
        />
      )}
    </EntryForm>
  );
}

const frequencyLabel = (agency: string, code: string): string =>
  depositClassesOf(agency).find((one) => one.code === code)?.label ?? '';

export function TaxAccounts({ client }: { readonly client: Schemas['ClientView'] }): ReactNode {
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const asked = search.get('agency') ?? unemploymentAgency(search.get('account') ?? '');
  const [isOpen, setOpen] = useState(asked !== '');
  const back = wayBack(search.get('back'));
  const { data: session } = useQuery(sessionQuery);
  return (
    <section className="section" id="accounts">
      <h2>
        Tax accounts <small>with each agency, and the rate it set</small>
      </h2>
      <table className="ruled">
        <ListHead columns={['Agency', 'Account', 'Unemployment rate', 'Deposits', 'From']} />
        <tbody>
          {client.taxAccounts.map((account) => (
            <tr key={account.id}>
              <td>{account.agencyName}</td>
              <td>
                {account.isApplied ? <span className="tag-wait">applied for</span> : account.accountNumber}
                {account.isAsPrinted && <small className="soft"> as on the agency&apos;s letter</small>}
              </td>
              <td>{account.rateInWords ?? ''}</td>
              <td>{frequencyLabel(account.agency, account.depositFrequency ?? '')}</td>
              <td>{shortDay(account.from)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {isOpen && session ? (
        <AccountForm
          client={client}
          today={session.today}
          agency={asked}
          onDone={() => {
            setOpen(false);
            if (asked !== '' && back !== null) void navigate(back);
          }}
          onClose={() => setOpen(false)}
        />
      ) : (
        <div className="actions">
          <button type="button" className="plain" onClick={() => setOpen(true)}>
            add an account, a new rate or a deposit frequency
          </button>
        </div>
      )}
    </section>
  );
}
