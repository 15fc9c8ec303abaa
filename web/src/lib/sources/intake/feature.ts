import { Download } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { IntakeStore } from './intake.svelte';
import IntakeView from './IntakeView.svelte';

export const intake: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  stores.add(new IntakeStore());
  return {
    views: [
      {
        name: 'intake',
        label: 'Intake',
        component: IntakeView,
        rail: { key: 'i', icon: Download, position: 40 },
      },
    ],
    actions: [
      {
        label: 'Import a log',
        words: 'adif adi adx cabrillo file open',
        run: () => navigation.go('intake', 'import'),
      },
      {
        label: 'Follow a log file',
        words: 'watch folder program adi set up add',
        run: () => navigation.go('intake', 'sources'),
      },
      { label: 'Why is a contact not in the log?', run: () => navigation.go('intake') },
    ],
  };
};
