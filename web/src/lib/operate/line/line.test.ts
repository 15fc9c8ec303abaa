import { describe, expect, it, vi } from 'vitest';
import { Problem, type LineView } from '../../platform/api/client';
import type { Memory } from '../../platform/shared/memory';
import { lineOf } from './line-fields';
import { LineStore, type LineBody, type LineServer, type OpenLine } from './line.svelte';

const VIEW: LineView = {
  tokens: [],
  tunes: false,
  start: '2026-11-23T14:07:31Z',
  relayed: false,
  radio: true,
  late: false,
  problems: [],
  notices: [],
  likely: [],
  countsReady: true,
};

class FakeLine implements LineServer {
  done: string[] = [];
  fail = '';
  asks = '';
  async read(body: LineBody): Promise<LineView> {
    return { ...VIEW, tunes: /^\d+$/.test(body.text), notices: [body.text] };
  }
  async log(body: LineBody) {
    if (this.fail && body.text.startsWith(this.fail)) {
      throw new Problem('It cannot be logged.');
    }
    this.done.push(`log ${body.text}`);
    if (this.asks && body.text.startsWith(this.asks) && body.sameAs === undefined) {
      return { question: { contactId: 5, sentence: 'Same contact as ZP5QXA at 12:00 UTC?' } };
    }
    if (body.sameAs !== undefined) {
      this.done.push(`same as ${body.sameAs}`);
    }
    return { logged: { contactId: 7, call: body.text, fresh: true, sentence: 'New.', changeId: 3 } };
  }
  async tune(body: LineBody) {
    await new Promise((resolve) => setTimeout(resolve, 5));
    this.done.push(`tune ${body.text}`);
    return { there: true };
  }
}

const NO_MEMORY: Memory = { getItem: () => null, setItem: () => undefined };

function storeOn(server: FakeLine, tab = NO_MEMORY): LineStore {
  return new LineStore(() => 1, server, NO_MEMORY, tab);
}

function open(line: LineStore, index: number): OpenLine {
  const found = line.open[index];
  if (!found) {
    throw new Error(`no line ${index} is open`);
  }
  return found;
}

function tab(): Memory {
  const kept = new Map<string, string>();
  return {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  };
}

describe('LineStore', () => {
  it('shows what the line means, the newest answer only', async () => {
    const line = storeOn(new FakeLine());
    line.type('z');
    line.type('zp');
    line.type('zp5');
    await vi.waitFor(() => expect(line.view?.notices).toEqual(['zp5']));
  });

  it('is free at once and carries out in order what was sent off', async () => {
    const server = new FakeLine();
    const line = storeOn(server);
    for (const text of ['14025', 'zp5qxa', '7012', 'k1qab']) {
      line.type(text);
      void line.enter();
      expect(line.text).toBe('');
    }
    await line.enter();
    expect(server.done).toEqual(['tune 14025', 'log zp5qxa', 'tune 7012', 'log k1qab']);
    expect(line.outcome).toMatchObject({ contactId: 7, changeId: 3 });
    expect(line.underWay).toBe(0);
  });

  it('keeps each line that was refused in sight until it is dealt with', async () => {
    const server = new FakeLine();
    server.fail = 'zp5';
    const line = storeOn(server);
    for (const text of ['zp5qxa', 'k1qab', 'zp5qxb']) {
      line.type(text);
      void line.enter();
    }
    line.type('oz1');
    await line.enter();
    expect(line.open.map((o) => o.text)).toEqual(['zp5qxa', 'zp5qxb']);
    expect(line.open[0]?.sentence).toBe('It cannot be logged.');
    expect(server.done).toEqual(['log k1qab', 'log oz1']);
    line.type('half a');
    line.correct(open(line, 1));
    expect(line.text).toBe('zp5qxb');
    expect(line.open.map((o) => o.text)).toEqual(['zp5qxa']);
    line.recall(1);
    expect(line.text).toBe('half a');
    line.dismiss(line.open[0]);
    expect(line.open).toEqual([]);
  });

  it('takes nothing typed meanwhile for the line that was refused', async () => {
    const server = new FakeLine();
    server.fail = 'zp5';
    const line = storeOn(server);
    line.type('zp5qxa');
    const sent = line.enter();
    line.type('k1');
    await sent;
    expect(line.text).toBe('k1');
    expect(line.open).toHaveLength(1);
  });

  it('does not send off what is known to be wrong', async () => {
    const server = new FakeLine();
    server.read = async () => ({ ...VIEW, problems: [{ field: 'MODE', sentence: 'In which mode?' }] });
    const line = storeOn(server);
    line.type('zp5qxa');
    await vi.waitFor(() => expect(line.readText).toBe('zp5qxa'));
    expect(await line.enter()).toBe(false);
    expect(line.text).toBe('zp5qxa');
    expect(server.done).toEqual([]);
  });

  it.each([
    [true, 'same as 5'],
    [false, 'same as 0'],
  ])('asks whether a late contact is the same: %s', async (same, told) => {
    const server = new FakeLine();
    server.asks = 'zp5';
    const line = storeOn(server);
    line.type('zp5qxa 12:10');
    await line.enter();
    expect(line.open).toMatchObject([{ text: 'zp5qxa 12:10', sameAs: 5 }]);
    expect(server.done).toEqual(['log zp5qxa 12:10']);
    await line.answer(open(line, 0), same);
    expect(server.done).toContain(told);
    expect(line.open).toEqual([]);
  });

  it('puts the other meaning in the place of a word in doubt', async () => {
    const server = new FakeLine();
    server.read = async (body) => ({
      ...VIEW,
      tokens: body.text.includes(':')
        ? []
        : [{ from: 7, until: 13, field: 'NAME', label: 'name', value: 'Olivia', otherwise: 'mode:olivia' }],
    });
    const line = storeOn(server);
    line.type('zp5qxa olivia 599');
    await vi.waitFor(() => expect(line.view?.tokens).toHaveLength(1));
    expect(line.settle(9)).toBe(true);
    expect(line.text).toBe('zp5qxa mode:olivia 599');
    await vi.waitFor(() => expect(line.view?.tokens).toEqual([]));
    expect(line.settle(9)).toBe(false);
  });

  it('sets aside what is being typed when a station is chosen, and brings it back with one key', () => {
    const line = storeOn(new FakeLine());
    line.type('zp5qxa 57');
    line.fill('k1qab ');
    line.fill('oz1qab ');
    expect(line.text).toBe('oz1qab ');
    expect(line.aside).toEqual(['zp5qxa 57']);
    line.type('oz1qab 59');
    line.recall(1);
    expect(line.text).toBe('zp5qxa 57');
    expect(line.aside).toEqual([]);
  });

  it('has everything again when the page is loaded again', async () => {
    const server = new FakeLine();
    server.fail = 'zp5';
    const kept = tab();
    const before = storeOn(server, kept);
    before.type('zp5qxa');
    await before.enter();
    before.type('k1qab 57');
    before.fill('oz1qab ');
    before.type('oz1qab 5');
    const after = storeOn(server, kept);
    expect(after.text).toBe('oz1qab 5');
    expect(after.aside).toEqual(['k1qab 57']);
    expect(after.open).toMatchObject([{ text: 'zp5qxa', sentence: 'It cannot be logged.' }]);
  });

  it('sends lines again that had no answer when the page was loaded again, with their keys', async () => {
    const kept = tab();
    const silent = new FakeLine();
    const keys: (string | undefined)[] = [];
    silent.log = async (body) => {
      keys.push(body.key);
      return new Promise(() => undefined);
    };
    const before = storeOn(silent, kept);
    before.type('zp5qxa');
    void before.enter();
    before.type('k1qab');
    void before.enter();
    await vi.waitFor(() => expect(keys).toHaveLength(1));
    const server = new FakeLine();
    const log = server.log.bind(server);
    server.log = async (body) => {
      keys.push(body.key);
      return log(body);
    };
    const after = storeOn(server, kept);
    await vi.waitFor(() => expect(after.underWay).toBe(0));
    expect(server.done).toEqual(['log zp5qxa', 'log k1qab']);
    expect(keys[1]).toBe(keys[0]);
    expect(storeOn(new FakeLine(), kept).underWay).toBe(0);
  });

  it('asks again when the radio has moved under the line', async () => {
    const server = new FakeLine();
    let asked = 0;
    const read = server.read.bind(server);
    server.read = (body) => {
      asked++;
      return read(body);
    };
    const line = storeOn(server);
    line.refresh();
    expect(asked).toBe(0);
    line.type('zp5qxa');
    await vi.waitFor(() => expect(line.view).toBeDefined());
    line.refresh();
    await vi.waitFor(() => expect(asked).toBe(2));
  });

  it('keeps frequency and mode typed last while no radio tells them', async () => {
    const server = new FakeLine();
    const read: LineServer['read'] = async (body) => ({
      ...VIEW,
      radio: false,
      tunes: body.text === '7.012 cw',
      frequencyHz: 7_012_000,
      mode: 'CW',
    });
    server.read = read;
    const line = storeOn(server);
    line.type('7.012 cw');
    await line.enter();
    expect(line.sticking).toEqual({ FREQ: '7.012', MODE: 'CW' });
    expect(server.done).toEqual([]);
    line.type('zp5qxa');
    await line.enter();
    expect(server.done).toEqual(['log zp5qxa']);
  });

  it('keeps a value for the contacts to come until it is let go', async () => {
    const server = new FakeLine();
    const sent: (Record<string, string> | undefined)[] = [];
    const log = server.log.bind(server);
    server.log = (body) => {
      sent.push(body.sticking);
      return log(body);
    };
    const line = storeOn(server);
    line.stick('TX_PWR', '5');
    for (const text of ['a1aa', 'b1bb']) {
      line.type(text);
      await line.enter();
      line.stick('TX_PWR', undefined);
    }
    expect(sent).toEqual([{ TX_PWR: '5' }, {}]);
  });

  it('restores what was cleared', () => {
    const line = storeOn(new FakeLine());
    line.type('zp5qxa 599');
    line.clear();
    expect(line.restore()).toBe(true);
    expect(line.text).toBe('zp5qxa 599');
    expect(line.restore()).toBe(false);
  });

  it('recalls older lines one by one', async () => {
    const line = storeOn(new FakeLine());
    for (const text of ['a1aa', 'b1bb']) {
      line.type(text);
      await line.enter();
    }
    line.recall(1);
    expect(line.text).toBe('b1bb');
    line.recall(1);
    expect(line.text).toBe('a1aa');
    line.recall(-1);
    line.recall(-1);
    expect(line.text).toBe('');
  });
});

describe('lineOf', () => {
  it('takes back the contact that is still on its way, not the one before', async () => {
    class Slow extends FakeLine {
      changeId = 10;
      override async log(body: LineBody) {
        await new Promise((resolve) => setTimeout(resolve, 5));
        const answer = await super.log(body);
        return answer.logged ? { logged: { ...answer.logged, changeId: this.changeId++ } } : answer;
      }
    }
    const line = storeOn(new Slow());
    line.type('zp5qxa 599 599');
    await line.enter();
    line.type('zp6qab 599 599');
    void line.enter();
    expect(await line.takeBack()).toBe(11);
    expect(line.text).toBe('zp6qab 599 599');
    expect(await line.takeBack()).toBeUndefined();
  });

  it('writes fields as the line reads them', () => {
    expect(lineOf({ call: 'zp5qxa', sent: '579', name: ' Ana ', qth: 'Ciudad del Este', rcvd: '' })).toBe(
      'zp5qxa sent:579 name:Ana qth:"Ciudad del Este"',
    );
  });
});
