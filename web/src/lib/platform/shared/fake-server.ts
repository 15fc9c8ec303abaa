import { vi } from 'vitest';

type Reply = { status?: number; body: unknown };

/** Stands in for the server in tests of the stores: answers by method and path, and remembers what was requests. */
export class FakeServer {
  readonly requests: string[] = [];
  /** What was last sent with a question. */
  readonly sent: Record<string, unknown> = {};
  /** The positions the questions came from, in their order; null where none was named. */
  readonly positions: (string | null)[] = [];
  #replies = new Map<string, Reply>();

  constructor() {
    vi.stubGlobal('fetch', async (input: Request | string, init?: RequestInit) => {
      const request = typeof input === 'string' ? new Request(new URL(input, location.origin), init) : input;
      const url = new URL(request.url);
      const key = `${request.method} ${url.pathname}${url.search}`;
      if (request.headers.get('Content-Type') === 'application/json') {
        this.sent[key] = await request.clone().json();
      }
      this.requests.push(key);
      this.positions.push(request.headers.get('Yokebar-Position'));
      const reply = this.#replies.get(key);
      if (!reply) {
        throw new TypeError(`nobody answers ${key}`);
      }
      const status = reply.status ?? 200;
      const type = status < 400 ? 'application/json' : 'application/problem+json';
      return new Response(JSON.stringify(reply.body), { status, headers: { 'Content-Type': type } });
    });
  }

  on(key: string, body: unknown, status = 200): this {
    this.#replies.set(key, { status, body });
    return this;
  }
}
