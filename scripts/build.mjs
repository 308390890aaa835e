import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { ROOT, bin, run, tsc } from './run.mjs';
import { fail } from './say.mjs';

const STAMPS = join(ROOT, '.zakat', 'stamps');

/** Digest of names, sizes and times of everything below the given paths: what decides whether a step is due. */
export function digestOf(paths) {
  const hash = createHash('sha256');
  const visit = (path) => {
    const info = statSync(path);
    if (info.isDirectory()) for (const name of readdirSync(path).sort()) visit(join(path, name));
    else hash.update(`${path} ${info.size} ${info.mtimeMs}\n`);
  };
  for (const path of paths) if (existsSync(join(ROOT, path))) visit(join(ROOT, path));
  return hash.digest('hex');
}

/** Does the work unless it was done for exactly these sources. */
export async function once(name, sources, results, work) {
  const digest = digestOf(sources);
  const stamp = join(STAMPS, name);
  if (
    results.every((path) => existsSync(join(ROOT, path))) &&
    existsSync(stamp) &&
    readFileSync(stamp, 'utf8') === digest
  )
    return 'nothing to do';
  await work();
  mkdirSync(STAMPS, { recursive: true });
  writeFileSync(stamp, digestOf(sources));
  return 'done';
}

export const installPackages = () =>
  once('packages', ['package.json', 'package-lock.json'], ['node_modules/.package-lock.json'], () =>
    run('npm', ['ci', '--no-audit', '--no-fund', '--prefer-offline', '--loglevel=error']),
  );

const compile = (folder) =>
  once(
    folder.replace('/', '-'),
    [
      `${folder}/src`,
      `${folder}/tsconfig.build.json`,
      `${folder}/package.json`,
      'tsconfig.base.json',
      'package-lock.json',
      ...(folder === 'apps/server'
        ? ['packages/core/src', 'packages/contract/src']
        : folder === 'packages/contract'
          ? ['packages/core/src']
          : []),
    ],
    [`${folder}/dist`],
    () => tsc('-p', `${folder}/tsconfig.build.json`),
  );

export const buildCore = () => compile('packages/core');

/** Core, contract and server, without the screens. */
export async function buildServer() {
  await buildCore();
  await compile('packages/contract');
  await compile('apps/server');
}

export async function buildAll() {
  const core = await buildCore();
  const contract = await compile('packages/contract');
  const rest = await Promise.all([
    compile('apps/server'),
    compile('apps/agencies'),
    once(
      'web',
      [
        'apps/web/src',
        'apps/web/index.html',
        'apps/web/vite.config.ts',
        'apps/web/package.json',
        'packages/core/src',
        'packages/contract/src',
        'package-lock.json',
      ],
      ['apps/web/dist/index.html'],
      () => run(bin('vite'), ['build', '--logLevel', 'warn'], { cwd: join(ROOT, 'apps/web') }),
    ),
  ]);
  return [core, contract, ...rest].every((answer) => answer === 'nothing to do') ? 'nothing to do' : 'done';
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  (async () => {
    await installPackages();
    await (process.argv[2] === 'core' ? buildCore() : buildAll());
  })().catch(fail);
}
