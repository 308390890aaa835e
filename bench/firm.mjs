import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { buildAll } from '../scripts/build.mjs';
import { clusterFolder, installPostgres, removeCluster, startCluster } from '../scripts/postgres.mjs';
import { ROOT, freePort } from '../scripts/run.mjs';

/** As `npm start` does it. */
const PROCESSES = Math.min(4, availableParallelism());

/**
 * A Zakat of its own with an empty firm, for as long as some work takes: `owner` is a connection to its database, `ask`
 * asks its server as a preparer.
 */
export async function withFirm(today, work) {
  if (!existsSync(join(ROOT, 'apps/server/dist/main.js'))) await buildAll();
  const { cli, stackEnvironment, startStack } = await import('../scripts/stack.mjs');
  await installPostgres();
  const folder = mkdtempSync(join(tmpdir(), 'zakat-bench-'));
  const cluster = clusterFolder(join(folder, 'database'));
  const database = await startCluster(cluster, await freePort());
  let stack = null;
  try {
    const home = join(folder, 'home');
    const ports = { port: await freePort(), agenciesPort: await freePort() };
    const env = stackEnvironment({
      folder: home,
      databaseUrl: database.url,
      ...ports,
      today,
      clock: 'simulated',
      processes: PROCESSES,
    });
    await cli(env, 'prepare', today);
    await cli(env, 'create-firm', join(ROOT, 'demo/firm.json'));
    const owner = new pg.Client(env.DATABASE_URL);
    // What fails is said by itself, not by the connection that the end of the database cuts.
    owner.on('error', () => {});
    await owner.connect();
    stack = await startStack(env, home);
    await work({
      owner,
      ask: await signedIn(`http://127.0.0.1:${ports.port}/api`),
      key: env.ZAKAT_KEY,
      server: stack.server.pid,
    });
    await owner.end();
  } finally {
    await stack?.stop();
    await database.stop();
    removeCluster(cluster);
    rmSync(folder, { recursive: true, force: true });
  }
}

async function signedIn(api) {
  const { users } = JSON.parse(readFileSync(join(ROOT, 'demo/firm.json'), 'utf8'));
  const json = { 'Content-Type': 'application/json' };
  const { email, password } = users.find((user) => user.role === 'preparer');
  const entered = await fetch(`${api}/session`, {
    method: 'POST',
    headers: json,
    body: JSON.stringify({ email, password }),
  });
  const headers = { ...json, cookie: entered.headers.get('set-cookie').split(';')[0] };
  return async (method, path, body) => {
    const answer = await fetch(`${api}${path}`, { method, headers, ...(body ? { body: JSON.stringify(body) } : {}) });
    const text = await answer.text();
    if (!answer.ok) throw new Error(`${path}: ${text.slice(0, 300)}`);
    return answer.headers.get('content-type')?.includes('json') ? JSON.parse(text) : text;
  };
}
