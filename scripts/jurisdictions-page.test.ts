import { expect, it } from '@jest/globals';
import { existsSync, readFileSync } from 'node:fs';
import { ALL_STATES } from '@zakat/core/jurisdictions/states';
import { TAXES } from '@zakat/core/tax-registry/registry';
// A plain script, so that npm run docs needs no compiler.
// oxlint-disable-next-line typescript/ban-ts-comment
// @ts-ignore
import { jurisdictionsPage } from './jurisdictions-page.mjs';

it('docs/jurisdictions.md is what the rules say (npm run docs)', () => {
  const vectors = (state: string): string[] => {
    const path = `packages/core/vectors/us-${state.toLowerCase()}.jsonl`;
    return existsSync(path) ? readFileSync(path, 'utf8').trim().split('\n') : [];
  };
  const page = (jurisdictionsPage as (...given: unknown[]) => string)(ALL_STATES, TAXES, vectors);
  expect(readFileSync('docs/jurisdictions.md', 'utf8')).toBe(page);
});
