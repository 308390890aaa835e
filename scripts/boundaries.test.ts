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
/** Inside the core: a folder and the folders it may use, all of them above it in this table: there is no circle. */
const CORE: Readonly<Record<string, readonly string[]>> = {
  calendar: [],
  issues: ['calendar'],
  items: [],
  money: [],
  'direct-deposit': ['calendar', 'money'],
  jurisdictions: ['calendar', 'money'],
  leave: ['calendar', 'money'],
  identity: ['calendar', 'issues', 'jurisdictions'],
  'new-hires': ['calendar', 'identity', 'jurisdictions'],
  review: ['money'],
  notices: ['calendar', 'money'],
  'bank-statement': ['calendar', 'issues', 'money'],
  'hours-file': ['identity', 'issues', 'items', 'money'],
  'tax-registry': ['jurisdictions'],
  working: ['calendar', 'jurisdictions'],
  computation: ['calendar', 'issues', 'items', 'jurisdictions', 'leave', 'money', 'tax-registry', 'working'],
  deposits: ['calendar', 'identity', 'issues', 'jurisdictions', 'money', 'tax-registry'],
  formats: ['calendar', 'identity', 'issues', 'money'],
  rules: ['calendar', 'issues', 'jurisdictions', 'money', 'tax-registry'],
  ledger: ['calendar', 'computation', 'items', 'jurisdictions', 'money', 'tax-registry'],
  taxes: ['calendar', 'computation', 'issues', 'items', 'jurisdictions', 'money', 'tax-registry', 'working'],
  filings: [
    'calendar',
    'computation',
    'deposits',
    'formats',
    'identity',
    'issues',
    'items',
    'jurisdictions',
    'ledger',
    'money',
    'tax-registry',
    'working',
  ],
  penalties: ['calendar', 'deposits', 'jurisdictions', 'money'],
  paycheck: [
    'calendar',
    'computation',
    'issues',
    'items',
    'jurisdictions',
    'leave',
    'money',
    'tax-registry',
    'taxes',
    'working',
  ],
  casefile: [
    'calendar',
    'computation',
    'deposits',
    'filings',
    'issues',
    'items',
    'jurisdictions',
    'leave',
    'ledger',
    'money',
    'paycheck',
    'penalties',
    'rules',
    'tax-registry',
    'working',
  ],
  crossings: ['casefile', 'computation', 'money', 'paycheck', 'tax-registry'],
  facts: [
    'calendar',
    'casefile',
    'computation',
    'deposits',
    'filings',
    'identity',
    'issues',
    'items',
    'jurisdictions',
    'money',
    'paycheck',
    'tax-registry',
  ],
  testing: ['calendar', 'casefile', 'deposits', 'filings', 'money'],
  'people-file': ['calendar', 'facts', 'identity', 'issues', 'jurisdictions'],
  readiness: [
    'calendar',
    'direct-deposit',
    'facts',
    'filings',
    'identity',
    'issues',
    'jurisdictions',
    'tax-registry',
    'taxes',
  ],
  'take-over': [
    'calendar',
    'computation',
    'deposits',
    'issues',
    'jurisdictions',
    'ledger',
    'money',
    'people-file',
    'tax-registry',
  ],
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
  it('the folders of the core are in the order in which they may be used', () => {
    const folders = Object.keys(CORE);
    const below = folders.flatMap((folder, index) =>
      (CORE[folder] ?? []).filter((used) => folders.indexOf(used) >= index).map((used) => `${folder} uses ${used}`),
    );
    expect(below).toEqual([]);
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
