// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/svelte';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { hookup } from '../../platform/shared/samples';
import Plate from './Plate.svelte';

afterEach(cleanup);

describe('a plate on the Yoke', () => {
  it('says in a word what is wrong, and opens its drawer', async () => {
    const onopen = vi.fn();
    render(Plate, { hookup: hookup({ state: 'TROUBLE', brief: 'cannot be reached' }), onopen });
    expect(screen.getByText('cannot be reached')).toBeDefined();
    await fireEvent.click(screen.getByRole('button'));
    expect(onopen).toHaveBeenCalled();
  });
});
