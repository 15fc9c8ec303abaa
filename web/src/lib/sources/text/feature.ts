import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { TextProgramStore } from './programs.svelte';
import { ReceivedTextStore } from './received.svelte';
import { texts } from './texts';

export const text: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const programs = stores.add(new TextProgramStore());
  const received = stores.add(new ReceivedTextStore());
  return {
    load: () => Promise.all([programs.load(), received.load()]),
    listen(live) {
      live.on('received-text', (now) => received.take(now));
      live.on('hookup', (hookup) => {
        if (hookup.kind !== 'TEXT') return;
        // Its rate is told all the time; who decodes is different only when the line comes or goes.
        const known = programs.all.find((one) => one.hookup === hookup.id);
        if (!known || hookup.state !== 'LIVE' || known.decoders.length === 0) void programs.load();
      });
    },
    actions: [
      {
        label: texts.connectADecoder,
        words: texts.radioteletypeTextSetUpAdd,
        run: () => navigation.go('hookups'),
      },
    ],
  };
};
