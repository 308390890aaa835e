import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildCore, installPackages } from './build.mjs';
import { depositsPage } from './deposits-page.mjs';
import { jurisdictionsPage } from './jurisdictions-page.mjs';
import { returnsPage } from './returns-page.mjs';
import { ROOT } from './run.mjs';
import { fail } from './say.mjs';

/** Writes docs/jurisdictions.md, docs/deposits.md and docs/returns.md from the rules themselves; tests keep them current. */
async function main() {
  await installPackages();
  await buildCore();
  const { ALL_STATES } = await import('../packages/core/dist/jurisdictions/states.js');
  const { TAXES } = await import('../packages/core/dist/tax-registry/registry.js');
  const vectors = (state) => {
    try {
      return readFileSync(join(ROOT, `packages/core/vectors/us-${state.toLowerCase()}.jsonl`), 'utf8')
        .trim()
        .split('\n');
    } catch {
      return [];
    }
  };
  writeFileSync(join(ROOT, 'docs/jurisdictions.md'), jurisdictionsPage(ALL_STATES, TAXES, vectors));
  const { DEPOSIT_FAMILIES } = await import('../packages/core/dist/deposits/family.js');
  const { ruleWords } = await import('../packages/core/dist/deposits/due-rules.js');
  const { sourceOf } = await import('../packages/core/dist/jurisdictions/sources/register.js');
  const { showDollars } = await import('../packages/core/dist/money/cents.js');
  const { lateWords } = await import('../packages/core/dist/penalties/late-estimate.js');
  const tools = { ruleWords, lateWords, sourceOf, showDollars };
  writeFileSync(join(ROOT, 'docs/deposits.md'), depositsPage(DEPOSIT_FAMILIES, ALL_STATES, tools));
  const { FILING_KINDS } = await import('../packages/core/dist/filings/registry.js');
  writeFileSync(join(ROOT, 'docs/returns.md'), returnsPage(FILING_KINDS, ALL_STATES, tools));
}
main().catch(fail);
