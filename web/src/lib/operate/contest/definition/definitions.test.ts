// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import type { ContestDefinition } from '../../../platform/api/client';
import type { FakeServer } from '../../../platform/shared/fake-server';
import type { Memory } from '../../../platform/shared/memory';
import { type Show, onPage, press } from '../../../platform/shared/on-page';
import DefinitionEditor from './DefinitionEditor.svelte';
import { DefinitionStore, lineAt } from './definitions.svelte';

const LIST = 'GET /api/contest-definitions';
const CHECK = 'POST /api/contest-definitions/check';
const TRY = 'POST /api/contest-definitions/try';
const SAVE = 'POST /api/contest-definitions';

let server: FakeServer;
let render: Show;

onPage((fresh) => ({ server, render } = fresh));

function definition(more: Partial<ContestDefinition> = {}): ContestDefinition {
  return {
    name: 'Lantern Weekend',
    shipped: true,
    from: '2026-11-28T00:00:00Z',
    until: '2026-11-30T00:00:00Z',
    bands: ['20m'],
    modes: ['CW'],
    exchange: [{ name: 'zone', kind: 'cq zone', given: true, allowed: [] }],
    powers: [],
    categories: [],
    text: '# of ours\nname: Lantern Weekend\nbands: 20m',
    ...more,
  };
}

const right = {
  definition: definition({ name: 'My Lantern Weekend' }),
  rules: ['1 point otherwise.'],
  problems: [],
};
const wrong = { rules: [], problems: [{ line: 2, field: 'bands', sentence: '"7m" is not known here.' }] };

describe('the definition that is being written', () => {
  function kept(): Memory {
    const all = new Map<string, string>();
    return { getItem: (key) => all.get(key) ?? null, setItem: (key, value) => void all.set(key, value) };
  }

  it('is a copy under another name when it begins with one that ships', async () => {
    server.on(CHECK, right);
    const store = new DefinitionStore(kept());
    store.take(definition());
    expect(store.text).toBe('# of ours\nname: My Lantern Weekend\nbands: 20m');
    await vi.waitFor(() => expect(store.ready).toBe(true));
    store.take(definition({ shipped: false }));
    expect(store.text).toContain('\nname: Lantern Weekend\n');
    expect(store.ready, 'until the server has read this text').toBe(false);
  });

  it('is there after a reload of the page', () => {
    const memory = kept();
    new DefinitionStore(memory).type('name: Half');
    expect(new DefinitionStore(memory).text).toBe('name: Half');
  });

  it('knows where its lines are', () => {
    expect(lineAt('one\ntwo\nthree', 2)).toEqual([4, 7]);
    expect(lineAt('one', 9)).toEqual([3, 3]);
  });
});

describe('the editor', () => {
  const area = () => screen.getByLabelText<HTMLTextAreaElement>('Definition');

  it('shows what is wrong with its line, and goes there', async () => {
    server.on(LIST, []).on(CHECK, wrong);
    render(DefinitionEditor, {});
    await fireEvent.input(area(), { target: { value: 'name: x\nbands: 7m' } });
    await screen.findByText('"7m" is not known here.');
    await press('line 2');
    expect(document.activeElement).toBe(area());
    expect(area().selectionStart).toBe(8);
    expect(screen.getByText<HTMLButtonElement>('Save').disabled).toBe(true);
  });

  it('shows the rules in sentences and saves', async () => {
    server.on(LIST, [definition()]).on(CHECK, right).on(SAVE, { name: 'My Lantern Weekend', problems: [] });
    render(DefinitionEditor, {});
    await screen.findByText('a copy of Lantern Weekend');
    await fireEvent.change(screen.getByLabelText('Begin with'), { target: { value: 'Lantern Weekend' } });
    await screen.findByText('1 point otherwise.');
    await vi.waitFor(() => expect(screen.getByText<HTMLButtonElement>('Save').disabled).toBe(false));
    server.on(LIST, [definition({ name: 'My Lantern Weekend', shipped: false, text: area().value })]);
    await press('Save');
    await screen.findByText('My Lantern Weekend is saved. A book can be begun now.');
    expect(screen.getByText<HTMLButtonElement>('Save').disabled, 'nothing is left to save').toBe(true);
  });

  it('counts sample contacts, also anew when the rules are other ones', async () => {
    const line = { text: '20m CW W1QAB 5', counts: true, says: '3 points' };
    server
      .on(LIST, [])
      .on(CHECK, right)
      .on(TRY, { lines: [line], points: 3, multipliers: {}, bonus: 0, score: 3 });
    render(DefinitionEditor, {});
    await fireEvent.input(area(), { target: { value: 'name: x' } });
    await fireEvent.input(await screen.findByLabelText('Sample contacts'), { target: { value: line.text } });
    await screen.findByText('3 points');
    server.on(TRY, {
      lines: [{ ...line, says: '9 points' }],
      points: 9,
      multipliers: {},
      bonus: 0,
      score: 9,
    });
    await fireEvent.input(area(), { target: { value: 'name: y' } });
    await screen.findByText('9 points');
    expect(server.sent[TRY]).toEqual({ definition: 'name: y', contacts: line.text });
  });

  it('says when what is typed cannot be read', async () => {
    server.on(LIST, []);
    render(DefinitionEditor, {});
    await fireEvent.input(area(), { target: { value: 'name: x' } });
    expect((await screen.findByRole('alert')).textContent).toContain('does not answer');
  });

  it('asks before it deletes', async () => {
    const own = definition({ name: 'My Lantern Weekend', shipped: false });
    server
      .on(LIST, [own])
      .on(CHECK, right)
      .on('DELETE /api/contest-definitions?name=My%20Lantern%20Weekend', []);
    render(DefinitionEditor, {});
    await fireEvent.input(area(), { target: { value: 'name: My Lantern Weekend' } });
    await screen.findByText('Delete…');
    await press('Delete…');
    await screen.findByText(/Books keep the rules they began with/);
    await press('Delete');
    await vi.waitFor(() => expect(screen.queryByText('Delete…')).toBeNull());
  });

  it('says when the server does not answer', async () => {
    render(DefinitionEditor, {});
    expect((await screen.findByRole('alert')).textContent).toContain('does not answer');
  });
});
