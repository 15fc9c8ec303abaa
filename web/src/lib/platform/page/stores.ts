import { getContext, setContext } from 'svelte';

type StoreClass<T> = abstract new (...args: never[]) => T;

/** What the page holds, one store of each class. Features add theirs; components ask for the few they use. */
export class Stores {
  #byClass = new Map<unknown, unknown>();

  add<T extends object>(store: T): T {
    this.#byClass.set(store.constructor, store);
    return store;
  }

  /** @throws Error when no feature before has added it */
  get<T>(of: StoreClass<T>): T {
    const found = this.#byClass.get(of);
    if (found === undefined) {
      throw new Error(`${of.name} is not there: its feature must stand before in features.ts`);
    }
    return found as T;
  }
}

const KEY = Symbol('stores');

/** Makes the stores reachable for a component and all below it. */
export function provide(stores: Stores): void {
  setContext(KEY, stores);
}

/** The context a component is rendered in alone, for tests. */
export function contextOf(stores: Stores): Map<unknown, unknown> {
  return new Map<unknown, unknown>([[KEY, stores]]);
}

/** A store, for a component. Called while the component is set up. */
export function useStore<T>(of: StoreClass<T>): T {
  return getContext<Stores>(KEY).get(of);
}
