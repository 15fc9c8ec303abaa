import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { RadioStore } from '../radio/radios.svelte';
import { RotorStore } from './rotors.svelte';
import { texts } from './texts';

export const rotor: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const radios = stores.get(RadioStore);
  const rotors = stores.add(new RotorStore(() => radios.chosen?.rotorId));
  return {
    load: () => rotors.load(),
    listen(live) {
      live.on('rotors', (all) => rotors.takeAll(all));
    },
    actions: [
      {
        label: texts.connectARotator,
        words: texts.antennaBeamSetUpAdd,
        run: () => navigation.go('hookups'),
      },
    ],
    localKeys: [{ where: texts.compass, keys: '← →, s', label: texts.turnStop }],
  };
};
