import { Download } from 'carbon-icons-svelte';
import type { FeatureFactory } from '../../platform/page/feature';
import { Navigation } from '../../platform/page/navigation.svelte';
import { IntakeStore } from './intake.svelte';
import IntakeView from './IntakeView.svelte';
import { texts } from './texts';

export const intake: FeatureFactory = (stores) => {
  const navigation = stores.get(Navigation);
  stores.add(new IntakeStore());
  return {
    views: [
      {
        name: 'intake',
        label: texts.intake,
        component: IntakeView,
        rail: { key: 'i', icon: Download, position: 40 },
      },
    ],
    actions: [
      {
        label: texts.importALog,
        words: texts.adifAdiAdxCabrilloFile,
        run: () => navigation.go('intake', 'import'),
      },
      {
        label: texts.followALogFile,
        words: texts.watchFolderProgramAdiSet,
        run: () => navigation.go('intake', 'sources'),
      },
      { label: texts.whyIsAContactNot, run: () => navigation.go('intake') },
    ],
  };
};
