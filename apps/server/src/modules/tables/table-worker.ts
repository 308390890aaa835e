import { parentPort, workerData } from 'node:worker_threads';
import { TooLarge, readBytes } from './read-bytes.js';

/** Reads one file apart from the server: what it takes of memory or time is its own, and it can be ended. */
try {
  parentPort?.postMessage({ table: await readBytes(Buffer.from(workerData as Uint8Array)) });
} catch (error) {
  parentPort?.postMessage({ refused: error instanceof TooLarge ? error.message : 'CSV or an XLSX workbook' });
}
