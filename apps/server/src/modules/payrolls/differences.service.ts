import { Inject, Injectable } from '@nestjs/common';
import type {
  AskDifference,
  CheckDifferenceRow,
  CheckDifference,
  EntryEarning,
  PayDifference,
  PayrollEntry,
} from '@zakat/contract/payrolls';
import type { PaycheckResult } from '@zakat/core/computation/result';
import { sentence } from '@zakat/core/issues/issue';
import { ZERO, add, cents, parseDollars, subtract, sum, toDollars, type Cents } from '@zakat/core/money/cents';
import { taxOf, isTaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { dayFrom } from '../../http/day.js';
import { conflict, refuseField } from '../../http/refusal.js';
import { findClient } from '../clients/index.js';
import type { Payroll } from './entities.js';
import { PayrollEntries } from './payroll-entries.service.js';
import { findPayroll } from './payroll-view.js';
import { computeEntry } from './people-cases.js';
import { entryOfRow, postedRows } from './posted-payroll.js';

type Row = Awaited<ReturnType<typeof postedRows>>[number];

/** Posted checks that paid too little: what they should have come to, and the payroll that pays the difference. */
@Injectable()
export class Differences {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(PayrollEntries) private readonly entries: PayrollEntries,
  ) {}

  view(actor: Actor, payrollId: string, asked: AskDifference): Promise<CheckDifference> {
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, payrollId);
      return viewOf(payroll, await rowOf(manager, payroll, asked.paycheckId), asked.earnings);
    });
  }

  /** Begins an off-cycle payroll with the lines that are missing, for this person alone: wages of its own check date. */
  pay(actor: Actor, payrollId: string, asked: PayDifference): Promise<{ id: string }> {
    const checkDate = dayFrom(asked.checkDate, 'checkDate');
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, payrollId);
      if (checkDate < payroll.checkDate)
        throw refuseField(
          'checkDate',
          'The difference would be paid before the check that it belongs to.',
          'Use a check date from today on: the difference is wages of the day it is paid.',
        );
      const row = await rowOf(manager, payroll, asked.paycheckId);
      const { lines, problems, isOverpaid } = viewOf(payroll, row, asked.earnings);
      if (problems.length > 0) throw refuseField('earnings', problems.join(' '), 'Correct the line.');
      if (isOverpaid)
        throw refuseField(
          'earnings',
          'A line is less than was paid.',
          'Void the check and pay it again with the right amounts, less what the employee kept.',
        );
      if (lines.length === 0) throw refuseField('earnings', 'This is what was paid.', 'Type what it should have been.');
      const entry: PayrollEntry = { employeeId: row.employee_id, isPaid: true, earnings: lines, deductions: [] };
      const { periodStart, periodEnd } = payroll;
      return this.entries.begin(
        manager,
        actor,
        await findClient(manager, payroll.clientId),
        { periodStart, periodEnd, checkDate, kind: 'extra', schedule: '' },
        new Map([[row.employee_id, entry]]),
        { differenceOf: payrollId },
      );
    });
  }
}

async function rowOf(manager: EntityManager, payroll: Payroll, paycheckId: string): Promise<Row> {
  if (payroll.status !== 'posted' || !['regular', 'extra'].includes(payroll.kind))
    throw conflict('Only a check that was posted and paid here has a difference.');
  const row = (await postedRows(manager, payroll.id)).find(({ id }) => id === paycheckId);
  if (!row || row.base === null)
    throw refuseField('paycheckId', 'This check is not of this payroll.', 'Choose one from the payroll.');
  if (row.voided_by !== null) throw conflict('This check is void: pay the person again instead.');
  return row;
}

function viewOf(payroll: Payroll, row: Row, earnings: readonly EntryEarning[]): CheckDifference {
  const typed = entryOfRow(row);
  const person = { base: row.base ?? {}, own: row.own };
  const asPosted = computeEntry(person, typed);
  const should = computeEntry(person, { ...typed, earnings: [...earnings] });
  const problems = should.problems.filter(({ severity }) => severity === 'error').map(sentence);
  const changes = changesOf(asPosted, should);
  return {
    name: row.person?.name ?? row.name,
    checkDate: payroll.checkDate,
    typed: typed.earnings,
    rows: problems.length > 0 ? [] : rowsOf(row, should),
    lines: problems.length > 0 ? [] : missingLines(typed.earnings, earnings, changes),
    isOverpaid: problems.length === 0 && [...changes.values()].some((change) => change < 0),
    problems,
  };
}

const byItem = (lines: readonly { readonly item: string; readonly amount: Cents }[]): Map<string, Cents> => {
  const totals = new Map<string, Cents>();
  for (const { item, amount } of lines) totals.set(item, add(totals.get(item) ?? ZERO, amount));
  return totals;
};

/** By how much the pay of each item differs, in cents; what does not differ is left out. */
function changesOf(posted: PaycheckResult, should: PaycheckResult): Map<string, Cents> {
  const [was, is] = [byItem(posted.earnings), byItem(should.earnings)];
  const changes = [...new Set([...was.keys(), ...is.keys()])].map(
    (item) => [item, subtract(is.get(item) ?? ZERO, was.get(item) ?? ZERO)] as const,
  );
  return new Map(changes.filter(([, change]) => change !== 0));
}

/** The lines that pay the difference: hours at the rate where only hours were added, the amount otherwise. */
function missingLines(
  was: readonly EntryEarning[],
  is: readonly EntryEarning[],
  changes: ReadonlyMap<string, Cents>,
): EntryEarning[] {
  if ([...changes.values()].some((change) => change < 0)) return [];
  return [...changes].map(([item, change]): EntryEarning => {
    const own = (lines: readonly EntryEarning[]): EntryEarning[] => lines.filter((line) => line.item === item);
    const [before, after] = [own(was), own(is)];
    const rates = new Set([...before, ...after].map(({ rate = '' }) => rate));
    const hours = subtract(hundredths(after), hundredths(before));
    const isByHours = [...before, ...after].every(
      ({ hours: some = '', amount }) => parseDollars(some) !== null && amount === undefined,
    );
    const [rate = ''] = rates;
    if (!isByHours || rates.size !== 1 || hours <= 0) return { item, amount: toDollars(change) };
    return { item, hours: toDollars(hours), ...(rate === '' ? {} : { rate }) };
  });
}
/** Hours to the hundredth, as a whole number. */
const hundredths = (lines: readonly EntryEarning[]): Cents =>
  sum(lines.map(({ hours = '' }) => parseDollars(hours) ?? ZERO));

function rowsOf(row: Row, should: PaycheckResult): CheckDifferenceRow[] {
  const { lines } = row;
  const labelled = (
    kind: CheckDifferenceRow['kind'],
    was: readonly { readonly label: string; readonly amount: number }[],
    is: readonly { readonly label: string; readonly amount: number }[],
  ): CheckDifferenceRow[] => {
    const total = (all: typeof was, label: string): Cents =>
      sum(all.filter((line) => line.label === label).map(({ amount }) => cents(amount)));
    return [...new Set([...was, ...is].map(({ label }) => label))]
      .map((label) => ({ label, kind, posted: total(was, label), should: total(is, label) }))
      .filter(({ posted, should: right }) => posted !== 0 || right !== 0);
  };
  const taxes = (payer: string, all: readonly { readonly code: string; readonly amount: number }[]) =>
    all.flatMap(({ code, amount }) => {
      const tax = isTaxCode(code) ? taxOf(code) : null;
      return tax?.payer === payer ? [{ label: tax.label, amount }] : [];
    });
  return [
    ...labelled('pay', lines?.earnings ?? [], should.earnings),
    { label: 'Gross pay', kind: 'pay', posted: rawCents(row.gross ?? 0), should: should.gross },
    ...labelled('withheld', taxes('employee', lines?.taxes ?? []), taxes('employee', should.taxes)),
    ...labelled(
      'deduction',
      [...(lines?.deductions ?? []), ...(lines?.garnishments ?? [])],
      [...should.deductions, ...should.garnishments],
    ),
    { label: 'Net pay', kind: 'pay', posted: rawCents(row.net ?? 0), should: should.net },
    ...labelled('employer', taxes('employer', lines?.taxes ?? []), taxes('employer', should.taxes)),
  ];
}
