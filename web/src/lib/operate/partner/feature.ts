import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { PathStore } from '../../platform/map/path.svelte';
import { RotorStore } from '../../sources/rotor/rotors.svelte';
import { PartnerStore } from './partner.svelte';

export const partner: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const rotors = stores.get(RotorStore);
  const card = stores.add(new PartnerStore());
  stores.add(new PathStore());

  const path = () =>
    navigation.view === 'desk' || navigation.view === 'on-air' ? card.view?.whereabouts?.path : undefined;
  const canTurn = () => path() !== undefined && rotors.chosen !== undefined;
  const beam = (degrees: number | undefined) =>
    degrees === undefined ? undefined : rotors.point(Math.round(degrees) % 360);
  return {
    actions: [
      {
        label: 'Beam to the partner, short way',
        keys: 'b',
        also: 'Alt+B while typing',
        possible: canTurn,
        run: () => beam(path()?.bearingDegrees),
      },
      {
        label: 'Beam to the partner, long way',
        keys: 'B',
        also: 'Alt+Shift+B while typing',
        possible: canTurn,
        run: () => beam(path()?.longPathDegrees),
      },
    ],
  };
};
