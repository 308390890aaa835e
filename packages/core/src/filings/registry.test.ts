import { describe, expect, it } from '@jest/globals';
import { findFamily } from '../deposits/family.js';
import { TAXES } from '../tax-registry/registry.js';
import { EMPLOYER, periodNamed } from '../testing/filings.js';
import { FORM_NAMES } from './names.js';
import { parsePeriod, periodKey, periodLabel, periodsOfYear } from './period.js';
import { FILING_KINDS, correctionFor, filesKind, findKind, kindOf } from './registry.js';

const GROUPS = new Set(TAXES.map((tax) => tax.group));
const YEAR = { month: '2026-03', quarter: '2026-Q1', year: '2026' } as const;

describe('every kind of filing', () => {
  it('is named, once', () => {
    expect(new Set(FILING_KINDS.map(({ code }) => code)).size).toBe(FILING_KINDS.length);
    const originals = FILING_KINDS.filter(({ corrects }) => corrects === undefined);
    expect(originals.map(({ code }) => code).sort()).toEqual(Object.keys(FORM_NAMES).sort());
    expect(originals.map(({ code, name }) => [code, name])).toEqual(
      originals.map(({ code }) => [code, FORM_NAMES[code]]),
    );
  });
  it('is corrected by at most one, which asks for what was accepted', () => {
    const corrections = FILING_KINDS.filter(({ corrects }) => corrects !== undefined);
    expect(new Set(corrections.map(({ corrects }) => corrects)).size).toBe(corrections.length);
    for (const kind of corrections) {
      expect(findKind(kind.corrects ?? '')?.corrects).toBeUndefined();
      expect([kind.needs.original, kind.corrected === undefined, kind.owedFor]).toEqual([true, false, []]);
      expect(kind.files(EMPLOYER).is).toBe(false);
    }
    // Every return that is prepared here is corrected here.
    expect(
      FILING_KINDS.filter((kind) => kind.corrects === undefined && correctionFor(kind.code) === null).map(
        ({ code }) => code,
      ),
    ).toEqual([]);
  });
  it.each(FILING_KINDS.map((kind) => [kind.code, kind] as const))('%s is whole', (code, kind) => {
    const period = periodNamed(YEAR[kind.period]);
    expect(findKind(code)).toBe(kind);
    expect(kind.due(period).due > period.end).toBe(true);
    expect(kind.laterWhenDeposited === undefined || kind.laterWhenDeposited(period) > kind.due(period).due).toBe(true);
    expect(kind.files(EMPLOYER).why).not.toBe('');
    for (const group of [...kind.owedFor, ...kind.tieOut.groups]) expect(GROUPS).toContain(group);
    if (kind.pays) expect(findFamily(kind.pays.family)).not.toBeNull();
    // What the tie-out explains by an adjustment is among what it compares, and has words.
    for (const group of kind.tieOut.adjusted) expect(kind.tieOut.groups).toContain(group);
    expect(kind.tieOut.adjusted.length === 0).toBe(kind.tieOut.adjustmentWords === '');
    expect(kind.fileName(period, '471234561')).toMatch(/471234561(-amended)?\.(xml|txt|csv)$/);
  });
  it('that is not known is an error, never another', () => {
    expect(findKind('us-999')).toBeNull();
    expect(() => kindOf('us-999')).toThrow(RangeError);
  });
  it('what somebody says about it stands before what follows from the client', () => {
    const kind = kindOf('us-940');
    const exempt = { ...EMPLOYER, isWithoutUnemployment: true };
    expect(filesKind(kind, exempt).is).toBe(false);
    const said = [{ kind: 'us-940', files: true, reason: 'The exemption was revoked.' }];
    expect(filesKind(kind, exempt, said)).toEqual({ is: true, why: 'The exemption was revoked.' });
  });
});

describe('periods', () => {
  it.each(['2026', '2026-Q1', '2026-Q4', '2026-03', '2026-12'])('%s is read as it is written', (key) => {
    const period = parsePeriod(key);
    expect(period && periodKey(period)).toBe(key);
  });
  it.each(['', '26', '2026-Q5', '2026-Q0', '2026-13', '2026-1', '2026-Q1-', '1026'])('%s is none', (key) =>
    expect(parsePeriod(key)).toBeNull(),
  );
  it('fill a year without holes', () => {
    for (const kind of ['month', 'quarter', 'year'] as const) {
      const periods = periodsOfYear(kind, 2026);
      expect([periods[0]?.start, periods.at(-1)?.end]).toEqual(['2026-01-01', '2026-12-31']);
    }
    expect(periodLabel(periodNamed('2026-Q3'))).toBe('Q3 2026');
  });
});
