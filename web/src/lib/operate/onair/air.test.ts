import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { AirNews, Spot } from '../../platform/api/client';
import { FakeServer } from '../../platform/shared/fake-server';
import { AirStore, type AirAsked } from './air.svelte';
import { EVERYTHING, toggled, without } from './filter';

function spot(id: number, score: number, more: Partial<Spot> = {}): Spot {
  return {
    id,
    score,
    call: `K${id}QAA`,
    frequencyHz: 14_000_000 + id * 1_000,
    group: 'CW',
    wants: [],
    ...more,
  } as Spot;
}

describe('the air', () => {
  const asked: AirAsked[] = [];
  let answer: Partial<AirNews> = {};
  let store: AirStore;

  const read = (a: AirAsked) => {
    asked.push(a);
    return Promise.resolve({
      mark: `m${asked.length}`,
      whole: false,
      spots: [],
      gone: [],
      onAir: 9,
      sentence: [],
      ...answer,
    });
  };

  beforeEach(() => {
    vi.useFakeTimers();
    asked.length = 0;
    store = new AirStore(() => 1, EVERYTHING, read);
  });

  afterEach(() => vi.useRealTimers());

  const settle = () => vi.advanceTimersByTimeAsync(250);

  it('reads a list that stands beside no more often than it says', async () => {
    const beside = new AirStore(() => 1, EVERYTHING, read, 1_000);
    const end = beside.watch();
    await settle();
    for (let i = 0; i < 20; i++) {
      beside.moved();
      await vi.advanceTimersByTimeAsync(100);
    }
    expect(asked).toHaveLength(3);
    end();
  });

  it('keeps saying why a station was not gone to while news comes from the air', async () => {
    const server = new FakeServer().on('POST /api/onair/spots/1/go', { detail: 'The radio is off.' }, 422);
    const watched = store.watch();
    answer = { spots: [spot(1, 5)] };
    await settle();
    await store.go(1, false);
    store.moved();
    await settle();
    expect(asked).toHaveLength(2);
    expect(store.failure).toBe('The radio is off.');
    server.on('POST /api/onair/spots/1/go', { call: 'K1QAA', good: true, sentence: 'There.' });
    await store.go(1, false);
    expect(store.failure).toBe('');
    watched();
    vi.unstubAllGlobals();
  });

  it('reads again when another contest began while an answer was on its way', async () => {
    let arrive: (news: AirNews) => void = () => undefined;
    const contests: (number | undefined)[] = [];
    const own = new AirStore(
      () => 1,
      EVERYTHING,
      (a) => {
        contests.push(a.contestBook);
        return new Promise((resolve) => (arrive = resolve));
      },
    );
    const news = (id: number): AirNews => ({
      mark: 'm',
      whole: true,
      spots: [spot(id, 5)],
      gone: [],
      onAir: 9,
      sentence: [],
    });
    const watched = own.watch();
    await settle();
    own.contestBook = () => 3;
    arrive(news(1));
    await settle();
    expect(contests).toEqual([undefined, 3]);
    expect(own.spots).toEqual([]);
    arrive(news(2));
    await settle();
    expect(own.spots.map((s) => s.id)).toEqual([2]);
    watched();
  });

  it('shows who comes at once where nobody is shown yet, though somebody points there', async () => {
    store.watch();
    await settle();
    store.hold(true);
    answer = { spots: [spot(1, 5)] };
    store.moved();
    await settle();
    expect(store.spots.map((s) => s.id)).toEqual([1]);
    expect(store.waiting).toBe(0);
    answer = { spots: [spot(2, 9)] };
    store.moved();
    await settle();
    expect(store.spots.map((s) => s.id)).toEqual([1]);
    expect(store.waiting).toBe(1);
  });

  it('asks for everything first, then only for what changed', async () => {
    answer = { whole: true, spots: [spot(1, 5), spot(2, 9)] };
    store.watch();
    await settle();
    expect(asked[0]?.since).toBeUndefined();
    expect(store.spots.map((s) => s.id)).toEqual([2, 1]);
    answer = { spots: [spot(3, 7)], gone: [2] };
    store.moved();
    await settle();
    expect(asked[1]?.since).toBe('m1');
    expect(store.spots.map((s) => s.id)).toEqual([3, 1]);
  });

  /** News come a hundred times in a second. */
  const aSecondOfNews = async () => {
    for (let i = 0; i < 100; i++) {
      store.moved();
      await vi.advanceTimersByTimeAsync(10);
    }
  };

  it('reads a storm no more often than it can be looked at', async () => {
    answer = { spots: Array.from({ length: 30 }, (_, i) => spot(i, i)) };
    store.watch();
    await aSecondOfNews();
    expect(asked.length).toBeLessThanOrEqual(7);
    expect(asked.length).toBeGreaterThan(3);
  });

  it('reads a quiet air sooner', async () => {
    answer = { spots: [spot(1, 5)] };
    store.watch();
    await aSecondOfNews();
    expect(asked.length).toBeLessThanOrEqual(21);
    expect(asked.length).toBeGreaterThan(12);
  });

  it('stands still while somebody reads, and says how many wait', async () => {
    answer = { whole: true, spots: [spot(1, 5), spot(2, 9)] };
    store.watch();
    await settle();
    store.hold(true);
    answer = { spots: [spot(3, 99), spot(1, 50, { comment: 'louder' })], gone: [2] };
    store.moved();
    await settle();
    expect(store.spots.map((s) => s.id)).toEqual([2, 1]);
    expect(store.spots[1]?.comment).toBe('louder');
    expect(store.waiting).toBe(1);
    store.hold(false);
    expect(store.spots.map((s) => s.id)).toEqual([3, 1]);
    expect(store.waiting).toBe(0);
  });

  it('lets whom the operator worked go at once, even while holding', async () => {
    answer = { whole: true, spots: [spot(1, 5), spot(2, 9)] };
    store.watch();
    await settle();
    store.hold(true);
    store.selected = 2;
    answer = { whole: true, spots: [spot(1, 5)] };
    store.moved();
    await settle();
    expect(store.spots.map((s) => s.id)).toEqual([1]);
  });

  it('asks nothing while nobody looks', async () => {
    store.watch()();
    await settle();
    asked.length = 0;
    store.moved();
    await settle();
    expect(asked).toEqual([]);
  });

  it('goes to the station needed most after one was worked, wherever the list stands', async () => {
    const wants = [{ words: 'new on the band' }] as Spot['wants'];
    answer = { whole: true, spots: [spot(1, 9, { wants }), spot(2, 5), spot(3, 4)] };
    store.watch();
    await settle();
    expect(store.step(1)?.id).toBe(1);
    store.hold(true);
    answer = { spots: [spot(4, 8, { wants }), spot(1, 1)] };
    store.moved();
    await settle();
    expect(store.step(1)?.id).toBe(4);
    expect(store.spots.map((s) => s.id)).toEqual([4, 2, 3, 1]);
    expect(store.step(1)?.id).toBe(2);
  });

  it('steps through the list and finds who is under the dial', async () => {
    answer = { whole: true, spots: [spot(1, 5), spot(2, 9), spot(3, 1)] };
    store.watch();
    await settle();
    expect(store.step(1)?.id).toBe(2);
    expect(store.step(1)?.id).toBe(1);
    expect(store.step(-1)?.id).toBe(2);
    store.dialAt(14_003_100);
    expect(store.selected).toBe(3);
    store.dialAt(14_200_000);
    expect(store.selected).toBe(3);
  });
});

describe('filters', () => {
  it('takes values in and out', () => {
    expect(toggled(undefined, 'EU')).toEqual(['EU']);
    expect(toggled(['EU', 'AF'], 'EU')).toEqual(['AF']);
  });

  it('takes a phrase out of the sentence', () => {
    const filter = { ...EVERYTHING, bands: ['20m'], need: 'BAND' as const, snrFloorDb: 10, maxAgeMinutes: 5 };
    for (const about of ['BANDS', 'NEED', 'SNR', 'AGE']) {
      expect(without(filter, about)).not.toEqual(filter);
    }
    expect(without(filter, 'AGE').maxAgeMinutes).toBe(30);
  });
});
