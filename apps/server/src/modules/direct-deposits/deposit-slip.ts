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
      label: 'The accounts are as when it was planned',
      isPassed: isCurrent,
      says: isCurrent
        ? `${entries} ${entries === 1 ? 'entry' : 'entries'}.`
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
  const isPay = deposit.kind === 'pay';
  return {
    title: `${isPay ? 'Direct deposit' : 'Prenotes'} of ${client.legalName}`,
    act: deposit.status === 'planned' ? 'release' : 'rehearsal',
    amount: isPay ? deposit.amount : null,
    figures: [
      { label: 'Client', value: `${client.legalName}, EIN ending ${client.ein.slice(-4)}` },
      { label: 'To', value: `${entries} ${entries === 1 ? 'account' : 'accounts'} of its people` },
      { label: 'From', value: `${bank.label}, ${bank.bankName}, account ending ${bank.accountTail}` },
      { label: 'Settles', value: showDate(settles) },
      { label: 'Reference', value: deposit.reference },
    ],
    leaves: isPay
      ? `${showDollars(deposit.amount)} leaves ${client.legalName}'s account for its people by ACH credits.`
      : 'No money moves. Each bank is asked whether it knows the account.',
    becomesImpossible: isPay
      ? 'Once the bank has the file it cannot be called back from here, and this payroll cannot be deposited a second time.'
      : 'Once the bank has the file it cannot be called back from here.',
    wayBack: isPay
      ? 'An entry that comes back shows with its reason; that person is then paid by check.'
      : 'An account that a bank does not know shows with the reason, and gets no money until it is corrected.',
    checks: [...checks],
    mayRelease: checks.every((check) => check.isPassed),
    file,
  };
}
