import type { PictureDetails } from '../../platform/api/client';
import { utcMinute } from '../../platform/shared/format';
import type { AttachTarget } from './pictures.svelte';

/** Something a picture can be attached to, in words. */
export interface OfferedTarget {
  target: AttachTarget;
  call: string;
  /** Why it is offered. */
  because: string;
}

/**
 * What a picture may belong to, the likeliest first: the contact under way, then those in the log near it. A picture that has its
 * contact is offered to none.
 */
export function offered(details: PictureDetails | undefined, underWay: string | undefined): OfferedTarget[] {
  if (details?.picture.contactId !== undefined) return [];
  const logged = (details?.likely ?? []).map(({ id, call, start, band, mode }) => ({
    target: { contactId: id },
    call,
    because: `${utcMinute(start)} UTC, ${band} ${mode}`,
  }));
  const known = underWay === details?.picture.waitsFor || logged.some((one) => one.call === underWay);
  return underWay === undefined || known
    ? logged
    : [{ target: { call: underWay }, call: underWay, because: 'in the contact line' }, ...logged];
}
