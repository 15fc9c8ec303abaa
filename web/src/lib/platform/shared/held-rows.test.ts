// @vitest-environment jsdom
import { describe, expect, it } from 'vitest';
import { HeldRows } from './held-rows.svelte';

const row = (id: number, text = '') => ({ id, text });

describe('held rows', () => {
  it('stand still while somebody points at them or has the keyboard there', () => {
    let all = [row(2), row(1)];
    const held = new HeldRows(() => all);
    const list = document.createElement('div');
    const { destroy } = held.watch(list);
    list.dispatchEvent(new Event('pointerenter'));
    all = [row(3), row(2, 'changed'), row(1)];
    expect(held.rows).toEqual([row(2, 'changed'), row(1)]);
    expect(held.waiting).toBe(1);
    list.dispatchEvent(new Event('focusin'));
    list.dispatchEvent(new Event('pointerleave'));
    expect(held.rows).toHaveLength(2);
    list.dispatchEvent(new Event('focusout'));
    expect(held.rows).toHaveLength(3);
    expect(held.waiting).toBe(0);
    destroy();
  });

  it('show what waits when that is asked for', () => {
    let all = [row(1)];
    const held = new HeldRows(() => all);
    const list = document.createElement('div');
    held.watch(list);
    list.dispatchEvent(new Event('focusin'));
    all = [row(2), row(1)];
    expect(held.waiting).toBe(1);
    held.release();
    expect(held.rows).toEqual(all);
  });
});
