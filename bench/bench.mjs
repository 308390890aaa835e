import { HyperFormula } from 'hyperformula';
import { performance } from 'node:perf_hooks';
import { composeCase } from '../packages/core/dist/casefile/compose.js';
import { readCase } from '../packages/core/dist/casefile/read-case.js';
import { computePaycheck } from '../packages/core/dist/paycheck/compute.js';
import { Tape } from '../packages/core/dist/working/tape.js';

/**
 * Speed of the core, one process and one core, against the same register as formulas in a spreadsheet engine. Median of
 * five rounds each; every round computes; nothing is kept between checks but by the line of the worker, which says so.
 */
const person = () => ({
  id: 'bench',
  checkDate: '2026-06-12',
  payFrequency: 'biweekly',
  employee: {
    federal: { form: '2020', filingStatus: 'single' },
    residence: { state: 'NY', locality: 'New York City' },
    work: [{ state: 'NY', locality: 'New York City' }],
    certificates: { NY: { filingStatus: 'single', allowances: 1 } },
  },
  employer: { unemploymentRates: { NY: '4.1' }, quarterlyPayroll: '400000.00' },
  yearToDate: { wages: { 'US-OASDI': '30000.00', 'US-HI': '30000.00' } },
});
const lines = (rate) => ({
  earnings: [
    { item: 'regular', hours: '80', rate },
    { item: 'overtime', hours: '5', rate },
  ],
  deductions: [
    { item: '401k', amount: '100.00' },
    { item: 'section-125-health', amount: '62.00' },
  ],
});
const example = (rate) => ({ ...person(), ...lines(rate) });
const ROUNDS = 5;

/** `rounds` is larger where a round is short: what is not compiled yet would be measured otherwise. */
function median(count, work, rounds = ROUNDS) {
  work(Math.ceil(count / 5));
  const times = Array.from({ length: rounds }, () => {
    const from = performance.now();
    work(count);
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return times[Math.floor(rounds / 2)];
}
const say = (label, figure, unit) => process.stdout.write(`${label.padEnd(66)} ${figure.padStart(12)} ${unit}\n`);
const perSecond = (label, count, milliseconds) =>
  say(label, Math.round((count / milliseconds) * 1000).toLocaleString('en-US'), 'a second');

/** Inputs of different people, so that no round can live off the one before. */
const people = (count) =>
  Array.from(
    { length: count },
    (_, index) => readCase(example(`${20 + (index % 50)}.${String(index % 100).padStart(2, '0')}`)).input,
  );
const compute = (inputs, withTape) => (count) => {
  let total = 0;
  for (let index = 0; index < count; index += 1)
    total += computePaycheck(inputs[index % inputs.length], withTape ? new Tape() : undefined).net;
  if (!Number.isSafeInteger(total)) throw new Error('a net is not a whole number of cents');
};
/** The working is noted with every check, and written out in words as it is read: here one figure, or all of them. */
const read = (inputs, figure) => (count) => {
  let lines = 0;
  for (let index = 0; index < count; index += 1) {
    const tape = new Tape();
    computePaycheck(inputs[index % inputs.length], tape);
    lines += figure ? tape.linesOf(figure).length : Object.values(tape.figures()).flat().length;
  }
  if (lines < count) throw new Error('a check without its working');
};

/** What the browser's worker does: it keeps what a check starts from, and reads the lines that are typed. */
function typeAll() {
  const sheet = Array.from({ length: 1000 }, person);
  let turn = 0;
  return (count) => {
    turn += 1;
    for (let index = 0; index < count; index += 1) {
      const typed = lines(`${20 + ((index + turn) % 50)}.00`);
      computePaycheck(readCase(composeCase(sheet[index % sheet.length], typed)).input);
    }
  };
}

/** A bare loop of whole numbers: what this machine can do, to compare runs on different machines by. */
function yardstick(count) {
  let value = 1;
  for (let index = 0; index < count; index += 1) value = (value * 31 + index) % 1_000_003;
  if (value < 0) throw new Error('unreachable');
}

const TAXED = [
  [0, 0, 0],
  [7500, 0, 0.1],
  [19900, 1240, 0.12],
  [57900, 5800, 0.22],
  [113200, 17966, 0.24],
  [209275, 41024, 0.32],
  [263725, 58448, 0.35],
  [648100, 192979.25, 0.37],
];
/** The register as an accountant keeps it: hours, rate, gross, OASDI with its base, HI, federal tax by lookups, net. */
function spreadsheet(rows) {
  const register = Array.from({ length: rows }, (_, index) => {
    const row = index + 1;
    return [
      80,
      20 + (index % 50),
      `=ROUND(A${row}*B${row},2)`,
      `=ROUND(MIN(C${row},MAX(0,184500-30000))*0.062,2)`,
      `=ROUND(C${row}*0.0145,2)`,
      `=MAX(0,C${row}*26-8600)`,
      `=ROUND((VLOOKUP(F${row},Table!$A$1:$C$8,2)+(F${row}-VLOOKUP(F${row},Table!$A$1:$C$8,1))*VLOOKUP(F${row},Table!$A$1:$C$8,3))/26,2)`,
      `=C${row}-D${row}-E${row}-G${row}`,
    ];
  });
  return HyperFormula.buildFromSheets({ Table: TAXED, Register: register }, { licenseKey: 'gpl-v3' });
}
function spreadsheetRound(engine, rows) {
  const sheet = engine.getSheetId('Register');
  const hours = 79 + (spreadsheetRound.turn = ((spreadsheetRound.turn ?? 0) + 1) % 3);
  engine.setCellContents(
    { sheet, row: 0, col: 0 },
    Array.from({ length: rows }, () => [hours]),
  );
}

function main() {
  process.stdout.write(
    `Node ${process.versions.node}. A check here: federal, New York, New York City, both payers, two pre-tax deductions, 14 taxes.\n`,
  );
  const inputs = people(1000);
  perSecond('bare loop of whole numbers (yardstick)', 10_000_000, median(10_000_000, yardstick));
  perSecond('paychecks, without working', 100_000, median(100_000, compute(inputs, false)));
  perSecond('paychecks, with working noted', 20_000, median(20_000, compute(inputs, true)));
  perSecond('paychecks, with working, one figure read', 20_000, median(20_000, read(inputs, 'US-FIT')));
  perSecond('paychecks, with working, every line read', 20_000, median(20_000, read(inputs, null)));
  const texts = Array.from({ length: 1000 }, (_, index) => JSON.stringify(example(`${20 + (index % 50)}.00`)));
  const readAll = (count) => {
    for (let index = 0; index < count; index += 1)
      computePaycheck(readCase(JSON.parse(texts[index % texts.length])).input);
  };
  perSecond('cases read from JSON and computed', 20_000, median(20_000, readAll));
  say('1,000 people computed again', median(1000, compute(inputs, false), 30).toFixed(1), 'ms');
  say(
    '1,000 people of a sheet typed and computed again, as in the worker',
    median(1000, typeAll(), 30).toFixed(1),
    'ms',
  );
  for (const size of [100, 10_000]) {
    const many = people(size);
    const count = 20_000;
    say(
      `one check among ${size.toLocaleString('en-US')} people`,
      ((median(count, compute(many, false)) / count) * 1000).toFixed(2),
      'µs',
    );
  }
  const rows = 2000;
  const engine = spreadsheet(rows);
  const turn = median(rows, () => spreadsheetRound(engine, rows));
  perSecond('the same as formulas, three taxes only (spreadsheet engine)', rows, turn);
}
main();
