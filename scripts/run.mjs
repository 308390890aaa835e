import { spawn, spawnSync } from 'node:child_process';
import { createServer } from 'node:net';
import { createWriteStream, mkdirSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { Stop } from './say.mjs';

export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '..');
export const bin = (name) => join(ROOT, 'node_modules', '.bin', name);
/** The native compiler: five to eight times as fast as the one that the linter needs, and of the same output. */
const TSC = join(ROOT, 'node_modules', 'typescript-native', 'bin', 'tsc');
export const tsc = (...args) => run(process.execPath, [TSC, ...args]);

/** Runs a command to its end; its output is shown only when it fails. */
export function run(command, args, options = {}) {
  return new Promise((done, reject) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'], ...options });
    const output = [];
    child.stdout.on('data', (part) => output.push(part));
    child.stderr.on('data', (part) => output.push(part));
    child.on('error', (error) => reject(new Stop(`${command} could not be started: ${error.message}`)));
    child.on('close', (code) => {
      const text = Buffer.concat(output).toString();
      if (code === 0) done(text);
      else
        reject(new Stop(`${command} ${args.join(' ')} failed (${code}).\n${text.split('\n').slice(-40).join('\n')}`));
    });
  });
}

export const has = (command) => spawnSync('sh', ['-c', `command -v ${command}`]).status === 0;
export const isRoot = () => process.getuid?.() === 0;

/** Whether something listens on a loopback port. */
export function isTaken(port) {
  return new Promise((done) => {
    const probe = createServer();
    probe.once('error', () => done(true));
    probe.listen(port, '127.0.0.1', () => probe.close(() => done(false)));
  });
}
export function freePort() {
  return new Promise((done, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => done(port));
    });
  });
}

/** Starts a program that says `listening` when it is ready, and keeps its log. */
export function startProgram(name, script, env, logFolder) {
  mkdirSync(logFolder, { recursive: true });
  const log = createWriteStream(join(logFolder, `${name}.log`), { flags: 'a' });
  const child = spawn(process.execPath, [join(ROOT, script)], {
    cwd: ROOT,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const tail = [];
  return new Promise((done, reject) => {
    const timer = setTimeout(
      () => reject(new Stop(`${name} did not start within a minute; see ${join(logFolder, `${name}.log`)}`)),
      60_000,
    );
    const hear = (part) => {
      log.write(part);
      tail.push(part.toString());
      if (part.toString().includes('listening')) {
        clearTimeout(timer);
        done(child);
      }
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('exit', (code) => {
      clearTimeout(timer);
      reject(new Stop(`${name} stopped at once (${code}):\n${tail.slice(-20).join('')}`));
    });
  });
}

/** Asks a child to stop, and insists after ten seconds. */
export function stopProgram(child) {
  if (!child || child.exitCode !== null || child.signalCode !== null) return Promise.resolve();
  return new Promise((done) => {
    const timer = setTimeout(() => child.kill('SIGKILL'), 10_000);
    child.once('exit', () => {
      clearTimeout(timer);
      done();
    });
    child.kill('SIGTERM');
  });
}
