import { describe, expect, it } from 'vitest';
import { StreamedList, StreamedValue } from './streamed.svelte';

/** An answer that comes when the test says so. */
function slow<T>(answer: T) {
  let come: () => void = () => undefined;
  const waits = new Promise<void>((resolve) => (come = resolve));
  return {
    question: async () => {
      await waits;
      return answer;
    },
    come: () => come(),
  };
}

describe('StreamedValue', () => {
  it('takes an answer', async () => {
    const streamed = new StreamedValue('');
    await streamed.ask(() => Promise.resolve('answer'));
    expect(streamed.value).toBe('answer');
  });

  it('keeps what the stream told while the question was on its way', async () => {
    const streamed = new StreamedValue('');
    const answer = slow('of before');
    const asked = streamed.ask(answer.question);
    streamed.take('now');
    answer.come();
    await asked;
    expect(streamed.value).toBe('now');
  });
});

describe('StreamedList', () => {
  const device = (id: number, heading: number) => ({ id, heading });

  async function overtaken(answer: ReturnType<typeof device>[], told: (list: Devices) => void) {
    const list = new StreamedList<ReturnType<typeof device>>();
    list.takeAll([device(1, 0), device(2, 0)]);
    const late = slow(answer);
    const asked = list.askAll(late.question);
    told(list);
    late.come();
    await asked;
    return list.all;
  }
  type Devices = StreamedList<ReturnType<typeof device>>;

  it('takes an answer with all that is in it', async () => {
    expect(await overtaken([device(2, 7), device(3, 8)], () => undefined)).toEqual([
      device(2, 7),
      device(3, 8),
    ]);
  });

  it('keeps the one of which the stream told while the question was on its way', async () => {
    const all = await overtaken([device(1, 0), device(2, 7)], (list) => list.take(device(1, 90)));
    expect(all).toEqual([device(1, 90), device(2, 7)]);
  });

  it('keeps one that is new since the question', async () => {
    const all = await overtaken([device(1, 0), device(2, 0)], (list) => list.take(device(3, 90)));
    expect(all).toEqual([device(1, 0), device(2, 0), device(3, 90)]);
  });

  it('does not bring back one that is gone since the question', async () => {
    expect(await overtaken([device(1, 0), device(2, 7)], (list) => list.gone(1))).toEqual([device(2, 7)]);
  });

  it('leaves all as it is when the stream told of all', async () => {
    const all = await overtaken([device(1, 0)], (list) => list.takeAll([device(1, 90), device(2, 90)]));
    expect(all).toEqual([device(1, 90), device(2, 90)]);
  });

  it.each([
    ['of nothing', () => undefined, 5],
    ['of another one', (list: Devices) => list.take(device(2, 90)), 5],
    ['of that one', (list: Devices) => list.take(device(1, 90)), 90],
    ['of all', (list: Devices) => list.takeAll([device(1, 90)]), 90],
  ])('takes an answer about one when the stream told %s', async (_, told, expected) => {
    const list: Devices = new StreamedList();
    list.takeAll([device(1, 0), device(2, 0)]);
    const late = slow(device(1, 5));
    const asked = list.ask(late.question);
    told(list);
    late.come();
    await asked;
    expect(list.all[0]?.heading).toBe(expected);
  });
});
