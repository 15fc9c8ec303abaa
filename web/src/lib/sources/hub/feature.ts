import { ConnectionSignal } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../../platform/page/feature';
import { BeadStore } from './beads.svelte';
import HookupDrawer from './HookupDrawer.svelte';
import { HookupStore } from '../hookup/hookups.svelte';
import HookupsView from './HookupsView.svelte';
import { texts } from './texts';

export const hookup: FeatureFactory = (stores) => {
  const hookups = stores.add(new HookupStore());
  const beads = stores.add(new BeadStore());
  return {
    load: () => hookups.load(),
    listen(live) {
      live.on('log', (news) => {
        if (news.added.length > 0 || news.more > 0) {
          beads.send('source');
        }
      });
      live.on('hookup', (one) => {
        const before = hookups.all.find((h) => h.id === one.id);
        hookups.take(one);
        if (one.kind === 'SERVICE' && one.lastMinute > (before?.lastMinute ?? one.lastMinute)) {
          beads.send('service');
        }
      });
      live.on('hookup-gone', ({ id }) => hookups.gone(id));
    },
    views: [
      {
        name: 'hookups',
        label: texts.hookups,
        component: HookupsView,
        rail: { key: 'h', icon: ConnectionSignal, position: 60 },
      },
    ],
    drawers: [{ of: 'hookup', id: 'text', component: HookupDrawer }],
  };
};
