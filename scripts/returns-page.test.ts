import { expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { ruleWords } from '@zakat/core/deposits/due-rules';
import { FILING_KINDS } from '@zakat/core/filings/registry';
import { sourceOf } from '@zakat/core/jurisdictions/sources/register';
import { ALL_STATES } from '@zakat/core/jurisdictions/states';
// A plain script, so that npm run docs needs no compiler.
// oxlint-disable-next-line typescript/ban-ts-comment
// @ts-ignore
import { returnsPage } from './returns-page.mjs';

it('docs/returns.md is what the data says (npm run docs)', () => {
  const page = (returnsPage as (...given: unknown[]) => string)(FILING_KINDS, ALL_STATES, { ruleWords, sourceOf });
  expect(readFileSync('docs/returns.md', 'utf8')).toBe(page);
});
