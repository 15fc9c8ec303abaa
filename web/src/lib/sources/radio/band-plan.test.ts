import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FakeServer } from '../../platform/shared/fake-server';
import { BandPlanStore } from './band-plan.svelte';

const TWENTY = {
  name: '20m',
  lowHz: 14_000_000,
  highHz: 14_350_000,
  voiceHz: 14_231_000,
  cwHz: 14_035_000,
  digitalHz: 14_084_000,
  segments: [],
};

describe('BandPlanStore', () => {
  beforeEach(() => void new FakeServer().on('GET /api/band-plan', [TWENTY]));
  afterEach(() => vi.unstubAllGlobals());

  it('enters a band where the present kind of traffic is', async () => {
    const plan = new BandPlanStore();
    expect(plan.entryHz(1, '20m', 'CW')).toBeUndefined();
    await plan.load();
    expect(plan.entryHz(1, '20m', 'CW')).toBe(14_035_000);
    expect(plan.entryHz(1, '20m', 'DIGITAL')).toBe(14_084_000);
    expect(plan.entryHz(1, '20m', 'DIGITAL')).toBe(14_084_000);
    expect(plan.entryHz(1, '20m', 'PHONE')).toBe(14_231_000);
    expect(plan.entryHz(1, '20m', undefined)).toBe(14_231_000);
  });

  it('comes back to where a radio left a band', async () => {
    const plan = new BandPlanStore();
    await plan.load();
    plan.at(1, '20m', 14_074_000);
    plan.at(1, undefined, 13_000_000);
    expect(plan.entryHz(1, '20m', 'PHONE')).toBe(14_074_000);
    expect(plan.entryHz(2, '20m', 'PHONE')).toBe(14_231_000);
  });
});
