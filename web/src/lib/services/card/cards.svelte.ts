import {
  api,
  got,
  type CardPile,
  type CardPiles,
  type LogLine,
  type PaperCard,
  type Received,
} from '../../platform/api/client';

/** The card desk: piles of paper cards, and the electronic ones that came. */
export class CardStore {
  cards = $state.raw<PaperCard[]>([]);
  piles = $state.raw<CardPiles>({ toSend: 0, sent: 0, received: 0 });
  electronic = $state.raw<Received[]>([]);

  count(pile: CardPile): number {
    return { TO_SEND: this.piles.toSend, SENT: this.piles.sent, RECEIVED: this.piles.received }[pile];
  }

  async load(pile: CardPile): Promise<void> {
    const [cards, piles] = await Promise.all([
      got(api.GET('/api/cards', { params: { query: { pile } } })),
      got(api.GET('/api/cards/piles')),
    ]);
    this.cards = cards;
    this.piles = piles;
  }

  async loadElectronic(serviceId: number): Promise<void> {
    const params = { path: { id: serviceId }, query: { picturesOnly: true } };
    this.electronic = await got(api.GET('/api/services/{id}/confirmations', { params }));
  }

  async find(scanned: string): Promise<LogLine[]> {
    return got(api.GET('/api/cards/find', { params: { query: { scanned } } }));
  }

  async received(contactIds: number[]): Promise<void> {
    this.piles = await got(api.POST('/api/cards/received', { body: { contactIds } }));
  }

  async sent(contactIds: number[], pile: CardPile): Promise<void> {
    await got(api.POST('/api/cards/sent', { body: { contactIds } }));
    await this.load(pile);
  }

  async dropped(contactIds: number[], pile: CardPile): Promise<void> {
    await got(api.POST('/api/cards/dropped', { body: { contactIds } }));
    await this.load(pile);
  }

  async takenBack(contactIds: number[], pile: CardPile): Promise<void> {
    await got(api.POST('/api/cards/taken-back', { body: { contactIds, pile } }));
    await this.load(pile);
  }

  /** Where the sheet for these contacts is printed from. */
  pdf(what: 'labels' | 'cards', contactIds: number[]): string {
    return `/api/cards/${what}.pdf?ids=${contactIds.join(',')}`;
  }
}
