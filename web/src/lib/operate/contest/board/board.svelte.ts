import {
  api,
  got,
  type LastPost,
  type Scoreboard,
  type ScoreboardDraft,
  type ScoreByHand,
} from '../../../platform/api/client';
import { AccountStore } from '../account/account.svelte';

/** How scores are posted to the scoreboard, and which was the last. */
export class BoardStore extends AccountStore<Scoreboard, ScoreboardDraft> {
  lastPost = $state.raw<LastPost | undefined>(undefined);

  load(bookId: number): Promise<void> {
    return this.reading(async () => {
      [this.view, this.lastPost] = await Promise.all([
        got(api.GET('/api/scoreboard')),
        got(api.GET('/api/scoreboard/last-post', { params: { query: { book: bookId } } })),
      ]);
    });
  }

  protected put(body: ScoreboardDraft): Promise<Scoreboard> {
    return got(api.PUT('/api/scoreboard', { body }));
  }

  postByHand(body: ScoreByHand): Promise<boolean> {
    return this.saving.during('by-hand', () => got(api.POST('/api/scoreboard/by-hand', { body })));
  }
}
