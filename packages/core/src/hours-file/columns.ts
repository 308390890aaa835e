import { EARNING_ITEMS, findItem } from '../items/registry.js';

/** A column of a file of hours: who it is, what kind of time, how much. An item's own column is `hours:CODE` or `dollars:CODE`. */
export interface HoursColumn {
  readonly name: string;
  readonly label: string;
}
/** An earning that hours or dollars may be for: a standard item or one of the client's own. */
export interface HoursItem {
  readonly code: string;
  readonly label: string;
  /** The standard item it is treated as. */
  readonly like: string;
}

const normal = (text: string): string => text.toLowerCase().replace(/[^a-z0-9#]+/g, '');

const WHO: readonly (readonly [column: string, label: string, headings: readonly string[]])[] = [
  [
    'number',
    'Employee number',
    [
      'employeenumber',
      'employee#',
      'emp#',
      'empno',
      'empid',
      'employeeid',
      'employeeno',
      'badge',
      'badge#',
      'clock#',
      'id',
      'number',
      'no',
      '#',
    ],
  ],
  ['name', 'Name', ['name', 'employee', 'employeename', 'fullname', 'worker', 'person']],
  ['first', 'First name', ['firstname', 'first', 'givenname']],
  ['last', 'Last name', ['lastname', 'last', 'surname', 'familyname']],
  [
    'code',
    'Pay code',
    ['paycode', 'code', 'earningcode', 'earningscode', 'hourstype', 'paytype', 'type', 'earning', 'category'],
  ],
  ['hours', 'Hours of the pay code', ['hours', 'hrs', 'totalhours', 'quantity', 'units', 'time', 'duration']],
  ['amount', 'Dollars of the pay code', ['amount', 'dollars', 'pay']],
];
/** Words by which standard items are known, beside their codes and labels. */
const ITEM_WORDS: Readonly<Record<string, readonly string[]>> = {
  regular: ['reg', 'st', 'straighttime', 'worked'],
  overtime: ['ot', 'overtime15', 'ot15', 'timeandahalf'],
  'double-time': ['dt', 'doubletime', 'ot2', 'ot20'],
  holiday: ['hol', 'holidaypay'],
  vacation: ['vac'],
  sick: ['sck', 'sickleave'],
  pto: ['paidtimeoff'],
  commission: ['comm', 'commissions'],
  'tips-reported': ['tips', 'cashtips'],
  reimbursement: ['reimb', 'expenses'],
};
/** Items whose cells are dollars where a heading does not say hours. */
const DOLLARS: ReadonlySet<string> = new Set([
  'bonus',
  'commission',
  'tips-reported',
  'tips-paid',
  'reimbursement',
  'mileage',
  'salary',
]);

const wordsOf = ({ code, label, like }: HoursItem): string[] =>
  [code, label, ...(code === like ? (ITEM_WORDS[code] ?? []) : [])].map(normal);

/** The client's own earnings, then every standard one that pay is typed for. */
export const hoursItems = (own: readonly HoursItem[]): HoursItem[] => [
  ...own.filter(({ like }) => findItem(like)?.list === 'earning'),
  ...EARNING_ITEMS.filter(
    ({ isNoncash, isTips, code }) => (!isNoncash || isTips) && !own.some((item) => item.code === code),
  ).map(({ code, label }) => ({ code, label, like: code })),
];

export const columnsOf = (items: readonly HoursItem[]): HoursColumn[] => [
  ...WHO.map(([name, label]) => ({ name, label })),
  ...items.map(({ code, label }) => ({ name: `hours:${code}`, label: `${label}, hours` })),
  ...items.map(({ code, label }) => ({ name: `dollars:${code}`, label: `${label}, dollars` })),
];

/** The item that a word means: a pay code of a clock, or what is left of a heading. */
export function itemNamed(word: string, items: readonly HoursItem[]): HoursItem | null {
  const wanted = normal(word);
  if (wanted === '') return null;
  const bare = wanted.replace(/(hours|hrs|time|pay|amount|dollars)$/, '');
  return (
    items.find((item) => wordsOf(item).includes(wanted)) ??
    items.find((item) => bare !== '' && wordsOf(item).some((own) => own === bare)) ??
    null
  );
}

/** What each heading is taken for; blank where it is not known. A column is taken once. */
export function proposeColumns(headings: readonly string[], items: readonly HoursItem[]): string[] {
  const taken = new Set<string>();
  return headings.map((heading) => {
    const wanted = normal(heading);
    const who = WHO.find(([, , known]) => known.includes(wanted))?.[0];
    const item = who === undefined ? itemNamed(heading, items) : null;
    const isHours = /(hours|hrs|hr)$/.test(wanted);
    const isDollars = !isHours && (/(pay|amount|dollars)$/.test(wanted) || (item !== null && DOLLARS.has(item.like)));
    const column = who ?? (item === null ? '' : `${isDollars ? 'dollars' : 'hours'}:${item.code}`);
    if (column === '' || taken.has(column)) return '';
    taken.add(column);
    return column;
  });
}

/** The row of the headings, counted from 1: of the first ten the one with the most that are known. */
export function hoursHeadingRow(table: readonly (readonly string[])[], items: readonly HoursItem[]): number {
  const known = table.slice(0, 10).map((row) => proposeColumns(row, items).filter((column) => column !== '').length);
  const most = Math.max(0, ...known);
  return most < 2 ? 1 : known.indexOf(most) + 1;
}
