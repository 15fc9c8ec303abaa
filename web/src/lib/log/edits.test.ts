import { describe, expect, it } from 'vitest';
import { Problem, type LogLine } from '../platform/api/client';
import { EditQueue } from './edits.svelte';

/** Nobody else changed anything. */
const UNSEEN = { was: '', is: '' };
const line = { id: 7, version: 3, call: 'ZP5QXA' } as LogLine;

describe('EditQueue', () => {
  it('saves one after the other, each on the version the last one made', async () => {
    const saved: string[] = [];
    const queue = new EditQueue(async (id, version, field, value) => {
      await new Promise((resolve) => setTimeout(resolve, 5));
      saved.push(`${id} ${version} ${field}=${value}`);
      return version + 1;
    });
    void queue.put(line, 'NAME', 'Ana', UNSEEN);
    void queue.put(line, 'QTH', 'Luque', UNSEEN);
    await queue.put(line, 'COMMENT', 'loud', UNSEEN);
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
    void queue.put(line, 'FREQ', '13.9', UNSEEN);
    await queue.put(line, 'NAME', 'Ana', UNSEEN);
    expect(queue.unsaved).toMatchObject([
      { call: 'ZP5QXA', field: 'FREQ', value: '13.9', sentence: 'That is on no amateur band.' },
    ]);
    const [refused] = queue.unsaved;
    if (refused) {
      queue.dismiss(refused);
    }
    expect(queue.unsaved).toEqual([]);
  });

  it('says so when another browser changed the same field meanwhile', async () => {
    const saved: string[] = [];
    const queue = new EditQueue(async (_, version, field, value) => {
      saved.push(`${field}=${value}`);
      return version + 1;
    });
    await queue.put(line, 'NAME', 'Ana', { was: '', is: 'Anna' });
    expect(saved).toEqual([]);
    expect(queue.unsaved).toMatchObject([{ field: 'NAME', value: 'Ana' }]);
    expect(queue.unsaved[0]?.sentence).toContain('It says “Anna” now');
    await queue.put(line, 'NAME', 'Ana', { was: 'Anna', is: 'Anna' });
    expect(saved).toEqual(['NAME=Ana']);
    expect(queue.unsaved).toEqual([]);
  });
});
