import { spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, readFileSync, rmSync, statfsSync } from 'node:fs';
import { setPriority, tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildAll, installPackages } from './build.mjs';
import { clusterFolder, installDebian, installPostgres, removeCluster, startCluster } from './postgres.mjs';
import { ROOT, bin, freePort, run } from './run.mjs';
import { elapsed, fail, step } from './say.mjs';
import { gatherSuites } from './test-groups.mjs';

/** All tests from nothing, on free ports, in folders of their own, leaving no process. The last line counts them. */
const counts = { passed: 0, failed: 0 };
const WHAT = process.argv.slice(2);
const wants = (part) => WHAT.length === 0 || WHAT.includes(part);

const MEMORY = '/dev/shm';
const ROOM_IN_BYTES = 6 * 2 ** 30;
/** A folder for everything that a run writes: in memory where there is room, since files on a disk take ten times as long. */
function folderOfRun() {
  const hasRoom = () => {
    const { bavail, bsize } = statfsSync(MEMORY);
    return bavail * bsize > ROOM_IN_BYTES;
  };
  const folder = mkdtempSync(join(existsSync(MEMORY) && hasRoom() ? MEMORY : tmpdir(), 'zakat-test-'));
  // The database's own account passes through to its folder.
  chmodSync(folder, 0o711);
  return folder;
}

/** What gives way to the browser tests, which are the longest row of steps; what they leave over is enough for the rest. */
const GIVES_WAY = 5;

/** Runs a program with its output on the screen; answers with its exit code. */
const show = (command, args, { priority = 0, ...options }) =>
  new Promise((done) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'inherit', 'inherit'], ...options });
    if (priority > 0 && child.pid !== undefined) setPriority(child.pid, priority);
    child.on('error', () => done(1));
    child.on('close', (code) => done(code ?? 1));
  });

/** A check that is one test: it passes or it does not. Several may be under way, so each says its line when it ends. */
async function verdict(label, work) {
  const from = Date.now();
  try {
    await work();
    counts.passed += 1;
    process.stdout.write(`  ${label} ... ${((Date.now() - from) / 1000).toFixed(1)} s\n`);
  } catch (error) {
    counts.failed += 1;
    process.stdout.write(`  ${label} ... FAILED\n${error.message}\n`);
  }
}

/** Of every project at once: the linter needs the types anyway, and tells what the compiler would. */
const typesAndLint = () => verdict('types and lint', () => run(bin('oxlint'), ['--type-aware', '--type-check', '.']));

/** One more than cores: the suites of the server wait for the database more than they compute, and share one server of it. */
const WORKERS = 3;
async function unitRun(databaseUrl, folder) {
  const report = join(folder, 'suites.json');
  const env = {
    ...process.env,
    NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
    TMPDIR: folder,
    ZAKAT_TEST_DATABASE_URL: databaseUrl,
    ZAKAT_TEST_GROUPS: 'yes',
  };
  const code = await show(
    process.execPath,
    [
      join(ROOT, 'node_modules/jest/bin/jest.js'),
      `--maxWorkers=${WORKERS}`,
      '--json',
      `--outputFile=${report}`,
      '--silent',
    ],
    { env, priority: GIVES_WAY },
  );
  if (!existsSync(report)) {
    counts.failed += 1;
    return;
  }
  const result = JSON.parse(readFileSync(report, 'utf8'));
  counts.passed += result.numPassedTests;
  counts.failed += result.numFailedTests + result.numRuntimeErrorTestSuites;
  if (code !== 0 && result.numFailedTests + result.numRuntimeErrorTestSuites === 0) counts.failed += 1;
}

/** Debian's Chromium without its windows takes half the time of the whole one; where only that is to be had, it does. */
const HEADLESS = '/usr/bin/chromium-headless-shell';
const chromium = () => [HEADLESS, '/usr/bin/chromium'].find((path) => existsSync(path));
async function installChromium() {
  if (existsSync(HEADLESS)) return 'nothing to do';
  try {
    await installDebian(['chromium-headless-shell'], 'The Chromium browser for the tests');
  } catch (error) {
    if (!chromium()) throw error;
    return 'the whole browser';
  }
  return 'done';
}

async function installDebians() {
  const database = wants('unit') || wants('e2e') ? await installPostgres() : 'nothing to do';
  const browser = wants('e2e') ? await installChromium() : 'nothing to do';
  return database === 'nothing to do' ? browser : database;
}
/** The two come from different places, and each takes one core. Neither is left under way when the other fails. */
async function installAll() {
  const answers = await Promise.allSettled([installPackages(), installDebians()]);
  for (const answer of answers) if (answer.status === 'rejected') throw answer.reason;
  return answers.every(({ value }) => value === 'nothing to do') ? 'nothing to do' : 'done';
}

/** A whole Zakat with the demo, for the browser. */
async function demoForBrowser(databaseUrl, folder) {
  const { cli, loadDemo, stackEnvironment, startStack } = await import('./stack.mjs');
  const home = join(folder, 'e2e');
  const env = stackEnvironment({
    folder: home,
    databaseUrl,
    port: await freePort(),
    agenciesPort: await freePort(),
    today: '2025-12-29',
    clock: 'simulated',
  });
  await cli(env, 'prepare', '2025-12-29');
  const stack = await startStack(env, home);
  try {
    await loadDemo({ ...env, ZAKAT_DEMO: 'without-largest' });
  } catch (error) {
    await stack.stop();
    throw error;
  }
  return { cli, env, stack };
}

async function endToEnd(making, folder) {
  const report = join(folder, 'e2e.json');
  const from = Date.now();
  const { cli, env } = await making;
  process.stdout.write(`  demo for the browser ... ${((Date.now() - from) / 1000).toFixed(1)} s\n`);
  const browser = {
    ZAKAT_E2E_URL: env.ZAKAT_PUBLIC_URL,
    ZAKAT_E2E_CONSOLE: `http://127.0.0.1:${env.AGENCIES_PORT}/console`,
    ZAKAT_E2E_REPORT: report,
    ZAKAT_CHROMIUM: chromium(),
    TMPDIR: folder,
  };
  const code = await show(bin('playwright'), ['test'], {
    cwd: join(ROOT, 'e2e'),
    env: { ...process.env, ...browser },
  });
  const { stats } = existsSync(report)
    ? JSON.parse(readFileSync(report, 'utf8'))
    : { stats: { expected: 0, unexpected: 1, flaky: 0, skipped: 0 } };
  counts.passed += stats.expected + stats.flaky;
  counts.failed += stats.unexpected + (code !== 0 && stats.unexpected === 0 ? 1 : 0);
  if (stats.skipped > 0)
    process.stdout.write(`  ${stats.skipped} browser tests did not run, after a failure before them\n`);
  const trail = await cli(env, 'verify-audit').catch((error) => error.message);
  if (trail.includes('the chain holds')) counts.passed += 1;
  else counts.failed += 1;
}

async function main() {
  await step('packages, and programs of Debian', installAll);
  await step('build', buildAll);
  const folder = folderOfRun();
  let database = null;
  let cluster = null;
  let demo = null;
  const stop = async () => {
    await demo?.then(({ stack }) => stack.stop()).catch(() => undefined);
    await database?.stop();
    if (cluster) removeCluster(cluster);
    rmSync(folder, { recursive: true, force: true });
  };
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => void stop().then(() => process.exit(130)));
  try {
    if (wants('unit') || wants('e2e')) {
      cluster = clusterFolder(join(folder, 'database'));
      database = await step('database', async () => startCluster(cluster, await freePort(), { isThrowaway: true }));
    }
    // The browser tests wait more than they work: the demo is made for them first, and the others run beside them.
    let browser = null;
    if (wants('e2e')) {
      demo = demoForBrowser(database.url, folder);
      browser = endToEnd(demo, folder);
      // What went wrong is told where it is waited for.
      for (const under of [demo, browser]) under.catch(() => undefined);
    }
    if (wants('static')) await typesAndLint();
    if (wants('unit')) {
      const forget = gatherSuites();
      try {
        await unitRun(database.url, folder);
      } finally {
        forget();
      }
    }
    await browser;
  } finally {
    await stop();
  }
  process.stdout.write(`\nAll suites together took ${elapsed()} s\n${counts.passed} passed, ${counts.failed} failed\n`);
  process.exit(counts.failed === 0 ? 0 : 1);
}
main().catch(fail);
