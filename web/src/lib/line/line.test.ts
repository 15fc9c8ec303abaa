import { describe, expect, it, vi } from 'vitest';
import { Problem, type LineView } from '../api/client';
import { LineStore, lineOf, type LineBody, type LineServer } from './line.svelte';

const VIEW: LineView = {
  tokens: [],
  tunes: false,
  start: '2026-11-23T14:07:31Z',
  relayed: false,
  late: false,
  problems: [],
  notices: [],
  likely: [],
  countsReady: true,
};

class FakeLine implements LineServer {
  done: string[] = [];
  fail = '';
  async read(body: LineBody): Promise<LineView> {
    return { ...VIEW, tunes: /^\d+$/.test(body.text), notices: [body.text] };
  }
  async log(body: LineBody) {
    if (this.fail && body.text.startsWith(this.fail)) {
      throw new Problem('It cannot be logged.');
    }
    this.done.push(`log ${body.text}`);
    return { contactId: 7, call: body.text, fresh: true, sentence: 'New.', changeId: 3 };
  }
  async tune(body: LineBody) {
    await new Promise((resolve) => setTimeout(resolve, 5));
    this.done.push(`tune ${body.text}`);
    return { there: true };
  }
}

const NO_MEMORY = { getItem: () => null, setItem: () => undefined };

function storeOn(server: FakeLine): LineStore {
  return new LineStore(() => 1, server, NO_MEMORY);
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
    expect(line.outcome).toMatchObject({ good: true, contactId: 7, changeId: 3 });
    expect(line.underWay).toBe(0);
  });

  it('brings back a line that could not be logged, unless another is being typed', async () => {
    const server = new FakeLine();
    server.fail = 'zp5';
    const line = storeOn(server);
    line.type('zp5qxa');
    await line.enter();
    expect(line.text).toBe('zp5qxa');
    expect(line.outcome).toMatchObject({ good: false, sentence: 'It cannot be logged.' });
    const sent = line.enter();
    line.type('k1');
    await sent;
    expect(line.text).toBe('k1');
    line.clear();
    line.recall(1);
    expect(line.text).toBe('zp5qxa');
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
  it('writes fields as the line reads them', () => {
    expect(lineOf({ call: 'zp5qxa', sent: '579', name: ' Ana ', qth: 'Ciudad del Este', rcvd: '' })).toBe(
      'zp5qxa sent:579 name:Ana qth:"Ciudad del Este"',
    );
  });
});
