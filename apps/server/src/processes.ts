import cluster, { type Worker } from 'node:cluster';

/** A process that dies sooner than this after its start will not do better when it is started again. Milliseconds. */
const TOO_SOON = 5000;

/**
 * Several processes serve one port, so that one request does not hold up the others. `onListening` is told once when all
 * of them serve. One that dies is started again; when one cannot even start, all end, and whoever watches this process
 * is told by its exit code. When this process itself is killed, they end by themselves.
 */
export function serveWith(count: number, onListening: () => void): void {
  let isEnding = false;
  const serving = new Set<number>();
  const end = (code: number): void => {
    if (isEnding) return;
    isEnding = true;
    process.exitCode = code;
    for (const worker of Object.values(cluster.workers ?? {})) worker?.kill('SIGTERM');
  };
  const start = (): void => {
    const from = Date.now();
    const worker: Worker = cluster.fork();
    worker.once('listening', () => {
      serving.add(worker.id);
      if (serving.size === count) onListening();
    });
    worker.once('exit', () => {
      if (isEnding) return;
      if (Date.now() - from < TOO_SOON) end(1);
      else start();
    });
  };
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => end(0));
  for (let index = 0; index < count; index += 1) start();
}
