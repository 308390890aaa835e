import { describe, expect, it } from '@jest/globals';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { runCase } from './run-case.js';

const FOLDER = join(process.cwd(), 'packages/core/vectors');

interface Vector {
  readonly id: string;
  readonly expect: Record<string, string>;
  readonly source: { readonly publication: string; readonly kind: string };
}

// Every line is a case with its expected figures and the publication they come from. The figures were worked out apart
// from this code, in decimal arithmetic on the brackets of the revenue procedures, not from the tables in jurisdictions/.
for (const file of readdirSync(FOLDER).filter((name) => name.endsWith('.jsonl'))) {
  describe(`vectors ${file}`, () => {
    const lines = readFileSync(join(FOLDER, file), 'utf8').trim().split('\n');
    it.each(lines.map((line) => [(JSON.parse(line) as Vector).id, line]))('%s', (_, line) => {
      const vector = JSON.parse(line) as Vector;
      const answer = runCase(vector, false);
      expect(answer.problems.filter((problem) => problem.severity === 'error')).toEqual([]);
      expect(answer.unexpected ?? []).toEqual([]);
      expect(Object.keys(vector.expect).length).toBeGreaterThan(0);
      expect(['published', 'common-practice', 'recalled']).toContain(vector.source.kind);
    });
  });
}
