/** A contact on its way along the Yoke, for the eye. */
export interface Bead {
  id: number;
  from: 'source' | 'service';
}

const MAX_BEADS = 6;

/** The contacts on their way along the Yoke; no more than can be told apart. */
export class BeadStore {
  all = $state.raw<Bead[]>([]);

  #lastId = 0;

  send(from: Bead['from']): void {
    if (this.all.length < MAX_BEADS) {
      this.all = [...this.all, { id: ++this.#lastId, from }];
    }
  }

  arrived(id: number): void {
    this.all = this.all.filter((bead) => bead.id !== id);
  }
}
