import {
  api,
  got,
  Problem,
  sendFile,
  type Guess,
  type HandoverDraft,
  type CertificateDraft,
  type Lane,
  type LaneIdentity,
  type LogLine,
  type Received,
  type ServiceDraft,
  type ServiceOutlook,
  type Unmatched,
} from '../../platform/api/client';
import type { ChangeStore } from '../../log/change/changes.svelte';
import type { FirstsUpdate } from '../../platform/api/client';
import { grouped } from '../../platform/shared/format';
import { texts } from './texts';

const WATCH_FETCH_MS = 500;
const ANNOUNCED_FOR_MS = 30_000;
const READ_EVERY_MS = 1_000;

export type LaneState = keyof typeof STATE_NAMES;

/** How the states of a contact at a service are called on screen. */
export const STATE_NAMES = {
  HELD: texts.held,
  DUE: texts.due,
  HANDED_OVER: texts.handedOver,
  ACCEPTED: texts.accepted,
  CONFIRMED: texts.confirmed,
  REFUSED: texts.isRefused,
  CHANGED: texts.changed,
  NOT_MEANT: texts.notMeant,
} as const;

/** The services with their counts, handovers and problems. */
export class LaneStore {
  all = $state.raw<Lane[]>([]);
  /** Those a contact shows its seals of: in use, and cards once there is one. */
  readonly sealed = $derived(
    this.all.filter(
      (lane) => lane.inUse && (!lane.byHand || Object.values(lane.counts).some((contacts) => contacts > 0)),
    ),
  );
  problem = $state('');
  /** Lane id to the contacts that need the operator. */
  refused = $state<Record<number, LogLine[]>>({});
  held = $state<Record<number, LogLine[]>>({});
  /** Lane id to what the last fetch by hand found. */
  fetched = $state<Record<number, string>>({});
  fetching = $state<Record<number, boolean>>({});
  /** Lane id to how many confirmations the running fetch has read. */
  fetchRead = $state<Record<number, number>>({});
  /** What was confirmed for the first time; dismissed automatically after a while. */
  firsts = $state.raw<FirstsUpdate | undefined>(undefined);
  /** The lane that is looked at; undefined for the first. */
  chosen = $state<number | undefined>(undefined);

  #quiet: ReturnType<typeof setTimeout> | undefined;
  #loading = false;
  #again = false;
  #soon: ReturnType<typeof setTimeout> | undefined;
  #readAt = -READ_EVERY_MS;

  /** Something is different, as it is with every contact: read at once, but no more often than so. */
  readSoon(): void {
    if (this.#soon !== undefined) return;
    this.#soon = setTimeout(
      () => {
        this.#soon = undefined;
        void this.load();
      },
      Math.max(0, this.#readAt + READ_EVERY_MS - performance.now()),
    );
  }

  /** Reads all lanes; while a read is under way, further wishes make one more. */
  async load(): Promise<void> {
    if (this.#loading) {
      this.#again = true;
      return;
    }
    this.#loading = true;
    this.#readAt = performance.now();
    try {
      do {
        this.#again = false;
        this.all = await got(api.GET('/api/services'));
        for (const lane of this.all) {
          await this.#loadProblems(lane);
        }
      } while (this.#again);
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    } finally {
      this.#loading = false;
    }
  }

  /** Hands over all that is due, or what of it is wished for. */
  async handOver(id: number, wish: HandoverDraft = {}): Promise<void> {
    this.#put(await got(api.POST('/api/services/{id}/handovers', { params: { path: { id } }, body: wish })));
  }

  /** Contacts that the service refused go there again, if the rules let them. */
  async sendRefusedAgain(id: number): Promise<void> {
    await got(api.POST('/api/services/{id}/refused/again', { params: { path: { id } } }));
    await this.load();
  }

  /** What was asked to go and is not on its way yet stays due. */
  async stopHandingOver(id: number): Promise<void> {
    this.#put(await got(api.DELETE('/api/services/{id}/handovers', { params: { path: { id } } })));
  }

  announce(news: FirstsUpdate): void {
    this.firsts = news;
    clearTimeout(this.#quiet);
    this.#quiet = setTimeout(() => this.dismissFirsts(), ANNOUNCED_FOR_MS);
  }

  dismissFirsts(): void {
    this.firsts = undefined;
  }

  async pause(paused: boolean): Promise<void> {
    this.all = await got(api.PUT('/api/services/pause', { body: { paused } }));
  }

  /** Takes a service into use and looks at it. */
  async use(id: number): Promise<void> {
    await this.change(id, { inUse: true });
    this.chosen = id;
  }

  /** The kinds of services that another account can be added at. */
  async kinds(): Promise<string[]> {
    return got(api.GET('/api/services/kinds'));
  }

  /** Adds another account at a kind of service. */
  async add(kind: string, name: string): Promise<void> {
    await got(api.POST('/api/services', { body: { kind, name } }));
    await this.load();
  }

  async remove(id: number): Promise<void> {
    this.all = await got(api.DELETE('/api/services/{id}', { params: { path: { id } } }));
  }

  /** Tries the settings of a service. */
  async test(id: number): Promise<{ works: boolean; sentence: string }> {
    return got(api.POST('/api/services/{id}/test', { params: { path: { id } } }));
  }

  async outlook(id: number): Promise<ServiceOutlook> {
    return got(api.GET('/api/services/{id}/outlook', { params: { path: { id } } }));
  }

  async received(id: number): Promise<Received[]> {
    return got(api.GET('/api/services/{id}/confirmations', { params: { path: { id } } }));
  }

  async nearMisses(id: number): Promise<Unmatched[]> {
    return got(api.GET('/api/services/{id}/near-misses', { params: { path: { id } } }));
  }

  /** Writes into our contact what they logged, so that the confirmation fits. */
  async correct(changeStore: ChangeStore, { contact, correction }: Guess): Promise<void> {
    const body = { version: contact.version, changes: correction };
    await changeStore.showEdit(() =>
      got(api.PATCH('/api/contacts/{id}', { params: { path: { id: contact.id } }, body })),
    );
  }

  async setAside(confirmationId: number): Promise<void> {
    const params = { path: { id: confirmationId } };
    await got(api.PUT('/api/confirmations/{id}', { params, body: { aside: true } }));
  }

  /** Changes all contacts held for a reason, named by its key, as any edit of many: with progress, and to be undone. */
  async editHeld(
    changeStore: ChangeStore,
    id: number,
    key: string,
    changes: Record<string, string>,
  ): Promise<void> {
    const ids = await this.#heldFor(id, key);
    await changeStore.begin(got(api.POST('/api/changes/edit', { body: { selection: { ids }, changes } })));
  }

  async leaveOut(id: number, key: string): Promise<void> {
    const contactIds = await this.#heldFor(id, key);
    const params = { path: { id } };
    this.#put(
      await got(api.PUT('/api/services/{id}/contacts', { params, body: { meant: false, contactIds } })),
    );
    await this.load();
  }

  async #heldFor(id: number, key: string): Promise<number[]> {
    return got(api.GET('/api/services/{id}/held', { params: { path: { id }, query: { key } } }));
  }

  fetchWords(id: number): string {
    const read = this.fetchRead[id];
    return read ? `Fetching… ${grouped(read)}` : 'Fetching…';
  }

  async fetchNow(id: number): Promise<void> {
    this.fetching[id] = true;
    this.fetchRead[id] = 0;
    const watch = setInterval(() => void this.#watchFetch(id), WATCH_FETCH_MS);
    try {
      const result = await got(api.POST('/api/services/{id}/fetches', { params: { path: { id } } }));
      this.fetched[id] = result.sentence;
    } catch (e) {
      this.fetched[id] = e instanceof Problem ? e.message : String(e);
    } finally {
      clearInterval(watch);
      this.fetching[id] = false;
    }
  }

  async #watchFetch(id: number): Promise<void> {
    const params = { path: { id } };
    const state = await got(api.GET('/api/services/{id}/fetches', { params })).catch(() => undefined);
    this.fetchRead[id] = Math.max(0, state?.read ?? 0);
  }

  async change(id: number, draft: ServiceDraft): Promise<void> {
    this.#put(await got(api.PUT('/api/services/{id}', { params: { path: { id } }, body: draft })));
  }

  async install(id: number, file: File, passphrase: string): Promise<void> {
    this.#put(await sendFile<Lane>(`/api/services/${id}/identities`, file, { passphrase }));
  }

  async ask(id: number, wish: CertificateDraft): Promise<void> {
    this.#put(await got(api.POST('/api/services/{id}/requests', { params: { path: { id } }, body: wish })));
  }

  async collect(id: number, requestId: number, code: string): Promise<void> {
    const params = { path: { id, requestId } };
    const body = { code };
    this.#put(await got(api.POST('/api/services/{id}/requests/{requestId}/code', { params, body })));
  }

  async giveUp(id: number, requestId: number): Promise<void> {
    const params = { path: { id, requestId } };
    this.#put(await got(api.DELETE('/api/services/{id}/requests/{requestId}', { params })));
  }

  async renew(id: number, identityId: number): Promise<void> {
    const params = { path: { id, identityId } };
    this.#put(await got(api.POST('/api/services/{id}/identities/{identityId}/renew', { params })));
  }

  /** @param placeId 0 for none */
  async setPlace(id: number, identityId: number, placeId: number): Promise<void> {
    const params = { path: { id, identityId } };
    const body = { placeId: placeId || undefined };
    this.#put(await got(api.PUT('/api/services/{id}/identities/{identityId}/place', { params, body })));
  }

  async testIdentity(id: number, identityId: number): Promise<{ works: boolean; sentence: string }> {
    const params = { path: { id, identityId } };
    return got(api.POST('/api/services/{id}/identities/{identityId}/test', { params }));
  }

  async removeIdentity(id: number, identityId: number): Promise<void> {
    const params = { path: { id, identityId } };
    this.#put(await got(api.DELETE('/api/services/{id}/identities/{identityId}', { params })));
  }

  /** Saves an identity as a file under a passphrase of its own. */
  async exportIdentity(id: number, identity: LaneIdentity, passphrase: string): Promise<void> {
    const answer = await fetch(`/api/services/${id}/identities/${identity.id}/file`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ passphrase }),
    });
    if (!answer.ok) {
      throw Problem.from(await answer.json().catch(() => undefined));
    }
    const link = document.createElement('a');
    link.href = URL.createObjectURL(await answer.blob());
    link.download = `${identity.call.replace('/', '-')}.p12`;
    link.click();
    URL.revokeObjectURL(link.href);
  }

  async setMeant(id: number, contactId: number, meant: boolean): Promise<void> {
    const body = { meant, contactIds: [contactId] };
    this.#put(await got(api.PUT('/api/services/{id}/contacts', { params: { path: { id } }, body })));
    await this.load();
  }

  async #loadProblems(lane: Lane): Promise<void> {
    this.refused[lane.id] = await this.#contacts(lane, 'REFUSED');
    this.held[lane.id] = await this.#contacts(lane, 'HELD');
  }

  async #contacts(lane: Lane, state: 'REFUSED' | 'HELD'): Promise<LogLine[]> {
    if (!lane.counts[state]) {
      return [];
    }
    const params = { path: { id: lane.id }, query: { state } };
    return got(api.GET('/api/services/{id}/contacts', { params }));
  }

  #put(lane: Lane): void {
    this.all = this.all.map((l) => (l.id === lane.id ? lane : l));
  }
}
