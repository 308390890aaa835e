import { Inject, Injectable } from '@nestjs/common';
import type { PersonPay } from '@zakat/contract/direct-deposits';
import { splitNet } from '@zakat/core/direct-deposit/split';
import { ZERO, cents, subtract, sum, type Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { Clock } from '../clock/index.js';
import type { Payroll } from '../payrolls/index.js';
import { DirectDepositEntry, cameBackWords } from './entities.js';
import { PayAccounts, type OwnAccount } from './pay-accounts.js';

interface PaidPerson {
  readonly paycheckId: string;
  readonly employeeId: string;
  readonly number: string;
  readonly name: string;
  readonly net: Cents;
  readonly isVoid: boolean;
}
/** A part of somebody's net pay that goes to an account. */
export interface PlannedCredit {
  readonly person: PaidPerson;
  readonly account: OwnAccount;
  readonly amount: Cents;
}

/** Splits the net pay of a posted payroll over its people's accounts. */
@Injectable()
export class PayrollPays {
  constructor(
    @Inject(PayAccounts) private readonly accounts: PayAccounts,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  /** As it would be paid if the file were made today. */
  async planned(
    manager: EntityManager,
    payroll: Payroll,
  ): Promise<{ people: PersonPay[]; credits: readonly PlannedCredit[] }> {
    const paid = (await this.paid(manager, payroll.id)).filter((person) => !person.isVoid);
    const accounts = await this.accounts.of(
      manager,
      payroll.clientId,
      paid.map((person) => person.employeeId),
      payroll.checkDate,
      await this.clock.today(manager),
    );
    const credits: PlannedCredit[] = [];
    const people = paid.map((person): PersonPay => {
      const own = accounts.get(person.employeeId) ?? [];
      const split = splitNet(person.net, own);
      const deposits = own.map((account, index) => {
        const line = split.deposits[index] ?? { amount: cents(0), isReady: false };
        if (line.isReady && line.amount > 0) credits.push({ person, account, amount: line.amount });
        const { label, tail, prenote, cameBack } = account;
        return { label, tail, amount: line.amount, isReady: line.isReady, standing: prenote, cameBack };
      });
      const { employeeId, number, name, net } = person;
      return { employeeId, number, name, net, deposits, check: split.check };
    });
    return { people, credits };
  }

  /** As a file has it; what came back is paid by check. */
  async inFile(manager: EntityManager, payroll: Payroll, directDepositId: string): Promise<PersonPay[]> {
    const entries = await manager.find(DirectDepositEntry, { where: { directDepositId }, order: { sequence: 'ASC' } });
    return (await this.paid(manager, payroll.id)).map(({ paycheckId, isVoid, ...person }) => {
      const own = entries.filter((entry) => entry.paycheckId === paycheckId);
      const deposits = own.map((entry) => ({
        label: entry.label,
        tail: entry.accountTail,
        amount: entry.amount,
        isReady: entry.returnCode === null,
        standing: entry.returnCode === null ? ('confirmed' as const) : ('returned' as const),
        cameBack: cameBackWords(entry),
      }));
      const arrived = sum(deposits.filter((line) => line.isReady).map((line) => line.amount));
      return { ...person, deposits, check: isVoid ? ZERO : subtract(person.net, arrived) };
    });
  }

  private async paid(manager: EntityManager, payrollId: string): Promise<PaidPerson[]> {
    const rows = (await manager.query(
      `SELECT c.id, c.employee_id, c.net, EXISTS (SELECT 1 FROM paycheck v WHERE v.reverses = c.id) AS is_void, e.number, concat_ws(' ', e.first_name, nullif(e.middle_name, ''), e.last_name, nullif(e.suffix, '')) AS name
       FROM paycheck c JOIN employee e ON e.id = c.employee_id WHERE c.payroll_id = $1 ORDER BY length(e.number), e.number`,
      [payrollId],
    )) as { id: string; employee_id: string; net: string; is_void: boolean; number: string; name: string }[];
    return rows.map((row) => ({
      paycheckId: row.id,
      employeeId: row.employee_id,
      number: row.number,
      name: row.name,
      net: rawCents(row.net),
      isVoid: row.is_void,
    }));
  }
}
