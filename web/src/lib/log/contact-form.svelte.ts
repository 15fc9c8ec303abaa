import { api, got, Problem, type ContactDetail } from '../platform/api/client';
import { changedFields, clashes, followed, MAIN_FIELDS, otherFields } from './fields';

const SAVED_FOR_MS = 4000;

/** The fields of a contact while somebody types into them, and while others may change the same contact. */
export class ContactForm {
  contact = $state.raw<ContactDetail | undefined>(undefined);
  values = $state<Record<string, string>>({});
  problem = $state<Problem | undefined>(undefined);
  /** What others made of fields that are being changed here, too. */
  clashing = $state.raw<Record<string, string>>({});
  saved = $state(false);
  saving = $state(false);

  readonly changes = $derived(this.contact ? changedFields(this.contact.fields, this.values) : {});
  readonly dirty = $derived(Object.keys(this.changes).length > 0);
  /** Names of the fields that have no place of their own in the form. */
  readonly others = $derived(this.contact ? otherFields(this.contact.fields) : []);

  #id: () => number;
  #reads = 0;

  constructor(id: () => number) {
    this.#id = id;
  }

  async read(): Promise<void> {
    const read = ++this.#reads;
    try {
      const fresh = await this.#fetch();
      if (read !== this.#reads) {
        return; // a later reading has overtaken this one
      }
      if (this.contact && this.dirty && fresh.version !== this.contact.version) {
        this.#meet(this.contact, fresh);
      } else {
        this.#show(fresh, this.dirty);
      }
    } catch (e) {
      this.problem = e instanceof Problem ? e : new Problem(String(e));
    }
  }

  /**
   * Somebody else changed the contact under the form: what was typed stays, fields nobody typed into follow, and where both
   * changed the same field the person chooses.
   */
  #meet(before: ContactDetail, fresh: ContactDetail): void {
    this.clashing = clashes(before.fields, fresh.fields, this.values);
    this.values = followed(before.fields, fresh.fields, this.values);
    this.contact = fresh;
  }

  #show(fresh: ContactDetail, keepTyped: boolean): void {
    this.contact = fresh;
    this.clashing = {};
    if (!keepTyped) {
      const names = [...MAIN_FIELDS.map((f) => f.name), 'PROP_MODE', ...otherFields(fresh.fields)];
      this.values = Object.fromEntries(names.map((name) => [name, fresh.fields[name] ?? '']));
    }
  }

  async save(): Promise<void> {
    if (!this.contact || !this.dirty) {
      return;
    }
    this.saving = true;
    this.problem = undefined;
    try {
      const body = { version: this.contact.version, changes: this.changes };
      const params = { path: { id: this.#id() } };
      this.#show(await got(api.PATCH('/api/contacts/{id}', { params, body })), false);
      this.saved = true;
      setTimeout(() => (this.saved = false), SAVED_FOR_MS);
    } catch (e) {
      this.problem = e instanceof Problem ? e : new Problem(String(e));
      if (this.problem.fields.size === 0) {
        // Most likely somebody was quicker; then the form shows both.
        await this.read();
      }
    } finally {
      this.saving = false;
    }
  }

  choose(name: string, value: string): void {
    this.values = { ...this.values, [name]: value };
    this.clashing = Object.fromEntries(Object.entries(this.clashing).filter(([other]) => other !== name));
  }

  /** Takes the log's values for all that was typed. */
  async startOver(): Promise<void> {
    this.problem = undefined;
    this.#show(await this.#fetch(), false);
  }

  #fetch(): Promise<ContactDetail> {
    return got(api.GET('/api/contacts/{id}', { params: { path: { id: this.#id() } } }));
  }
}
