import { api, got, type ContestContact } from '../../../platform/api/client';

/** A contact that is corrected on the contest line: the latest first, then the one before it, and so on. */
export class Correction {
  contact = $state.raw<ContestContact | undefined>(undefined);
  /** What stood on the line when the correction began. */
  typedBefore = '';

  /** Contacts that this page logged: somebody else's are not taken for one's own. */
  #own = new Set<number>();

  logged(contactId: number): void {
    this.#own.add(contactId);
  }

  /**
   * Goes to the latest contact, or to the one before that which is being corrected.
   *
   * @param contacts the latest first
   */
  older(contacts: ContestContact[], typed: string): ContestContact | undefined {
    const mine = contacts.filter((one) => this.#own.has(one.contactId));
    const among = mine.length > 0 ? mine : contacts;
    const at = among.findIndex((one) => one.contactId === this.contact?.contactId);
    const next = among[at + 1];
    if (!next) return undefined;
    if (!this.contact) this.typedBefore = typed;
    this.contact = next;
    return next;
  }

  /** Saves the line as the contact; gives the latest contacts as they are then. */
  async save(bookId: number, text: string): Promise<ContestContact[]> {
    const contactId = this.contact?.contactId ?? 0;
    const params = { path: { id: bookId, contactId } };
    return got(
      api.POST('/api/contest-books/{id}/line/contacts/{contactId}', { params, body: { text, agoMs: 0 } }),
    );
  }

  /** Leaves the contact; gives what is to stand on the line again. */
  leave(): string {
    this.contact = undefined;
    return this.typedBefore;
  }
}

/** A contact as it is typed on the line. */
export const asTyped = ({ call, received }: ContestContact) => `${call} ${received}`.trim().toLowerCase();
