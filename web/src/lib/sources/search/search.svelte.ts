import { api, got, Problem, type Finding, type SearchView } from '../../platform/api/client';
import { StreamedValue } from '../../platform/live/streamed.svelte';

const NONE: SearchView = { running: false, tried: 0, of: 0, port: 0, ports: 0, findings: [] };

/** The search for devices; how it goes comes with the event stream. */
export class SearchStore {
  problem = $state('');

  #streamed = new StreamedValue<SearchView>(NONE);

  get view(): SearchView {
    return this.#streamed.value;
  }

  take(view: SearchView): void {
    this.#streamed.take(view);
  }

  /** Searches these ports, or all when there are none. */
  start(addresses: string[] = []): Promise<void> {
    return this.#try(() => got(api.POST('/api/device-search', { body: { addresses } })));
  }

  cancel(): Promise<void> {
    return this.#try(() => got(api.DELETE('/api/device-search')));
  }

  found(kind: Finding['kind']): Finding[] {
    return this.view.findings.filter((f) => f.kind === kind);
  }

  /** Done, 0 to 1: ports first, tries within the port that is searched now. */
  get progress(): number {
    const { port, ports, tried, of } = this.view;
    return ports === 0 ? 0 : Math.min(1, (port + (of > 0 ? tried / of : 0)) / ports);
  }

  async #try(action: () => Promise<SearchView>): Promise<void> {
    try {
      await this.#streamed.ask(action);
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }
}
