import { api, got, type ReceivedText } from '../../platform/api/client';
import { StreamedValue } from '../../platform/live/streamed.svelte';

/** What the decoders received; it comes with the event stream. */
export class ReceivedTextStore {
  #streamed = new StreamedValue<ReceivedText>({ agreed: [], decoders: [] });

  get now(): ReceivedText {
    return this.#streamed.value;
  }

  take(now: ReceivedText): void {
    this.#streamed.take(now);
  }

  async load(): Promise<void> {
    try {
      await this.#streamed.ask(() => got(api.GET('/api/received-text')));
    } catch {
      // The event stream brings it with the next character.
    }
  }
}
