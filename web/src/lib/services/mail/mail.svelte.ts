import { api, got, type MailView } from '../../platform/api/client';

const WATCH_EVERY_MS = 700;

/** The outbox of radio mail. While a session runs it is read again and again, so that its progress is seen. */
export class MailStore {
  view = $state.raw<MailView | undefined>(undefined);
  #timer: ReturnType<typeof setTimeout> | undefined;

  async load(): Promise<void> {
    this.#take(await got(api.GET('/api/mail')));
  }

  async setGateway(address: string, callSign: string): Promise<void> {
    this.#take(await got(api.PUT('/api/mail', { body: { address, callSign } })));
  }

  async pack(): Promise<void> {
    this.#take(await got(api.POST('/api/mail/letters')));
  }

  async takeBack(handoverId: number): Promise<void> {
    const params = { path: { handoverId } };
    this.#take(await got(api.DELETE('/api/mail/letters/{handoverId}', { params })));
  }

  async begin(): Promise<void> {
    this.#take(await got(api.POST('/api/mail/session')));
  }

  async end(): Promise<void> {
    this.#take(await got(api.DELETE('/api/mail/session')));
  }

  stopWatching(): void {
    clearTimeout(this.#timer);
  }

  #take(view: MailView): void {
    this.view = view;
    this.stopWatching();
    if (view.session.sending) {
      this.#timer = setTimeout(() => void this.load().catch(() => undefined), WATCH_EVERY_MS);
    }
  }
}
