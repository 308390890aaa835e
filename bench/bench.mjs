import { performance } from 'node:perf_hooks';
import { readCase } from '../packages/core/dist/casefile/read-case.js';
import { computePaycheck } from '../packages/core/dist/paycheck/compute.js';
import { Tape } from '../packages/core/dist/working/tape.js';

/** Speed of the core, one process: paychecks a second with and without the working. Median of five rounds. */
const example = {
  id: 'bench',
  checkDate: '2026-06-12',
  payFrequency: 'biweekly',
  employee: {
    federal: { form: '2020', filingStatus: 'single' },
    residence: { state: 'NY' },
    work: [{ state: 'NY' }],
    certificates: { NY: { filingStatus: 'single', allowances: 1 } },
  },
  employer: { unemploymentRates: { NY: '4.1' } },
  earnings: [
    { item: 'regular', hours: '80', rate: '31.40' },
    { item: 'overtime', hours: '5', rate: '31.40' },
  ],
  deductions: [
    { item: '401k', amount: '100.00' },
    { item: 'section-125-health', amount: '62.00' },
  ],
  yearToDate: { wages: { 'US-OASDI': '30000.00', 'US-HI': '30000.00' } },
};
const ROUNDS = 5;

function median(count, work) {
  work(Math.ceil(count / 10));
  const times = Array.from({ length: ROUNDS }, () => {
    const from = performance.now();
    work(count);
    return performance.now() - from;
  }).sort((a, b) => a - b);
  return times[Math.floor(ROUNDS / 2)];
}

const { input } = readCase(example);
const report = (label, count, milliseconds) =>
  process.stdout.write(
    `${label.padEnd(44)} ${Math.round((count / milliseconds) * 1000)
      .toLocaleString('en-US')
      .padStart(10)} a second\n`,
  );
const compute = (tape) => (count) => {
  let total = 0;
  for (let index = 0; index < count; index += 1) total += computePaycheck(input, tape ? new Tape() : undefined).net;
  if (!Number.isSafeInteger(total)) throw new Error('a net is not a whole number of cents');
};
process.stdout.write(`Node ${process.versions.node}, federal, New York and both payers, two pre-tax deductions\n`);
report('paychecks, without working', 100_000, median(100_000, compute(false)));
report('paychecks, with working', 20_000, median(20_000, compute(true)));
report(
  'cases read from JSON and computed',
  50_000,
  median(50_000, (count) => {
    for (let index = 0; index < count; index += 1) computePaycheck(readCase(example).input);
  }),
);
