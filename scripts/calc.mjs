import { createReadStream } from 'node:fs';
import { createInterface } from 'node:readline';
import { buildCore, installPackages } from './build.mjs';
import { Stop, fail } from './say.mjs';

/** Case file in, one result a line out. Ends with 1 when a case has an error or an unexpected figure. */
async function main() {
  const args = process.argv.slice(2);
  const withWorking = args.includes('--working');
  const [path, ...others] = args.filter((arg) => arg !== '--working');
  if (path === undefined || others.length > 0) throw new Stop('Use: npm run -s calc -- FILE|- [--working]');
  await installPackages();
  await buildCore();
  const { runLine } = await import('../packages/core/dist/casefile/run-case.js');
  const input = path === '-' ? process.stdin : createReadStream(path);
  input.on('error', (error) => fail(new Stop(`${path} cannot be read: ${error.code ?? error.message}`)));
  for await (const line of createInterface({ input, crlfDelay: Infinity })) {
    if (line.trim() === '') continue;
    const answer = runLine(line, withWorking);
    if (answer.problems.some((problem) => problem.severity === 'error') || answer.unexpected) process.exitCode = 1;
    process.stdout.write(`${JSON.stringify(answer)}\n`);
  }
}
main().catch(fail);
