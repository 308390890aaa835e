import { Inject, Injectable } from '@nestjs/common';
import { date, endOfMonth } from '@zakat/core/calendar/local-date';
import { findFamily } from '@zakat/core/deposits/family';
import { text } from '@zakat/core/facts/fact-kind';
import { clientOnDay, personOnDay } from '@zakat/core/facts/on-day';
import {
  emptyInput,
  type Designee,
  type EmployerFacts,
  type FilingFacts,
  type FilingInput,
  type FilingKind,
  type ReportedCheck,
  type UnemploymentPay,
  type WageDetail,
} from '@zakat/core/filings/kind';
import { twelfthOf, type FilingPeriod } from '@zakat/core/filings/period';
import { kindOf, type FormChoice } from '@zakat/core/filings/registry';
import { contributionsOf, unemploymentPay, type UnemploymentCheck } from '@zakat/core/filings/us-940/pay';
import type { W2Check, W2Person } from '@zakat/core/filings/us-w2/form';
import { ownRules, readRows } from '@zakat/core/rules/pack';
import type { OwnRows } from '@zakat/core/casefile/compose';
import type { OwnRules } from '@zakat/core/jurisdictions/dated';
import { findState } from '@zakat/core/jurisdictions/states';
import { isPayment, type LedgerEntry } from '@zakat/core/ledger/entry';
import { cents, sum, type Cents } from '@zakat/core/money/cents';
import { parsePercent } from '@zakat/core/money/rate';
import type { Tracked } from '@zakat/core/computation/result';
import { codesWhere, isStateIncomeTax, taxOf } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { Secrets } from '../../database/secrets.js';
import { Clock } from '../clock/index.js';
import {
  accountNumberOn,
  type Client,
  Firm,
  formsOnDay,
  recordedFrequencies,
  unemploymentRatesOn,
} from '../clients/index.js';
import { Documents } from '../documents/index.js';
import type { Employee } from '../employees/index.js';
import { FactStore } from '../facts/index.js';
import { DepositSchedules } from '../deposit-schedules/index.js';
import { ownRowsOn } from '../rules-in-force/index.js';
import { LedgerReader } from '../ledger/index.js';
import { filedElsewhere } from '../filed-elsewhere/index.js';
import { Filing } from '../filing-records/index.js';

/** Gathers what filings are computed from and checked against: what their kinds ask for, and nothing else. */
@Injectable()
export class FilingSource {
  constructor(
    @Inject(LedgerReader) private readonly ledger: LedgerReader,
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Secrets) private readonly secrets: Secrets,
    @Inject(FactStore) private readonly store: FactStore,
    @Inject(DepositSchedules) private readonly schedules: DepositSchedules,
    @Inject(Documents) private readonly documents: Documents,
  ) {}

  /** What a client is at the end of a period, and what was said about its forms. */
  async employer(
    manager: EntityManager,
    client: Client,
    period: FilingPeriod,
  ): Promise<{ employer: EmployerFacts; choices: FormChoice[] }> {
    const recorded = (await recordedFrequencies(manager, client.id)).get(client.id) ?? [];
    return formsOnDay(await this.store.ofClient(manager, client.id), period.end, recorded);
  }

  /** The firm's own rules as they stand on a day. */
  async rulesOn(manager: EntityManager, day: string): Promise<OwnRules | null> {
    return rulesOf(await ownRowsOn(manager, day));
  }

  async input(
    manager: EntityManager,
    client: Client,
    kind: FilingKind,
    period: FilingPeriod,
    { entered, answers }: Pick<Filing, 'entered' | 'answers'>,
    /** Of a correction that exists: only what was accepted before it is its original. */
    sequence: number = Number.MAX_SAFE_INTEGER,
  ): Promise<FilingInput> {
    const { needs } = kind;
    const { employer } = await this.employer(manager, client, period);
    const entries = await (needs.sumsByPerson
      ? this.ledger.sumsByPerson(manager, client.id, period.start, period.end)
      : this.ledger.entries(manager, client.id, period.start, period.end));
    const made: FilingInput = {
      ...emptyInput(period, employer),
      entries,
      rules: await this.rulesOn(manager, period.end),
      entered: Object.fromEntries(Object.entries(entered).map(([name, amount]) => [name, cents(amount)])),
      answers,
      today: await this.clock.today(manager),
      ...(needs.headcount ? { headcount: await this.headcount(manager, client.id, needs.headcount, period) } : {}),
      ...(needs.depositsOf ? { depositor: await this.depositor(manager, client, needs.depositsOf, period) } : {}),
      ...(needs.tracked ? { tracked: await this.tracked(manager, client.id, needs.tracked, period) } : {}),
      ...(needs.statements ? { statements: await this.statements(manager, client, entries, period) } : {}),
      ...(needs.wageDetail ? { wageDetail: await this.wageDetail(manager, client, kind, period) } : {}),
      ...(needs.unemployment
        ? {
            unemployment: await this.unemployment(manager, client.id, period),
            contributions: contributionsOf(entries, kind.due(period).due),
          }
        : {}),
    };
    return needs.original
      ? { ...made, original: await this.original(manager, client, kind, period, sequence, made) }
      : made;
  }

  /**
   * What stands at the agency of the kind that is corrected: as it was accepted, or as the last correction before this one
   * was. Numbers of people come from the files that were sent; null: nothing was accepted.
   */
  async original(
    manager: EntityManager,
    client: Client,
    kind: FilingKind,
    period: FilingPeriod,
    before: number,
    /** What the kind is computed from today: for what nobody knows of a return that was filed elsewhere. */
    input: FilingInput,
  ): Promise<unknown> {
    const rows = await manager.find(Filing, {
      where: { clientId: client.id, periodStart: period.start, status: 'accepted' },
      order: { sequence: 'ASC' },
    });
    const base = kindOf(kind.corrects ?? '');
    const chain = [
      ...rows.filter((row) => row.kind === base.code),
      ...rows.filter((row) => row.kind === kind.code && row.sequence < before),
    ];
    if (chain.length === 0) {
      const filed = (await filedElsewhere(manager, client.id)).find(
        (one) => one.kind === base.code && one.period.start === period.start,
      );
      return filed ? (base.filedElsewhere?.(filed.line, base.compute(input)) ?? null) : null;
    }
    const numbers = new Map<string, string>();
    let content: unknown = null;
    for (const filing of chain) {
      const of = kindOf(filing.kind);
      const kept = of.read(filing.snapshot, filing.snapshotVersion ?? of.snapshotVersion);
      content = of.corrected ? of.corrected(kept) : kept;
      if (!of.numbers || !filing.documentId) continue;
      const file = (await this.documents.load(manager, filing.documentId)).content.toString('utf8');
      for (const [id, number] of of.numbers(kept, file)) numbers.set(id, number);
    }
    return base.recall ? base.recall(content, numbers) : content;
  }

  /** People paid for the pay period that includes the 12th of a month. */
  private async headcount(
    manager: EntityManager,
    clientId: string,
    month: 'last' | number,
    period: FilingPeriod,
  ): Promise<number> {
    const twelfth = twelfthOf(month, period);
    // Of what was paid elsewhere only the day is known: the check of the period with the 12th is the first from then on.
    const counted = (await manager.query(
      `WITH live AS (SELECT * FROM payroll p WHERE p.client_id = $1 AND p.reverses IS NULL AND NOT EXISTS (SELECT 1 FROM payroll r WHERE r.reverses = p.id))
       SELECT count(DISTINCT c.employee_id)::int AS count FROM standing_paycheck c JOIN live p ON p.id = c.payroll_id
       WHERE (p.period_start <= $2 AND p.period_end >= $2)
          OR (p.kind = 'brought-in' AND p.period_start = p.check_date AND p.check_date =
             (SELECT min(b.check_date) FROM live b WHERE b.kind = 'brought-in' AND b.period_start = b.check_date AND b.check_date BETWEEN $2 AND $3))`,
      [clientId, twelfth, endOfMonth(twelfth)],
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
    const people = await peopleNamed(manager, client.id, `kind = 'employee' AND NOT is_withdrawn`);
    const facts = await this.store.ofPeople(
      manager,
      people.map((person) => person.id),
    );
    const isStatutory = (id: string): boolean => personOnDay(facts.get(id) ?? [], end).worker?.['kind'] === 'statutory';
    return {
      people: people.map((person) => this.personOf(person, isStatutory(person.id))),
      checks: await this.checksOfYear(manager, client.id, { start, end }),
      stateIds: await this.stateIds(manager, client, entries, end),
    };
  }

  /** What the paychecks of a period have beside their taxes, added up by person and item. */
  private async checksOfYear(
    manager: EntityManager,
    clientId: string,
    { start, end }: Pick<FilingPeriod, 'start' | 'end'>,
  ): Promise<W2Check[]> {
    const rows = (await manager.query(
      `WITH own AS (SELECT employee_id, lines FROM paycheck WHERE client_id = $1 AND check_date BETWEEN $2 AND $3),
       lists AS (SELECT o.employee_id, l.list, e.item, e.amount FROM own o, (VALUES ('earnings'), ('deductions'), ('employerPaid')) AS l(list),
         jsonb_to_recordset(coalesce(o.lines -> l.list, '[]')) AS e(item text, amount bigint))
       SELECT employee_id, list, item, sum(amount)::bigint AS amount FROM lists GROUP BY 1, 2, 3
       UNION ALL SELECT o.employee_id, 'tracked', t.key, sum(t.value::bigint)::bigint FROM own o, jsonb_each_text(coalesce(o.lines -> 'tracked', '{}')) AS t GROUP BY 1, 2, 3`,
      [clientId, start, end],
    )) as {
      employee_id: string;
      list: 'earnings' | 'deductions' | 'employerPaid' | 'tracked';
      item: string;
      amount: string;
    }[];
    const found = new Map<string, MadeCheck>();
    for (const row of rows) {
      let own = found.get(row.employee_id);
      if (!own) {
        own = { employeeId: row.employee_id, earnings: [], deductions: [], employerPaid: [], tracked: {} };
        found.set(row.employee_id, own);
      }
      const amount = rawCents(row.amount);
      if (row.list === 'tracked') own.tracked[row.item as keyof Tracked] = amount;
      else own[row.list].push({ item: row.item, amount });
    }
    return [...found.values()];
  }

  /** Paychecks one by one with their taxes of the kind's jurisdiction, their people, and the client's own rates and accounts. */
  private async wageDetail(
    manager: EntityManager,
    client: Client,
    kind: FilingKind,
    { start, end }: FilingPeriod,
  ): Promise<WageDetail> {
    const rows = (await manager.query(
      `SELECT c.employee_id, p.period_start, p.period_end,
         coalesce((SELECT sum(round((e->>'hours')::numeric * 100)) FROM jsonb_array_elements(CASE jsonb_typeof(c.facts->'entry'->'earnings') WHEN 'array' THEN c.facts->'entry'->'earnings' ELSE '[]' END) AS e
           WHERE e->>'hours' ~ '^[0-9]+([.][0-9]+)?$'), 0)::int AS hours,
         jsonb_agg(jsonb_build_object('code', t.tax, 'subject', t.subject, 'wages', t.wages, 'amount', t.amount)) AS taxes
       FROM standing_paycheck c JOIN payroll p ON p.id = c.payroll_id JOIN paycheck_tax t ON t.paycheck_id = c.id
       WHERE c.client_id = $1 AND c.check_date BETWEEN $2 AND $3 AND t.tax = ANY($4)
       GROUP BY c.id, c.employee_id, c.facts, p.period_start, p.period_end ORDER BY p.period_end, c.employee_id`,
      [client.id, start, end, codesWhere((tax) => tax.jurisdiction === kind.jurisdiction)],
    )) as {
      employee_id: string;
      period_start: string;
      period_end: string;
      hours: number;
      taxes: ReportedCheck['taxes'];
    }[];
    const paid = new Set(rows.map((row) => row.employee_id));
    const people = await peopleNamed(manager, client.id);
    const rates = await unemploymentRatesOn(manager, client.id, end);
    const day = clientOnDay(await this.store.ofClient(manager, client.id), end);
    return {
      checks: rows.map((row) => ({
        employeeId: row.employee_id,
        periodStart: date(row.period_start),
        periodEnd: date(row.period_end),
        hours: row.hours,
        taxes: row.taxes,
      })),
      people: people.filter(({ id }) => paid.has(id)).map((person) => this.personOf(person, false)),
      rates: {
        ...Object.fromEntries(Object.entries(rates).map(([state, rate]) => [`${state}-SUI`, rate])),
        ...Object.fromEntries(
          day.ownRates.flatMap((own) => {
            const percent = parsePercent(text(own, 'percent'));
            return percent ? [[text(own, 'tax'), percent]] : [];
          }),
        ),
      },
      accounts: { [kind.agency.code]: await accountNumberOn(manager, client.id, kind.agency.code, end) },
    };
  }

  /** Pay by person and state, with what of it is subject to federal unemployment tax. */
  private async unemployment(
    manager: EntityManager,
    clientId: string,
    { start, end }: FilingPeriod,
  ): Promise<UnemploymentPay[]> {
    const rows = (await manager.query(
      `SELECT c.employee_id, c.lines->'earnings' AS earnings, c.lines->'deductions' AS deductions,
         coalesce((SELECT jsonb_agg(jsonb_build_object('code', t.tax, 'subject', t.subject, 'wages', t.wages)) FROM paycheck_tax t WHERE t.paycheck_id = c.id AND t.tax = ANY($4)), '[]') AS taxes
       FROM standing_paycheck c WHERE c.client_id = $1 AND c.check_date BETWEEN $2 AND $3`,
      [clientId, start, end, UNEMPLOYMENT],
    )) as {
      employee_id: string;
      earnings: UnemploymentCheck['earnings'] | null;
      deductions: UnemploymentCheck['deductions'] | null;
      taxes: UnemploymentCheck['taxes'];
    }[];
    return rows.map((row) =>
      unemploymentPay({
        employeeId: row.employee_id,
        earnings: row.earnings ?? [],
        deductions: row.deductions ?? [],
        taxes: row.taxes,
      }),
    );
  }

  async facts(manager: EntityManager, client: Client, period: FilingPeriod): Promise<FilingFacts> {
    const firm = await this.firm(manager);
    const open = (await manager.query(
      `SELECT check_date FROM payroll WHERE client_id = $1 AND status <> 'posted' AND check_date BETWEEN $2 AND $3 ORDER BY check_date`,
      [client.id, period.start, period.end],
    )) as { check_date: string }[];
    const designee = designeeOf(clientOnDay(await this.store.ofClient(manager, client.id), period.end));
    return {
      ...(designee ? { designee } : {}),
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

  /** A person as a statement has them, with the number. */
  personOf(person: NamedPerson, isStatutory: boolean): W2Person {
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

/** What a statement or a wage report says of a person, as the record has it. */
type NamedPerson = Pick<
  Employee,
  | 'id'
  | 'ssnCipher'
  | 'firstName'
  | 'middleName'
  | 'lastName'
  | 'suffix'
  | 'street'
  | 'city'
  | 'state'
  | 'zip'
  | 'country'
  | 'province'
  | 'isRetirementPlan'
>;
/** The people of a client by name. Rows, not entities: of thousands of people these take a third of the time. */
const peopleNamed = (manager: EntityManager, clientId: string, only = 'true'): Promise<NamedPerson[]> =>
  manager.query(
    `SELECT id, ssn_cipher AS "ssnCipher", first_name AS "firstName", middle_name AS "middleName", last_name AS "lastName", suffix,
       street, city, state, zip, country, province, is_retirement_plan AS "isRetirementPlan"
     FROM employee WHERE client_id = $1 AND ${only} ORDER BY last_name, first_name`,
    [clientId],
  );

/** The rules of the firm's own packs; a pack is checked before it is in force. */
const rulesOf = (own: OwnRows | null): OwnRules | null =>
  own === null ? null : ownRules(readRows(own.rules, 'rules', []));

/** A check that stands for all of a person's in a period, as it is gathered. */
interface MadeCheck extends W2Check {
  readonly earnings: PaidLine[];
  readonly deductions: PaidLine[];
  readonly employerPaid: PaidLine[];
  readonly tracked: Partial<Record<keyof Tracked, Cents>>;
}
type PaidLine = W2Check['earnings'][number];

/** Unemployment contributions of employers, the federal one and the states'. */
const UNEMPLOYMENT = codesWhere((tax) => tax.kind === 'unemployment' && tax.payer === 'employer');

/** Whom the IRS may ask about a return; null: nobody was named. */
function designeeOf({ designee }: ReturnType<typeof clientOnDay>): Designee | null {
  if (!designee || text(designee, 'standing') !== 'yes') return null;
  return {
    name: text(designee, 'name'),
    phone: text(designee, 'phone').replace(/\D/g, ''),
    pin: text(designee, 'pin'),
  };
}
