import { Inject, Injectable } from '@nestjs/common';
import type { DirectDepositKind } from '@zakat/contract/direct-deposits';
import { date } from '@zakat/core/calendar/local-date';
import { writeDirectDeposit } from '@zakat/core/formats/nacha/direct-deposit';
import type { Issue } from '@zakat/core/issues/issue';
import type { Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { Secrets } from '../../database/secrets.js';
import { Clock } from '../clock/index.js';
import { BankAccount, type Client, senderOf } from '../clients/index.js';
import { FilingSource } from '../filings/index.js';
import type { DirectDeposit, DirectDepositEntry } from './entities.js';

export interface DepositFile {
  readonly content: string;
  /** The content with account numbers but for their last four, for screens. */
  readonly shown: string;
  readonly issues: Issue[];
  readonly total: Cents;
}

/** Tells the files of a day apart by what they are. */
const MODIFIERS: Readonly<Record<DirectDepositKind, string>> = { pay: 'P', prenotes: 'N', reversal: 'R' };
const SENT_AGAIN = 'A';
/** Positions of the account number in an entry detail record. */
const ACCOUNT = { from: 12, to: 29 } as const;
const hidden = (line: string): string => {
  if (!line.startsWith('6')) return line;
  const account = line.slice(ACCOUNT.from, ACCOUNT.to);
  const length = account.trimEnd().length;
  const tail = account.slice(Math.max(length - 4, 0), length);
  return `${line.slice(0, ACCOUNT.from)}${`${'*'.repeat(Math.max(length - 4, 0))}${tail}`.padEnd(ACCOUNT.to - ACCOUNT.from)}${line.slice(ACCOUNT.to)}`;
};

/** Makes the ACH file of a direct deposit from its entries. */
@Injectable()
export class DepositFiles {
  constructor(
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(FilingSource) private readonly source: FilingSource,
  ) {}

  async make(
    manager: EntityManager,
    client: Client,
    deposit: DirectDeposit,
    entries: readonly DirectDepositEntry[],
  ): Promise<DepositFile> {
    const firm = await this.source.firm(manager);
    const bank = await manager.findOneByOrFail(BankAccount, { id: deposit.bankAccountId });
    const people = (await manager.query(
      `SELECT id, number, concat_ws(' ', first_name, last_name) AS name FROM employee WHERE id = ANY($1)`,
      [entries.map((entry) => entry.employeeId)],
    )) as { id: string; number: string; name: string }[];
    const byId = new Map(people.map((person) => [person.id, person]));
    const file = writeDirectDeposit({
      kind: deposit.kind,
      bankRouting: bank.routing,
      bankName: bank.bankName,
      originName: firm.name,
      ...senderOf(bank, client, firm),
      created: await this.clock.today(manager),
      settles: date(deposit.settles),
      fileIdModifier: deposit.againOf === null ? MODIFIERS[deposit.kind] : SENT_AGAIN,
      credits: entries.map((entry) => ({
        type: entry.type,
        routing: entry.routing,
        account: this.secrets.open(entry.accountCipher),
        amount: entry.amount,
        id: byId.get(entry.employeeId)?.number ?? '',
        name: byId.get(entry.employeeId)?.name ?? '',
      })),
    });
    return { ...file, shown: file.content.split('\r\n').map(hidden).join('\r\n') };
  }
}
