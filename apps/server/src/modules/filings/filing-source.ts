import { Inject, Injectable } from '@nestjs/common';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { findFamily } from '@zakat/core/deposits/family';
import { personOnDay } from '@zakat/core/facts/on-day';
import {
  emptyInput,
  type EmployerFacts,
  type FilingFacts,
  type FilingInput,
  type FilingKind,
  type StateContribution,
  type UnemploymentPay,
} from '@zakat/core/filings/kind';
import type { FilingPeriod } from '@zakat/core/filings/period';
import type { FormChoice } from '@zakat/core/filings/registry';
import type { W2Check, W2Person } from '@zakat/core/filings/us-w2/form';
import { findItem } from '@zakat/core/items/registry';
import { findState } from '@zakat/core/jurisdictions/states';
import { isLiability, isPayment, type LedgerEntry } from '@zakat/core/ledger/entry';
import { ZERO, cents, larger, negate, sum, type Cents } from '@zakat/core/money/cents';
import type { Tracked } from '@zakat/core/paycheck/result';
import { codesWhere, isStateIncomeTax, isStateUnemployment, taxOf } from '@zakat/core/taxes/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { Secrets } from '../../database/secrets.js';
import { Clock } from '../clock/clock.js';
import { formsOnDay } from '../clients/client-forms.js';
import { accountNumberOn } from '../clients/clients.service.js';
import { Firm, type Client } from '../clients/entities.js';
import { Employee } from '../employees/entities.js';
import { FactStore } from '../facts/fact-store.js';
import { DepositSchedules } from '../remittances/deposit-schedules.js';
import { LedgerReader } from '../ledger/ledger-reader.js';

/** Gathers what filings are computed from and checked against: what their kinds ask for, and nothing else. */
@Injectable()
export class FilingSource {
  constructor(
    @Inject(LedgerReader) private readonly ledger: LedgerReader,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(DepositSchedules) private readonly schedules: DepositSchedules,
  ) {}

  /** What a client is at the end of a period, and what was said about its forms. */
  async employer(
    manager: EntityManager,
    client: Client,
    period: FilingPeriod,
  ): Promise<{ employer: EmployerFacts; choices: FormChoice[] }> {
    return formsOnDay(await this.store.ofClient(manager, client.id), period.end);
  }

  async input(
    manager: EntityManager,
    client: Client,
    kind: FilingKind,
    period: FilingPeriod,
    entered: Readonly<Record<string, number>>,
  ): Promise<FilingInput> {
    const { needs } = kind;
    const { employer } = await this.employer(manager, client, period);
    const entries = await this.ledger.entries(manager, client.id, period.start, period.end);
    return {
      ...emptyInput(period, employer),
      entries,
      entered: Object.fromEntries(Object.entries(entered).map(([name, amount]) => [name, cents(amount)])),
      ...(needs.headcount ? { headcount: await this.headcount(manager, client.id, period) } : {}),
      ...(needs.depositsOf ? { depositor: await this.depositor(manager, client, needs.depositsOf, period) } : {}),
      ...(needs.tracked ? { tracked: await this.tracked(manager, client.id, needs.tracked, period) } : {}),
      ...(needs.statements ? { statements: await this.statements(manager, client, entries, period) } : {}),
      ...(needs.unemployment
        ? {
            unemployment: await this.unemployment(manager, client.id, period),
            contributions: this.contributions(entries, kind.due(period).due),
          }
        : {}),
    };
  }

  /** People paid for the pay period that includes the 12th day of the period's last month. */
  private async headcount(manager: EntityManager, clientId: string, { end }: FilingPeriod): Promise<number> {
    const twelfth = `${end.slice(0, 7)}-12`;
    // Of what was paid elsewhere only the day is known: the check of the period with the 12th is the first from then on.
    const counted = (await manager.query(
      `WITH live AS (SELECT * FROM payroll p WHERE p.client_id = $1 AND p.reverses IS NULL AND NOT EXISTS (SELECT 1 FROM payroll r WHERE r.reverses = p.id))
       SELECT count(DISTINCT c.employee_id)::int AS count FROM paycheck c JOIN live p ON p.id = c.payroll_id
       WHERE (p.period_start <= $2 AND p.period_end >= $2)
          OR (p.kind = 'brought-in' AND p.period_start = p.check_date AND p.check_date =
             (SELECT min(b.check_date) FROM live b WHERE b.kind = 'brought-in' AND b.period_start = b.check_date AND b.check_date BETWEEN $2 AND $3))`,
      [clientId, twelfth, end],
    )) as { count: number }[];
    return counted[0]?.count ?? 0;
  }

  private async depositor(
    manager: EntityManager,
    client: Client,
    familyCode: string,
    { start, end }: FilingPeriod,
  ): Promise<NonNullable<FilingInput['depositor']>> {
    const family = findFamily(familyCode);
    if (!family) throw new RangeError(`no deposit family ${familyCode}`);
    const dates = (await this.schedules.of(manager, client)).of(family);
    const reached = [...dates.nextDays.values()];
    return { class: dates.classOn(end).class, isReached: reached.some((day) => day >= start && day <= end) };
  }

  /** What the paychecks of a period keep besides their taxes, added up. */
  private async tracked(
    manager: EntityManager,
    clientId: string,
    names: readonly (keyof Tracked)[],
    { start, end }: FilingPeriod,
  ): Promise<FilingInput['tracked']> {
    const rows = (await manager.query(
      `SELECT n.name, coalesce(sum((c.lines->'tracked'->>n.name)::bigint), 0)::bigint AS amount FROM unnest($4::text[]) AS n(name)
       LEFT JOIN paycheck c ON c.client_id = $1 AND c.check_date BETWEEN $2 AND $3 GROUP BY 1`,
      [clientId, start, end, names],
    )) as { name: string; amount: string }[];
    return Object.fromEntries(rows.map((row) => [row.name, rawCents(row.amount)]));
  }

  private async statements(
    manager: EntityManager,
    client: Client,
    entries: readonly LedgerEntry[],
    { start, end }: FilingPeriod,
  ): Promise<FilingInput['statements']> {
    const people = await manager.find(Employee, {
      where: { clientId: client.id, kind: 'employee', isWithdrawn: false },
      order: { lastName: 'ASC', firstName: 'ASC' },
    });
    const rows = (await manager.query(
      'SELECT employee_id, lines FROM paycheck WHERE client_id = $1 AND check_date BETWEEN $2 AND $3',
      [client.id, start, end],
    )) as { employee_id: string; lines: Partial<Omit<W2Check, 'employeeId'>> }[];
    const facts = await this.store.ofPeople(
      manager,
      people.map((person) => person.id),
    );
    const isStatutory = (id: string): boolean => personOnDay(facts.get(id) ?? [], end).worker?.['kind'] === 'statutory';
    return {
      people: people.map((person) => this.personOf(person, isStatutory(person.id))),
      checks: rows.map(({ employee_id: employeeId, lines }): W2Check => ({
        employeeId,
        earnings: lines.earnings ?? [],
        deductions: lines.deductions ?? [],
        employerPaid: lines.employerPaid ?? [],
        tracked: lines.tracked ?? {},
      })),
      stateIds: await this.stateIds(manager, client, entries, end),
    };
  }

  /** Pay by person and state, with what of it is subject to federal unemployment tax. */
  private async unemployment(
    manager: EntityManager,
    clientId: string,
    { start, end }: FilingPeriod,
  ): Promise<UnemploymentPay[]> {
    const rows = (await manager.query(
      `WITH own AS (SELECT id, employee_id, lines FROM paycheck WHERE client_id = $1 AND check_date BETWEEN $2 AND $3),
       taxed AS (SELECT o.id, max(s.tax) AS state_tax, coalesce(sum(f.subject), 0)::bigint AS subject, coalesce(sum(f.wages), 0)::bigint AS wages FROM own o
         LEFT JOIN paycheck_tax f ON f.paycheck_id = o.id AND f.tax = ANY($4) LEFT JOIN paycheck_tax s ON s.paycheck_id = o.id AND s.tax = ANY($5) GROUP BY 1)
       SELECT o.employee_id, t.state_tax, t.subject, t.wages, o.lines->'earnings' AS earnings, o.lines->'deductions' AS deductions FROM own o JOIN taxed t ON t.id = o.id`,
      [clientId, start, end, FEDERAL_UNEMPLOYMENT, STATE_UNEMPLOYMENT],
    )) as {
      employee_id: string;
      state_tax: string | null;
      subject: string;
      wages: string;
      earnings: PaidLine[] | null;
      deductions: PaidLine[] | null;
    }[];
    return rows.map((row): UnemploymentPay => {
      const earnings = (row.earnings ?? []).filter(({ item }) => isPay(item));
      const out = [...earnings, ...(row.deductions ?? [])].filter(({ item }) =>
        findItem(item)?.outOf.includes('unemployment'),
      );
      const paid = sum(earnings.map(({ amount }) => amount));
      const subject = rawCents(row.subject);
      const exempt: Record<string, Cents> = {};
      // Somebody whose work is not covered has no tax at all: all of the pay is exempt.
      if (subject === 0 && paid !== 0) exempt[NOT_COVERED] = paid;
      else for (const { item, amount } of out) exempt[item] = cents((exempt[item] ?? 0) + amount);
      return {
        employeeId: row.employee_id,
        state: row.state_tax === null ? null : stateOf(row.state_tax),
        paid,
        exempt,
        subject,
        wages: rawCents(row.wages),
      };
    });
  }

  /** What was owed to each state for unemployment, and what of it was paid after a day. */
  private contributions(entries: readonly LedgerEntry[], due: LocalDate): StateContribution[] {
    const own = entries.filter((entry) => isStateUnemployment(taxOf(entry.tax)));
    return [...new Set(own.map((entry) => entry.tax))].flatMap((tax) => {
      const state = stateOf(tax);
      if (!state) return [];
      const ofTax = own.filter((entry) => entry.tax === tax);
      const liabilities = ofTax.filter(isLiability);
      const late = ofTax.filter((entry) => isPayment(entry) && entry.effectiveDate > due);
      return [
        {
          state,
          wages: sum(liabilities.map((entry) => entry.wages)),
          owed: sum(liabilities.map((entry) => entry.amount)),
          late: larger(ZERO, negate(sum(late.map((entry) => entry.amount)))),
        },
      ];
    });
  }

  async facts(manager: EntityManager, client: Client, period: FilingPeriod): Promise<FilingFacts> {
    const firm = await this.firm(manager);
    const open = (await manager.query(
      `SELECT check_date FROM payroll WHERE client_id = $1 AND status <> 'posted' AND check_date BETWEEN $2 AND $3 ORDER BY check_date`,
      [client.id, period.start, period.end],
    )) as { check_date: string }[];
    return {
      filer: { ...client, name: client.legalName },
      firm,
      today: await this.clock.today(manager),
      period,
      openPayrolls: open.map((row) => date(row.check_date)),
    };
  }

  /** Whether everything that the deposits of a family owed for a period was deposited, and none of it late. */
  async isDepositedOnTime(
    manager: EntityManager,
    client: Client,
    familyCode: string,
    { start, end }: FilingPeriod,
  ): Promise<boolean> {
    const family = findFamily(familyCode);
    if (!family) return false;
    const deposits = await this.schedules.of(manager, client);
    const entries = (await this.ledger.entries(manager, client.id, start, end)).filter(
      (entry) => deposits.family(entry.tax).code === family.code,
    );
    if (sum(entries.map((entry) => entry.amount)) !== 0) return false;
    const { dues } = deposits.of(family);
    return entries.filter(isPayment).every((entry) => {
      const due = dues.get(entry.liabilityDate)?.due;
      return due !== undefined && due !== null && entry.effectiveDate <= due;
    });
  }

  async firm(manager: EntityManager): Promise<Firm> {
    const firm = (await manager.find(Firm))[0];
    if (!firm) throw new Error('the firm has no record');
    return firm;
  }

  /** The client's withholding account in each state whose tax was withheld. */
  private async stateIds(
    manager: EntityManager,
    client: Client,
    entries: readonly LedgerEntry[],
    day: string,
  ): Promise<Record<string, string>> {
    const found: Record<string, string> = {};
    const withheld = new Set(entries.map((entry) => taxOf(entry.tax)).filter(isStateIncomeTax));
    for (const { jurisdiction } of withheld) {
      const agency = findState(jurisdiction)?.agencies.income;
      if (agency) found[jurisdiction] = await accountNumberOn(manager, client.id, agency.code, day);
    }
    return found;
  }

  private personOf(person: Employee, isStatutory: boolean): W2Person {
    return {
      employeeId: person.id,
      ssn: this.secrets.open(person.ssnCipher),
      firstName: person.firstName,
      middleName: person.middleName,
      lastName: person.lastName,
      suffix: person.suffix,
      street: person.street,
      city: person.city,
      state: person.state,
      zip: person.zip,
      country: person.country,
      province: person.province,
      isRetirementPlan: person.isRetirementPlan,
      isStatutory,
    };
  }
}

interface PaidLine {
  readonly item: string;
  readonly amount: Cents;
}
const FEDERAL_UNEMPLOYMENT = codesWhere((tax) => tax.level === 'federal' && tax.kind === 'unemployment');
const STATE_UNEMPLOYMENT = codesWhere(isStateUnemployment);
/** Name of what is exempt because the work is not covered. */
const NOT_COVERED = 'not covered';

/** What only repays an expense, or only tells what somebody else paid, is no payment for work. */
const isPay = (code: string): boolean => {
  const item = findItem(code);
  return !item || !(['income', 'social', 'unemployment'] as const).every((family) => item.outOf.includes(family));
};
const stateOf = (tax: string): StateContribution['state'] | null => {
  const { jurisdiction } = taxOf(tax as LedgerEntry['tax']);
  return jurisdiction === 'US' ? null : jurisdiction;
};
