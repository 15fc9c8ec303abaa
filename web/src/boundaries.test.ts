import { describe, expect, it } from 'vitest';

/** Imports between folders: from a folder, to others, each with a file that does it. */
type Graph = Map<string, Map<string, string>>;

const IMPORT = /(?:from|import)\s+'(\.{1,2}\/[^']+)'/g;
const SOURCES = import.meta.glob<string>('./lib/**/*.{ts,svelte}', {
  query: '?raw',
  import: 'default',
  eager: true,
});

/** `log/a.ts` and `../radio/b` make `radio/b`. */
function resolve(file: string, to: string): string {
  const parts = folderOf(file).split('/');
  for (const step of to.split('/')) {
    if (step === '..') {
      parts.pop();
    } else if (step !== '.') {
      parts.push(step);
    }
  }
  return parts.join('/');
}

const folderOf = (file: string) => file.split('/').slice(0, -1).join('/');

/** Features by their folder; tests may reach everything, for they put a whole page together. */
function graphOf(sources: Map<string, string>): Graph {
  const graph: Graph = new Map();
  for (const [file, text] of sources) {
    const from = folderOf(file);
    const edges = graph.get(from) ?? new Map<string, string>();
    graph.set(from, edges);
    for (const [, to = ''] of text.matchAll(IMPORT)) {
      const folder = folderOf(resolve(file, to));
      if (folder !== from) {
        edges.set(folder, file);
      }
    }
  }
  return graph;
}

/** A way from a folder back to itself, or nothing. */
function cycle(graph: Graph): string[] | undefined {
  const done = new Set<string>();
  function visit(folder: string, way: string[]): string[] | undefined {
    if (way.includes(folder)) {
      return [...way.slice(way.indexOf(folder)), folder];
    }
    if (done.has(folder)) {
      return undefined;
    }
    for (const [next] of graph.get(folder) ?? []) {
      const found = visit(next, [...way, folder]);
      if (found) {
        return found;
      }
    }
    done.add(folder);
    return undefined;
  }
  for (const folder of graph.keys()) {
    const found = visit(folder, []);
    if (found) {
      return found;
    }
  }
  return undefined;
}

/** With the files that make it. */
const told = (graph: Graph, way: string[] | undefined) =>
  way?.map((folder, at) => `${folder} (${graph.get(folder)?.get(way[at + 1] ?? '') ?? ''})`).join(' → ');

describe('the folders of the page', () => {
  it('import each other without cycles', () => {
    const sources = Object.entries(SOURCES)
      .filter(([file]) => !/\.test\.ts$|on-page\.ts$|schema\.d\.ts$/.test(file))
      .map(([file, text]): [string, string] => [file.replace('./lib/', ''), text]);
    const graph = graphOf(new Map(sources));
    expect(graph.size).toBeGreaterThan(20);
    expect(told(graph, cycle(graph))).toBeUndefined();
  });

  it('are found out when they do', () => {
    const graph = graphOf(
      new Map([
        ['log/a.ts', "import { b } from '../radio/b';"],
        ['radio/b.ts', "import { c } from '../line/c';"],
        ['line/c.ts', "import type { A } from '../log/a';"],
      ]),
    );
    expect(cycle(graph)).toEqual(['log', 'radio', 'line', 'log']);
  });
});
