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
  demo: ['@zakat/core'],
};
/** Inside the core: a folder and the folders it may use, all of them above it in this table: there is no circle. */
const CORE: Readonly<Record<string, readonly string[]>> = {
  calendar: [],
  issues: ['calendar'],
  items: [],
  money: [],
  jurisdictions: ['calendar', 'money'],
  micr: [],
  leave: ['calendar', 'money'],
  identity: ['calendar', 'issues', 'jurisdictions'],
  'direct-deposit': ['calendar', 'identity', 'money'],
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
  trust: ['calendar', 'deposits', 'issues', 'money'],
  invoicing: ['money'],
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

/**
 * The modules of the server in the same way: what a module shows of itself is its `index.ts`, and no other file of it is
 * named from outside but by the wiring.
 */
const MODULES: Readonly<Record<string, readonly string[]>> = {
  clock: [],
  'filed-elsewhere': [],
  'filing-records': [],
  ledger: [],
  progress: [],
  'rules-in-force': [],
  tables: [],
  audit: ['clock'],
  'deposit-schedules': ['clock'],
  documents: ['clock'],
  facts: ['clock'],
  outbox: ['documents'],
  identity: ['audit', 'clock'],
  search: ['identity'],
  'audit-trail': ['audit', 'filing-records', 'identity'],
  attachments: ['audit', 'clock', 'documents', 'identity'],
  clients: ['audit', 'clock', 'deposit-schedules', 'facts', 'identity'],
  'job-costs': ['clients', 'identity'],
  firm: ['audit', 'clients', 'identity'],
  reports: ['clients', 'identity', 'tables'],
  employees: ['audit', 'clients', 'clock', 'facts', 'filing-records', 'identity'],
  journal: ['audit', 'clients', 'clock', 'documents', 'facts', 'identity', 'tables'],
  standing: ['clock', 'employees'],
  'people-files': ['audit', 'clients', 'clock', 'employees', 'facts', 'identity', 'progress', 'tables'],
  trust: ['audit', 'clients', 'clock', 'documents', 'facts', 'firm', 'identity', 'tables'],
  'new-hires': ['audit', 'clients', 'clock', 'documents', 'employees', 'facts', 'identity', 'standing', 'tables'],
  remittances: ['audit', 'clients', 'clock', 'deposit-schedules', 'firm', 'identity', 'ledger', 'outbox', 'trust'],
  letters: ['clients', 'clock', 'documents', 'filing-records', 'identity', 'remittances'],
  'garnishment-payments': [
    'audit',
    'clients',
    'clock',
    'employees',
    'facts',
    'firm',
    'identity',
    'ledger',
    'outbox',
    'remittances',
  ],
  payrolls: [
    'audit',
    'clients',
    'clock',
    'employees',
    'facts',
    'filed-elsewhere',
    'filing-records',
    'identity',
    'ledger',
    'remittances',
    'rules-in-force',
    'standing',
    'tables',
  ],
  filings: [
    'audit',
    'clients',
    'clock',
    'deposit-schedules',
    'documents',
    'employees',
    'facts',
    'filed-elsewhere',
    'filing-records',
    'identity',
    'ledger',
    'outbox',
    'remittances',
    'rules-in-force',
    'tables',
  ],
  rules: ['audit', 'clients', 'clock', 'identity', 'payrolls', 'rules-in-force'],
  notices: ['audit', 'clients', 'clock', 'documents', 'filing-records', 'identity', 'letters'],
  trials: ['audit', 'clients', 'clock', 'employees', 'facts', 'identity', 'payrolls'],
  'tie-out': ['clients', 'clock', 'filed-elsewhere', 'filing-records', 'filings', 'identity', 'ledger', 'remittances'],
  voids: ['audit', 'clients', 'clock', 'deposit-schedules', 'identity', 'ledger', 'outbox', 'payrolls'],
  'correction-cases': [
    'audit',
    'clients',
    'clock',
    'documents',
    'filing-records',
    'filings',
    'identity',
    'letters',
    'remittances',
  ],
  'take-overs': ['audit', 'clients', 'clock', 'employees', 'facts', 'identity', 'ledger', 'payrolls', 'tables'],
  invoices: ['audit', 'clients', 'clock', 'documents', 'facts', 'identity', 'ledger', 'letters', 'outbox', 'trust'],
  'direct-deposits': [
    'audit',
    'clients',
    'clock',
    'employees',
    'facts',
    'filings',
    'identity',
    'outbox',
    'payrolls',
    'remittances',
    'trust',
  ],
  checks: [
    'audit',
    'clients',
    'clock',
    'direct-deposits',
    'documents',
    'facts',
    'firm',
    'identity',
    'payrolls',
    'remittances',
    'tables',
  ],
  collections: [
    'audit',
    'clients',
    'clock',
    'direct-deposits',
    'identity',
    'invoices',
    'ledger',
    'outbox',
    'payrolls',
    'remittances',
    'trust',
  ],
  readiness: [
    'audit',
    'clients',
    'clock',
    'deposit-schedules',
    'direct-deposits',
    'employees',
    'facts',
    'identity',
    'letters',
    'payrolls',
    'remittances',
    'standing',
  ],
  contacts: ['audit', 'clients', 'filing-records', 'firm', 'identity', 'payrolls', 'readiness', 'remittances'],
  'own-pay': ['audit', 'checks', 'clients', 'clock', 'employees', 'facts', 'filings', 'identity'],
  ladder: [
    'clients',
    'clock',
    'collections',
    'direct-deposits',
    'facts',
    'filings',
    'garnishment-payments',
    'identity',
    'outbox',
    'payrolls',
    'remittances',
    'trust',
  ],
  'calendar-feeds': ['audit', 'clients', 'clock', 'identity', 'ladder'],
};
const WIRING = 'apps/server/src/app.module.ts';
/** Starts the outside world in its own process: it speaks with the server through its address alone. */
const BOTH = 'apps/server/test/stack.ts imports ../../agencies/src/service.js';

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
    expect(faults.filter((fault) => fault !== BOTH)).toEqual([]);
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
  it.each(Object.entries(MODULES))('server/%s', (module, allowed) => {
    const base = join(ROOT, 'apps/server/src/modules');
    const faults = sources(join(base, module)).flatMap((path) =>
      importsOf(path)
        .filter((name) => name.startsWith('.'))
        .map((name) => relative(base, resolve(dirname(path), name)))
        .filter((target) => !target.startsWith('..'))
        .flatMap((target) => {
          const used = target.split('/')[0] ?? '';
          return used === module || (allowed.includes(used) && target === `${used}/index.js`)
            ? []
            : [`${relative(base, path)} uses ${target}`];
        }),
    );
    expect(faults).toEqual([]);
  });
  it('what is not a module of the server sees the faces of the modules only', () => {
    const faults = sources(join(ROOT, 'apps/server/src'))
      .map((path) => relative(ROOT, path))
      .filter((path) => path !== WIRING && !path.startsWith('apps/server/src/modules/'))
      .flatMap((path) =>
        importsOf(path)
          .filter((name) => /\/modules\/(?!.*\/index\.js$)/.test(name))
          .map((name) => `${path} uses ${name}`),
      );
    expect(faults).toEqual([]);
  });
  it.each([
    ['the folders of the core', CORE],
    ['the modules of the server', MODULES],
  ])('%s are in the order in which they may be used', (_, table) => {
    const names = Object.keys(table);
    const below = names.flatMap((name, index) =>
      (table[name] ?? []).filter((used) => names.indexOf(used) >= index).map((used) => `${name} uses ${used}`),
    );
    expect(below).toEqual([]);
  });
  it('every module of the server is in the table', () =>
    expect(readdirSync(join(ROOT, 'apps/server/src/modules')).sort()).toEqual(Object.keys(MODULES).sort()));
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
