import { api, got, Problem } from '../../../platform/api/client';
import { Saving } from '../../../platform/shared/saving.svelte';

/** A service of which there is one, and that knows us by an account. */
export interface Account {
  hookup: string;
  address?: string;
  account?: string;
  hasPassword: boolean;
  secretNotice?: string;
}

/** What to set; what is left out stays. */
export interface AccountDraft {
  address?: string;
  account?: string;
  password?: string;
  clearPassword?: boolean;
}

/** What a form of an account needs. */
export interface AccountForm {
  readonly view: Account | undefined;
  readonly saving: Saving;
  readonly busy: boolean;
  /** What came of the last test. */
  readonly notice: string;
  save(field: string, draft: AccountDraft): Promise<boolean>;
  test(): Promise<void>;
}

/** An account that is set up field by field, and tested. */
export abstract class AccountStore<V extends Account, D extends AccountDraft> implements AccountForm {
  view = $state.raw<V | undefined>(undefined);
  /** Why the page could not be read. */
  problem = $state('');
  /** Why what was asked for last did not work, until it is asked for again or set up otherwise. */
  failure = $state('');
  notice = $state('');
  busy = $state(false);
  readonly saving = new Saving();

  protected abstract put(draft: D | AccountDraft): Promise<V>;

  /** Whether it has all that it needs. */
  get complete(): boolean {
    return !!this.view?.address && !!this.view.account && this.view.hasPassword;
  }

  save(field: string, draft: D | AccountDraft): Promise<boolean> {
    this.notice = '';
    this.failure = '';
    return this.saving.during(field, async () => {
      this.view = await this.put(draft);
    });
  }

  async test(): Promise<void> {
    this.notice = '';
    await this.waiting(async () => {
      const params = { path: { id: this.view?.hookup ?? '' } };
      const proof = await got(api.POST('/api/hookups/{id}/test', { params }));
      if (!proof.works) throw new Problem(proof.sentence);
      this.notice = proof.sentence;
    });
  }

  /** While it is waited for, nothing else can be asked. */
  protected async waiting(what: () => Promise<unknown>): Promise<void> {
    this.busy = true;
    this.failure = '';
    this.failure = await why(what);
    this.busy = false;
  }

  protected async reading(what: () => Promise<unknown>): Promise<void> {
    this.problem = await why(what);
  }
}

/** Why something did not work; empty when it did. */
async function why(what: () => Promise<unknown>): Promise<string> {
  try {
    await what();
    return '';
  } catch (e) {
    return e instanceof Problem ? e.message : String(e);
  }
}
