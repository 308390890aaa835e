const begun = Date.now();
const seconds = (from) => ((Date.now() - from) / 1000).toFixed(1);

/** A failure with a sentence for people; no stack trace is shown for it. */
export class Stop extends Error {}

/** Runs a step and says what it is and how long it took. */
export async function step(label, work) {
  const from = Date.now();
  process.stdout.write(`  ${label} ... `);
  const answer = await work();
  process.stdout.write(`${answer === 'nothing to do' ? 'nothing to do' : `${seconds(from)} s`}\n`);
  return answer;
}
export const elapsed = () => seconds(begun);

/** Ends with a clear sentence whatever went wrong. */
export function fail(error) {
  process.stderr.write(error instanceof Stop ? `\n${error.message}\n` : `\nUnexpected: ${error?.stack ?? error}\n`);
  process.exit(1);
}
