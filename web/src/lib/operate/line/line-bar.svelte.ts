import { memory } from '../../platform/shared/memory';

const FIELDS_KEY = 'yokebar-line-fields';
const FIRST_FIELDS = ['sent', 'rcvd', 'name', 'loc', 'comment'];

/** Where and how the contact line is shown in this browser. */
export class LineBarStore {
  /** Whether it is shown where a view does not have it anyway. */
  open = $state(false);
  /** Somebody wants the cursor in it; whoever gives it takes this back. */
  asked = $state(false);
  inFields = $state(false);
  /** The fields shown when it is filled in field by field. */
  fields = $state.raw<string[]>(memory.getItem(FIELDS_KEY)?.split(',') ?? FIRST_FIELDS);

  /** Brings the contact line up and puts the cursor into it. */
  ask(): void {
    this.open = true;
    this.asked = true;
  }

  showFields(fields: string[]): void {
    this.fields = fields;
    memory.setItem(FIELDS_KEY, fields.join(','));
  }
}
