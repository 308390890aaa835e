import { problem, warning } from '../../issues/issue.js';
import type { StateCode } from '../../jurisdictions/state.js';
import type { DetailColumn, StateReturn } from '../../jurisdictions/state-return.js';
import { ALL_STATES } from '../../jurisdictions/states.js';
import { dueBy } from '../../deposits/due-rules.js';
import { familyOf } from '../../deposits/family.js';
import { LEGAL, type HolidayCalendar } from '../../calendar/holidays.js';
import { cents, negate, showDollars, sum, toDollars, type Cents } from '../../money/cents.js';
import { agencyName, taxOf, type TaxCode, type TaxGroup } from '../../tax-registry/registry.js';
import { OF_EVERY_FILING, periodOver, runChecks, type Check } from '../checks.js';
import { defineKind, type AskedAmount, type FilingKind, type FilingTable } from '../kind.js';
import { stateFormName } from '../names.js';
import { periodKey } from '../period.js';
import { lineOf } from '../return-lines.js';
import { codesOf, stateReturn, type DetailRow, type StateContent } from './compute.js';
import { stateFile } from './file.js';

const FAMILIES: Readonly<Record<StateReturn['file'], string>> = {
  '275': 'the quarterly records of 275 positions',
  '512': 'the records of 512 positions derived from the wage statement',
  delimited: 'a line for each person, with commas between',
  lines: 'a line for each line of the return, with commas between',
};
const HEADS: Readonly<Record<DetailColumn, { label: string; value: (row: DetailRow) => string | number }>> = {
  wages: { label: 'Wages', value: (row) => row.wages },
  excess: { label: 'Excess', value: (row) => row.excess },
  taxable: { label: 'Taxable', value: (row) => row.taxable },
  'income-wages': { label: 'Income tax wages', value: (row) => row.incomeWages },
  'income-tax': { label: 'Income tax', value: (row) => row.incomeTax },
  weeks: { label: 'Weeks', value: (row) => String(row.weeks) },
  hours: { label: 'Hours', value: (row) => toDollars(cents(row.hours)) },
};
const COUNTS: readonly DetailColumn[] = ['weeks', 'hours'];

function tablesOf(spec: StateReturn, { detail, places }: StateContent): FilingTable[] {
  const tables: FilingTable[] = [];
  if (spec.detail)
    tables.push({
      code: 'detail',
      title: 'Wages by employee',
      columns: [
        { name: 'employee', label: 'Employee', kind: 'text' },
        ...spec.detail.map((column) => ({
          name: column,
          label: HEADS[column].label,
          kind: COUNTS.includes(column) ? ('text' as const) : ('amount' as const),
        })),
      ],
      rows: detail.map((row) => [
        `${row.person.lastName}, ${row.person.firstName}`,
        ...(spec.detail ?? []).map((column) => HEADS[column].value(row)),
      ]),
    });
  if (spec.byPlace)
    tables.push({
      code: 'places',
      title: 'By place',
      columns: [
        { name: 'place', label: 'Place', kind: 'text' },
        { name: 'people', label: 'People', kind: 'text' },
        { name: 'wages', label: 'Taxable wages', kind: 'amount' },
        { name: 'tax', label: 'Tax', kind: 'amount' },
      ],
      rows: places.map((row) => [row.place, String(row.people), row.wages, row.tax]),
    });
  return tables;
}

/** A kind of filing from the data of a state's return. */
export function stateKind(state: StateCode, spec: StateReturn): FilingKind {
  const taxes = codesOf(state, spec, spec.taxes);
  const groups: TaxGroup[] = [...new Set(taxes.map((tax) => taxOf(tax).group))];
  const agency = { code: spec.agency, name: agencyName(spec.agency) };
  const holidays = holidaysOf(state, taxes[0] ?? `${state}-SUI`);
  const asks = spec.lines.flatMap(({ id, label, amount }): AskedAmount[] =>
    amount.is === 'entered' ? [{ name: amount.name, line: id, label, help: amount.help }] : [],
  );
  const account: Check<StateContent> = (content) =>
    content.account === '' ? [problem('check.no-account', `account ${spec.agency}`, { agency: agency.name })] : [];
  const numbers: Check<StateContent> = ({ detail }) =>
    detail
      .filter(({ person }) => person.ssn === '')
      .map(({ person }) =>
        warning('check.no-ssn', `employee.${person.employeeId}.ssn`, {
          who: `${person.firstName} ${person.lastName}`,
        }),
      );
  const layout: Check<StateContent> = () => [
    warning('check.layout-not-verified', 'file', { family: FAMILIES[spec.file], agency: agency.name }),
  ];
  const found: Check<StateContent> = ({ issues }) => [...issues];
  const checks = [...OF_EVERY_FILING, periodOver, account, numbers, found, layout];
  const byRate = groups.filter((group) =>
    spec.lines.some(({ amount }) => amount.is === 'by-rate' && taxOf(`${state}-${amount.tax}`).group === group),
  );
  return defineKind<StateContent>({
    code: spec.code,
    jurisdiction: state,
    name: stateFormName(state, spec.form),
    noun: 'return',
    agency,
    receiver: 'states',
    edition: spec.edition,
    period: spec.period,
    files: ({ frequencies = {} }) => whoFiles(spec, agency.name, frequencies[spec.agency] ?? null),
    owedFor: groups,
    due: ({ end }) => {
      const { due, rule } = dueBy(spec.due, end, holidays);
      return { due, rule: `${spec.form}: ${rule}.` };
    },
    needs: { wageDetail: true },
    asks,
    compute: (input) => stateReturn(state, spec, input),
    lines: ({ lines }) => lines,
    tables: (content) => tablesOf(spec, content),
    check: (content, facts) => runChecks(checks, content, facts),
    amount: ({ lines }) => lineOf(lines, spec.total),
    figures: ({ lines, detail }) => [
      ...(spec.detail ? [{ label: 'Employees', value: String(detail.length) }] : []),
      { label: `Total${atLine(spec.total)}`, value: showDollars(lineOf(lines, spec.total)) },
      { label: `Balance due${atLine(spec.balance)}`, value: showDollars(lineOf(lines, spec.balance)) },
    ],
    fileName: (period, ein) =>
      `${spec.code}-${periodKey(period)}-${ein}.${spec.file === '275' || spec.file === '512' ? 'txt' : 'csv'}`,
    mediaType: spec.file === '275' || spec.file === '512' ? 'text/plain' : 'text/csv',
    makeFile: (content, sending) => stateFile(state, spec, content, sending),
    signedBy: null,
    adds: ({ besides }) => besides,
    tieOut: {
      station: 'returns',
      groups,
      amounts: ({ amounts }) => new Map(groups.map((group) => [group, (amounts[group] ?? 0) as Cents])),
      adjustments: ({ besides }) => negate(sum(besides.map(({ amount }) => amount))),
      adjustmentWords: byRate.length === 0 ? '' : 'wages times the rate, rounded once, until the return is accepted',
      adjusted: byRate,
    },
    snapshotVersion: 1,
    store: (content, mark) => ({
      ...content,
      detail: content.detail.map((row) => ({ ...row, person: { ...row.person, ssn: mark(row.person.ssn) } })),
    }),
    read: (stored) => stored as StateContent,
    fieldOf: (theirs, { detail }) => {
      if (/account/i.test(theirs)) return `account ${spec.agency}`;
      if (/EIN/.test(theirs)) return 'client.ein';
      const ssn = /\d{9}/.exec(theirs)?.[0];
      const person = detail.find((row) => row.person.ssn === ssn)?.person;
      return person ? `employee.${person.employeeId}.ssn` : null;
    },
    amendedBy: `an amended ${spec.form}`,
    paymentLines: paymentLines(spec),
  });
}

/** Where a return follows the deposit frequency, each frequency has its own; the others file the usual one. */
function whoFiles(
  { title, form, period, follows = {}, frequency }: StateReturn,
  agency: string,
  recorded: string | null,
): { readonly is: boolean; readonly why: string } {
  const said = recorded === null ? `no deposit frequency is recorded with the ${agency}` : `it deposits ${recorded}`;
  if (frequency !== undefined)
    return recorded === frequency
      ? { is: true, why: `It deposits ${recorded} with the ${agency}, and files ${form} by the ${period}.` }
      : { is: false, why: `It is filed by who deposits ${frequency}; ${said}.` };
  if (recorded !== null && recorded in follows)
    return { is: false, why: `It deposits ${recorded} with the ${agency}, and files for other periods.` };
  return { is: true, why: `It owes ${title.toLowerCase()} there.` };
}

/** `, line 9`, where the form numbers it. */
const atLine = (id: string): string => (/^(?:\d|[A-Z]$)/.test(id) ? `, line ${id}` : '');

/** Lines of payments, and those that are worked out from them. */
function paymentLines({ lines }: StateReturn): ReadonlySet<string> {
  const found = new Set<string>();
  // Lines are worked out from those above them.
  for (const { id, amount } of lines) {
    const from = amount.is === 'sum' ? amount.of : amount.is === 'less' ? [amount.from, ...amount.of] : [];
    if (amount.is === 'paid' || from.some((name) => found.has(name))) found.add(id);
  }
  return found;
}

/** The business days of the agency that takes the taxes of a return. */
function holidaysOf(state: StateCode, tax: TaxCode): HolidayCalendar {
  const known = ALL_STATES.find(({ code }) => code === state)?.deposits ?? [];
  const family = familyOf(tax).code;
  const calendar = known.find((one) => one.family === family) ?? known[0];
  return calendar?.rules.at(-1)?.value.holidays ?? LEGAL;
}

/** Every return of every state and its places. */
export const STATE_KINDS: readonly FilingKind[] = ALL_STATES.flatMap(({ code, returns }) =>
  returns.map((spec) => stateKind(code, spec)),
);
