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
export function stackEnvironment({ folder, databaseUrl, port, agenciesPort, today, clock }) {
  const agencies = `http://127.0.0.1:${agenciesPort}`;
  const token = keptSecret(folder, 'clock-token', 16);
  return {
    DATABASE_URL: databaseUrl,
    PORT: String(port),
    ZAKAT_KEY: keptSecret(folder, 'key', 32),
    ZAKAT_CLOCK: clock,
    ZAKAT_CLOCK_TOKEN: token,
    ZAKAT_BANK_URL: `${agencies}/bank`,
    ZAKAT_RETURNS_URL: `${agencies}/returns`,
    ZAKAT_WAGES_URL: `${agencies}/wages`,
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
const MOST_RESTARTS = 5;

/** Starts a part again when it dies by itself, a few times; `onGone` hears when it is given up. */
export function keepAlive(stack, name, env, folder, { isStopping, onRestart, onGone }) {
  let restarts = 0;
  const watch = (child) =>
    child.once('exit', async (code, signal) => {
      if (isStopping()) return;
      restarts += 1;
      const why = signal ?? code;
      if (restarts > MOST_RESTARTS) return onGone(name, why);
      try {
        stack[name] = await startProgram(name, PROGRAMS[name], env, join(folder, 'logs'));
        watch(stack[name]);
        onRestart(name, why);
      } catch {
        onGone(name, why);
      }
    });
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
