import { SendAlt } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../platform/page/feature';
import { Navigation } from '../platform/page/navigation.svelte';
import Firsts from './confirm/Firsts.svelte';
import ServicesView from './ServicesView.svelte';
import { LaneStore } from './delivery/lanes.svelte';
import { texts } from './texts';

/** The services, with what goes out to them and comes back. */
export const services: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const lanes = stores.add(new LaneStore());
  return {
    load: () => lanes.load(),
    listen(live) {
      live.on('lanes', () => lanes.readSoon());
      live.on('firsts', (news) => lanes.announce(news));
    },
    views: [
      {
        name: 'services',
        label: texts.services,
        component: ServicesView,
        rail: { key: 's', icon: SendAlt, position: 50 },
      },
    ],
    addressParts: [
      {
        view: 'services',
        name: 'lane',
        read: () => (lanes.chosen === undefined ? '' : String(lanes.chosen)),
        write(id) {
          lanes.chosen = /^\d{1,9}$/.test(id) ? Number(id) : undefined;
        },
      },
    ],
    bars: [Firsts],
    actions: [
      {
        label: texts.setUpAService,
        words: texts.uploadAccountConfirmationQsl,
        run: () => navigation.go('services'),
      },
      {
        label: texts.paperCardsAndLabels,
        words: texts.qslBureauPrint,
        run: () => navigation.go('services', 'cards'),
      },
      {
        label: texts.radioMail,
        words: texts.outboxPacketOffline,
        run: () => navigation.go('services', 'mail'),
      },
    ],
  };
};
