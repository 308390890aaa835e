import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildCore, installPackages } from './build.mjs';
import { jurisdictionsPage } from './jurisdictions-page.mjs';
import { ROOT } from './run.mjs';
import { fail } from './say.mjs';

/** Writes docs/jurisdictions.md from the rules themselves; a test keeps it current. */
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
}
main().catch(fail);
