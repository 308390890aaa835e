import { mkdirSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { ROOT } from './run.mjs';

/** Projects whose suites are gathered, and into how many files. */
const GROUPS = { 'packages/core': 2, 'apps/server': 3, 'apps/web': 3 };
const SKIPPED = ['node_modules', 'dist', '.test-groups'];

function suitesOf(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return SKIPPED.includes(entry.name) ? [] : suitesOf(path);
    return /\.test\.tsx?$/.test(entry.name) ? [path] : [];
  });
}

/** As many groups, of about the same length: long suites take long, and nobody waits for one group at the end. */
export function balanced(suites, count) {
  const groups = Array.from({ length: count }, () => ({ paths: [], bytes: 0 }));
  for (const { path, bytes } of [...suites].sort((one, other) => other.bytes - one.bytes)) {
    const shortest = groups.reduce((least, group) => (group.bytes < least.bytes ? group : least));
    shortest.paths.push(path);
    shortest.bytes += bytes;
  }
  return groups.map(({ paths }) => paths.sort());
}

/** Writes the files that import the suites of a project, one group each; answers with what takes them away again. */
export function gatherSuites() {
  const folders = Object.entries(GROUPS).map(([project, count]) => {
    const folder = join(ROOT, project, '.test-groups');
    rmSync(folder, { recursive: true, force: true });
    mkdirSync(folder);
    const suites = suitesOf(join(ROOT, project)).map((path) => ({ path, bytes: statSync(path).size }));
    for (const [group, own] of balanced(suites, count).entries()) {
      const lines = own.map((path) => `import '${relative(folder, path).replace(/\.tsx?$/, '.js')}';`);
      writeFileSync(join(folder, `group-${group + 1}.test.ts`), `${lines.join('\n')}\n`);
    }
    return folder;
  });
  return () => folders.forEach((folder) => rmSync(folder, { recursive: true, force: true }));
}
