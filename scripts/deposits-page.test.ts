import { expect, it } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { DEPOSIT_FAMILIES } from '@zakat/core/deposits/family';
import { ruleWords } from '@zakat/core/deposits/due-rules';
import { lateWords } from '@zakat/core/penalties/late-estimate';
import { sourceOf } from '@zakat/core/jurisdictions/sources/register';
import { ALL_STATES } from '@zakat/core/jurisdictions/states';
import { showDollars } from '@zakat/core/money/cents';
// A plain script, so that npm run docs needs no compiler.
// oxlint-disable-next-line typescript/ban-ts-comment
// @ts-ignore
import { depositsPage } from './deposits-page.mjs';

it('docs/deposits.md is what the rules say (npm run docs)', () => {
  const page = (depositsPage as (...given: unknown[]) => string)(DEPOSIT_FAMILIES, ALL_STATES, {
    ruleWords,
    lateWords,
    sourceOf,
    showDollars,
  });
  expect(readFileSync('docs/deposits.md', 'utf8')).toBe(page);
});
