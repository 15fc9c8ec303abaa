import { Image } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { PositionStore } from '../../station/position/positions.svelte';
import NewPicture from './NewPicture.svelte';
import { PictureStore } from './pictures.svelte';
import PicturesView from './PicturesView.svelte';
import { ReplyStore } from './replies.svelte';
import { texts } from './texts';

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
        pictures.takeUpdate(update);
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
        label: texts.pictures,
        component: PicturesView,
        rail: { key: 'p', icon: Image, position: 27 },
      },
    ],
    bars: [NewPicture],
    actions: [
      {
        label: texts.replyWithAPicture,
        words: texts.sstvComposeSlowScan,
        run: () => navigation.go('pictures', 'reply'),
      },
      {
        label: texts.pictureFolders,
        words: texts.sstvSettingsFolder,
        run: () => navigation.go('pictures', 'folders'),
      },
    ],
    localKeys: [
      { where: texts.anywhere, keys: 'Alt+A', label: texts.attachTheNewPictureTo },
      { where: texts.pictures, keys: '← → ↑ ↓', label: texts.chooseAPicture },
      { where: texts.pictures, keys: 'a, 1 2 3', label: texts.attachToTheFirstContact },
      { where: texts.pictures, keys: 'k, h, d', label: texts.keepWithoutAContactHide },
      { where: texts.pictures, keys: 'Enter', label: texts.largeViewAndBack },
      { where: texts.pictures, keys: 'n, r', label: texts.writeANoteReplyTo },
    ],
  };
};
