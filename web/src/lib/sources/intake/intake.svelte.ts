import {
  api,
  got,
  Problem,
  type FoundLog,
  type IntakeSource,
  type SourceDraft,
} from '../../platform/api/client';

/** Where records come from, and how each source is set up. */
export class IntakeStore {
  sources = $state.raw<IntakeSource[]>([]);
  found = $state.raw<FoundLog[] | undefined>(undefined);
  looking = $state(false);
  problem = $state('');

  async load(): Promise<void> {
    try {
      this.sources = await got(api.GET('/api/intake-sources'));
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }

  /** Looks for logs where programs usually keep them. */
  async look(): Promise<void> {
    this.looking = true;
    try {
      this.found = await got(api.GET('/api/intake-sources/found'));
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    } finally {
      this.looking = false;
    }
  }

  async follow(
    path: string,
    begin: 'EVERYTHING' | 'FROM_NOW_ON' | 'FROM_DATE',
    from: string,
    options: SourceDraft,
  ): Promise<void> {
    this.sources = await got(
      api.POST('/api/intake-sources/files', { body: { path, begin, from: from || undefined, options } }),
    );
    this.found = undefined;
  }

  async listen(kind: 'DATAGRAMS' | 'STREAM', port: number, options: SourceDraft): Promise<void> {
    this.sources = await got(api.POST('/api/intake-sources/ports', { body: { kind, port, options } }));
  }

  async change(id: number, draft: SourceDraft): Promise<void> {
    this.sources = await got(api.PUT('/api/intake-sources/{id}', { params: { path: { id } }, body: draft }));
  }

  async remove(id: number): Promise<void> {
    this.sources = await got(api.DELETE('/api/intake-sources/{id}', { params: { path: { id } } }));
  }

  /** Lets the services have what waited; gives how many contacts that were. */
  async letGo(id: number): Promise<number> {
    const { contacts } = await got(api.POST('/api/intake-sources/{id}/let-go', { params: { path: { id } } }));
    await this.load();
    return contacts;
  }
}
