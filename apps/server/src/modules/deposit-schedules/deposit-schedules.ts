import { Inject, Injectable } from '@nestjs/common';
import { date, parseDate, type LocalDate } from '@zakat/core/calendar/local-date';
import { firstDayOf, lastDayOf, quarterOf } from '@zakat/core/calendar/quarter';
import {
  classOfYear,
  lookbackQuarters,
  type ClassFacts,
  type ClassFound,
  type DatedAmount,
} from '@zakat/core/deposits/deposit-class';
import { depositDates, type Accrued, type DepositDates, type DepositDue } from '@zakat/core/deposits/deposit-dates';
import { familyOf, type DepositFamily, type FederalForm } from '@zakat/core/deposits/family';
import { formOf } from '@zakat/core/facts/employer-of';
import { text, type FactValue } from '@zakat/core/facts/fact-kind';
import { inForce } from '@zakat/core/jurisdictions/dated';
import { LIABILITY_CAUSES } from '@zakat/core/ledger/entry';
import { ZERO, negate, parseDollars, sum, type Cents } from '@zakat/core/money/cents';
import { codesWhere, isTaxCode, type TaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { Clock } from '../clock/index.js';

const QUARTER_FIELDS = ['q3', 'q4', 'q1', 'q2'] as const;
/** Taxes that are on the return of a client and not on that of federal unemployment. */
const ON_THE_RETURN = codesWhere((tax) => tax.level === 'federal' && tax.kind !== 'unemployment');
const LONG_AGO = date('1900-01-01');

interface Whose {
  readonly id: string;
  readonly lookbackAmount: Cents;
}
interface Known {
  readonly lookbacks: readonly FactValue[];
  readonly employer: FactValue;
  readonly firstLiability: LocalDate | null;
  readonly frequencies: readonly { readonly agency: string; readonly class: string; readonly since: LocalDate }[];
}
const NOTHING: Known = { lookbacks: [], employer: {}, firstLiability: null, frequencies: [] };
interface Row {
  readonly tax: string;
  readonly liability_date: string;
  readonly paid_on: string | null;
  readonly is_quarter: boolean;
  readonly amount: string;
}

/** The deposits of one client: which there are, and when what accrued on a day is due. */
export class ClientDeposits {
  private readonly dates = new Map<string, DepositDates>();
  private readonly duesOfOneMore = new Map<string, DepositDue | null>();

  constructor(
    private readonly client: Whose,
    private readonly known: Known,
    private readonly rows: readonly (Row & { readonly tax: TaxCode })[],
    private readonly form: FederalForm,
  ) {}

  family(tax: TaxCode): DepositFamily {
    return familyOf(tax, this.form);
  }

  of(family: DepositFamily): DepositDates {
    const known = this.dates.get(family.code) ?? this.read(family, []);
    this.dates.set(family.code, known);
    return known;
  }

  /** When something of a check date would be due besides what has accrued. */
  dueOn(family: DepositFamily, day: LocalDate): DepositDue | null {
    const key = `${family.code} ${day}`;
    const known = this.duesOfOneMore.get(key);
    if (known !== undefined) return known;
    const due = this.read(family, [{ date: day, amount: ZERO }]).dues.get(day) ?? null;
    this.duesOfOneMore.set(key, due);
    return due;
  }

  private read(family: DepositFamily, more: readonly Accrued[]): DepositDates {
    const own = this.rows.filter((row) => this.family(row.tax).code === family.code);
    const accrued = own.map((row): Accrued => {
      const amount = rawCents(row.amount);
      const day = date(row.liability_date);
      return row.paid_on === null
        ? { date: day, amount, ...(row.is_quarter ? { isSummed: true } : {}) }
        : { date: day, amount: ZERO, deposited: [{ date: date(row.paid_on), amount: negate(amount) }] };
    });
    const liabilities = accrued.filter(({ deposited }) => deposited === undefined);
    return depositDates(
      family,
      family.calendar,
      [...accrued, ...more],
      factsOf(this.client, this.known, family, liabilities),
    );
  }
}

/** How often clients deposit: by year from the lookback, as entered with an account, and from the day a mark is reached. */
@Injectable()
export class DepositSchedules {
  constructor(@Inject(Clock) private readonly clock: Clock) {}

  /** How the federal taxes of many clients are deposited when a year begins. */
  async ofYear(manager: EntityManager, clients: readonly Whose[], year: number): Promise<Map<string, ClassFound>> {
    const known = await this.known(
      manager,
      clients.map((client) => client.id),
    );
    const familyFor = (id: string): DepositFamily => familyOf('US-FIT', formOf((known.get(id) ?? NOTHING).employer));
    const firstOf = (id: string) => {
      const rules = rulesOf(familyFor(id), year);
      return rules?.lookback ? lookbackQuarters(rules.lookback.period, year)[0] : undefined;
    };
    // Only where the ledger goes far enough back are its amounts looked at.
    const complete = clients.filter(({ id }) => {
      const since = completeFrom(known.get(id) ?? NOTHING);
      const first = firstOf(id);
      return since !== null && first !== undefined && since <= lastDayOf(first);
    });
    const from = complete
      .map(({ id }) => firstOf(id))
      .flatMap((first) => (first ? [firstDayOf(first)] : []))
      .sort()[0];
    const sums = await this.quarters(
      manager,
      complete.map((client) => client.id),
      from ?? LONG_AGO,
    );
    return new Map(
      clients.map((client): [string, ClassFound] => {
        const family = familyFor(client.id);
        const rules = rulesOf(family, year);
        const own = known.get(client.id) ?? NOTHING;
        return [
          client.id,
          rules
            ? classOfYear(rules, year, factsOf(client, own, family, sums.get(client.id) ?? []))
            : { class: null, why: `No deposit calendar is loaded for ${family.label}.` },
        ];
      }),
    );
  }

  /** The deposits of one client. */
  async of(manager: EntityManager, client: Whose): Promise<ClientDeposits> {
    const known = (await this.known(manager, [client.id])).get(client.id) ?? NOTHING;
    const rows = (await manager.query(
      // A whole quarter brought in on one day says nothing about what accumulated in a deposit period.
      `SELECT l.tax, l.liability_date, CASE WHEN l.cause = ANY($2) THEN NULL ELSE l.effective_date END AS paid_on,
         coalesce(p.kind = 'brought-in' AND p.period_start <> p.check_date, false) AS is_quarter, sum(l.amount)::bigint AS amount
       FROM ledger_entry l LEFT JOIN payroll p ON p.id = l.payroll_id WHERE l.client_id = $1 GROUP BY 1, 2, 3, 4 ORDER BY 2, 1`,
      [client.id, LIABILITY_CAUSES],
    )) as Row[];
    const read = rows.flatMap((row) => (isTaxCode(row.tax) ? [{ ...row, tax: row.tax }] : []));
    return new ClientDeposits(client, known, read, formOf(known.employer));
  }

  private async known(manager: EntityManager, ids: readonly string[]): Promise<Map<string, Known>> {
    const today = await this.clock.today(manager);
    const rows = (await manager.query(
      `SELECT c.id, p.day::text AS day, e.value AS employer, coalesce(l.lookbacks, '[]') AS lookbacks, coalesce(a.frequencies, '[]') AS frequencies
       FROM unnest($1::uuid[]) AS c(id)
       LEFT JOIN LATERAL (SELECT check_date AS day FROM payroll WHERE client_id = c.id AND status = 'posted' ORDER BY check_date LIMIT 1) p ON true
       LEFT JOIN (SELECT DISTINCT ON (client_id) client_id, value FROM client_fact
         WHERE client_id = ANY($1) AND kind = 'employer' AND effective_from <= $2 ORDER BY client_id, effective_from DESC, id DESC) e ON e.client_id = c.id
       LEFT JOIN (SELECT client_id, jsonb_agg(value ORDER BY effective_from DESC, id DESC) AS lookbacks FROM client_fact
         WHERE client_id = ANY($1) AND kind = 'lookback' GROUP BY client_id) l ON l.client_id = c.id
       LEFT JOIN (SELECT client_id, jsonb_agg(jsonb_build_object('agency', agency, 'class', deposit_frequency, 'since', effective_from) ORDER BY effective_from DESC) AS frequencies
         FROM tax_account WHERE client_id = ANY($1) AND deposit_frequency <> '' GROUP BY client_id) a ON a.client_id = c.id`,
      [ids, today],
    )) as {
      id: string;
      day: string | null;
      employer: FactValue | null;
      lookbacks: FactValue[];
      frequencies: { agency: string; class: string; since: string }[];
    }[];
    return new Map(
      rows.map(({ id, day, employer, lookbacks, frequencies }): [string, Known] => [
        id,
        {
          lookbacks,
          employer: employer ?? {},
          firstLiability: day === null ? null : date(day),
          frequencies: frequencies.map((row) => ({ ...row, since: date(row.since) })),
        },
      ]),
    );
  }

  private async quarters(
    manager: EntityManager,
    ids: readonly string[],
    from: LocalDate,
  ): Promise<Map<string, DatedAmount[]>> {
    const found = new Map<string, DatedAmount[]>();
    if (ids.length === 0) return found;
    const rows = (await manager.query(
      `SELECT l.client_id, date_trunc('quarter', l.liability_date)::date AS day, sum(l.amount)::bigint AS amount
       FROM ledger_entry l WHERE l.client_id = ANY($1) AND l.liability_date >= $2 AND l.cause = ANY($3) AND l.tax = ANY($4) GROUP BY 1, 2`,
      [ids, from, LIABILITY_CAUSES, ON_THE_RETURN],
    )) as { client_id: string; day: string; amount: string }[];
    for (const row of rows)
      found.set(row.client_id, [
        ...(found.get(row.client_id) ?? []),
        { date: date(row.day), amount: rawCents(row.amount) },
      ]);
    return found;
  }
}

const rulesOf = (family: DepositFamily, year: number) =>
  family.calendar ? inForce(family.calendar.rules, date(`${year}-01-01`))?.value : undefined;

/** Since when the ledger has everything: always, where it has the first wages that were ever paid. */
function completeFrom({ firstLiability, employer }: Known): LocalDate | null {
  if (!firstLiability) return null;
  const firstWages = parseDate(text(employer, 'firstWages'));
  return firstWages !== null && firstLiability <= lastDayOf(quarterOf(firstWages)) ? LONG_AGO : firstLiability;
}

/** What is known of how often a client deposits the taxes of a family. */
function factsOf(client: Whose, known: Known, family: DepositFamily, liabilities: readonly DatedAmount[]): ClassFacts {
  const isReturn = family.agency === 'IRS' && family.code === familyOf('US-FIT', formOf(known.employer)).code;
  return {
    said: (day) => known.frequencies.find((row) => row.agency === family.agency && row.since <= day) ?? null,
    entered: (year) => {
      const found = isReturn ? known.lookbacks.find((value) => text(value, 'year') === String(year)) : undefined;
      return found ? amountOf(found) : null;
    },
    liabilities,
    completeFrom: completeFrom(known),
    firstWages: parseDate(text(known.employer, 'firstWages')),
    otherwise: isReturn ? client.lookbackAmount : null,
  };
}

const amountOf = (lookback: FactValue): Cents =>
  sum(QUARTER_FIELDS.map((name) => parseDollars(text(lookback, name)) ?? ZERO));
