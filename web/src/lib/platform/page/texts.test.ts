import { parse } from 'svelte/compiler';
import { describe, expect, it } from 'vitest';

/** Attributes that are read or heard by people. */
const READ = [
  'aria-label',
  'label',
  'labelText',
  'helperText',
  'placeholder',
  'title',
  'text',
  'alt',
  'hint',
];
/** Units, keys and names of formats are the same in every language. */
const SAME_EVERYWHERE = /\b(UTC|[kM]?Hz|km|dBm?|[kMG]B|ms|AD[IX]|CSV|Ctrl|Alt|Shift|Enter|Esc|Tab)\b/g;
/** Addresses, names of files, placeholders to be replaced, and codes. */
const NOT_LANGUAGE = /^\/\w|^[\w.-]+\.key$|\{\w+\}|^[A-Z0-9]+$/;

interface Node {
  type?: string;
  name?: string;
  data?: string;
}

function isLanguage(text: string): boolean {
  return /[A-Za-z]{2}/.test(text.replace(SAME_EVERYWHERE, '')) && !NOT_LANGUAGE.test(text.trim());
}

/** What stands in the markup of a component although it belongs into the texts of its folder. */
function strayTexts(source: string): string[] {
  const found: string[] = [];
  const visit = (node: unknown): void => {
    if (Array.isArray(node)) {
      node.forEach(visit);
    } else if (node && typeof node === 'object') {
      const { type, name, data } = node as Node;
      if (type === 'Attribute' && !READ.includes(name ?? '')) return;
      if (type === 'Text' && isLanguage(data ?? '')) found.push((data ?? '').trim());
      Object.values(node).forEach(visit);
    }
  };
  visit(parse(source, { modern: true }).fragment);
  return found;
}

const components = import.meta.glob<string>('/src/**/*.svelte', {
  query: '?raw',
  import: 'default',
  eager: true,
});

describe('Texts of the page', () => {
  it('stand in the texts.ts of their folder', () => {
    const stray = Object.entries(components).flatMap(([path, source]) =>
      strayTexts(source).map((text) => `${path}: ${text}`),
    );
    expect(Object.keys(components).length).toBeGreaterThan(100);
    expect(stray).toEqual([]);
  });

  it.each([
    ['<p>Nobody has checked in yet.</p>', ['Nobody has checked in yet.']],
    ['<Button labelText="Save" kind="ghost">{texts.save}</Button>', ['Save']],
    ['<p class="muted">{texts.save} 14 MHz UTC</p>', []],
  ])('are found where they do not belong: %s', (markup, stray) => {
    expect(strayTexts(markup)).toEqual(stray);
  });
});
