import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run, startProgram, stopProgram } from './run.mjs';
import { Stop } from './say.mjs';

/** A secret kept in a file of its own, made on first use. */
export function keptSecret(folder, name, bytes) {
  const path = join(folder, name);
  mkdirSync(folder, { recursive: true });
  if (!existsSync(path)) writeFileSync(path, randomBytes(bytes).toString('hex'), { mode: 0o600 });
  return readFileSync(path, 'utf8').trim();
}

/** The settings of a server and stand-ins that belong together. */
export function stackEnvironment({ folder, databaseUrl, port, agenciesPort, today, clock, processes = 1 }) {
  const agencies = `http://127.0.0.1:${agenciesPort}`;
  const token = keptSecret(folder, 'clock-token', 16);
  return {
    DATABASE_URL: databaseUrl,
    PORT: String(port),
    ZAKAT_PROCESSES: String(processes),
    ZAKAT_KEY: keptSecret(folder, 'key', 32),
    ZAKAT_CLOCK: clock,
    ZAKAT_CLOCK_TOKEN: token,
    ZAKAT_BANK_URL: `${agencies}/bank`,
    ZAKAT_RETURNS_URL: `${agencies}/returns`,
    ZAKAT_WAGES_URL: `${agencies}/wages`,
    ZAKAT_STATES_URL: `${agencies}/states`,
    ZAKAT_DEBITS_URL: `${agencies}/debits`,
    ZAKAT_PUBLIC_URL: `http://localhost:${port}`,
    ZAKAT_WEB: join(ROOT, 'apps/web/dist'),
    AGENCIES_PORT: String(agenciesPort),
    AGENCIES_FOLDER: join(folder, 'agencies'),
    AGENCIES_TODAY: today,
    AGENCIES_CLOCK_URL: `http://127.0.0.1:${port}/api/clock`,
    AGENCIES_CLOCK_TOKEN: token,
    AGENCIES_FACTS: join(ROOT, 'demo/agency-facts.json'),
  };
}

/** Runs a command of the server; what it refuses is said in its own sentence. */
export async function cli(env, name, ...args) {
  try {
    return await run(process.execPath, [join(ROOT, 'apps/server/dist/cli.js'), name, ...args], {
      env: { ...process.env, ...env },
    });
  } catch (error) {
    const at = error.message.lastIndexOf(`${name}: `);
    throw new Stop(at < 0 ? error.message : error.message.slice(at + name.length + 2).trim());
  }
}

const PROGRAMS = { agencies: 'apps/agencies/dist/main.js', server: 'apps/server/dist/main.js' };
/** A part that dies more often than this within the span does not come back; older deaths are forgotten. */
const MOST_DEATHS = 8;
const SPAN = 10 * 60_000;
const FIRST_WAIT = 250;
const LONGEST_WAIT = 15_000;

/** When a part that died may start again: the wait doubles with each death of the last ten minutes; null: not any more. */
export function waitAfter(deaths, now) {
  const recent = deaths.filter((at) => now - at < SPAN);
  if (recent.length > MOST_DEATHS) return null;
  return Math.min(LONGEST_WAIT, FIRST_WAIT * 2 ** Math.max(0, recent.length - 1));
}

/** Starts a part again when it dies by itself; `onGone` hears when it is given up. */
export function keepAlive(stack, name, env, folder, { isStopping, onRestart, onGone }, start = startProgram) {
  const deaths = [];
  const watch = (child) => child.once('exit', (code, signal) => void again(signal ?? code));
  const again = async (why) => {
    if (isStopping()) return;
    deaths.push(Date.now());
    const wait = waitAfter(deaths, Date.now());
    if (wait === null) return onGone(name, why);
    await new Promise((done) => setTimeout(done, wait));
    if (isStopping()) return;
    try {
      stack[name] = await start(name, PROGRAMS[name], env, join(folder, 'logs'));
    } catch {
      // It did not come up: that is a death as well.
      return again(why);
    }
    watch(stack[name]);
    onRestart(name, why);
  };
  watch(stack[name]);
}

export async function startStack(env, folder) {
  const logs = join(folder, 'logs');
  const started = await Promise.allSettled([
    startProgram('agencies', PROGRAMS.agencies, env, logs),
    startProgram('server', PROGRAMS.server, env, logs),
  ]);
  const [agencies, server] = started.map((answer) => answer.value);
  const stack = { agencies, server, stop: () => Promise.all([stopProgram(stack.server), stopProgram(stack.agencies)]) };
  const failed = started.find((answer) => answer.status === 'rejected');
  if (failed) {
    await stack.stop();
    throw failed.reason;
  }
  return stack;
}

/** Fills an empty database with the demo through the product's own front door. */
export async function loadDemo(env) {
  await cli(env, 'create-firm', join(ROOT, 'demo/firm.json'));
  await run(process.execPath, [join(ROOT, 'demo/seed.mjs')], { env: { ...process.env, ...env } });
}
