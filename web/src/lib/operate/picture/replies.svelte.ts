import {
  api,
  got,
  Problem,
  sendFile,
  type OwnPicture,
  type PictureDetails,
  type ReplyLayout,
  type ReplyLayoutStored,
  type ReplyRequest,
} from '../../platform/api/client';

/** A clear picture with a strong signal: readability, strength, and video instead of tone. */
const USUAL_REPORT = '595';
const DRAW_AFTER_MS = 150;

const EMPTY_LAYOUT: ReplyLayout = { name: '', width: 640, height: 496, received: 'NOWHERE', texts: [] };

/** The reply picture that is being composed, and what it is made of. */
export class ReplyStore {
  layouts = $state.raw<ReplyLayoutStored[] | undefined>(undefined);
  ownPictures = $state.raw<OwnPicture[]>([]);
  draft = $state<ReplyRequest>({
    layout: EMPTY_LAYOUT,
    call: '',
    name: '',
    reportSent: USUAL_REPORT,
    reportReceived: '',
    words: '',
  });
  /** Address of the picture as it would be written. */
  preview = $state('');
  problem = $state('');
  /** The file that was written last; empty since something was changed. */
  written = $state('');
  writing = $state(false);

  #position: () => number | undefined;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #drawing = 0;

  /** @param position where this browser is */
  constructor(position: () => number | undefined) {
    this.#position = position;
  }

  async load(): Promise<void> {
    await this.#act(async () => {
      [this.layouts, this.ownPictures] = await Promise.all([
        got(api.GET('/api/picture-replies/layouts')),
        got(api.GET('/api/picture-replies/own-pictures')),
      ]);
      const first = this.layouts[0];
      if (this.draft.layout.name === '' && first) this.draft.layout = structuredClone(first.layout);
      this.draft.ownPictureId ??= this.ownPictures[0]?.id;
    });
    this.draw();
  }

  /** Begins a reply to a received picture, or to the station in the contact line. */
  begin(details: PictureDetails | undefined, callInLine: string | undefined): void {
    const picture = details?.picture;
    const contactId = picture?.contactId;
    const call = picture?.call ?? picture?.waitsFor ?? callInLine;
    const other = call !== undefined && (call !== this.draft.call || contactId !== this.draft.contactId);
    this.draft.receivedId = picture?.id;
    this.draft.contactId = contactId;
    if (other) {
      Object.assign(this.draft, { call, name: '', reportSent: USUAL_REPORT, reportReceived: '', words: '' });
      if (contactId !== undefined) void this.#takeFrom(contactId);
    }
    this.changed();
  }

  /** Takes what is logged of the contact: both reports are put into it again with the reply. */
  async #takeFrom(contactId: number): Promise<void> {
    await this.#act(async () => {
      const { fields } = await got(api.GET('/api/contacts/{id}', { params: { path: { id: contactId } } }));
      if (contactId !== this.draft.contactId) return;
      // What was typed meanwhile stands.
      this.draft.name ||= fields['NAME'] ?? '';
      this.draft.reportReceived ||= fields['RST_RCVD'] ?? '';
      if (this.draft.reportSent === USUAL_REPORT) this.draft.reportSent = fields['RST_SENT'] ?? USUAL_REPORT;
      this.changed();
    });
  }

  useLayout(name: string): void {
    const chosen = this.layouts?.find((one) => one.layout.name === name);
    if (chosen) this.draft.layout = structuredClone(chosen.layout);
    this.changed();
  }

  /** Something of the reply is different: it is drawn anew. */
  changed(): void {
    this.written = '';
    this.draw();
  }

  /** Draws the preview once nobody types on. */
  draw(): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#draw(), DRAW_AFTER_MS);
  }

  async #draw(): Promise<void> {
    if (this.draft.layout.name === '') return;
    const drawing = ++this.#drawing;
    await this.#act(async () => {
      const body = this.#body();
      const picture = await got(api.POST('/api/picture-replies/preview', { body, parseAs: 'blob' }));
      if (drawing === this.#drawing) {
        URL.revokeObjectURL(this.preview);
        this.preview = URL.createObjectURL(picture as unknown as Blob);
      }
    });
  }

  #body(): ReplyRequest {
    return { ...$state.snapshot(this.draft), positionId: this.#position() };
  }

  /** Writes the reply into the folder. */
  async write(): Promise<void> {
    this.writing = true;
    await this.#act(async () => {
      const { fileName } = await got(api.POST('/api/picture-replies', { body: this.#body() }));
      this.written = fileName;
    });
    this.writing = false;
  }

  async saveLayout(): Promise<void> {
    const body = $state.snapshot(this.draft.layout);
    await this.#act(
      async () => (this.layouts = await got(api.PUT('/api/picture-replies/layouts', { body }))),
    );
  }

  /** Deletes the layout; one of those to begin with is as it was again. */
  async removeLayout(name: string): Promise<void> {
    await this.#act(async () => {
      this.layouts = await got(api.DELETE('/api/picture-replies/layouts', { params: { query: { name } } }));
    });
    const next = this.layouts?.find((one) => one.layout.name === name) ?? this.layouts?.[0];
    if (next) this.useLayout(next.layout.name);
  }

  async addOwnPicture(file: File): Promise<void> {
    await this.#act(async () => {
      this.ownPictures = await sendFile<OwnPicture[]>('/api/picture-replies/own-pictures', file);
      this.draft.ownPictureId = this.ownPictures.at(-1)?.id;
    });
    if (this.problem === '') this.changed();
  }

  async removeOwnPicture(id: number): Promise<void> {
    await this.#act(async () => {
      const params = { path: { id } };
      this.ownPictures = await got(api.DELETE('/api/picture-replies/own-pictures/{id}', { params }));
    });
    if (this.draft.ownPictureId === id) this.draft.ownPictureId = undefined;
    this.changed();
  }

  async #act(action: () => Promise<unknown>): Promise<void> {
    try {
      await action();
      this.problem = '';
    } catch (e) {
      this.problem = e instanceof Problem ? e.message : String(e);
    }
  }
}
