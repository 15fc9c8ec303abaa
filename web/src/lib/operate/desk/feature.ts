import { Dashboard } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../../platform/page/feature';
import DeskView from './DeskView.svelte';
import { texts } from './texts';

export const desk: FeatureFactory = () => ({
  views: [
    {
      name: 'desk',
      label: texts.desk,
      component: DeskView,
      rail: { key: 'd', icon: Dashboard, position: 10 },
    },
  ],
});
