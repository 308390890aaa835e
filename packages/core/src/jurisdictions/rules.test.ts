import { describe, expect, it } from '@jest/globals';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { date } from '../calendar/local-date.js';
import { dollars } from '../money/cents.js';
import { exact, minus, plus, round, times } from '../money/exact.js';
import { bracketFor, bracketTax } from '../taxes/bracket-tax.js';
import { TAXES } from '../tax-registry/registry.js';
import type { Bracket } from './brackets.js';
import { inForce, spanFaults, type Dated } from './dated.js';
import { sourceOf } from './sources/register.js';
import { STATES } from './states.js';
import { ADDITIONAL_HI, FUTA, HI_RATE, OASDI_BASE, OASDI_RATE, SUPPLEMENTAL, WITHHOLDING } from './us/parameters.js';

const PARAMETERS: readonly (readonly [name: string, rows: readonly Dated<unknown>[]])[] = [
  ['US withholding', WITHHOLDING],
  ['OASDI base', OASDI_BASE],
  ['OASDI rate', OASDI_RATE],
  ['HI rate', HI_RATE],
  ['additional HI', ADDITIONAL_HI],
  ['FUTA', FUTA],
  ['supplemental', SUPPLEMENTAL],
  ...Object.values(STATES).flatMap((state) => [
    [`${state.name} unemployment base`, state.unemployment.base] as const,
    ...(state.incomeTax.kind === 'worksheet'
      ? [
          [`${state.name} tables`, state.incomeTax.worksheets] as const,
          [`${state.name} supplemental`, state.incomeTax.supplemental] as const,
        ]
      : []),
    ...(state.programs ?? []).map((program) => [`${state.code}-${program.code}`, program.terms] as const),
    ...(state.local?.places ?? []).flatMap((place) =>
      place.taxes.map(
        (tax) => [`${state.code}-${place.code}-${tax.code}`, tax.terms.rows as readonly Dated<unknown>[]] as const,
      ),
    ),
  ]),
];

describe('every parameter', () => {
  it.each(PARAMETERS)('%s has no hole and no overlap, covers 2025 and 2026, and cites a source', (_, rows) => {
    expect(spanFaults(rows)).toEqual([]);
    for (const day of ['2025-01-01', '2025-12-31', '2026-01-01', '2026-12-31'])
      expect(inForce(rows, date(day))).not.toBeNull();
    for (const row of rows) {
      expect(sourceOf(row.source).edition).not.toBe('');
      expect(row.place).not.toBe('');
    }
  });
  it('ends where nothing is published yet: no rule, rather than last year’s', () =>
    expect(PARAMETERS.every(([, rows]) => inForce(rows, date('2027-01-01')) === null)).toBe(true));
});

describe('every percentage table', () => {
  const tables: [string, readonly Bracket[]][] = [
    ...WITHHOLDING.flatMap((row) =>
      Object.entries({ ...row.value.standard }).map(([status, table]): [string, readonly Bracket[]] => [
        `${row.from} ${status}`,
        table,
      ]),
    ),
    ...WITHHOLDING.flatMap((row) =>
      Object.entries({ ...row.value.stepTwoChecked }).map(([status, table]): [string, readonly Bracket[]] => [
        `${row.from} ${status}, step 2`,
        table,
      ]),
    ),
  ];
  it.each(tables)('%s: each base is the tax at the row’s threshold, rates rise', (_, table) => {
    table.forEach((row, index) => {
      const before = table[index - 1];
      if (!before) return;
      const tax = plus(exact(before.base), times(minus(exact(row.over), exact(before.over)), before.rate));
      // Thresholds of the step 2 tables are halves rounded to the dollar, so their bases may be off by the tax on a dollar.
      expect(Math.abs(round(tax, 'half-up') - row.base)).toBeLessThanOrEqual(37);
      expect(row.rate.n * before.rate.d).toBeGreaterThan(before.rate.n * row.rate.d);
    });
  });
  it('a threshold itself is still in the row below it, with the same tax either way', () => {
    const table = WITHHOLDING[2].value.standard.single;
    const at = exact(dollars('19900'));
    expect(bracketFor(table, at).over).toBe(dollars('19900'));
    expect(round(bracketTax(bracketFor(table, at), at), 'half-up')).toBe(dollars('1240'));
  });
});

describe('thresholds against the revenue procedures', () => {
  // Rev. Proc. 2024-40 and 2025-32: brackets and standard deductions, typed again here from the procedures' numbers
  // (recalled). Threshold = bracket + standard deduction − line 1g of Worksheet 1A.
  it.each([
    [0, 'single', 14600, 8600, [0, 11600, 47150, 100525, 191950, 243725, 609350]],
    [0, 'married-jointly', 29200, 12900, [0, 23200, 94300, 201050, 383900, 487450, 731200]],
    [1, 'single', 15000, 8600, [0, 11925, 48475, 103350, 197300, 250525, 626350]],
    [1, 'married-jointly', 30000, 12900, [0, 23850, 96950, 206700, 394600, 501050, 751600]],
    [2, 'single', 16100, 8600, [0, 12400, 50400, 105700, 201775, 256225, 640600]],
    [2, 'married-jointly', 32200, 12900, [0, 24800, 100800, 211400, 403550, 512450, 768700]],
    [2, 'head-of-household', 24150, 8600, [0, 17700, 67450, 105700, 201750, 256200, 640600]],
  ] as const)('year %s, %s', (year, status, standard, lineOneG, brackets) => {
    const table = WITHHOLDING[year].value.standard[status];
    expect(table.slice(1).map((row) => row.over / 100)).toEqual(
      brackets.map((bracket) => bracket + standard - lineOneG),
    );
  });
});

describe('the folders', () => {
  it('a jurisdiction’s data exports no function', () => {
    const folder = join(process.cwd(), 'packages/core/src/jurisdictions');
    for (const name of readdirSync(folder).filter((entry) => entry.startsWith('us'))) {
      for (const file of readdirSync(join(folder, name)))
        expect(readFileSync(join(folder, name, file), 'utf8')).not.toMatch(
          /export (async )?function|export const \w+ = \(/,
        );
    }
  });
  it('every state has its taxes in the registry', () => {
    for (const state of Object.values(STATES)) {
      expect(TAXES.map((tax) => tax.code)).toContain(`${state.code}-SUI`);
      if (state.incomeTax.kind !== 'none') expect(TAXES.map((tax) => tax.code)).toContain(`${state.code}-SIT`);
    }
  });
});
