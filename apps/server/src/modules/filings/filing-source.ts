import { Inject, Injectable } from '@nestjs/common';
import { date, type LocalDate, parseDate } from '@zakat/core/calendar/local-date';
import { EMPLOYMENT_CODES, type EmploymentCode } from '@zakat/core/formats/efw2/file';
import { text } from '@zakat/core/facts/fact-kind';
import { firstDayOf, lastDayOf, type Quarter } from '@zakat/core/calendar/quarter';
import type { FilingFacts, W2Set } from '@zakat/core/checks/return-checks';
import { clientOnDay, personOnDay } from '@zakat/core/facts/on-day';
import { findState } from '@zakat/core/jurisdictions/states';
import { isLiability, type LedgerEntry } from '@zakat/core/ledger/entry';
import { sum } from '@zakat/core/money/cents';
import { NO_ADJUSTMENTS, form941, type Adjustments941, type Form941 } from '@zakat/core/returns/form-941';
import type { FormFamily } from '@zakat/core/facts/client-facts';
import type { TaxCode } from '@zakat/core/taxes/registry';
import { formsW2, type W2Check, type W2Person } from '@zakat/core/yearend/w2';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { Secrets } from '../../database/secrets.js';
import { Clock } from '../clock/clock.js';
import { accountNumberOn } from '../clients/clients.service.js';
import { Firm, type Client } from '../clients/entities.js';
import { Employee } from '../employees/entities.js';
import { FactStore } from '../facts/fact-store.js';
import { formFamilyOf } from '../clients/form-family.js';
import { DepositSchedules } from '../remittances/deposit-schedules.js';
import { LedgerReader } from '../ledger/ledger-reader.js';

/** Gathers what returns are computed from: ledger, people, facts of the firm and the client. */
@Injectable()
export class FilingSource {
  constructor(
    @Inject(LedgerReader) private readonly ledger: LedgerReader,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(DepositSchedules) private readonly schedules: DepositSchedules,
  ) {}

  /** Why a client does not file Form 941 for a quarter; null when it does. */
  async otherFamily(manager: EntityManager, client: Client, quarter: Quarter): Promise<FormFamily | null> {
    const family = await formFamilyOf(manager, this.store, client, lastDayOf(quarter));
    return family === '941' ? null : family;
  }

  async form941(manager: EntityManager, client: Client, quarter: Quarter): Promise<Form941> {
    const entries = await this.ledger.entries(manager, client.id, firstDayOf(quarter), lastDayOf(quarter));
    const federal = await this.schedules.of(manager, client);
    // Whoever reached 100,000 in the quarter fills in Schedule B, whatever the schedule was when it began.
    const isReached = [...federal.nextDays.values()].some(
      (day) => day >= firstDayOf(quarter) && day <= lastDayOf(quarter),
    );
    const twelfth = `${quarter.year}-${String(quarter.quarter * 3).padStart(2, '0')}-12`;
    // Of what was paid elsewhere only the day is known: the check of the period with the 12th is the first from then on.
    const counted = (await manager.query(
      `WITH live AS (SELECT * FROM payroll p WHERE p.client_id = $1 AND p.reverses IS NULL AND NOT EXISTS (SELECT 1 FROM payroll r WHERE r.reverses = p.id))
       SELECT count(DISTINCT c.employee_id)::int AS count FROM paycheck c JOIN live p ON p.id = c.payroll_id
       WHERE (p.period_start <= $2 AND p.period_end >= $2)
          OR (p.kind = 'brought-in' AND p.period_start = p.check_date AND p.check_date =
             (SELECT min(b.check_date) FROM live b WHERE b.kind = 'brought-in' AND b.period_start = b.check_date AND b.check_date BETWEEN $2 AND $3))`,
      [client.id, twelfth, lastDayOf(quarter)],
    )) as { count: number }[];
    return form941({
      year: quarter.year,
      quarter: quarter.quarter,
      schedule: isReached ? 'semiweekly' : federal.on(lastDayOf(quarter)).schedule,
      entries,
      adjustments: await this.adjustments(manager, client.id, quarter),
      employeesOnTwelfth: counted[0]?.count ?? 0,
    });
  }

  /** What the paychecks of a quarter keep for lines 5b, 8 and 9. */
  private async adjustments(manager: EntityManager, clientId: string, quarter: Quarter): Promise<Adjustments941> {
    const rows = (await manager.query(
      `SELECT coalesce(sum((lines->'tracked'->>'oasdiTips')::bigint), 0)::bigint AS tips,
         coalesce(sum((lines->'tracked'->>'sickPayOasdi')::bigint + (lines->'tracked'->>'sickPayHi')::bigint), 0)::bigint AS sick,
         coalesce(sum((lines->'tracked'->>'uncollectedOasdi')::bigint + (lines->'tracked'->>'uncollectedHi')::bigint), 0)::bigint AS uncollected
       FROM paycheck WHERE client_id = $1 AND check_date BETWEEN $2 AND $3`,
      [clientId, firstDayOf(quarter), lastDayOf(quarter)],
    )) as { tips: string; sick: string; uncollected: string }[];
    const [row] = rows;
    return row
      ? { tips: rawCents(row.tips), sickPay: rawCents(row.sick), uncollected: rawCents(row.uncollected) }
      : NO_ADJUSTMENTS;
  }

  async w2Set(manager: EntityManager, client: Client, year: number): Promise<W2Set> {
    const entries = await this.ledger.entries(manager, client.id, date(`${year}-01-01`), date(`${year}-12-31`));
    const people = await manager.find(Employee, {
      where: { clientId: client.id, kind: 'employee', isWithdrawn: false },
      order: { lastName: 'ASC', firstName: 'ASC' },
    });
    const rows = (await manager.query(
      'SELECT employee_id, lines FROM paycheck WHERE client_id = $1 AND check_date BETWEEN $2 AND $3',
      [client.id, `${year}-01-01`, `${year}-12-31`],
    )) as { employee_id: string; lines: Partial<Omit<W2Check, 'employeeId'>> }[];
    const checks = rows.map(({ employee_id: employeeId, lines }): W2Check => ({
      employeeId,
      earnings: lines.earnings ?? [],
      deductions: lines.deductions ?? [],
      employerPaid: lines.employerPaid ?? [],
      tracked: lines.tracked ?? {},
    }));
    const facts = await this.store.ofPeople(
      manager,
      people.map((person) => person.id),
    );
    const isStatutory = (id: string): boolean =>
      personOnDay(facts.get(id) ?? [], `${year}-12-31`).worker?.['kind'] === 'statutory';
    const forms = formsW2({
      year,
      people: people.map((person) => this.personOf(person, isStatutory(person.id))),
      entries,
      checks,
      stateIds: await this.stateIds(manager, client, entries, `${year}-12-31`),
    });
    const liabilities = entries.filter(isLiability);
    const total = (tax: TaxCode, part: 'wages' | 'subject' | 'amount') =>
      sum(liabilities.filter((entry) => entry.tax === tax).map((entry) => entry[part]));
    return {
      year,
      forms,
      ledger: {
        incomeTax: total('US-FIT', 'amount'),
        oasdiWages: total('US-OASDI-EE', 'wages'),
        oasdiTax: total('US-OASDI-EE', 'amount'),
        hiWages: total('US-HI-EE', 'subject'),
        hiTax: sum([total('US-HI-EE', 'amount'), total('US-HI-ADD', 'amount')]),
      },
    };
  }

  /** The day on which wages were last paid, when the business closed between two days; else null. */
  async closedIn(manager: EntityManager, client: Client, from: LocalDate, to: LocalDate): Promise<LocalDate | null> {
    const facts = clientOnDay(await this.store.ofClient(manager, client.id), to);
    const day = parseDate(text(facts.employer ?? {}, 'lastWages'));
    return day !== null && day >= from && day <= to ? day : null;
  }

  /** The employment code of the wage file, by the return that the client files for the year. */
  async employmentCode(manager: EntityManager, client: Client, year: number): Promise<EmploymentCode> {
    const family = await formFamilyOf(manager, this.store, client, `${year}-12-31`);
    const code = EMPLOYMENT_CODES[family];
    if (!code) throw new Error(`no employment code for clients of Form ${family}`);
    return code;
  }

  async facts(manager: EntityManager, client: Client, from: LocalDate, to: LocalDate): Promise<FilingFacts> {
    const firm = await this.firm(manager);
    const open = (await manager.query(
      `SELECT check_date FROM payroll WHERE client_id = $1 AND status <> 'posted' AND check_date BETWEEN $2 AND $3 ORDER BY check_date`,
      [client.id, from, to],
    )) as { check_date: string }[];
    return {
      ein: client.ein,
      name: client.legalName,
      street: client.street,
      city: client.city,
      state: client.state,
      zip: client.zip,
      phone: client.phone,
      signerName: client.signerName,
      signerTitle: client.signerTitle,
      preparerName: firm.preparerName,
      preparerPtin: firm.preparerPtin,
      preparerPhone: firm.phone,
      efin: firm.efin,
      today: await this.clock.today(manager),
      openPayrolls: open.map((row) => date(row.check_date)),
    };
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
    for (const code of new Set(entries.filter(({ tax }) => tax.endsWith('-SIT')).map(({ tax }) => tax.slice(0, 2)))) {
      const agency = findState(code)?.agencies.income;
      if (agency) found[code] = await accountNumberOn(manager, client.id, agency.code, day);
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
