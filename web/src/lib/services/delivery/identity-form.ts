import type { Lane, Problem } from '../../platform/api/client';
import type { LaneStore } from './lanes.svelte';

/** What the forms of the signing identities are given. */
export interface IdentityForm {
  lane: Lane;
  lanes: LaneStore;
  /** Does something and says what came of it. */
  run: (action: () => Promise<void>, done: string) => Promise<void>;
  problem: Problem | undefined;
}
