import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { buildAll, installPackages } from './build.mjs';
import { clusterFolder, installPostgres, removeCluster, startCluster, stopLeftover } from './postgres.mjs';
import { ROOT, isTaken } from './run.mjs';
import { Stop, elapsed, fail, step } from './say.mjs';

const HOME = join(ROOT, '.zakat');
const PORT = Number(process.env.PORT ?? '4300');
const AGENCIES_PORT = Number(process.env.AGENCIES_PORT ?? '4400');
const DATABASE_PORT = Number(process.env.DATABASE_PORT ?? '4500');
/** One for each core, up to a few: beside them works the database. */
const PROCESSES = Number(process.env.ZAKAT_PROCESSES ?? Math.min(4, availableParallelism()));
const FIRST_DAY = '2025-12-29';
const WANTED_CLUSTER = join(HOME, 'database');
const RUNNING = join(HOME, 'running');
/** There while the demo is being loaded: a start that was broken off is begun again. */
const LOADING = join(HOME, 'demo-loading');

const address = `http://localhost:${PORT}`;
const isOurs = () =>
  fetch(`http://127.0.0.1:${PORT}/api/session`, { signal: AbortSignal.timeout(2000) }).then(
    (answer) => answer.headers.get('content-type')?.includes('problem+json') ?? false,
    () => false,
  );

/** What an earlier run that was killed left behind: only processes of this very checkout. */
async function stopLeftovers(children) {
  for (const child of children) {
    const path = `/proc/${child}/cmdline`;
    if (!isAlive(child) || !existsSync(path) || !readFileSync(path, 'utf8').includes(join(ROOT, 'apps'))) continue;
    process.kill(child, 'SIGTERM');
    for (let tries = 0; tries < 100 && isAlive(child); tries += 1) await new Promise((done) => setTimeout(done, 100));
  }
}

/** The note of a run: its process and those it started. */
function readNote() {
  try {
    return JSON.parse(readFileSync(RUNNING, 'utf8'));
  } catch {
    return { pid: 0, children: [] };
  }
}

function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

async function main() {
  const isFresh = process.argv.includes('--fresh');
  const unknown = process.argv.slice(2).filter((arg) => arg !== '--fresh');
  if (unknown.length > 0) throw new Stop(`Unknown: ${unknown.join(' ')}. Use: npm start [-- --fresh]`);
  if (Number(process.versions.node.split('.')[0]) < 20)
    throw new Stop(`Node.js 20 or later is needed; this is ${process.versions.node}.`);
  const ownDatabase = !process.env.DATABASE_URL;
  const { pid, children } = readNote();
  if (pid > 0 && isAlive(pid) && (await isOurs())) {
    if (isFresh) throw new Stop(`Zakat is running (process ${pid}). Stop it with Ctrl-C first, then start over.`);
    process.stdout.write(`Zakat is running already: ${address}\n`);
    return;
  }
  if (pid > 0 && !isAlive(pid)) {
    await stopLeftovers(children);
    if (ownDatabase) await stopLeftover(clusterFolder(WANTED_CLUSTER));
  }
  for (const [port, what, name] of [
    [PORT, 'the application', 'PORT'],
    [AGENCIES_PORT, 'the stand-ins', 'AGENCIES_PORT'],
    ...(ownDatabase ? [[DATABASE_PORT, 'the database', 'DATABASE_PORT']] : []),
  ]) {
    if (await isTaken(port))
      throw new Stop(
        `Port ${port} for ${what} is taken by another program. Stop it, or choose another port:  ${name}=${port + 1} npm start`,
      );
  }
  try {
    mkdirSync(HOME, { recursive: true });
    writeFileSync(RUNNING, JSON.stringify({ pid: process.pid, children: [] }));
  } catch (error) {
    throw new Stop(`${HOME} cannot be written (${error.code}). Is the disk full, or the folder not yours?`);
  }
  process.stdout.write('Starting Zakat\n');
  await step('packages', installPackages);
  await step('build', buildAll);
  const { cli, keepAlive, loadDemo, stackEnvironment, startStack } = await import('./stack.mjs');
  // Where the database may live depends on the account that the package makes.
  if (ownDatabase) await step('PostgreSQL', installPostgres);
  const cluster = ownDatabase ? clusterFolder(WANTED_CLUSTER) : null;
  const isHalfLoaded = ownDatabase && existsSync(LOADING);
  if (isHalfLoaded) process.stdout.write('  The demo was only half loaded last time; it is loaded anew.\n');
  if (isFresh || isHalfLoaded) {
    if (cluster) removeCluster(cluster);
    for (const name of ['agencies', 'key', 'clock-token', 'logs', 'demo-loading'])
      rmSync(join(HOME, name), { recursive: true, force: true });
  }
  let database = null;
  let stack = null;
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    process.stdout.write('\nStopping ... ');
    await stack?.stop();
    await database?.stop();
    rmSync(RUNNING, { force: true });
    process.stdout.write('stopped.\n');
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => void stop().then(() => process.exit(0)));
  try {
    if (cluster) database = await step('database', () => startCluster(cluster, DATABASE_PORT));
    const databaseUrl = process.env.DATABASE_URL ?? database.url;
    const env = stackEnvironment({
      folder: HOME,
      databaseUrl,
      port: PORT,
      agenciesPort: AGENCIES_PORT,
      today: FIRST_DAY,
      clock: 'simulated',
      processes: PROCESSES,
    });
    let isEmpty = false;
    await step('tables', async () => {
      isEmpty = (await cli(env, 'prepare', FIRST_DAY)).trim() === 'empty';
    });
    if (isEmpty) rmSync(env.AGENCIES_FOLDER, { recursive: true, force: true });
    stack = await step('stand-ins and application', () => startStack(env, HOME));
    const note = () =>
      writeFileSync(RUNNING, JSON.stringify({ pid: process.pid, children: [stack.server.pid, stack.agencies.pid] }));
    note();
    for (const name of ['server', 'agencies']) {
      keepAlive(stack, name, env, HOME, {
        isStopping: () => stopping,
        onRestart: (part, why) => {
          note();
          process.stderr.write(`The ${part} stopped by itself (${why}) and was started again; nothing is lost.\n`);
        },
        onGone: (part, why) => {
          process.stderr.write(
            `\nThe ${part} stopped by itself (${why}) and does not come back; see ${join(HOME, 'logs')}.\n`,
          );
          void stop().then(() => process.exit(1));
        },
      });
    }
    if (isEmpty) {
      writeFileSync(LOADING, '');
      await step('demo', () => loadDemo(env));
      rmSync(LOADING, { force: true });
    }
    const { users } = JSON.parse(readFileSync(join(ROOT, 'demo/firm.json'), 'utf8'));
    process.stdout.write(`\nZakat is ready after ${elapsed()} s:  ${address}\n`);
    process.stdout.write(
      `The outside world (agencies, bank, date):  http://localhost:${AGENCIES_PORT}/console\n\nSign in as\n`,
    );
    for (const user of users)
      process.stdout.write(`  ${user.role.padEnd(14)} ${user.email.padEnd(32)} ${user.password}\n`);
    for (const contact of JSON.parse(readFileSync(join(ROOT, 'demo/contacts.json'), 'utf8')))
      process.stdout.write(
        `  ${(contact.employee ? 'employee' : 'client contact').padEnd(14)} ${contact.email.padEnd(32)} ${contact.password}\n`,
      );
    process.stdout.write('\nCtrl-C stops everything.\n');
  } catch (error) {
    await stop();
    throw error;
  }
}
main().catch((error) => {
  fail(error);
});
