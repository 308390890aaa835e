import { ToDate } from '@zakat/core/casefile/year/to-date';
import { composeCase } from '@zakat/core/casefile/compose';
import { readCase } from '@zakat/core/casefile/read-case';
import { toDollars } from '@zakat/core/money/cents';
import { computePaycheck } from '@zakat/core/paycheck/compute';
import { balanceColumns } from '@zakat/core/take-over/columns';

/** The year so far of a client that was paid by another program until it came here, as that program's register has it. */

const DAYS_BETWEEN = { weekly: 7, biweekly: 14 };
const back = (day, days) => new Date(Date.parse(`${day}T00:00:00Z`) - days * 86_400_000).toISOString().slice(0, 10);
const quarterOf = (day) => Math.ceil(Number(day.slice(5, 7)) / 3);

/** Check dates of the year before a day that is one, oldest first. */
function checkDates(before, frequency) {
  const year = before.slice(0, 4);
  if (frequency === 'monthly')
    return Array.from({ length: Number(before.slice(5, 7)) - 1 }, (_, month) =>
      back(`${year}-${String(month + 2).padStart(2, '0')}-01`, 1),
    );
  const between = DAYS_BETWEEN[frequency];
  const days = [];
  for (let day = back(before, between); day.startsWith(year); day = back(day, between)) days.unshift(day);
  return days;
}

/** Usual pay with a little more or less of it from one check to the next, so that no two people have the same year. */
const asWorked = (earnings, person, check) =>
  earnings.map((line) =>
    line.hours === undefined || line.hours === ''
      ? line
      : { ...line, hours: String(Number(line.hours) - ((person * 3 + check * 5) % 4)) },
  );

/** Cents by the name of their column. */
function addTo(row, result) {
  const add = (name, amount) => void (row[name] = (row[name] ?? 0) + amount);
  add('gross', result.gross);
  add('net', result.net);
  for (const { code, ...parts } of result.taxes)
    for (const part of ['subject', 'wages', 'amount']) add(`${part}:${code}`, parts[part]);
  for (const { item, name, amount } of result.deductions) add(`deduction:${name ?? item}`, amount);
  for (const { amount, fee } of result.garnishments) add('otherDeductions', amount + fee);
}

/** One row a person and quarter that is over, and one a check after that. */
function rowsOf(person, at, dates, { own, open, rows }) {
  const toDate = new ToDate();
  dates.forEach((checkDate, check) => {
    const typed = { earnings: asWorked(person.earnings, at, check), deductions: person.deductions };
    const read = readCase({ ...composeCase(person.base, typed, own), checkDate, ...toDate.before(checkDate) });
    if (!read.input) throw new Error(`${person.name}: ${JSON.stringify(read.issues)}`);
    const result = computePaycheck(read.input);
    toDate.add(result, checkDate);
    const when = quarterOf(checkDate) === open ? checkDate : `Q${quarterOf(checkDate)}`;
    const key = `${person.number} ${when}`;
    if (!rows.has(key)) rows.set(key, { number: person.number, when, amounts: {} });
    addTo(rows.get(key).amounts, result);
  });
}

/**
 * A file of balances from what `payroll`, a draft of the next one, would pay each of its people: by quarter, and by check
 * date in the quarter that is open. `before` is the first check date that it does not have, `hiredOn` the hire dates by
 * number, of those who did not work all year.
 */
export function yearSoFar(payroll, { before, hiredOn }) {
  const dates = checkDates(before, payroll.payFrequency);
  const open = quarterOf(before);
  const rows = new Map();
  payroll.persons.forEach((person, at) => {
    const worked = dates.filter((day) => day > (hiredOn.get(person.number) ?? ''));
    if (person.isPaid) rowsOf(person, at, worked, { own: payroll.own, open, rows });
  });
  const all = [...rows.values()];
  const names = new Set(all.flatMap(({ amounts }) => Object.keys(amounts)));
  const codes = [...names].filter((name) => name.startsWith('wages:')).map((name) => name.slice('wages:'.length));
  const items = [...names]
    .filter((name) => name.startsWith('deduction:'))
    .map((name) => name.slice('deduction:'.length));
  const scope = { taxes: codes.sort(), items: items.map((code) => ({ code, label: code, item: code })) };
  const columns = balanceColumns(scope).filter(({ name }) => names.has(name));
  const last = all.filter(({ when }) => when === dates.at(-1));
  /** What the last check date came to, by tax. */
  const lastTaxes = new Map(
    codes.map((code) => [code, last.reduce((total, { amounts }) => total + (amounts[`amount:${code}`] ?? 0), 0)]),
  );
  const file = [
    ['Number', 'Quarter', 'Check date', ...columns.map(({ label }) => label)],
    ...all.map(({ number, when, amounts }) => [
      number,
      when.startsWith('Q') ? when : '',
      when.startsWith('Q') ? '' : when,
      ...columns.map(({ name }) => toDollars(amounts[name] ?? 0)),
    ]),
  ]
    .map((cells) => cells.map((cell) => `"${cell}"`).join(','))
    .join('\n');
  return { file, lastTaxes };
}
