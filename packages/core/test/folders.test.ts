import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import ts from 'typescript';

const ROOT = resolve(import.meta.dirname, '../../..');

function* sources(folder: string): Generator<string> {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* sources(path);
    else if (/\.tsx?$/.test(entry.name)) yield path;
  }
}

/** All modules that a file names, types and those fetched later among them. */
function modulesIn(path: string): string[] {
  const { importedFiles } = ts.preProcessFile(readFileSync(path, 'utf8'), true, true);
  return importedFiles.map(it => it.fileName);
}

/** The folder of a package in which a file is; `.` for those that stand in none. */
const folderOf = (root: string, path: string): string => {
  const [first = '.', ...rest] = relative(root, path).split('/');
  return rest.length === 0 ? '.' : first;
};

/** Which folders of a package each of them names, with a file that does. */
function edgesOf(root: string): Map<string, Map<string, string>> {
  const edges = new Map<string, Map<string, string>>();
  for (const path of sources(root)) {
    const from = folderOf(root, path);
    const to = edges.get(from) ?? new Map<string, string>();
    edges.set(from, to);
    for (const name of modulesIn(path)) {
      if (!name.startsWith('.')) continue;
      const folder = folderOf(root, resolve(dirname(path), name));
      if (folder !== from && folder !== '..') to.set(folder, relative(ROOT, path));
    }
  }
  return edges;
}

/** A way from a folder back to itself, as the files that lead on; null where there is none. */
function circle(edges: ReturnType<typeof edgesOf>, start: string): string[] | null {
  const ways = new Map<string, string[]>([[start, []]]);
  for (const [at, way] of ways)
    for (const [to, file] of edges.get(at) ?? []) {
      if (to === start) return [...way, `${file} → ${to}`];
      if (!ways.has(to)) ways.set(to, [...way, `${file} → ${to}`]);
    }
  return null;
}

describe.each(['packages/core/src', 'apps/web/src', 'apps/server/src'])('the folders of %s', name => {
  const edges = edgesOf(join(ROOT, name));
  it('depend on each other in one direction', () => {
    expect(edges.size).toBeGreaterThan(10);
    expect([...edges.keys()].map(it => circle(edges, it)).filter(it => it !== null)).toEqual([]);
  });
});

describe('a circle', () => {
  it('is found, however long', () => {
    const edges = new Map([
      ['a', new Map([['b', 'a/1.ts']])],
      ['b', new Map([['c', 'b/1.ts']])],
      ['c', new Map([['a', 'c/1.ts']])],
      ['d', new Map([['a', 'd/1.ts']])],
    ]);
    expect(circle(edges, 'a')).toEqual(['a/1.ts → b', 'b/1.ts → c', 'c/1.ts → a']);
    expect(circle(edges, 'd')).toBeNull();
  });
});

/** Folders that name nothing but what is listed; `@cove/core` is the core’s index. */
const ONLY: Readonly<Record<string, readonly string[]>> = {
  'packages/core/src': [],
  'apps/web/src/ui': ['@cove/core'],
};

describe('what knows little', () => {
  it.each(Object.entries(ONLY))('%s names nothing of ours outside itself', (folder, allowed) => {
    const root = join(ROOT, folder);
    const outside = [...sources(root)].flatMap(path =>
      modulesIn(path)
        .filter(
          name =>
            (name.startsWith('.') && relative(root, resolve(dirname(path), name)).startsWith('..')) ||
            (name.startsWith('@cove/') && !allowed.includes(name)),
        )
        .map(name => `${relative(ROOT, path)} names ${name}`),
    );
    expect(outside).toEqual([]);
  });
});
