import { Inject, Injectable } from '@nestjs/common';
import type { CheckStatus, ReadBankStatement, StatementRow, StatementView } from '@zakat/contract/checks';
import {
  isBai2,
  readBai2,
  readStatementTable,
  type PaidCheck,
  type ReadStatement,
} from '@zakat/core/bank-statement/read-statement';
import { date, showShortDate } from '@zakat/core/calendar/local-date';
import { sentence } from '@zakat/core/issues/issue';
import { cents, sum, toDollars } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { Secrets } from '../../database/secrets.js';
import { conflict, refuse, refuseField } from '../../http/refusal.js';
import { Executor } from '../../state-machines/executor.js';
import { CHECK_MACHINE } from '../../state-machines/machine.js';
import { Audit } from '../audit/index.js';
import { BankAccount, findClient } from '../clients/index.js';
import { readTable, writeTable } from '../tables/index.js';

interface Ours {
  readonly id: string;
  readonly number: string;
  readonly amount: string;
  readonly payee: string;
  readonly status: CheckStatus;
  readonly version: number;
}
const OUTCOMES: Readonly<Record<CheckStatus, StatementRow['outcome']>> = {
  issued: 'clears',
  cleared: 'cleared before',
  printed: 'not said to be out',
  spoiled: 'spoiled',
  voided: 'voided',
  stopped: 'stopped',
};

/** What the bank paid against what was issued, and what the bank is told of it beforehand. */
@Injectable()
export class BankStatements {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(Executor) private readonly executor: Executor,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(Audit) private readonly audit: Audit,
  ) {}

  /** Reads a statement; taken, the checks whose number and amount agree are cleared. The same file again clears nothing more. */
  async read(actor: Actor, clientId: string, input: ReadBankStatement): Promise<StatementView> {
    const bytes = Buffer.from(input.content, 'base64');
    const text = bytes.toString('latin1');
    const read = isBai2(text) ? readBai2(text) : readStatementTable(await readTable(bytes));
    const onFile = read.issues.filter(({ field }) => field === 'file');
    if (onFile.length > 0) throw refuse(onFile);
    return this.database.run(actor, async (manager) => {
      await findClient(manager, clientId);
      const bank = await manager.findOneBy(BankAccount, { id: input.bankAccountId, clientId });
      if (!bank)
        throw refuseField('bankAccountId', 'This account is not one of the client.', 'Choose one of its accounts.');
      const ours = await this.ours(manager, bank.id, read.checks);
      const view = viewOf(read, ours);
      if (!input.isTaken) return view;
      const clearing = view.rows.filter(({ outcome }) => outcome === 'clears');
      if (clearing.length === 0) throw conflict('No check of this statement is still open here.');
      for (const { number, day } of clearing) {
        const own = ours.get(number);
        if (own)
          await this.executor.apply(manager, actor, CHECK_MACHINE, {
            id: own.id,
            act: 'clear',
            version: own.version,
            set: { cleared_on: day },
          });
      }
      await this.audit.record(manager, actor, 'check.statement', 'client', clientId, {
        file: input.fileName,
        checks: clearing.length,
        total: sum(clearing.map(({ amount }) => cents(amount))),
      });
      return { ...view, isTaken: true };
    });
  }

  /** The checks of some days as a bank asks for them beforehand: it pays no others. The full account number is in it. */
  positivePay(actor: Actor, clientId: string, from: string, to: string): Promise<{ name: string; content: Buffer }> {
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const banks = await manager.find(BankAccount, { where: { clientId } });
      const rows = (await manager.query(
        `SELECT bank_account_id, number, check_date, amount, payee, status FROM issued_check
         WHERE client_id = $1 AND check_date BETWEEN $2 AND $3 AND status <> 'printed' AND amount > 0 ORDER BY bank_account_id, number`,
        [clientId, from, to],
      )) as (Ours & { bank_account_id: string; check_date: string })[];
      await this.audit.record(manager, actor, 'check.positive-pay', 'client', clientId, {
        from,
        to,
        checks: rows.length,
      });
      const table = [
        ['Account', 'Check number', 'Issue date', 'Amount', 'Payee', 'Action'],
        ...rows.map((row) => {
          const bank = banks.find(({ id }) => id === row.bank_account_id);
          return [
            bank ? this.secrets.open(bank.accountCipher) : '',
            row.number,
            showShortDate(date(row.check_date)),
            toDollars(rawCents(row.amount)),
            row.payee,
            row.status === 'issued' || row.status === 'cleared' ? 'issue' : 'void',
          ];
        }),
      ];
      return {
        name: `${client.key.toLowerCase()}-checks-issued-${from}-${to}.csv`,
        content: await writeTable(table, 'csv'),
      };
    });
  }

  private async ours(
    manager: EntityManager,
    bankAccountId: string,
    checks: readonly PaidCheck[],
  ): Promise<ReadonlyMap<number, Ours>> {
    const rows = (await manager.query(
      'SELECT id, number, amount, payee, status, version FROM issued_check WHERE bank_account_id = $1 AND number = ANY($2::bigint[])',
      [bankAccountId, checks.map(({ number }) => number)],
    )) as Ours[];
    return new Map(rows.map((row) => [Number(row.number), row]));
  }
}

function viewOf(read: ReadStatement, ours: ReadonlyMap<number, Ours>): StatementView {
  const seen = new Set<number>();
  const rows = read.checks.map(({ row, number, amount, day }): StatementRow => {
    const own = ours.get(number);
    const isAgain = seen.has(number);
    seen.add(number);
    const outcome = !own
      ? 'not ours'
      : own.status === 'issued' && rawCents(own.amount) !== amount
        ? 'another amount'
        : own.status === 'issued' && isAgain
          ? 'cleared before'
          : OUTCOMES[own.status];
    return {
      row,
      number,
      amount,
      day,
      payee: own?.payee ?? '',
      ours: own ? rawCents(own.amount) : null,
      outcome,
    };
  });
  const clearing = rows.filter(({ outcome }) => outcome === 'clears');
  return {
    rows: [...rows.filter(({ outcome }) => outcome !== 'clears'), ...clearing],
    clears: clearing.length,
    amount: sum(clearing.map(({ amount }) => cents(amount))),
    unread: read.issues.map(sentence),
    isTaken: false,
  };
}
