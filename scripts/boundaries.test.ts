import { describe, expect, it } from '@jest/globals';
import { readFileSync, readdirSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';

const ROOT = process.cwd();
/** Which rooms a room may import: imports point one way only (docs/architecture.md). */
const ROOMS: Readonly<Record<string, readonly string[]>> = {
  'packages/core': [],
  'packages/contract': ['@zakat/core'],
  'apps/server': ['@zakat/core', '@zakat/contract'],
  'apps/web': ['@zakat/core', '@zakat/contract'],
  'apps/agencies': [],
  e2e: [],
  demo: [],
};
/** Inside the core: a folder and the folders it may use. */
const CORE: Readonly<Record<string, readonly string[]>> = {
  money: [],
  issues: [],
  calendar: ['issues'],
  identity: ['issues', 'calendar', 'jurisdictions'],
  jurisdictions: ['money', 'calendar', 'issues'],
  items: [],
  leave: ['money', 'calendar'],
  working: ['jurisdictions', 'calendar', 'money'],
  taxes: ['money', 'calendar', 'issues', 'jurisdictions', 'working', 'paycheck', 'items'],
  paycheck: ['money', 'calendar', 'issues', 'jurisdictions', 'leave', 'taxes', 'items', 'working'],
  ledger: ['money', 'calendar', 'items', 'jurisdictions', 'taxes', 'paycheck'],
  deposits: ['money', 'calendar', 'identity', 'issues', 'jurisdictions', 'taxes'],
  returns: ['money', 'calendar', 'ledger', 'deposits', 'taxes', 'working'],
  yearend: ['money', 'ledger', 'jurisdictions', 'items', 'paycheck', 'taxes'],
  formats: ['money', 'calendar', 'identity', 'issues', 'returns', 'yearend'],
  checks: ['money', 'calendar', 'issues', 'identity', 'returns', 'yearend', 'formats'],
  rules: ['money', 'calendar', 'issues', 'jurisdictions', 'taxes', 'working'],
  facts: ['calendar', 'casefile', 'identity', 'issues', 'items', 'jurisdictions', 'money', 'paycheck', 'taxes'],
  crossings: ['casefile', 'money', 'paycheck', 'taxes'],
  'direct-deposit': ['calendar', 'money'],
  readiness: ['calendar', 'direct-deposit', 'facts', 'identity', 'issues', 'jurisdictions', 'taxes'],
  'people-file': ['calendar', 'facts', 'identity', 'issues', 'jurisdictions'],
  'new-hires': ['calendar', 'jurisdictions'],
  'take-over': [
    'calendar',
    'deposits',
    'issues',
    'jurisdictions',
    'ledger',
    'money',
    'paycheck',
    'people-file',
    'taxes',
  ],
  testing: ['casefile', 'yearend'],
  casefile: ['money', 'calendar', 'issues', 'items', 'jurisdictions', 'leave', 'paycheck', 'rules', 'taxes', 'working'],
};

function sources(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    if (['node_modules', 'dist', 'test-results'].includes(name)) return [];
    if (statSync(path).isDirectory()) return sources(path);
    return /\.(ts|tsx|mjs)$/.test(name) ? [path] : [];
  });
}
const importsOf = (path: string): string[] =>
  [...readFileSync(path, 'utf8').matchAll(/(?:from|import)\s*\(?\s*'([^']+)'/g)].map((match) => match[1] ?? '');

describe('imports point one way', () => {
  it.each(Object.entries(ROOMS))('%s', (room, allowed) => {
    const faults = sources(join(ROOT, room)).flatMap((path) =>
      importsOf(path).flatMap((name) => {
        if (name.startsWith('@zakat/'))
          return allowed.some((prefix) => name.startsWith(`${prefix}/`))
            ? []
            : [`${relative(ROOT, path)} imports ${name}`];
        const target = name.startsWith('.') ? relative(ROOT, resolve(dirname(path), name)) : '';
        return target !== '' && !target.startsWith(`${room}/`) ? [`${relative(ROOT, path)} imports ${name}`] : [];
      }),
    );
    expect(faults).toEqual([]);
  });
  it.each(Object.entries(CORE))('core/%s', (folder, allowed) => {
    const base = join(ROOT, 'packages/core/src');
    const faults = sources(join(base, folder))
      .filter((path) => !path.endsWith('.test.ts'))
      .flatMap((path) =>
        importsOf(path)
          .filter((name) => name.startsWith('.'))
          .flatMap((name) => {
            const used = relative(base, resolve(dirname(path), name)).split('/')[0] ?? '';
            return used === folder || allowed.includes(used) ? [] : [`${relative(base, path)} uses ${used}`];
          }),
      );
    expect(faults).toEqual([]);
  });
  it('every folder of the core is in the table', () =>
    expect(readdirSync(join(ROOT, 'packages/core/src')).sort()).toEqual(Object.keys(CORE).sort()));
  it('only the list of states names the state folders', () => {
    const faults = sources(join(ROOT, 'packages/core/src'))
      .filter((path) => !path.endsWith('jurisdictions/states.ts') && !/jurisdictions\/us-/.test(path))
      .filter((path) => importsOf(path).some((name) => /us-[a-z]{2}\//.test(name)));
    expect(faults).toEqual([]);
  });
});

describe('the lock file', () => {
  it('names no place to download from', () =>
    expect(readFileSync(join(ROOT, 'package-lock.json'), 'utf8')).not.toMatch(/"resolved": "http/));
});
