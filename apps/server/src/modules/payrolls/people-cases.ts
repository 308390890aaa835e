import { Inject, Injectable } from '@nestjs/common';
import type { PayrollEntry, PayrollKind } from '@zakat/contract/payrolls';
import { composeCase, type OwnRows } from '@zakat/core/casefile/compose';
import { isOfSomePlace, readCase } from '@zakat/core/casefile/read-case';
import { isObject } from '@zakat/core/casefile/reader';
import { ownPlaces, readPlaceRows } from '@zakat/core/rules/places';
import { addMonths, date, yearOf } from '@zakat/core/calendar/local-date';
import type { PayFrequency } from '@zakat/core/calendar/pay-frequency';
import {
  employeePart,
  employerPart,
  leavePart,
  otherRates,
  ownItems,
  settingsPart,
  usualLines,
} from '@zakat/core/facts/case-parts';
import { jobsPart } from '@zakat/core/facts/job-facts';
import { EMPLOYEE_FACTS } from '@zakat/core/facts/employee-facts';
import { text, type FactValue } from '@zakat/core/facts/fact-kind';
import { scheduleName, scheduleNamed } from '@zakat/core/facts/schedule';
import { inForceOn, newestFirst } from '@zakat/core/facts/in-force';
import { clientOnDay, personOnDay, type ClientOnDay, type PersonOnDay } from '@zakat/core/facts/on-day';
import { paySpans } from '@zakat/core/facts/period-pay';
import type { Issue } from '@zakat/core/issues/issue';
import { ZERO, toDollars, type Cents } from '@zakat/core/money/cents';
import { showRate } from '@zakat/core/money/rate';
import { NOTHING, computePaycheck } from '@zakat/core/paycheck/compute';
import type { PaycheckResult } from '@zakat/core/computation/result';
import type { Tape } from '@zakat/core/working/tape';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { type Client, unemploymentRatesOn } from '../clients/index.js';
import { Employee } from '../employees/index.js';
import { FactStore, type StoredFact } from '../facts/index.js';
import { forStates, ownRowsOn } from '../rules-in-force/index.js';
import type { Payroll } from './entities.js';
import { leaveStands, owedBefore, takenBefore } from './standing-balances.js';
import { nothingYet, toDateOf, type MonthToDate, type YearToDate } from './to-date.js';
import { taxNamed } from '@zakat/core/tax-registry/registry';

/** A person of a payroll with everything but what is typed. */
export interface PersonCase {
  readonly employee: Employee;
  readonly facts: PersonOnDay;
  readonly base: Record<string, unknown>;
  /** What a regular check of this person has unless something else is typed. */
  readonly usual: Pick<PayrollEntry, 'earnings' | 'deductions'>;
  /** The firm's own rules on the check date: one list for everybody. */
  readonly own: OwnRows | null;
  /** The last day of an employment that has ended by the check date; null while it goes on. */
  readonly lastDay: string | null;
  /** Owed from earlier checks by a deduction that the person has no line of any more: its code and the amount. */
  readonly owedWithoutLine: readonly (readonly [item: string, owed: Cents])[];
}

export interface LastRegular {
  readonly wages: string;
  readonly withheld: string;
}

interface BaseOfCase {
  readonly employee: Record<string, unknown>;
  readonly employer: Record<string, unknown>;
  readonly yearToDate: YearToDate;
  readonly monthToDate?: MonthToDate;
}
/**
 * A case without the codes of the firm's own localities that move no tax in it: what was paid where the rules no longer
 * count or where nobody is any more stays in the ledger, and an exemption or a rate of another state waits there.
 */
function ofTheseRules<Base extends BaseOfCase>(base: Base, own: OwnRows | null, states: ReadonlySet<string>): Base {
  const places = ownPlaces(readPlaceRows(own?.places ?? [], 'places', []));
  const isHere = (code: string): boolean => isOfSomePlace(code, places);
  const mayBeHere = (code: string): boolean => {
    const jurisdiction = taxNamed(code)?.jurisdiction;
    return isHere(code) || jurisdiction === undefined || states.has(jurisdiction);
  };
  const only = <Value>(values: Record<string, Value>, keep: (code: string) => boolean): Record<string, Value> =>
    Object.fromEntries(Object.entries(values).filter(([code]) => keep(code)));
  const { employee, employer, yearToDate, monthToDate } = base;
  const { exemptFrom } = employee;
  const { rates } = employer;
  return {
    ...base,
    employee: {
      ...employee,
      ...(Array.isArray(exemptFrom) ? { exemptFrom: exemptFrom.filter((code) => mayBeHere(String(code))) } : {}),
    },
    employer: { ...employer, ...(isObject(rates) ? { rates: only(rates, mayBeHere) } : {}) },
    yearToDate: { ...yearToDate, wages: only(yearToDate.wages, isHere), taxes: only(yearToDate.taxes, isHere) },
    ...(monthToDate ? { monthToDate: { ...monthToDate, taxes: only(monthToDate.taxes, isHere) } } : {}),
  };
}

/** The last check of each person that was of regular wages alone: supplemental wages paid apart are taken together with it. */
export async function lastRegularOf(
  manager: EntityManager,
  clientId: string,
  day: string,
  exceptPayroll: string,
): Promise<Map<string, LastRegular>> {
  const rows = (await manager.query(
    `SELECT DISTINCT ON (p.employee_id) p.employee_id AS id, pt.subject, pt.amount FROM standing_paycheck p
     JOIN paycheck_tax pt ON pt.paycheck_id = p.id AND pt.tax = 'US-FIT'
     WHERE p.client_id = $1 AND p.check_date <= $2 AND p.check_date >= $3 AND p.payroll_id <> $4 AND p.supplemental = 0 AND pt.subject > 0
     ORDER BY p.employee_id, p.check_date DESC`,
    [clientId, day, addMonths(date(day), -3), exceptPayroll],
  )) as { id: string; subject: string; amount: string }[];
  return new Map(
    rows.map(({ id, subject, amount }) => [
      id,
      { wages: toDollars(rawCents(subject)), withheld: toDollars(rawCents(amount)) },
    ]),
  );
}

const statesOf = (facts: readonly PersonOnDay[]): ReadonlySet<string> =>
  new Set(
    facts.flatMap(({ place }) => (place ? [place.residence, ...place.work].map((at) => String(at['state'])) : [])),
  );

const NOTHING_USUAL: PersonCase['usual'] = { earnings: [], deductions: [] };
const NO_PAYROLL = '00000000-0000-0000-0000-000000000000';

/** Makes the cases of a client's people: facts in force on the check date, year to date before it. */
@Injectable()
export class PeopleCases {
  constructor(@Inject(FactStore) private readonly store: FactStore) {}

  /**
   * Whom a payroll may pay: those employed in its period, those who left and were not paid to their last day, and whoever
   * has a line in it already: what was typed is not dropped.
   */
  async forPayroll(
    manager: EntityManager,
    client: Client,
    payroll: Pick<Payroll, 'id' | 'periodStart' | 'periodEnd' | 'checkDate'> &
      Partial<Pick<Payroll, 'kind' | 'schedule' | 'part'>>,
  ): Promise<PersonCase[]> {
    const people = await manager.find(Employee, {
      where: { clientId: client.id, kind: 'employee', isWithdrawn: false },
      order: { number: 'ASC' },
    });
    const facts = await this.store.ofPeople(
      manager,
      people.map((person) => person.id),
    );
    const lastDays = new Map(
      people.map((person) => [person.id, lastDayOn(facts.get(person.id) ?? [], payroll.checkDate)]),
    );
    const hasLeft = people.some((person) => lastDays.get(person.id) !== null);
    const unpaid = hasLeft ? await this.notPaidToTheirEnd(manager, client.id, payroll, lastDays) : new Set<string>();
    const typed = await peopleOfLines(manager, payroll.id);
    const isHired = (person: Employee): boolean => person.hiredOn === null || person.hiredOn <= payroll.periodEnd;
    const employed = people.filter((person) => isHired(person) && lastDays.get(person.id) === null);
    const isOfSchedule = await this.scheduleTest(manager, client, payroll, facts);
    // A part of a split payroll has those who were moved into it, and nobody is in two parts.
    const isPart = (payroll.part ?? '') !== '';
    const apart = isPart ? new Set<string>() : await peopleOfOtherParts(manager, client.id, payroll);
    const paid = people.filter(
      (person) =>
        typed.has(person.id) ||
        (!isPart &&
          !apart.has(person.id) &&
          isOfSchedule(person.id) &&
          (employed.includes(person) || unpaid.has(person.id))),
    );
    return this.forPeople(manager, client, payroll, paid, facts, employed.length);
  }

  /** Whether a person is paid by the schedule of a payroll; one outside the calendar is for everybody. */
  private async scheduleTest(
    manager: EntityManager,
    client: Client,
    payroll: Pick<Payroll, 'checkDate'> & Partial<Pick<Payroll, 'kind' | 'schedule'>>,
    facts: ReadonlyMap<string, readonly StoredFact[]>,
  ): Promise<(employeeId: string) => boolean> {
    const { kind, schedule } = payroll;
    if (schedule === undefined || (kind !== 'regular' && kind !== 'recorded')) return () => true;
    const clientDay = clientOnDay(await this.store.ofClient(manager, client.id), payroll.checkDate);
    return (employeeId) => {
      const { worker } = personOnDay(facts.get(employeeId) ?? [], payroll.checkDate);
      return scheduleName(clientDay, text(worker ?? {}, 'schedule')) === schedule;
    };
  }

  /** People who have left and were last paid for days before their last one; never paid here: since the client's first period. */
  private async notPaidToTheirEnd(
    manager: EntityManager,
    clientId: string,
    payroll: Pick<Payroll, 'id' | 'periodStart'>,
    lastDays: ReadonlyMap<string, string | null>,
  ): Promise<ReadonlySet<string>> {
    const rows = (await manager.query(
      `SELECT c.employee_id AS id, max(p.period_end) AS day FROM standing_paycheck c JOIN payroll p ON p.id = c.payroll_id
       WHERE c.client_id = $1 AND c.payroll_id <> $2 AND c.gross > 0
         AND (p.kind <> 'extra' OR EXISTS (SELECT 1 FROM jsonb_to_recordset(c.lines -> 'earnings') AS l(item text) WHERE l.item IN ('regular', 'salary'))) GROUP BY c.employee_id`,
      [clientId, payroll.id],
    )) as { id: string; day: string }[];
    const paidTo = new Map(rows.map(({ id, day }) => [id, day]));
    const begun = (await manager.query(
      `SELECT min(period_start) AS day FROM payroll WHERE client_id = $1 AND id <> $2`,
      [clientId, payroll.id],
    )) as { day: string | null }[];
    const first = begun[0]?.day ?? payroll.periodStart;
    const from = first < payroll.periodStart ? first : payroll.periodStart;
    return new Set(
      [...lastDays]
        .filter(([id, lastDay]) => {
          if (lastDay === null) return false;
          const to = paidTo.get(id);
          return to === undefined ? lastDay >= from : lastDay > to;
        })
        .map(([id]) => id),
    );
  }

  /** The people of a client as they would be paid on a day, outside any payroll. */
  async on(manager: EntityManager, client: Client, day: string): Promise<PersonCase[]> {
    const payroll = { id: NO_PAYROLL, periodStart: day, periodEnd: day, checkDate: day };
    const cases = await this.forPayroll(manager, client, payroll);
    return cases.filter((person) => person.lastDay === null);
  }

  /** One person, stored or not, with facts that may be only considered. */
  async forOne(
    manager: EntityManager,
    client: Client,
    checkDate: string,
    person: Employee,
    facts: readonly StoredFact[],
  ): Promise<PersonCase | null> {
    const payroll = { id: NO_PAYROLL, periodStart: checkDate, periodEnd: checkDate, checkDate };
    const all = new Map([[person.id, newestFirst(facts)]]);
    // Premiums depend on how many people work here, not on how many are looked at.
    const others = await employedOn(manager, client.id, checkDate);
    return (await this.forPeople(manager, client, payroll, [person], all, Math.max(others, 1)))[0] ?? null;
  }

  private async forPeople(
    manager: EntityManager,
    client: Client,
    payroll: Pick<Payroll, 'id' | 'periodStart' | 'periodEnd' | 'checkDate'>,
    people: readonly Employee[],
    facts: ReadonlyMap<string, readonly StoredFact[]>,
    headcount: number,
  ): Promise<PersonCase[]> {
    const { checkDate } = payroll;
    const day = date(checkDate);
    const clientDay = clientOnDay(await this.store.ofClient(manager, client.id), checkDate);
    const rates = await unemploymentRatesOn(manager, client.id, checkDate);
    const unemploymentRates = Object.fromEntries(
      Object.entries(rates).map(([state, rate]) => [state, showRate({ n: rate.n * 100, d: rate.d })]),
    );
    const ids = people.map((person) => person.id);
    const toDate = await toDateOf(manager, { clientId: client.id, day, exceptPayroll: payroll.id }, ids);
    const taken = await takenBefore(manager, ids, facts, { id: payroll.id, year: yearOf(day) });
    const owed = await owedBefore(manager, ids, payroll.id);
    const leave = await leaveStands(manager, ids, facts, payroll.id);
    const items = ownItems(clientDay);
    const settings = settingsPart(clientDay);
    const lastRegular =
      settings['supplementalMethod'] === 'aggregate'
        ? await lastRegularOf(manager, client.id, day, payroll.id)
        : new Map<string, LastRegular>();
    const cases = people.map((employee) => {
      const own = personOnDay(facts.get(employee.id) ?? [], checkDate);
      const schedule = scheduleNamed(clientDay, text(own.worker ?? {}, 'schedule')) ?? clientDay.schedule;
      const frequency = frequencyOf(client, schedule);
      const leaves = leavePart(own, (fact) => leave(employee.id, fact));
      const others = otherRates(own);
      const jobs = jobsPart(own, clientDay);
      const before = toDate.get(employee.id);
      const last = lastRegular.get(employee.id);
      const priorYearWages = before?.priorYearWages ?? null;
      const part = employeePart(own, employee.bornOn, exemptions(client, clientDay), taken(employee.id));
      const base = {
        id: employee.number,
        checkDate,
        payFrequency: frequency,
        employee: priorYearWages === null ? part : { ...part, priorYearWages },
        employer: employerPart(clientDay, unemploymentRates, headcount),
        settings: last ? { ...settings, lastRegular: last } : settings,
        ...(leaves.length > 0 ? { leave: leaves } : {}),
        ...(items.length > 0 ? { items } : {}),
        ...(others.length > 0 ? { rates: others } : {}),
        ...(jobs ? { jobs } : {}),
        yearToDate: before?.year ?? nothingYet(),
        ...(before?.hasMonth ? { monthToDate: before.month } : {}),
      };
      const known = facts.get(employee.id) ?? [];
      const lastDay = lastDayOn(known, checkDate);
      const spans = paySpans(known, {
        start: date(payroll.periodStart),
        end: date(payroll.periodEnd),
        hiredOn: employee.hiredOn !== null && employee.hiredOn <= payroll.periodEnd ? employee.hiredOn : null,
        lastDay,
      });
      const isPast = lastDay !== null && lastDay < payroll.periodStart;
      const owedNow = owed(employee.id);
      const usual = isPast
        ? NOTHING_USUAL
        : usualLines(
            own,
            clientDay,
            frequency,
            taken(employee.id),
            spans,
            schedule,
            (item) => owedNow.get(item) ?? ZERO,
          );
      const owedWithoutLine = [...owedNow].filter(([item]) => !usual.deductions.some((line) => line.item === item));
      return { employee, facts: own, base, usual, lastDay, owedWithoutLine };
    });
    const states = statesOf(cases.map((person) => person.facts));
    const ownRows = forStates(await ownRowsOn(manager, checkDate), states);
    return cases.map((person) => ({ ...person, base: ofTheseRules(person.base, ownRows, states), own: ownRows }));
  }
}

export const frequencyOf = (client: Client, schedule: FactValue | null): PayFrequency =>
  (schedule?.['frequency'] ?? client.payFrequency) as PayFrequency;

/**
 * Taxes the whole client is exempt from. A 501(c)(3) employer or a government owes no federal unemployment tax: the core
 * knows that by the kind of employer; W-3 kinds stand in where no such fact is recorded (IRC § 3306(c)(7), (8)).
 */
const exemptions = (client: Client, facts: ClientOnDay): string[] => [
  ...(facts.employer === null && client.kindOfEmployer !== 'N' ? ['US-FUTA'] : []),
  ...facts.exemptions.map((fact) => String(fact['tax'])),
];

/** The last day of an employment that has ended by a day: the day from which the record says so. */
function lastDayOn(facts: readonly StoredFact[], day: string): string | null {
  const own = facts.filter((fact) => fact.kind === 'employment');
  const current = inForceOn(own, day, EMPLOYEE_FACTS.slotOf)[0];
  return current && text(current.value, 'standing') === 'ended' ? current.from : null;
}

/** People who have a line in a payroll. */
async function peopleOfLines(manager: EntityManager, payrollId: string): Promise<ReadonlySet<string>> {
  const rows = (await manager.query('SELECT employee_id AS id FROM payroll_line WHERE payroll_id = $1', [
    payrollId,
  ])) as { id: string }[];
  return new Set(rows.map(({ id }) => id));
}

/** People whom another part of the same regular payroll pays, or will. */
async function peopleOfOtherParts(
  manager: EntityManager,
  clientId: string,
  {
    id,
    kind,
    schedule = '',
    periodStart,
    periodEnd,
  }: Pick<Payroll, 'id' | 'periodStart' | 'periodEnd'> & Partial<Pick<Payroll, 'kind' | 'schedule'>>,
): Promise<ReadonlySet<string>> {
  if (kind !== 'regular') return new Set();
  const rows = (await manager.query(
    `SELECT l.employee_id AS id FROM payroll p JOIN payroll_line l ON l.payroll_id = p.id
     WHERE p.client_id = $1 AND p.kind = 'regular' AND NOT p.is_void AND p.schedule = $2 AND p.period_start = $3 AND p.period_end = $4 AND p.id <> $5 AND p.part <> ''`,
    [clientId, schedule, periodStart, periodEnd, id],
  )) as { id: string }[];
  return new Set(rows.map((row) => row.id));
}

/** How many people a client employs on a day; who has left is none of them. */
async function employedOn(manager: EntityManager, clientId: string, day: string): Promise<number> {
  const rows = (await manager.query(
    `SELECT count(*)::int AS count FROM employee e LEFT JOIN LATERAL
       (SELECT value ->> 'standing' AS standing FROM employee_fact WHERE employee_id = e.id AND kind = 'employment' AND effective_from <= $2
        ORDER BY effective_from DESC, id DESC LIMIT 1) f ON true
     WHERE e.client_id = $1 AND e.kind = 'employee' AND NOT e.is_withdrawn AND (e.hired_on IS NULL OR e.hired_on <= $2) AND f.standing IS DISTINCT FROM 'ended'`,
    [clientId, day],
  )) as { count: number }[];
  return rows[0]?.count ?? 0;
}

/** What a person is usually paid: the entry that a new payroll starts with. */
export function usualEntry(person: PersonCase, kind: PayrollKind): PayrollEntry {
  const onLeave = person.facts.employment?.['standing'] === 'leave';
  // Somebody who has left before the period is offered, and paid what is typed.
  if (person.lastDay !== null && person.usual.earnings.length === 0)
    return { employeeId: person.employee.id, isPaid: false, earnings: [], deductions: [] };
  const isUsual = kind === 'regular' || kind === 'recorded';
  if (!isUsual || onLeave || person.usual.earnings.length === 0)
    return {
      employeeId: person.employee.id,
      isPaid: isUsual && !onLeave && person.facts.pay?.['basis'] !== 'none',
      earnings: [],
      deductions: [],
    };
  return { employeeId: person.employee.id, isPaid: true, ...person.usual };
}

/** Computes the check of a person and an entry; an unpaid person has none. */
export function computeEntry(
  person: Pick<PersonCase, 'base' | 'own'>,
  entry: PayrollEntry,
  tape?: Tape,
): PaycheckResult {
  if (!entry.isPaid) return NOTHING;
  const read = readCase(composeCase(person.base, entry, person.own));
  if (!read.input) return { ...NOTHING, problems: read.issues as Issue[] };
  return computePaycheck(read.input, tape);
}
