import type { PayrollEntry } from '@zakat/contract/payrolls';
import { composeCase, type OwnRows } from '@zakat/core/casefile/compose';
import { readCase } from '@zakat/core/casefile/read-case';
import { parseDate, yearOf } from '@zakat/core/calendar/local-date';
import { PERIODS_PER_YEAR, type PayFrequency } from '@zakat/core/calendar/pay-frequency';
import type { Issue } from '@zakat/core/issues/issue';
import { parseDollars, toDollars, ZERO } from '@zakat/core/money/cents';
import { showRate } from '@zakat/core/money/rate';
import { NOTHING, computePaycheck } from '@zakat/core/paycheck/compute';
import { convertSalary } from '@zakat/core/paycheck/earnings';
import type { PaycheckResult } from '@zakat/core/paycheck/result';
import type { Tape } from '@zakat/core/working/tape';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import type { Client } from '../clients/entities.js';
import { unemploymentRatesOn } from '../clients/clients.service.js';
import { forStates, ownRowsOn } from '../rules/own-rules.js';
import { Employee } from '../employees/entities.js';
import { factsOnDay, loadFacts, type FactsOnDay } from '../employees/facts.js';
import type { Payroll } from './entities.js';

/** A person of a payroll with everything but what is typed. */
export interface PersonCase {
  readonly employee: Employee;
  readonly facts: FactsOnDay;
  readonly base: Record<string, unknown>;
  /** The firm's own rules on the check date: one list for everybody. */
  readonly own: OwnRows | null;
}

interface YearToDate {
  readonly wages: Record<string, string>;
  readonly taxes: Record<string, string>;
  readonly deductions: Record<string, string>;
  supplementalWages: string;
}
const nothingYet = (): YearToDate => ({ wages: {}, taxes: {}, deductions: {}, supplementalWages: '0.00' });

async function yearToDateOf(
  manager: EntityManager,
  clientId: string,
  year: number,
  exceptPayroll: string,
): Promise<Map<string, YearToDate>> {
  const wages = (await manager.query(
    `SELECT t.employee_id AS id, t.base, max(t.total)::bigint AS subject FROM (
       SELECT pt.employee_id, pt.base, pt.tax, sum(pt.subject) AS total FROM paycheck_tax pt JOIN paycheck p ON p.id = pt.paycheck_id
       WHERE pt.client_id = $1 AND pt.check_date >= $2 AND pt.check_date < $3 AND p.payroll_id <> $4 GROUP BY pt.employee_id, pt.base, pt.tax) t GROUP BY t.employee_id, t.base`,
    [clientId, `${year}-01-01`, `${year + 1}-01-01`, exceptPayroll],
  )) as { id: string; base: string; subject: string }[];
  const supplemental = (await manager.query(
    'SELECT employee_id AS id, sum(supplemental)::bigint AS amount FROM paycheck WHERE client_id = $1 AND check_date >= $2 AND check_date < $3 AND payroll_id <> $4 GROUP BY employee_id',
    [clientId, `${year}-01-01`, `${year + 1}-01-01`, exceptPayroll],
  )) as { id: string; amount: string }[];
  const taxes = (await manager.query(
    `SELECT pt.employee_id AS id, pt.tax, sum(pt.amount)::bigint AS amount FROM paycheck_tax pt JOIN paycheck p ON p.id = pt.paycheck_id
     WHERE pt.client_id = $1 AND pt.check_date >= $2 AND pt.check_date < $3 AND p.payroll_id <> $4 GROUP BY pt.employee_id, pt.tax`,
    [clientId, `${year}-01-01`, `${year + 1}-01-01`, exceptPayroll],
  )) as { id: string; tax: string; amount: string }[];
  const deductions = (await manager.query(
    `SELECT p.employee_id AS id, l.item, sum(l.amount)::bigint AS amount FROM paycheck p,
       jsonb_to_recordset(p.lines -> 'deductions') AS l(item text, amount bigint)
     WHERE p.client_id = $1 AND p.check_date >= $2 AND p.check_date < $3 AND p.payroll_id <> $4 GROUP BY p.employee_id, l.item`,
    [clientId, `${year}-01-01`, `${year + 1}-01-01`, exceptPayroll],
  )) as { id: string; item: string; amount: string }[];
  const found = new Map<string, YearToDate>();
  const of = (id: string): YearToDate => {
    const own = found.get(id) ?? nothingYet();
    found.set(id, own);
    return own;
  };
  for (const row of wages) of(row.id).wages[row.base] = toDollars(rawCents(row.subject));
  for (const row of taxes) of(row.id).taxes[row.tax] = toDollars(rawCents(row.amount));
  for (const row of deductions) of(row.id).deductions[row.item] = toDollars(rawCents(row.amount));
  for (const row of supplemental) of(row.id).supplementalWages = toDollars(rawCents(row.amount));
  return found;
}

const statesOf = (facts: readonly FactsOnDay[]): ReadonlySet<string> =>
  new Set(
    facts.flatMap(({ place }) => (place ? [place.residence, ...place.work].map((at) => String(at['state'])) : [])),
  );

/** The people of a client as cases for a payroll: certificates and places in force on the check date, year to date before it. */
export async function personCases(
  manager: EntityManager,
  client: Client,
  payroll: Pick<Payroll, 'id' | 'periodEnd' | 'checkDate'>,
): Promise<PersonCase[]> {
  const people = await manager.find(Employee, {
    where: { clientId: client.id, kind: 'employee' },
    order: { number: 'ASC' },
  });
  const paid = people.filter((person) => person.hiredOn <= payroll.periodEnd);
  const facts = await loadFacts(
    manager,
    paid.map((person) => person.id),
  );
  const checkDate = parseDate(payroll.checkDate);
  if (!checkDate) throw new Error('a stored check date is not a day');
  const toDate = await yearToDateOf(manager, client.id, yearOf(checkDate), payroll.id);
  const rates = await unemploymentRatesOn(manager, client.id, payroll.checkDate);
  const unemploymentRates = Object.fromEntries(
    Object.entries(rates).map(([state, rate]) => [state, showRate({ n: rate.n * 100, d: rate.d })]),
  );
  const cases = paid.map((employee) => {
    const own = factsOnDay(
      facts.filter((fact) => fact.employeeId === employee.id),
      payroll.checkDate,
    );
    const yearToDate = toDate.get(employee.id) ?? nothingYet();
    const base = {
      id: employee.number,
      checkDate: payroll.checkDate,
      payFrequency: client.payFrequency,
      employee: {
        ...(own.federal ? { federal: own.federal } : {}),
        residence: own.place?.residence ?? { state: '' },
        work: own.place?.work ?? [],
        ...(own.place?.unemploymentState ? { unemploymentState: own.place.unemploymentState } : {}),
        certificates: own.certificates,
        exemptFrom: exemptions(client),
      },
      employer: { unemploymentRates, employees: paid.length },
      settings: { supplementalMethod: 'flat' },
      yearToDate,
    };
    return { employee, facts: own, base };
  });
  const ownRows = forStates(await ownRowsOn(manager, payroll.checkDate), statesOf(cases.map((person) => person.facts)));
  return cases.map((person) => ({ ...person, own: ownRows }));
}

const NO_PAYROLL = '00000000-0000-0000-0000-000000000000';
/** The people of a client as they would be paid on a day, outside any payroll. */
export const peopleOn = (manager: EntityManager, client: Client, day: string): Promise<PersonCase[]> =>
  personCases(manager, client, { id: NO_PAYROLL, periodEnd: day, checkDate: day });

/** A 501(c)(3) employer owes no federal unemployment tax (IRC § 3306(c)(8)); governments neither (§ 3306(c)(7)). */
const exemptions = (client: Client): string[] => (client.kindOfEmployer === 'N' ? [] : ['US-FUTA']);

/** What a person is usually paid: the entry that a new payroll starts with. */
export function usualEntry(person: PersonCase, client: Client, kind: 'regular' | 'extra'): PayrollEntry {
  const pay = person.facts.pay;
  if (kind === 'extra' || !pay)
    return { employeeId: person.employee.id, isPaid: kind === 'regular', earnings: [], deductions: [] };
  const deductions = Array.isArray(pay['deductions']) ? (pay['deductions'] as { item: string; amount: string }[]) : [];
  return {
    employeeId: person.employee.id,
    isPaid: true,
    earnings: [usualEarning(pay, client.payFrequency as PayFrequency)],
    deductions: deductions.map(({ item, amount }) => ({ item, amount })),
  };
}

function usualEarning(
  pay: Record<string, unknown>,
  frequency: PayFrequency,
): { item: string; hours?: string; rate?: string; amount?: string } {
  if (pay['basis'] === 'hourly') {
    const usual =
      pay['hours'] === undefined ? String(Math.floor((40 * 52) / PERIODS_PER_YEAR[frequency])) : String(pay['hours']);
    return { item: 'regular', hours: usual, rate: String(pay['rate']) };
  }
  const amount = parseDollars(String(pay['amount'])) ?? ZERO;
  return { item: 'salary', amount: toDollars(convertSalary(amount, pay['frequency'] as PayFrequency, frequency)) };
}

/** Computes the check of a person and an entry; an unpaid person has none. */
export function computeEntry(person: PersonCase, entry: PayrollEntry, tape?: Tape): PaycheckResult {
  if (!entry.isPaid) return NOTHING;
  const read = readCase(composeCase(person.base, entry, person.own));
  if (!read.input) return { ...NOTHING, problems: read.issues as Issue[] };
  return computePaycheck(read.input, tape);
}
