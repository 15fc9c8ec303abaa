import type { Component } from 'svelte';
import type { LiveConnection } from '../live/live.svelte';
import type { Action, LocalKey } from './action';
import type { Stores } from './stores';

/** A view: what fills the middle of the page. */
export interface ViewOffer {
  /** As the address names it. */
  name: string;
  label: string;
  component: Component;
  /** The key after `g`, and the icon in the rail; views without them are reached otherwise. Positions go in tens, so that one fits between. */
  rail?: { key: string; icon: Component<{ size?: number }>; position: number };
}

/** Something that opens at the side, one at a time. */
export interface DrawerOffer {
  /** As the address names it. */
  of: string;
  /** What it is opened for: a number, a text, or nothing. */
  id: 'number' | 'text' | 'none';
  // What it is opened for differs from drawer to drawer; the page hands on what it was given.
  component: Component<any>; // eslint-disable-line @typescript-eslint/no-explicit-any
}

/** Something a feature keeps in the address of its view, such as a search. */
export interface AddressPart {
  view: string;
  name: string;
  /** Whether it is typed letter by letter: only the whole of it is a step to go back to. */
  typed?: boolean;
  /** What belongs into the address; empty for nothing. */
  read: () => string;
  /** The address says something else now. */
  write: (value: string) => void;
}

/** What one part of the product brings to the page. See docs/adding-a-feature.md. */
export interface Feature {
  /** Reads everything again: at the start, and when too much was missed. */
  load?: () => unknown;
  /** What it hears from the event stream. */
  listen?: (live: LiveConnection) => void;
  views?: ViewOffer[];
  drawers?: DrawerOffer[];
  addressParts?: AddressPart[];
  /** What can be done from anywhere, by key or name. */
  actions?: Action[];
  /** Keys that work within its components, for the list of keys. */
  localKeys?: LocalKey[];
  /** Shown above the view, when there is something to say. */
  notices?: Component[];
  /** Shown below the view, when there is something to say. */
  bars?: Component[];
  /** Shown at the very bottom, where nothing that comes and goes moves it. */
  foot?: Component[];
}

/** Makes the feature, adding its stores and taking those of the features before it. */
export type FeatureFactory = (stores: Stores) => Feature;
