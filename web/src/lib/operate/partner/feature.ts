import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { PathStore } from '../../platform/map/path.svelte';
import { RotorStore } from '../../sources/rotor/rotors.svelte';
import { PartnerStore } from './partner.svelte';
import { texts } from './texts';

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
        label: texts.beamToThePartnerShort,
        keys: 'b',
        also: texts.altBWhileTyping,
        possible: canTurn,
        run: () => beam(path()?.bearingDegrees),
      },
      {
        label: texts.beamToThePartnerLong,
        keys: 'B',
        also: texts.altShiftBWhileTyping,
        possible: canTurn,
        run: () => beam(path()?.longPathDegrees),
      },
    ],
  };
};
