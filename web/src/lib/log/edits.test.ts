import { describe, expect, it } from 'vitest';
import { Problem, type LogLine } from '../api/client';
import { EditQueue } from './edits.svelte';

const line = { id: 7, version: 3, call: 'ZP5QXA' } as LogLine;

describe('EditQueue', () => {
  it('saves one after the other, each on the version the last one made', async () => {
    const saved: string[] = [];
    const queue = new EditQueue(async (id, version, field, value) => {
      await new Promise((resolve) => setTimeout(resolve, 5));
      saved.push(`${id} ${version} ${field}=${value}`);
      return version + 1;
    });
    void queue.put(line, 'NAME', 'Ana');
    void queue.put(line, 'QTH', 'Luque');
    await queue.put(line, 'COMMENT', 'loud');
    expect(saved).toEqual(['7 3 NAME=Ana', '7 4 QTH=Luque', '7 5 COMMENT=loud']);
    expect(queue.unsaved).toEqual([]);
  });

  it('keeps what was refused, with its text, and goes on', async () => {
    const queue = new EditQueue(async (_, version, field) => {
      if (field === 'FREQ') {
        throw new Problem('That is on no amateur band.');
      }
      return version + 1;
    });
    void queue.put(line, 'FREQ', '13.9');
    await queue.put(line, 'NAME', 'Ana');
    expect(queue.unsaved).toMatchObject([
      { call: 'ZP5QXA', field: 'FREQ', value: '13.9', sentence: 'That is on no amateur band.' },
    ]);
    const [refused] = queue.unsaved;
    if (refused) {
      queue.dismiss(refused);
    }
    expect(queue.unsaved).toEqual([]);
  });
});
