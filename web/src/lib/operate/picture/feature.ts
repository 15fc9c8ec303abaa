import { Image } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { PositionStore } from '../../station/position/positions.svelte';
import NewPicture from './NewPicture.svelte';
import { PictureStore } from './pictures.svelte';
import PicturesView from './PicturesView.svelte';
import { ReplyStore } from './replies.svelte';

export const picture: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  const positions = stores.get(PositionStore);
  const pictures = stores.add(new PictureStore());
  stores.add(new ReplyStore(() => positions.here?.id));
  const inView = () => navigation.view === 'pictures';
  return {
    load: () => Promise.all([pictures.loadUpdate(), pictures.loadSettings()]),
    listen(live) {
      live.on('pictures', (update) => {
        pictures.update = update;
        if (inView()) void pictures.load();
      });
      // A contact that was logged may be the one that the chosen picture belongs to.
      live.on('log', () => {
        if (inView()) void pictures.loadDetails();
      });
    },
    views: [
      {
        name: 'pictures',
        label: 'Pictures',
        component: PicturesView,
        rail: { key: 'p', icon: Image, position: 27 },
      },
    ],
    bars: [NewPicture],
    actions: [
      {
        label: 'Reply with a picture',
        words: 'sstv compose slow scan',
        run: () => navigation.go('pictures', 'reply'),
      },
      {
        label: 'Picture folders',
        words: 'sstv settings folder',
        run: () => navigation.go('pictures', 'folders'),
      },
    ],
    localKeys: [
      { where: 'Anywhere', keys: 'Alt+A', label: 'Attach the new picture to the contact it is offered with' },
      { where: 'Pictures', keys: '← → ↑ ↓', label: 'Choose a picture' },
      { where: 'Pictures', keys: 'a, 1 2 3', label: 'Attach to the first contact offered, or to that one' },
      { where: 'Pictures', keys: 'k, h, d', label: 'Keep without a contact, hide, detach' },
      { where: 'Pictures', keys: 'Enter', label: 'Large view, and back' },
      { where: 'Pictures', keys: 'n, r', label: 'Write a note; reply to it' },
    ],
  };
};
