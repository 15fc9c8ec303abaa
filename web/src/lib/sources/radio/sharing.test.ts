// @vitest-environment jsdom
import { fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Radio } from '../../platform/api/client';
import { FakeServer } from '../../platform/shared/fake-server';
import RadioSharing from './RadioSharing.svelte';
import { RadioStore } from './radios.svelte';
import { sampleRadio } from './sample-radio';

const PETREL = sampleRadio({
  name: 'Petrel 100',
  sharePort: 7380,
  keyingLimitS: 120,
  programs: [{ address: '127.0.0.1:50110', since: '2026-11-29T12:00:00Z', keys: false }],
});

describe('the sharing of a radio', () => {
  let server: FakeServer;

  beforeEach(() => {
    server = new FakeServer();
  });

  afterEach(() => vi.unstubAllGlobals());

  function show(radio: Radio): RadioStore {
    const radios = new RadioStore({ radioId: 1, choose: () => Promise.resolve() });
    radios.takeAll([radio]);
    render(RadioSharing, { radio, radios });
    return radios;
  }

  it('says that programs may not transmit, and asks only when one wanted to', () => {
    show(PETREL);
    expect(document.body.textContent).toContain('not allowed');
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('shows who asked, and allows it with one button', async () => {
    server.on('PUT /api/radios/1', [{ ...PETREL, shareTransmit: true }]);
    show({
      ...PETREL,
      incidents: [
        {
          at: '2026-11-29T12:03:00Z',
          kind: 'NOT_ALLOWED',
          address: '127.0.0.1:50110',
          sentence: 'It asked to transmit and was refused: programs may not transmit with this radio.',
        },
      ],
    });
    expect(document.body.textContent).toContain('12:03 127.0.0.1:50110');
    await fireEvent.click(screen.getByRole('button', { name: 'Allow programs to transmit' }));
    await vi.waitFor(() => expect(server.sent['PUT /api/radios/1']).toMatchObject({ shareTransmit: true }));
  });

  it('says how long programs may transmit', () => {
    show({ ...PETREL, shareTransmit: true });
    expect(document.body.textContent).toContain('at most 120 s at a time');
  });
});
