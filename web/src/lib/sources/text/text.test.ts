// @vitest-environment jsdom
import { fireEvent, screen } from '@testing-library/svelte';
import { describe, expect, it, vi } from 'vitest';
import type { FakeServer } from '../../platform/shared/fake-server';
import { type Show, onPage, press, type } from '../../platform/shared/on-page';
import { TextProgramStore } from './programs.svelte';
import { ReceivedTextStore } from './received.svelte';
import TextProgramForm from './TextProgramForm.svelte';

let server: FakeServer;
let render: Show;

onPage((fresh) => ({ server, render } = fresh));

const dunlin = {
  id: 3,
  hookup: 'text-3',
  name: 'Dunlin',
  address: '127.0.0.1:7416',
  decoders: ['plain'],
  sendTexts: false,
};

describe('a program with decoders', () => {
  it('is added with its name and address', async () => {
    server.on('POST /api/text-programs', [dunlin]);
    const programs = new TextProgramStore();
    const onclose = vi.fn();
    render(TextProgramForm, { programs, onclose });
    await type('Name', 'Dunlin');
    await type('Address of its text feed', '127.0.0.1:7416');
    await fireEvent.click(screen.getByLabelText(/It may send texts/));
    await press('Add and connect');
    await vi.waitFor(() => expect(onclose).toHaveBeenCalled());
    expect(server.sent['POST /api/text-programs']).toEqual({
      name: 'Dunlin',
      address: '127.0.0.1:7416',
      sendTexts: true,
    });
    expect(programs.all).toEqual([dunlin]);
  });

  it('says at the field what is wrong', async () => {
    const sentence = 'Sandpiper is at 127.0.0.1:7416 already.';
    server.on(
      'PUT /api/text-programs/3',
      { detail: sentence, fields: [{ field: 'address', sentence }] },
      422,
    );
    render(TextProgramForm, { programs: new TextProgramStore(), program: dunlin, onclose: vi.fn() });
    await press('Save');
    await screen.findByText(sentence);
  });
});

describe('received text', () => {
  it('of the event stream is newer than an answer that was asked for before', async () => {
    server.on('GET /api/received-text', { agreed: [], decoders: [{ name: 'Dunlin plain', text: 'OLD' }] });
    const received = new ReceivedTextStore();
    const asked = received.load();
    received.take({ agreed: [{ text: 'NEW', doubtful: false }], decoders: [] });
    await asked;
    expect(received.now.agreed[0]?.text).toBe('NEW');
  });
});
