import type { DirectDepositKind } from '@zakat/contract/direct-deposits';
import type { ReleaseSlip, SlipCheck } from '@zakat/contract/remittances';
import { date, showDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { showDollars } from '@zakat/core/money/cents';
import type { Actor } from '../../database/firm-database.js';
import type { BankAccount, Client } from '../clients/index.js';
import { achChecks, mayReleaseCheck } from '../outbox/index.js';
import type { DepositFile } from './deposit-file.js';
import type { DirectDeposit } from './entities.js';

/** What the slip of a direct deposit is made of. */
export interface SlipFacts {
  readonly isCurrent: boolean;
  readonly file: Pick<DepositFile, 'issues' | 'total'>;
  readonly entries: number;
  readonly today: LocalDate;
  /** The person who would release it prepared it, and the firm wants two. */
  readonly isOwn: boolean;
}

export function slipChecks(deposit: DirectDeposit, actor: Actor, facts: SlipFacts): SlipCheck[] {
  const { isCurrent, file, entries, today, isOwn } = facts;
  return [
    {
      label:
        deposit.kind === 'reversal'
          ? 'The credits stand as when it was planned'
          : 'The accounts are as when it was planned',
      isPassed: isCurrent,
      says: isCurrent
        ? `${entries} ${entries === 1 ? 'entry' : 'entries'}.`
        : deposit.kind === 'reversal'
          ? 'One of these credits has come back since, or its void is not posted. Withdraw it and plan again.'
          : 'An account or its prenote has changed since. Withdraw it and plan again.',
    },
    ...achChecks(file, deposit.amount, date(deposit.settles), today),
    {
      label: 'Another person prepared it',
      isPassed: !isOwn,
      says: isOwn ? 'You prepared it; another person must release it.' : 'Two persons stand for it.',
    },
    mayReleaseCheck(actor),
  ];
}

export function slipOf(
  client: Client,
  deposit: DirectDeposit,
  bank: BankAccount,
  entries: number,
  settles: LocalDate,
  checks: readonly SlipCheck[],
  file: string,
): ReleaseSlip {
  const words = WORDS[deposit.kind](showDollars(deposit.amount), client.legalName);
  return {
    title: `${words.what} of ${client.legalName}`,
    act: deposit.status === 'planned' ? 'release' : 'rehearsal',
    amount: deposit.kind === 'prenotes' ? null : deposit.amount,
    figures: [
      { label: 'Client', value: `${client.legalName}, EIN ending ${client.ein.slice(-4)}` },
      { label: words.side, value: `${entries} ${entries === 1 ? 'account' : 'accounts'} of its people` },
      {
        label: words.side === 'To' ? 'From' : 'To',
        value: `${bank.label}, ${bank.bankName}, account ending ${bank.accountTail}`,
      },
      { label: 'Settles', value: showDate(settles) },
      { label: 'Reference', value: deposit.reference },
    ],
    leaves: words.leaves,
    becomesImpossible: words.becomesImpossible,
    wayBack: words.wayBack,
    checks: [...checks],
    mayRelease: checks.every((check) => check.isPassed),
    file,
  };
}

interface SlipWords {
  readonly what: string;
  /** Whether the people's accounts are where the money goes, or where it comes from. */
  readonly side: 'To' | 'From';
  readonly leaves: string;
  readonly becomesImpossible: string;
  readonly wayBack: string;
}
const CANNOT_BE_CALLED_BACK = 'Once the bank has the file it cannot be called back from here';
const WORDS: Readonly<Record<DirectDepositKind, (amount: string, name: string) => SlipWords>> = {
  pay: (amount, name) => ({
    what: 'Direct deposit',
    side: 'To',
    leaves: `${amount} leaves ${name}'s account for its people by ACH credits.`,
    becomesImpossible: `${CANNOT_BE_CALLED_BACK}, and this payroll cannot be deposited a second time.`,
    wayBack: 'An entry that comes back shows with its reason; that pay then goes by check, or is sent again.',
  }),
  prenotes: () => ({
    what: 'Prenotes',
    side: 'To',
    leaves: 'No money moves. Each bank is asked whether it knows the account.',
    becomesImpossible: `${CANNOT_BE_CALLED_BACK}.`,
    wayBack: 'An account that a bank does not know shows with the reason, and gets no money until it is corrected.',
  }),
  reversal: (amount, name) => ({
    what: 'Reversal of direct deposit',
    side: 'From',
    leaves: `${amount} is asked back from the accounts of ${name}'s people by ACH debits, each at the whole amount that was paid.`,
    becomesImpossible: `${CANNOT_BE_CALLED_BACK}, and what this void paid is not asked back a second time.`,
    wayBack:
      'Whoever is asked must have been told, by the day on which it settles at the latest. What a bank does not give back shows with its reason; the person then owes it.',
  }),
};
