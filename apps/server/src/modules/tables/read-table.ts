import { problem } from '@zakat/core/issues/issue';
import { Worker } from 'node:worker_threads';
import { refuse } from '../../http/refusal.js';

/** The worker runs as it was compiled, also where this module runs from its source. */
const WORKER = new URL('./table-worker.js', import.meta.url.replace('/apps/server/src/', '/apps/server/dist/'));
const MOST_SECONDS = 20;
const MOST_BYTES = 8_000_000;
/** Megabytes of a worker's own memory. */
const MEMORY = { maxOldGenerationSizeMb: 384, maxYoungGenerationSizeMb: 64 };
/** Files are read one after the other: two at a time would take two cores from everybody else. */
let queue: Promise<unknown> = Promise.resolve();

type Answer = { readonly table: string[][] } | { readonly refused: string };

const unreadable = (what: string) => refuse([problem('file.unreadable', 'file', { what })]);

/**
 * The cells of a file as text, from its bytes: CSV or the first sheet of an XLSX workbook. It is read in a worker of its own
 * with limits on bytes, cells, time and memory; whatever is beyond them is refused in a sentence.
 */
export async function readTable(content: Buffer): Promise<string[][]> {
  if (content.length > MOST_BYTES) throw unreadable(`a file of at most ${MOST_BYTES / 1_000_000} MB`);
  const turn = queue.then(() => readApart(content));
  queue = turn.catch(() => undefined);
  const answer = await turn;
  if ('refused' in answer) throw unreadable(answer.refused);
  return answer.table;
}

function readApart(content: Buffer): Promise<Answer> {
  return new Promise((resolve) => {
    const worker = new Worker(WORKER, { workerData: content, resourceLimits: MEMORY, execArgv: [] });
    const end = (answer: Answer): void => {
      clearTimeout(timer);
      resolve(answer);
      void worker.terminate();
    };
    const timer = setTimeout(
      () => end({ refused: `a file that can be read in ${MOST_SECONDS} seconds` }),
      MOST_SECONDS * 1000,
    );
    worker.once('message', (answer: Answer) => end(answer));
    // Out of memory, most of all.
    worker.once('error', () => end({ refused: 'a file of a few thousand rows' }));
    worker.once('exit', () => end({ refused: 'CSV or an XLSX workbook' }));
  });
}
