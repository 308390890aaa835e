import { Inject, Injectable } from '@nestjs/common';
import type {
  ClosedPeriod,
  RecomputedCheck,
  RecomputedTax,
  RecomputedTotal,
  RecomputedView,
} from '@zakat/contract/payrolls';
import { isObject } from '@zakat/core/casefile/reader';
import type { FilingKind } from '@zakat/core/filings/kind';
import type { FilingPeriod } from '@zakat/core/filings/period';
import { kindOf } from '@zakat/core/filings/registry';
import { sentence } from '@zakat/core/issues/issue';
import { ZERO, add, type Cents } from '@zakat/core/money/cents';
import { isTaxCode, taxOf } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { isDeepStrictEqual } from 'node:util';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { refuseField } from '../../http/refusal.js';
import { findClient } from '../clients/index.js';
import { filedElsewhere } from '../filed-elsewhere/index.js';
import { periodOf, titleOf } from '../filing-records/index.js';
import { Payroll } from './entities.js';
import { PeopleCases, computeEntry, type PersonCase } from './people-cases.js';
import { entryOfRow, postedRows } from './posted-payroll.js';

type PostedRow = Awaited<ReturnType<typeof postedRows>>[number];
type Json = Readonly<Record<string, unknown>>;

/** Causes that are rates of the employer. */
const OF_RATES: ReadonlySet<string> = new Set(['unemployment rate', 'employer tax rate']);
/** More are not listed; their totals are counted all the same. */
const MOST_LISTED = 2000;
/** Parts of a case by what the records call them. */
const PARTS: readonly (readonly [part: string, field: string | null, called: string])[] = [
  ['employee', 'federal', 'Form W-4'],
  ['employee', 'certificates', 'state certificate'],
  ['employee', 'work', 'place of work'],
  ['employee', 'residence', 'place of residence'],
  ['employee', 'unemploymentState', 'place of work'],
  ['employee', 'localization', 'place of work'],
  ['employee', 'exemptFrom', 'exemptions'],
  ['employee', 'birthDate', 'date of birth'],
  ['employee', 'kind', 'worker type'],
  ['employee', 'workClass', 'workers’ compensation class'],
  ['employer', 'unemploymentRates', 'unemployment rate'],
  ['employer', 'rates', 'employer tax rate'],
  ['employer', 'kind', 'kind of employer'],
  ['employer', 'employees', 'number of employees'],
  ['employee', 'priorYearWages', 'wages of the year before'],
  ['rates', null, 'other rates of pay'],
  ['items', null, 'earnings and deductions of the client'],
  ['settings', null, 'withholding method'],
  ['payFrequency', null, 'pay frequency'],
];

/** Posted checks worked out again from the records and rules of today: which move, by how much and for whom. Read only. */
@Injectable()
export class RecomputedChecks {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(PeopleCases) private readonly cases: PeopleCases,
  ) {}

  ofYear(actor: Actor, clientId: string, asked: string): Promise<RecomputedView> {
    if (!/^20\d\d$/.test(asked)) throw refuseField('year', 'This is not a year.', 'Write it like 2026.');
    return this.database.run(actor, async (manager) => {
      const client = await findClient(manager, clientId);
      const payrolls = await manager
        .createQueryBuilder(Payroll, 'p')
        .where(`p.client_id = :clientId AND p.status = 'posted' AND p.kind IN ('regular', 'extra') AND NOT p.is_void`, {
          clientId,
        })
        .andWhere('p.check_date BETWEEN :from AND :to', { from: `${asked}-01-01`, to: `${asked}-12-31` })
        .orderBy('p.check_date')
        .addOrderBy('p.posted_at')
        .getMany();
      let looked = 0;
      const moved: RecomputedCheck[] = [];
      for (const payroll of payrolls) {
        const people = new Map(
          (await this.cases.forPayroll(manager, client, payroll)).map((person) => [person.employee.id, person]),
        );
        const rows = (await postedRows(manager, payroll.id)).filter(
          (row) => row.lines !== null && row.base !== null && row.voided_by === null,
        );
        looked += rows.length;
        moved.push(...rows.flatMap((row) => checkOf(payroll, row, people.get(row.employee_id)) ?? []));
      }
      return {
        year: Number(asked),
        looked,
        totals: totalsOf(moved),
        checks: moved.slice(0, MOST_LISTED),
        foundBy: moved.some(({ causes }) => causes.some((cause) => OF_RATES.has(cause))) ? 'rate' : 'review',
        more: Math.max(0, moved.length - MOST_LISTED),
        closed: filedWith(moved, await filedOf(manager, clientId)),
      };
    });
  }
}

interface Filed {
  readonly kind: FilingKind;
  readonly period: FilingPeriod;
}
/** The returns of a client that have left, or that the former provider filed. */
async function filedOf(manager: EntityManager, clientId: string): Promise<Filed[]> {
  const rows = (await manager.query(
    `SELECT kind, period_start AS "periodStart" FROM filing WHERE client_id = $1 AND status IN ('released', 'received', 'accepted') ORDER BY period_start, kind`,
    [clientId],
  )) as { kind: string; periodStart: string }[];
  return [
    ...rows.map((filing): Filed => ({ kind: kindOf(filing.kind), period: periodOf(filing) })),
    ...(await filedElsewhere(manager, clientId)).map(({ kind, period }): Filed => ({ kind: kindOf(kind), period })),
  ];
}

/** Of those the ones that have a tax of a check that moves. */
function filedWith(checks: readonly RecomputedCheck[], filed: readonly Filed[]): ClosedPeriod[] {
  return filed
    .filter(({ kind, period }) =>
      checks.some(
        ({ checkDate, taxes }) =>
          checkDate >= period.start &&
          checkDate <= period.end &&
          taxes.some(({ tax }) => isTaxCode(tax) && kind.owedFor.includes(taxOf(tax).group)),
      ),
    )
    .map(({ kind, period }) => ({
      what: `Filed with the posted figures: ${titleOf(kind, period)}.`,
      follows: `Put right with ${kind.amendedBy}.`,
    }));
}

/** A check that comes to other taxes today; null: it does not move. What was paid before it is as it was then. */
function checkOf(payroll: Payroll, row: PostedRow, person: PersonCase | undefined): RecomputedCheck | null {
  const found = {
    payrollId: payroll.id,
    employeeId: row.employee_id,
    name: row.person?.name ?? row.name,
    checkDate: payroll.checkDate,
  };
  const kept = row.base ?? {};
  if (!person)
    return { ...found, taxes: [], causes: [], problem: 'The records have this person in no such payroll any more.' };
  const { yearToDate, monthToDate } = kept;
  const base = { ...person.base, yearToDate, ...(monthToDate === undefined ? {} : { monthToDate }) };
  const result = computeEntry({ base, own: person.own }, entryOfRow(row));
  const errors = result.problems.filter(({ severity }) => severity === 'error');
  const causes = causesOf(kept, base, !isSame(row.own, person.own));
  if (errors.length > 0) return { ...found, taxes: [], causes, problem: errors.map(sentence).join(' ').slice(0, 500) };
  const taxes = movedTaxes(row.lines?.taxes ?? [], result.taxes);
  return taxes.length === 0 ? null : { ...found, taxes, causes, problem: '' };
}

interface Taxed {
  readonly code: string;
  readonly amount: number;
}
function movedTaxes(posted: readonly Taxed[], now: readonly Taxed[]): RecomputedTax[] {
  const total = (taxes: readonly Taxed[], code: string): number =>
    taxes.filter((tax) => tax.code === code).reduce((all, { amount }) => all + amount, 0);
  return [...new Set([...posted, ...now].map(({ code }) => code))]
    .filter(isTaxCode)
    .flatMap((code): RecomputedTax[] => {
      const [was, is] = [total(posted, code), total(now, code)];
      const { label, payer } = taxOf(code);
      return was === is ? [] : [{ tax: code, label, payer, posted: was, now: is }];
    });
}

/** Equal as they are kept: in whatever order, and without what is undefined. */
const isSame = (a: unknown, b: unknown): boolean => isDeepStrictEqual(asKept(a), asKept(b));
const asKept = (value: unknown): unknown => JSON.parse(JSON.stringify(value ?? null)) as unknown;

/** What the records say otherwise than when the check was posted; with nothing of that, the rules are other ones. */
function causesOf(kept: Json, now: Json, isOtherPack: boolean): string[] {
  const part = (from: Json, name: string, field: string | null): unknown => {
    const whole = from[name];
    return field === null ? whole : isObject(whole) ? whole[field] : undefined;
  };
  const causes = PARTS.filter(([name, field]) => !isSame(part(kept, name, field), part(now, name, field))).map(
    ([, , called]) => called,
  );
  if (isOtherPack) causes.push('rule pack');
  return causes.length > 0 ? [...new Set(causes)] : ['rules'];
}

function totalsOf(checks: readonly RecomputedCheck[]): RecomputedTotal[] {
  const totals = new Map<string, RecomputedTotal>();
  for (const { taxes } of checks)
    for (const tax of taxes) {
      const own = totals.get(tax.tax);
      const sum = (a: number | undefined, b: number): Cents => add((a ?? ZERO) as Cents, b as Cents);
      totals.set(tax.tax, {
        ...tax,
        posted: sum(own?.posted, tax.posted),
        now: sum(own?.now, tax.now),
        checks: (own?.checks ?? 0) + 1,
      });
    }
  return [...totals.values()];
}
