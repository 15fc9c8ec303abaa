import type { ContestContact } from '../../platform/api/client';

const MAX_REMEMBERED = 20;

/** The list with a contact that was just logged, the latest first; it may be there already. */
export function withContact(contacts: ContestContact[], logged: ContestContact): ContestContact[] {
  if (contacts.some((one) => one.contactId === logged.contactId)) return contacts;
  const at = contacts.findIndex((one) => one.start <= logged.start);
  return contacts.toSpliced(at < 0 ? contacts.length : at, 0, logged);
}

/** A list that was asked for. */
export interface Asked {
  /** In the order of asking, from 1. */
  place: number;
  /** How many lines had been answered by then. */
  answered: number;
}

/**
 * Keeps what comes over different ways in order: a list that was asked for earlier does not take the place of a later one, and a
 * contact whose line was answered meanwhile does not vanish again with a list that was made before.
 */
export class LatestLists {
  #asked = 0;
  #shown = 0;
  #answered = 0;
  #logged: { answered: number; contact: ContestContact }[] = [];

  ask(): Asked {
    return { place: ++this.#asked, answered: this.#answered };
  }

  logged(contact: ContestContact): void {
    this.#logged = [...this.#logged, { answered: ++this.#answered, contact }].slice(-MAX_REMEMBERED);
  }

  /** The list as it is shown; undefined when a later one is shown already. */
  take({ place, answered }: Asked, contacts: ContestContact[]): ContestContact[] | undefined {
    if (place < this.#shown) return undefined;
    this.#shown = place;
    return this.#logged
      .filter((one) => one.answered > answered)
      .reduce((list, one) => withContact(list, one.contact), contacts);
  }
}
