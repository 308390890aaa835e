import { createReadStream, readFileSync } from 'node:fs';
import { createInterface } from 'node:readline';
import { buildCore, installPackages } from './build.mjs';
import { Stop, fail } from './say.mjs';

const USE = 'Use: npm run -s calc -- FILE|- [--working] [--rules PACK]';

/** Case file in, one result a line out. Ends with 1 when a case has an error or an unexpected figure. */
async function main() {
  const given = process.argv.slice(2);
  const withWorking = given.includes('--working');
  const at = given.indexOf('--rules');
  const packFile = at < 0 ? undefined : given[at + 1];
  const rest = given.filter(
    (argument, index) => argument !== '--working' && (at < 0 || (index !== at && index !== at + 1)),
  );
  const [path, ...others] = rest;
  if (path === undefined || others.length > 0 || (at >= 0 && packFile === undefined)) throw new Stop(USE);
  await installPackages();
  await buildCore();
  const { runLine } = await import('../packages/core/dist/casefile/run-line.js');
  const pack = packFile === undefined ? null : await packOf(packFile);
  const input = path === '-' ? process.stdin : createReadStream(path);
  input.on('error', (error) => fail(new Stop(`${path} cannot be read: ${error.code ?? error.message}`)));
  for await (const line of createInterface({ input, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    const answer = runLine(pack ? withRules(line, pack) : line, withWorking);
    if (answer.problems.some((problem) => problem.severity === 'error') || answer.unexpected) process.exitCode = 1;
    process.stdout.write(`${JSON.stringify(answer)}\n`);
  }
}

/** A rule pack in which nothing is wrong. */
async function packOf(packFile) {
  const { readPack } = await import('../packages/core/dist/rules/pack.js');
  const { sentence } = await import('../packages/core/dist/issues/issue.js');
  const pack = readJson(packFile);
  const { issues } = readPack(pack);
  if (issues.length > 0) throw new Stop(issues.map((issue) => `${issue.field}: ${sentence(issue)}`).join('\n'));
  return pack;
}
function readJson(path) {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch (error) {
    throw new Stop(`${path} cannot be read: ${error.message}`);
  }
}
/** A case with the pack's rows in front of its own; a line that is no case is left for the core to answer. */
function withRules(line, pack) {
  try {
    const value = JSON.parse(line);
    return JSON.stringify({
      ...value,
      rules: [...pack.rows, ...(value.rules ?? [])],
      places: [...(pack.places ?? []), ...(value.places ?? [])],
    });
  } catch {
    return line;
  }
}
main().catch(fail);
