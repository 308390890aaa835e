import { Inject, Injectable } from '@nestjs/common';
import type { CameBack, PersonPay } from '@zakat/contract/direct-deposits';
import { splitNet } from '@zakat/core/direct-deposit/split';
import { ZERO, cents, smaller, subtract, sum, type Cents } from '@zakat/core/money/cents';
import { In, type EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { Clock } from '../clock/index.js';
import type { Payroll } from '../payrolls/index.js';
import { DirectDepositEntry, cameBackWords, type DirectDeposit } from './entities.js';
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

const entriesOf = (manager: EntityManager, files: readonly DirectDeposit[]): Promise<DirectDepositEntry[]> =>
  manager.find(DirectDepositEntry, {
    where: { directDepositId: In(files.map(({ id }) => id)) },
    order: { sequence: 'ASC' },
  });

/** What of each paycheck is out, or was cashed, as checks. */
async function paidOnPaper(manager: EntityManager, payrollId: string): Promise<ReadonlyMap<string, Cents>> {
  const rows = (await manager.query(
    `SELECT paycheck_id AS id, sum(amount) AS amount FROM issued_check
     WHERE payroll_id = $1 AND paycheck_id IS NOT NULL AND status IN ('printed', 'issued', 'cleared') GROUP BY paycheck_id`,
    [payrollId],
  )) as { id: string; amount: string }[];
  return new Map(rows.map(({ id, amount }) => [id, rawCents(amount)]));
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

  /** As its files have it; what came back, and was not sent again, is paid by check. */
  async inFiles(manager: EntityManager, payroll: Payroll, files: readonly DirectDeposit[]): Promise<PersonPay[]> {
    const entries = await entriesOf(manager, files);
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

  /**
   * What came back from accounts and reached nobody since: no check is out for it, and no other file sends it. Each with
   * the credits that would send it to the accounts that the person has today.
   *
   * @param except A file that sends it again, and is looked at anew: as if it were not there.
   */
  async cameBack(
    manager: EntityManager,
    payroll: Payroll,
    files: readonly DirectDeposit[],
    except: string | null = null,
  ): Promise<{ people: CameBack[]; credits: readonly PlannedCredit[] }> {
    const first = files.find(({ againOf }) => againOf === null);
    const entries = await entriesOf(
      manager,
      files.filter(({ id }) => id !== except),
    );
    const added = (list: readonly DirectDepositEntry[]): Cents => sum(list.map(({ amount }) => amount));
    const onPaper = await paidOnPaper(manager, payroll.id);
    const open = (await this.paid(manager, payroll.id)).flatMap((person) => {
      const own = entries.filter(({ paycheckId }) => paycheckId === person.paycheckId);
      const wanted = added(own.filter(({ directDepositId }) => directDepositId === first?.id));
      const arrives = added(own.filter(({ returnCode, isLive }) => returnCode === null && isLive));
      // No more than is still open of the check, after what is paid on paper.
      const left = subtract(subtract(person.net, arrives), onPaper.get(person.paycheckId) ?? ZERO);
      const missing = smaller(subtract(wanted, arrives), left);
      return person.isVoid || missing <= 0 ? [] : [{ person, missing }];
    });
    if (open.length === 0) return { people: [], credits: [] };
    const today = await this.clock.today(manager);
    const accounts = await this.accounts.of(
      manager,
      payroll.clientId,
      open.map(({ person }) => person.employeeId),
      today,
      today,
    );
    const credits: PlannedCredit[] = [];
    const people = open.map(({ person, missing }): CameBack => {
      const own = accounts.get(person.employeeId) ?? [];
      const lines = splitNet(missing, own).deposits.map((line, index) => ({ ...line, account: own[index] }));
      const ready = lines.filter(({ isReady, amount }) => isReady && amount > 0);
      for (const { account, amount } of ready) if (account) credits.push({ person, account, amount });
      return {
        employeeId: person.employeeId,
        name: person.name,
        amount: missing,
        to: ready.map(({ label, account }) => `${label}, ending ${account?.tail ?? ''}`).join('; '),
        ready: sum(ready.map(({ amount }) => amount)),
      };
    });
    return { people, credits };
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
