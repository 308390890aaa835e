import { readFileSync } from 'node:fs';
import { buildCore, installPackages } from './build.mjs';
import { Stop, fail } from './say.mjs';

const USE = `Use: npm run -s rules -- export [PREFIX]       what is loaded, as a rule pack (docs/rule-packs.md)
     npm run -s rules -- carry YEAR [PREFIX]   last year's values for a year that is not published
     npm run -s rules -- places FILE.csv       a rule pack of localities from a CSV file
     npm run -s rules -- check FILE            what a pack changes, or what is wrong with it`;

function readText(path) {
  try {
    return readFileSync(path, 'utf8');
  } catch (error) {
    throw new Stop(`${path} cannot be read: ${error.message}`);
  }
}
function readPackFile(path) {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch (error) {
    throw new Stop(`${path} cannot be read: ${error.message}`);
  }
}

async function main() {
  const [verb, first, second] = process.argv.slice(2);
  const isCarry = verb === 'carry' && /^\d{4}$/.test(first ?? '');
  const isOfFile = (verb === 'check' || verb === 'places') && first !== undefined;
  if (verb !== 'export' && !isCarry && !isOfFile) throw new Stop(USE);
  await installPackages();
  await buildCore();
  const { PACK_FORMAT, exportPack, carryForward, readPack } = await import('../packages/core/dist/rules/pack.js');
  if (verb === 'places') {
    const { parse } = await import('csv-parse/sync');
    const places = parse(readText(first), { columns: true, trim: true, bom: true, skip_empty_lines: true });
    process.stdout.write(`${JSON.stringify({ format: PACK_FORMAT, name: first, rows: [], places }, null, 1)}\n`);
    return;
  }
  if (verb !== 'check') {
    const pack = isCarry ? carryForward(Number(first), second) : exportPack('What is loaded', first);
    process.stdout.write(`${JSON.stringify(pack, null, 1)}\n`);
    return;
  }
  const { changesOf } = await import('../packages/core/dist/rules/compare.js');
  const { tryRules } = await import('../packages/core/dist/casefile/try-rules.js');
  const { sentence, fix } = await import('../packages/core/dist/issues/issue.js');
  const { rules, places, issues } = readPack(readPackFile(first));
  const all = [...issues, ...tryRules(rules)];
  for (const issue of all) process.stderr.write(`${issue.field}: ${sentence(issue)} ${fix(issue)}\n`);
  const changes = changesOf(rules);
  for (const { parameter, path, before, after, from, until } of changes)
    process.stdout.write(
      `${parameter}${path === '' ? '' : ` ${path}`}: ${before} -> ${after}, from ${from}${until === null ? '' : ` until ${until}`}\n`,
    );
  process.stdout.write(
    `${rules.length} rows and ${places.length} rows of localities can be read, ${changes.length === 0 ? 'and none changes a value' : `and ${changes.length} of their values are others than before`}\n`,
  );
  if (all.length > 0) process.exitCode = 1;
}
main().catch(fail);
